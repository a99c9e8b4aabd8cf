import compression from 'compression';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { bureau, type BureauOptions } from './bureau/routes.ts';
import { onlyNames } from './names.ts';

export interface AppOptions {
  readonly bureau?: BureauOptions;
  /** Names besides this machine's own under which it is reached. */
  readonly names?: readonly string[];
}
/**
 * Serves the built app with strict headers: nothing may be loaded from, or sent to, anywhere else. No
 * `upgrade-insecure-requests`: a tablet on the home network reaches this over plain HTTP.
 */
export function createApp(dist: string, options: AppOptions = {}): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(onlyNames(options.names ?? []));
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          // The interface library sets style elements of its own.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          frameSrc: ["'self'", 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
      crossOriginEmbedderPolicy: false,
    }),
  );
  app.use(compression());
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use('/api/bureau', bureau(options.bureau));
  app.use('/assets', express.static(`${dist}/assets`, { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(dist, { index: false, maxAge: 0 }));
  app.use('/api', (_request, response) => {
    response.status(404).json({ code: 'not-found' });
  });
  app.get('/{*path}', (_request, response) => {
    response.sendFile('index.html', { root: dist });
  });
  // What no handler could answer, a broken address first of all, is answered without a word of where the files lie.
  app.use((error: unknown, _request: Request, response: Response, next: NextFunction) => {
    if (response.headersSent) return next(error);
    const status = statusOf(error);
    response
      .status(status)
      .type('text/plain')
      .send(status === 404 ? 'There is nothing at this address.' : 'This address or request cannot be answered.');
  });
  return app;
}

/** What an error says it is, if that is for the one who asked; a fault of the server's own otherwise. */
function statusOf(error: unknown): number {
  const said = typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : 500;
  return said >= 400 && said < 500 ? said : 500;
}
