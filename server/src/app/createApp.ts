import type { Right } from '@wergon/contract/access';
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { UniqueConstraintViolationException } from '@mikro-orm/core';
import compression from 'compression';
import express from 'express';
import type { ErrorRequestHandler, Express, Request, RequestHandler } from 'express';
import helmet from 'helmet';
import { STREAM_PATHS, describeRoutes } from '@wergon/contract/routes';
import { identify } from '../access/index.ts';
import { sightOf } from '../catalog/index.ts';
import { isDiskFault, readSql } from '../db/index.ts';
import { loadSeq } from '../ledger/index.ts';
import type { Context } from './context.ts';
import {
  checkHost,
  checkCaller,
  createMount,
  ReadFailed,
  refuse,
  sendProblem,
  sayError,
  createTryLimits,
} from '../http/index.ts';
import { mountAll } from './mountAll.ts';
import type { ProblemCode } from '@wergon/contract/wire';
import type { Audience, Readers, RouteRefusal, Who } from '../http/index.ts';

/** What stands between the server and its devices. */
type Outside = {
  readonly isBehindProxy: boolean;
  /** The root of the shop's own authority, for devices to trust; absent where the certificate is another's. */
  readonly root: string | null;
  /** Names by which devices call this server, beside its host name and addresses. */
  readonly names: readonly string[];
};
const ALONE: Outside = { isBehindProxy: false, root: null, names: [] };

/** Makes the whole application: security headers, one log line a request, the routes of the contract, the pages. */
export function createApp(
  context: Context,
  webPath: string,
  outside: Outside = ALONE,
  readers?: Readers,
): Express {
  const app = express();
  app.disable('x-powered-by');
  // Only a proxy that was declared is believed what it says of who calls, and how.
  if (outside.isBehindProxy) app.set('trust proxy', 1);
  app.use(helmet({ contentSecurityPolicy: { directives: CONTENT_POLICY }, hsts: false }));
  app.use(logRequests(context));
  // A stream is told as it happens, and not when there is enough of it to be packed.
  const pack = compression({ level: PACKING, threshold: '2kb', filter: isNoStream });
  app.use((req, res, next) => (req.method === 'GET' ? pack(req, res, next) : next()));

  // Every screen says so while nothing can be recorded.
  app.use((_req, res, next) => {
    if (!context.health.isWritable()) res.set('wergon-writable', '0');
    next();
  });
  app.use(checkHost(outside));
  const who = (req: Request) => identify(context, req);
  const mount = createMount(app, context, {
    identify: who,
    sightOf: (caller) => sightOf(context.facts, caller),
    limits: createTryLimits(),
    readers,
  });
  mountAll(mount, context);
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

/** Most of what there is to gain, at a fraction of what the rest of it would cost. */
const PACKING = 3;
const isNoStream = (req: Request, res: express.Response): boolean =>
  !String(res.getHeader('content-type')).startsWith('text/event-stream') && compression.filter(req, res);

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

/** Whether somebody sees nothing of others: neither the floor nor the work nor their time. */
const seesNobody = (rights: ReadonlySet<Right>): boolean =>
  !(['floor.see', 'work.see', 'reconcile.see', 'ledger.see'] as const).some((right) => rights.has(right));

/** What somebody's pages are told of; of everything where there is nothing that they may not see. */
async function audienceOf({ facts }: Context, who: Who): Promise<Audience | undefined> {
  if (who.kind !== 'desk') return undefined;
  const { rights, user } = who;
  if (seesNobody(rights)) return { sees: (id) => id === user.technician, hearsOfOrders: false };
  return user.seesOnlyTheirs ? { sees: await sightOf(facts, who), hearsOfOrders: true } : undefined;
}

function mountStreams(app: Express, context: Context): void {
  const stream = async (caller: 'signed-in' | 'station', req: Request, res: express.Response) => {
    const who = await identify(context, req);
    const denied = checkCaller(caller, who);
    if (denied) return sendProblem(res, denied);
    const key = caller === 'station' || who.kind !== 'desk' ? (who.station?.id ?? '') : who.tokenHash;
    let audience = await audienceOf(context, who);
    const mayHear = async () => {
      const now = await identify(context, req);
      if (checkCaller(caller, now)) return false;
      // Who is whose may change while somebody listens.
      audience = await audienceOf(context, now);
      return true;
    };
    const listener = { key, mayHear, audience: () => audience };
    context.live.stream(req, res, await readSql(context.database, loadSeq), listener);
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

/** What body parsers, static files and the router throw names its own status; those are not our failures. */
const THROWN: Readonly<Record<number, ProblemCode>> = {
  400: 'input.bad_request',
  413: 'input.too_large',
  415: 'input.wrong_type',
  416: 'input.bad_range',
};

function problemOfThrown(error: unknown): Pick<RouteRefusal, 'code' | 'errors'> | undefined {
  if (error instanceof UniqueConstraintViolationException) return takenBy(error);
  if (isDiskFault(error)) return refuse('server.cannot_write');
  if (typeof error !== 'object' || error === null) return undefined;
  if ('type' in error && error.type === 'entity.parse.failed') return refuse('input.bad_json');
  const status = 'status' in error ? Number(error.status) : NaN;
  if (!(status >= 400 && status < 500)) return undefined;
  return refuse(THROWN[status] ?? 'input.bad_request');
}

/** Two callers wanted the same thing at once, and the database let one of them have it. */
function takenBy({ message }: UniqueConstraintViolationException): RouteRefusal {
  const columns = /UNIQUE constraint failed: ([\w., ]+)/.exec(message)?.[1] ?? '';
  const column = columns.split(', ').at(-1)?.split('.').at(-1) ?? '';
  const field = column.replace(/_(\w)/g, (_whole, letter: string) => letter.toUpperCase());
  return refuse('record.taken', [{ field, message: 'is in use already' }]);
}

const answerErrors =
  ({ log, health }: Context): ErrorRequestHandler =>
  (error: unknown, _req, res, next) => {
    const known = problemOfThrown(error);
    if (isDiskFault(error)) health.cannotWrite(error);
    if (!known) log.error(error instanceof ReadFailed ? error.told : sayError(error), 'request failed');
    if (res.headersSent) return next(error);
    // A part of a file that was asked for in vain leaves headers behind that speak of the file.
    for (const name of ['content-range', 'content-length', 'content-encoding', 'etag'])
      res.removeHeader(name);
    sendProblem(res, known ?? refuse(error instanceof ReadFailed ? error.problem : 'server.failed'));
  };
