import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import expressStaticGzip from 'express-static-gzip';
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import { pinoHttp } from 'pino-http';
import { auditRoutes } from './audit/audit-routes';
import { auditReads } from './audit/reads';
import { caseRoutes } from './cases/case-routes';
import { fitRoutes } from './cases/fit-routes';
import { catalogueRoutes } from './catalogue/catalogue-routes';
import { clinicRoutes } from './clinic/clinic-routes';
import { peopleRoutes } from './people/people-routes';
import { visitRoutes } from './visits/visit-routes';
import { setUpRoutes } from './clinic/set-up-routes';
import { sessionRoutes, signInThrottle } from './clinic/session-routes';
import { lastsFor, type DatabaseSessionStore } from './clinic/session-store';
import { templateRoutes } from './clinic/template-routes';
import { userRoutes } from './clinic/user-routes';
import { keepingRoutes } from './keeping/keeping-routes';
import { deadline } from './deadline';
import { healthRoutes } from './health';
import { instrumentRoutes } from './instruments/instrument-routes';
import { sensorRoutes } from './instruments/sensor-routes';
import { Problem, problemHandler } from './problem';
import { mount, type Context, type Route } from './route';
import { soundBody } from './sound-body';

export interface AppOptions {
  store: DatabaseSessionStore;
  sessionSecret: string;
  /** folder of the built interface; absent while Vite serves it */
  webRoot?: string;
  /** hops of proxies in front, for the cookie's Secure and the throttle's address */
  trustProxy?: number;
  /** wrong sign-ins before the throttle closes */
  signInTries?: number;
  /** the server itself speaks TLS, with a certificate that browsers may be told to insist on */
  strictTransport?: boolean;
  /** the longest a request may take, in milliseconds */
  answerWithin?: number;
}

/** Every route of the interface between browser and server, with who may call it. */
export const allRoutes = (context: Context): Route[] => [
  ...healthRoutes(context),
  ...setUpRoutes(context),
  ...sessionRoutes(context),
  ...clinicRoutes(context),
  ...keepingRoutes(context),
  ...peopleRoutes(context),
  ...visitRoutes(context),
  ...userRoutes(context),
  ...templateRoutes(context),
  ...catalogueRoutes(context),
  ...instrumentRoutes(context),
  ...sensorRoutes(context),
  ...fitRoutes(context),
  ...caseRoutes(context),
  ...auditRoutes(context),
];

/** A write from another site is refused, whatever cookie comes with it. */
const sameSiteOnly: RequestHandler = (req, _res, next) => {
  if (req.method === 'GET' || req.method === 'HEAD') return next();
  const site = req.get('Sec-Fetch-Site');
  const origin = req.get('Origin');
  const foreign =
    (site !== undefined && site !== 'same-origin') ||
    (origin !== undefined && hostOf(origin) !== req.get('Host'));
  if (foreign) throw new Problem('other-site');
  next();
};

/** A stream is sent as it comes; everything else as the standard says. */
const isCompressed: compression.CompressionFilter = (req, res) =>
  !String(res.getHeader('Content-Type')).startsWith('text/event-stream') && compression.filter(req, res);

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
      strictTransportSecurity: options.trustProxy || options.strictTransport ? undefined : false,
    }),
  );
  app.use(compression({ filter: isCompressed }));
  // requests are logged by user, route and status: an address may hold a search for a name
  app.use(
    '/api',
    pinoHttp({
      logger: context.log,
      customProps: (req, res) => ({
        route: (res as unknown as { locals: { route?: string } }).locals.route,
        user: (req as { session?: { user?: { id: string } } }).session?.user?.id,
      }),
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
  app.use(
    '/api',
    deadline(
      options.answerWithin ?? 12_000,
      {
        '/catalogue/import': 120_000,
        '/clinic/keeping/backup': 1_800_000,
        '/clinic/keeping/drill': 1_800_000,
      },
      context.sealing.path,
    ),
  );
  // before the session, which asks the database
  app.use('/api', mount(healthRoutes(context)));
  // a catalogue's file is larger than anything else that is sent
  app.use('/api/catalogue/import', express.json({ limit: '2mb' }));
  app.use(
    '/api',
    express.json({ limit: '64kb', strict: false, type: ['application/json', 'application/*+json'] }),
  );
  app.use('/api', soundBody);
  app.use(
    '/api',
    session({
      name: 'estribo',
      secret: options.sessionSecret,
      store: options.store,
      resave: false,
      saveUninitialized: false,
      proxy: options.trustProxy !== undefined,
      cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: lastsFor, path: '/' },
    }),
  );
  app.post(['/api/session', '/api/session/switch', '/api/set-up'], signInThrottle(options.signInTries ?? 10));
  app.put(['/api/session/password', '/api/session/pin'], signInThrottle(options.signInTries ?? 10));
  app.use('/api', mount(allRoutes(context)));
  app.use('/api', () => {
    throw new Problem('no-route');
  });
  if (options.webRoot) app.use(webPages(options.webRoot));
  app.use(auditRefusals(context));
  app.use(problemHandler(context.log, context.sealing.path));
  return app;
}

/** Writes down what was refused to whoever is signed in because of their role. */
function auditRefusals(context: Context): ErrorRequestHandler {
  const read = auditReads(context);
  return (error: unknown, req, res, next) => {
    const user = (req.session as typeof req.session | undefined)?.user;
    if (!(error instanceof Problem) || error.status !== 403 || !user) return next(error);
    const { route = req.path } = res.locals as { route?: string };
    // refused all the same where it cannot be written down
    read(user, 'role.refused', route, { method: req.method, why: error.detail }).then(
      () => next(error),
      () => next(error),
    );
  };
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
    expressStaticGzip(join(root, 'assets'), {
      serveStatic: { immutable: true, maxAge: '1y', fallthrough: false },
    }),
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
