import { fork } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Defect } from '@wergon/core/result';
import { ReadFailed, refuse } from '../http/index.ts';
import type { ReadAnswer, ReadCall, Readers, Stale } from '../http/index.ts';
import type { FactsCache } from '../catalog/index.ts';
import { READ_APART } from './readApart.ts';

/** What a reader is sent: a call, the moment it is asked at, and what of the shop has changed since the last one. */
export type ToReader = {
  readonly id: number;
  readonly call: ReadCall;
  readonly nowMs: number;
  readonly stale: readonly Stale[];
  readonly deskActs: number;
};
export type FromReader =
  | { readonly id: number; readonly answer: ReadAnswer }
  | { readonly id: number; readonly failed: Readonly<Record<string, unknown>> };

type Around = {
  readonly databasePath: string;
  readonly isDemo: boolean;
  readonly facts: FactsCache;
  readonly nowMs: () => number;
  readonly countDeskActs: () => number;
};

/** Reads that may wait at a time, of everybody and of one caller; more are told to come again. */
const MOST_WAITING = 200;
const MOST_OF_ONE = 30;
/** A read that takes longer than this is given up, and its reader with it. */
const PATIENCE_MS = 60_000;
/** So long after the server has begun its readers are made ready, one after the other: first come those who wait. */
const WARM_UP_MS = 1_500;

type Job = {
  readonly id: number;
  readonly call: ReadCall;
  readonly key: string;
  readonly resolve: (answer: ReadAnswer) => void;
  readonly reject: (error: unknown) => void;
};

const READER = fileURLToPath(new URL('./readerProcess.js', import.meta.url));

/** Starts the readers; absent where the product was not built, as in its unit tests. */
export const createReaders = (around: Around): Readers | undefined => {
  if (!existsSync(READER)) return undefined;
  const readers = { often: createReader(around), long: createReader(around) };
  const warming = Object.values(readers).map((reader, i) =>
    setTimeout(() => reader.warmUp(), WARM_UP_MS * (i + 1)).unref(),
  );
  return {
    read: (call, key, onGone) => {
      const which = READ_APART[call.name];
      return which && readers[which].read(call, key, onGone);
    },
    close: async () => {
      for (const timer of warming) clearTimeout(timer);
      await Promise.all(Object.values(readers).map((reader) => reader.close()));
    },
  };
};

/** One process that answers one read after the other. A process and no thread: a thread that is ended while its database is
 *  at work takes the whole server with it. */
function createReader({ databasePath, isDemo, facts, nowMs, countDeskActs }: Around) {
  const waiting: Job[] = [];
  let running: Job | undefined;
  let child: ChildProcess | undefined;
  let patience: NodeJS.Timeout | undefined;
  /** How much of what was forgotten the reader has been told. */
  let told = 0;
  let ids = 0;
  let isClosed = false;

  function start(): ChildProcess {
    const own = fork(READER, [databasePath, String(isDemo)], { serialization: 'advanced' });
    told = facts.forgotten(0).count;
    own.on('message', (message) => {
      const said = message as FromReader;
      if (running?.id !== said.id) return;
      const { resolve, reject } = running;
      done();
      if ('failed' in said) reject(new ReadFailed(said.failed));
      else resolve(said.answer);
      next();
    });
    const ended = () => {
      if (child !== own) return;
      child = undefined;
      const job = running;
      done();
      // It was given up, or came to an end of its own; nothing says that the next one will.
      job?.reject(new ReadFailed({ error: 'the reading process ended', read: job.call.name }, 'server.busy'));
      next();
    };
    own.on('error', ended);
    own.on('exit', ended);
    return own;
  }
  function done(): void {
    clearTimeout(patience);
    running = undefined;
  }
  function next(): void {
    if (running || isClosed) return;
    const job = waiting.shift();
    if (!job) return;
    running = job;
    child ??= start();
    const { count, stale } = facts.forgotten(told);
    told = count;
    const message: ToReader = {
      id: job.id,
      call: job.call,
      nowMs: nowMs(),
      stale,
      deskActs: countDeskActs(),
    };
    patience = setTimeout(() => child?.kill('SIGKILL'), PATIENCE_MS);
    // A reader that has just ended is known by its end; what is sent to it meanwhile goes nowhere.
    child.send(message, () => undefined);
  }

  return {
    warmUp: () => {
      if (!isClosed) child ??= start();
    },
    read: (call: ReadCall, key: string, onGone: (drop: () => void) => void): Promise<ReadAnswer> => {
      const own = waiting.filter((job) => job.key === key).length;
      if (isClosed || waiting.length >= MOST_WAITING || own >= MOST_OF_ONE)
        return Promise.resolve(refuse('server.busy'));
      return new Promise((resolve, reject) => {
        const job: Job = { id: (ids += 1), call, key, resolve, reject };
        waiting.push(job);
        // Whoever has gone away waits for nothing any more.
        onGone(() => {
          const place = waiting.indexOf(job);
          if (place < 0) return;
          waiting.splice(place, 1);
          resolve(refuse('server.busy'));
        });
        next();
      });
    },
    close: async () => {
      isClosed = true;
      for (const { resolve } of waiting.splice(0)) resolve(refuse('server.busy'));
      clearTimeout(patience);
      const ending = child;
      if (!ending || ending.exitCode !== null || ending.signalCode !== null) return;
      const ended = new Promise((done) => ending.once('exit', done));
      ending.kill('SIGKILL');
      await ended;
    },
  };
}

/** What stands in for whatever a reading process must not do. */
export const notHere = (what: string) => (): never => {
  throw new Defect(`a reading process cannot ${what}`);
};
