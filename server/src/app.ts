import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import rateLimit from 'express-rate-limit';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { describeError, loggable, notFound } from './errors';
import { ownOrigin } from './guard/origin';
import { apiPage } from './routes/apiPage';
import { fileRoutes } from './routes/files';
import { projectRoutes, type Services } from './routes/projects';
import { openApi, toolRoutes } from './routes/tools';

export interface AppOptions extends Services {
  /** Built web application; null serves the API alone. */
  readonly web: string | null;
  readonly log: Logger;
  /** Names by which the server is reached beside the loopback ones. */
  readonly names?: readonly string[];
  readonly requestsPer10s?: number;
}

/** The whole HTTP face: API, its page, and the web application. */
export function createApp(options: AppOptions): Express {
  const { web, log } = options;
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      // MathJax and drawings set styles inline; everything else comes from here
      contentSecurityPolicy: {
        directives: {
          'default-src': ["'self'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'font-src': ["'self'", 'data:'],
          'worker-src': ["'self'", 'blob:'],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(
    '/api',
    rateLimit({
      windowMs: 10_000,
      limit: options.requestsPer10s ?? 4000,
      standardHeaders: true,
      legacyHeaders: false,
      handler: (_request, response) =>
        void response.status(429).json({ error: { code: 'too-many', message: 'too many requests; wait a few seconds' } }),
    }),
  );
  app.use('/api', ownOrigin(options.names));
  app.get('/api/health', async (_request, response) => {
    await options.db.execute('select 1');
    response.json({ ok: true });
  });
  app.get('/api/openapi.json', (_request, response) => {
    response.json(openApi());
  });
  app.get(['/api', '/api/docs'], (_request, response) => {
    response.type('html').send(apiPage());
  });
  app.use('/api/projects', projectRoutes(options));
  app.use('/api/files', fileRoutes(options));
  app.use('/api/tools', toolRoutes(options));
  app.use('/api', (request) => {
    throw notFound(`"${request.path.slice(0, 80)}"`);
  });
  if (web && existsSync(join(web, 'index.html'))) {
    app.use(
      express.static(web, {
        index: false,
        immutable: true,
        maxAge: '1y',
        setHeaders: (response, path) => path.endsWith('.html') && response.setHeader('Cache-Control', 'no-cache'),
      }),
    );
    app.get('/{*path}', (_request, response) => {
      response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: web });
    });
  }
  app.use(() => {
    throw notFound('anything at this address');
  });
  // four parameters make it the one that is asked about errors
  app.use((error: unknown, request: Request, response: Response, _next: NextFunction) => {
    const { status, body } = describeError(error);
    if (status === 503) {
      log.warn({ failure: loggable(error), url: request.url.slice(0, 200) }, 'not now');
      response.set('Retry-After', '1');
    } else if (status >= 500) log.error({ failure: loggable(error), url: request.url.slice(0, 200) }, 'request failed');
    if (response.headersSent) response.destroy();
    else response.status(status).json(body);
  });
  return app;
}
