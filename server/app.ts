import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { bureau, type BureauOptions } from './bureau/routes.ts';

/**
 * Serves the built app with strict headers: nothing may be loaded from, or sent to, anywhere else. No
 * `upgrade-insecure-requests`: a tablet on the home network reaches this over plain HTTP.
 */
export function createApp(dist: string, options: { readonly bureau?: BureauOptions } = {}): Express {
  const app = express();
  app.disable('x-powered-by');
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
  return app;
}
