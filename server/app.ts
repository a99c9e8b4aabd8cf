import { readFile } from 'node:fs/promises';
import compression from 'compression';
import expressStaticGzip from 'express-static-gzip';
import express, { type Express, type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import helmet from 'helmet';
import { bureau, type BureauOptions } from './bureau/routes.ts';
import { onlyNames } from './names.ts';
import { POLICY } from './policy.ts';

export interface AppOptions {
  readonly bureau?: BureauOptions;
  /** Names besides this machine's own under which it is reached. */
  readonly names?: readonly string[];
  /** The path it is reached under, `/` or `/ample/`; the build has to know the same. */
  readonly base?: string;
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
        directives: { ...POLICY, frameAncestors: ["'none'"] },
      },
      strictTransportSecurity: false,
      crossOriginEmbedderPolicy: false,
    }),
  );
  app.use(compression());
  const site = express.Router();
  site.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  site.use('/api/bureau', bureau(options.bureau));
  site.use(
    '/assets',
    // Built files lie there compressed already.
    expressStaticGzip(`${dist}/assets`, {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: { immutable: true, maxAge: '1y', fallthrough: false },
    }),
  );
  site.get('/index.html', page(dist));
  site.use(express.static(dist, { index: false, maxAge: 0 }));
  site.use('/api', (_request, response) => {
    response.status(404).json({ code: 'not-found' });
  });
  site.get('/{*path}', page(dist));
  app.use(options.base ?? '/', site);
  app.use((_request, response) => {
    response.status(404).type('text/plain').send(NOTHING);
  });
  // What no handler could answer, a broken address first of all, is answered without a word of where the files lie.
  app.use((error: unknown, _request: Request, response: Response, next: NextFunction) => {
    if (response.headersSent) return next(error);
    const status = statusOf(error);
    response
      .status(status)
      .type('text/plain')
      .send(status === 404 ? NOTHING : 'This address or request cannot be answered.');
  });
  return app;
}

/** The page, marked as served for every path of the app, so that addresses need no `#`. */
const page =
  (dist: string): RequestHandler =>
  async (_request, response) => {
    const html = await readFile(`${dist}/index.html`, 'utf8');
    response.type('html').send(html.replace('</head>', '<meta name="paths" content="answered" /></head>'));
  };

const NOTHING = 'There is nothing at this address.';

/** What an error says it is, if that is for the one who asked; a fault of the server's own otherwise. */
function statusOf(error: unknown): number {
  const said = typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : 500;
  return said >= 400 && said < 500 ? said : 500;
}
