export { startServer, type RunningServer, type ServerOptions } from './server';
