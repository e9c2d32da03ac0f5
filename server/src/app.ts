import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type RequestHandler } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import { pinoHttp } from 'pino-http';
import { caseRoutes } from './cases/case-routes';
import { fitRoutes } from './cases/fit-routes';
import { catalogueRoutes } from './catalogue/catalogue-routes';
import { peopleRoutes } from './clinic/people-routes';
import { sessionRoutes, signInThrottle } from './clinic/session-routes';
import type { DatabaseSessionStore } from './clinic/session-store';
import { userRoutes } from './clinic/user-routes';
import { healthRoutes } from './health';
import { instrumentRoutes } from './instruments/instrument-routes';
import { notFound, Problem, problemHandler } from './problem';
import { mount, type Context, type Route } from './route';

export interface AppOptions {
  store: DatabaseSessionStore;
  sessionSecret: string;
  /** folder of the built interface; absent while Vite serves it */
  webRoot?: string;
  /** hops of proxies in front, for the cookie's Secure and the throttle's address */
  trustProxy?: number;
  /** wrong sign-ins before the throttle closes */
  signInTries?: number;
}

/** Every route of the interface between browser and server, with who may call it. */
export const allRoutes = (context: Context): Route[] => [
  ...healthRoutes(context),
  ...sessionRoutes(context),
  ...peopleRoutes(context),
  ...userRoutes(context),
  ...catalogueRoutes(context),
  ...instrumentRoutes(context),
  ...fitRoutes(context),
  ...caseRoutes(context),
];

/** A write from another site is refused, whatever cookie comes with it. */
const sameSiteOnly: RequestHandler = (req, _res, next) => {
  if (req.method === 'GET' || req.method === 'HEAD') return next();
  const site = req.get('Sec-Fetch-Site');
  const origin = req.get('Origin');
  const foreign =
    (site !== undefined && site !== 'same-origin') ||
    (origin !== undefined && hostOf(origin) !== req.get('Host'));
  if (foreign) throw new Problem(403, 'Not allowed', 'Writing from another site is refused.');
  next();
};

const hostOf = (origin: string) => (URL.canParse(origin) ? new URL(origin).host : undefined);

export function createApp(context: Context, options: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
  if (options.trustProxy) app.set('trust proxy', options.trustProxy);
  app.use((_req, res, next) => {
    res.locals.nonce = randomBytes(16).toString('base64');
    next();
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          styleSrc: [
            "'self'",
            (_req, res) => `'nonce-${(res as unknown as { locals: { nonce: string } }).locals.nonce}'`,
          ],
          imgSrc: ["'self'", 'data:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: options.trustProxy ? undefined : false,
    }),
  );
  // requests are logged by route and status only: an address may hold a search for a name
  app.use(
    '/api',
    pinoHttp({
      logger: context.log,
      serializers: {
        req: ({ id, method }: { id: unknown; method: string }) => ({ id, method }),
        res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
      },
    }),
  );
  app.use('/api', (_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  app.use('/api', sameSiteOnly);
  // a catalogue's file is larger than anything else that is sent
  app.use('/api/catalogue/import', express.json({ limit: '2mb' }));
  app.use(
    '/api',
    express.json({ limit: '64kb', strict: false, type: ['application/json', 'application/*+json'] }),
  );
  app.use(
    '/api',
    session({
      name: 'estribo',
      secret: options.sessionSecret,
      store: options.store,
      resave: false,
      saveUninitialized: false,
      proxy: options.trustProxy !== undefined,
      cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: 12 * 3600_000, path: '/' },
    }),
  );
  app.post('/api/session', signInThrottle(options.signInTries ?? 10));
  app.use('/api', mount(allRoutes(context)));
  app.use('/api', () => {
    throw notFound('route');
  });
  if (options.webRoot) app.use(webPages(options.webRoot));
  app.use(problemHandler(context.log));
  return app;
}

/** The built interface: files by name, and its page for every other address. */
function webPages(root: string): RequestHandler {
  const pages = express.Router();
  const index = join(root, 'index.html');
  if (!existsSync(index))
    throw new Error(`The interface is not built (${index} is missing). Run npm run build.`);
  const page = readFileSync(index, 'utf8');
  pages.use(
    '/assets',
    express.static(join(root, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  pages.use(express.static(root, { index: false }));
  pages.get('/{*path}', (_req, res) => {
    res
      .set('Cache-Control', 'no-cache')
      .type('html')
      .send(page.replaceAll('__CSP_NONCE__', String(res.locals.nonce)));
  });
  return pages;
}
