import { createServer } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import type { Server as HttpServer } from 'node:http';
import type { Socket } from 'node:net';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import type { Logger } from 'pino';
import { Defect, isRecord } from '@wergon/core/result';
import { parseInstant } from '@wergon/core/time';
import { createBackups, headsPath, keepHead as keepHeadAt, lockDatabase } from '../backup/index.ts';
import type { Lock } from '../backup/index.ts';
import { keepJobs } from '../compare/index.ts';
import { closeDatabase, readSql } from '../db/index.ts';
import { openShop } from './database.ts';
import type { Database } from '../db/index.ts';
import { catchUp, createDeriveAnew, createJournal, findHead } from '../ledger/index.ts';
import { ClockEntity } from '../shop/index.ts';
import { createFactsCache } from '../catalog/index.ts';
import { readContext } from './readContext.ts';
import { clockFrom, createSetClock, systemClock, createHealth, createLive, sayError } from '../http/index.ts';
import type { Clock } from '../http/index.ts';
import type { Config } from './config.ts';
import type { Context } from './context.ts';
import { createApp } from './createApp.ts';
import { createReaders } from './readers.ts';
import { createProofs } from '../station/index.ts';
import { chooseTls } from './tls/chooseTls.ts';

const COMMAND = fileURLToPath(new URL('./command.js', import.meta.url));
/** How often the demo's clock is written down, so that a crash sets it back by little. */
const CLOCK_SAVE_MS = 5_000;
/** What is being answered when the server stops has so long; stations send again what nobody acknowledged. */
const GRACE_MS = 3_000;
/** How often it is looked whether the time of an entry has come that lay ahead of the server's. */
const TAKE_IN_MS = 15_000;
/** How often jobs of which something has changed are looked at. */
const KEEP_JOBS_MS = 2_000;
/** How often it is looked whether a backup is due. */
const BACKUP_LOOK_MS = 60_000;
/** How often a disk that could not be written is tried again. */
const PROBE_MS = 5_000;

export type RunningServer = {
  readonly address: string;
  readonly context: Context;
  readonly stop: () => Promise<void>;
};

/** Puts together what routes stand on. */
export function createContext(
  database: Database,
  clock: Clock,
  log: Logger,
  isDemo: boolean,
  backupsPath: string | null = null,
): Context {
  const databasePath = String(database.config.get('dbName'));
  const live = createLive();
  const facts = createFactsCache(database);
  const journal = createJournal(database, facts, clock, live);
  const health = createHealth(database, log, () => live.publishSetup());
  const proofs = createProofs(clock);
  const reading = readContext(database, facts);
  const backups = createBackups({ databasePath, folder: backupsPath, command: COMMAND }, reading.shop);
  const keepHead = async (why: string) => {
    const head = await readSql(database, findHead);
    const at = new Date(clock.nowMs()).toISOString();
    // What is recorded is recorded; a note beside it that cannot be written takes nothing of it back.
    try {
      keepHeadAt(headsPath(databasePath), { at, why, ...head });
    } catch (error) {
      log.error(sayError(error), 'the head of the chain could not be kept');
    }
  };
  const setupChanged: Context['setupChanged'] = (...stale) => {
    facts.forget(...stale);
    live.publishSetup();
  };
  return {
    ...reading,
    clock,
    live,
    journal,
    health,
    proofs,
    backups,
    setupChanged,
    deriveAnew: createDeriveAnew({ database, facts, log, setupChanged }),
    keepHead,
    log,
    isDemo,
  };
}

/** Opens the database, starts to listen, and says where. */
export async function startServer(config: Config): Promise<RunningServer> {
  const log = pino({ level: config.logLevel });
  const lock = lockDatabase(config.databasePath, 'server');
  try {
    return await serve(config, log, lock);
  } catch (error) {
    lock.release();
    throw error;
  }
}

async function serve(config: Config, log: Logger, lock: Lock): Promise<RunningServer> {
  const database = await openShop(config.databasePath);
  const clock = await chooseClock(config, database);
  const context = createContext(database, clock, log, config.isDemo, config.backupsPath);
  const known = await context.facts.find();
  if (known && (await catchUp(database, known, clock.now()))) log.info('derived all projections anew');
  // A disk that cannot be written is said from the first screen on.
  await context.health.probe();
  const probing = setInterval(() => {
    if (!context.health.isWritable()) void context.health.probe();
  }, PROBE_MS);
  // The demo's clock is not the world's; nothing of it is backed up by itself.
  const backingUp = setInterval(() => {
    if (!config.isDemo)
      void context.backups
        .runIfDue(clock.now())
        .catch((error: unknown) => log.error(sayError(error), 'no backup'));
  }, BACKUP_LOOK_MS);
  const takingIn = setInterval(
    () =>
      void context.journal.takeInDue().catch((error: unknown) => log.error(sayError(error), 'not taken in')),
    TAKE_IN_MS,
  );
  let isEnding = false;
  let keeping: Promise<void> | undefined;
  const keepingJobs = setInterval(() => {
    if (!context.health.isWritable()) return;
    keeping ??= keepJobs(context, { isEnded: () => isEnding })
      .catch((error: unknown) => log.error(sayError(error), 'finished jobs not kept'))
      .finally(() => (keeping = undefined));
  }, KEEP_JOBS_MS);
  const tls = await chooseTls(config);
  const readers = createReaders({
    databasePath: config.databasePath,
    isDemo: config.isDemo,
    facts: context.facts,
    nowMs: clock.nowMs,
    countDeskActs: context.journal.countDeskActs,
  });
  const outside = {
    isBehindProxy: config.isBehindProxy,
    root: tls.kind === 'tls' ? tls.root : null,
    names: config.names,
  };
  const app = createApp(context, config.webPath, outside, readers);
  const server =
    tls.kind === 'tls' ? createTlsServer({ cert: tls.cert, key: tls.key }, app) : createServer(app);
  const endUnasked = watchUnasked(server, tls.kind === 'tls' ? 'secureConnection' : 'connection');
  await new Promise<void>((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) =>
      reject(
        error.code === 'EADDRINUSE'
          ? new Error(`port ${config.port} is in use: stop what uses it, or set WERGON_PORT`)
          : error,
      ),
    );
    server.listen(config.port, config.host, resolve);
  });
  const saving = config.isDemo
    ? setInterval(() => void saveClock(database, clock), CLOCK_SAVE_MS)
    : undefined;
  const bound = server.address();
  const port = isRecord(bound) ? bound.port : 0;
  const host = config.host.includes(':') ? `[${config.host}]` : config.host;
  return {
    address: `${tls.kind === 'tls' ? 'https' : 'http'}://${host}:${port}`,
    context,
    stop: async () => {
      clearInterval(saving);
      clearInterval(takingIn);
      clearInterval(probing);
      clearInterval(backingUp);
      clearInterval(keepingJobs);
      isEnding = true;
      await keeping;
      context.live.close();
      await new Promise<void>((resolve) => {
        const grace = setTimeout(() => server.closeAllConnections(), GRACE_MS);
        server.close(() => {
          clearTimeout(grace);
          resolve();
        });
        endUnasked();
        server.closeIdleConnections();
      });
      if (config.isDemo) await saveClock(database, clock);
      await readers?.close();
      await closeDatabase(database);
      lock.release();
    },
  };
}

/** Knows the connections on which nothing has been asked yet, and ends them: a browser keeps some of these, and each would
 *  hold the server's end up until its grace is over. */
function watchUnasked(server: HttpServer, opened: 'connection' | 'secureConnection'): () => void {
  const unasked = new Set<Socket>();
  server.on(opened, (socket: Socket) => {
    unasked.add(socket);
    socket.once('close', () => unasked.delete(socket));
  });
  server.on('request', ({ socket }) => unasked.delete(socket));
  return () => {
    for (const socket of unasked) socket.destroy();
  };
}

async function chooseClock(config: Config, database: Database): Promise<Clock> {
  if (config.clockStart !== undefined) {
    const start = parseInstant(config.clockStart);
    if (!start.ok) throw new Error('WERGON_CLOCK must be an RFC 3339 instant with offset');
    const ms = start.value * 1000;
    return config.isClockFrozen ? createSetClock(ms) : clockFrom(ms);
  }
  if (!config.isDemo) return systemClock;
  const saved = await database.em.fork().findOne(ClockEntity, { id: 1 });
  if (!saved) throw new Defect('a demo without its clock: make the sample data first');
  return clockFrom(saved.stoppedAt * 1000);
}

const saveClock = (database: Database, clock: Clock) =>
  database.em.fork().nativeUpdate(ClockEntity, { id: 1 }, { stoppedAt: clock.now() });
