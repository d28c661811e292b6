import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import express from 'express';
import type { ErrorRequestHandler, Express, Request, RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import { STREAM_PATHS, describeRoutes } from '@wergon/contract/routes';
import { mountAccess } from '../access/routes.ts';
import { identify } from '../access/identify.ts';
import { readSql } from '../db/index.ts';
import { mountExchange } from '../exchange/routes.ts';
import { mountFloor } from '../floor/routes.ts';
import { mountLedger } from '../ledger/routes.ts';
import { loadSeq } from '../ledger/strands.ts';
import { mountPay } from '../pay/routes.ts';
import { mountPeople } from '../people/routes.ts';
import { mountReconcile } from '../reconcile/routes.ts';
import { mountShop } from '../shop/routes.ts';
import { mountStation } from '../station/routes.ts';
import { mountWork } from '../work/routes.ts';
import type { Context } from './context.ts';
import { checkCaller, createMount } from './mount.ts';
import { refuse, sendProblem } from './problem.ts';

/** Tries at a secret that one address has in a quarter of an hour. */
const TRIES = { windowMs: 15 * 60_000, limit: 20 } as const;

/** What stands between the server and its devices. */
type Outside = {
  readonly isBehindProxy: boolean;
  /** The root of the shop's own authority, for devices to trust; absent where the certificate is another's. */
  readonly root: string | null;
};
const ALONE: Outside = { isBehindProxy: false, root: null };

/** Makes the whole application: security headers, one log line a request, the routes of the contract, the pages. */
export function createApp(context: Context, webPath: string, outside: Outside = ALONE): Express {
  const app = express();
  app.disable('x-powered-by');
  // Only a proxy that was declared is believed what it says of who calls, and how.
  if (outside.isBehindProxy) app.set('trust proxy', 1);
  app.use(helmet({ contentSecurityPolicy: { directives: CONTENT_POLICY }, hsts: false }));
  app.use(logRequests(context));

  const tries = rateLimit({
    ...TRIES,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    skipSuccessfulRequests: true,
    handler: (_req, res) => sendProblem(res, refuse('access.too_many_tries')),
  });
  const mount = createMount(app, context, { signIn: tries, firstRun: tries, pair: tries });
  mountAccess(mount, context);
  mountFloor(mount, context);
  mountWork(mount, context);
  mountLedger(mount, context);
  mountReconcile(mount, context);
  mountPay(mount, context);
  mountPeople(mount, context);
  mountShop(mount, context);
  mountExchange(mount, context);
  mountStation(mount, context);
  mountStreams(app, context);
  app.get('/api/openapi.json', (_req, res) => void res.json(describeRoutes()));
  app.use('/api', (_req, res) => sendProblem(res, refuse('route.not_found')));

  app.get('/wergon-root.crt', (_req, res) => {
    if (outside.root === null)
      res.status(404).type('text/plain').send('This server needs no root of its own.');
    else res.type('application/x-x509-ca-cert').send(outside.root);
  });
  servePages(app, webPath);
  app.use(answerErrors(context));
  return app;
}

const CONTENT_POLICY = {
  defaultSrc: ["'self'"],
  // The camera's decoder is a WebAssembly binary of our own server; it may be compiled, and nothing else may.
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
  styleSrc: ["'self'"],
  imgSrc: ["'self'", 'data:'],
  connectSrc: ["'self'"],
  objectSrc: ["'none'"],
  frameAncestors: ["'none'"],
  upgradeInsecureRequests: null,
};

const logRequests =
  ({ log }: Context): RequestHandler =>
  (req, res, next) => {
    const startedAt = performance.now();
    // The path without its query: nothing that somebody typed belongs in a log.
    const path = req.path;
    res.on('close', () => {
      const ms = Math.round(performance.now() - startedAt);
      log.info({ method: req.method, path, status: res.statusCode, ms }, 'request');
    });
    next();
  };

function mountStreams(app: Express, context: Context): void {
  const stream = async (caller: 'signed-in' | 'station', req: Request, res: express.Response) => {
    const denied = checkCaller(caller, await identify(context, req));
    if (denied) return sendProblem(res, denied);
    context.live.stream(req, res, await readSql(context.database, loadSeq));
  };
  app.get(STREAM_PATHS.desk, (req, res) => stream('signed-in', req, res));
  app.get(STREAM_PATHS.station, (req, res) => stream('station', req, res));
}

function servePages(app: Express, webPath: string): void {
  const page = (name: string): RequestHandler => {
    const file = resolve(webPath, name);
    return (_req, res) => {
      if (existsSync(file)) res.set('cache-control', 'no-cache').sendFile(file);
      else res.status(503).type('text/plain').send('The pages are not built yet: run npm start.');
    };
  };
  app.use('/assets', express.static(resolve(webPath, 'assets'), { immutable: true, maxAge: '1y' }));
  app.use(express.static(webPath, { index: false, extensions: [] }));
  app.get('/station', page('station.html'));
  app.get('/wall', page('wall.html'));
  app.get('/{*path}', page('index.html'));
}

const answerErrors =
  ({ log }: Context): ErrorRequestHandler =>
  (error: unknown, _req, res, next) => {
    if (res.headersSent) return next(error);
    const type = typeof error === 'object' && error !== null && 'type' in error ? error.type : undefined;
    if (type === 'entity.parse.failed') return sendProblem(res, refuse('input.bad_json'));
    if (type === 'entity.too.large') return sendProblem(res, refuse('input.too_large'));
    if (type === 'encoding.unsupported' || type === 'charset.unsupported')
      return sendProblem(res, refuse('input.wrong_type'));
    log.error({ err: error }, 'request failed');
    sendProblem(res, refuse('server.failed'));
  };
