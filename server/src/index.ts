export { startServer, type RunningServer, type ServerOptions } from './server';
export { runLine } from './routes/tools';
export { describeError } from './errors';
