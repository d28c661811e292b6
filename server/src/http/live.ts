import type { TechnicianId } from '@wergon/core/people';
import type { JournalEvent } from '@wergon/contract/wire';
import { createChangeMemory, joinChanges } from './changes.ts';
import type { Changes } from './changes.ts';
import type { Request, Response } from 'express';

/** Who is told of some people alone: of whom, and whether of orders. */
export type Audience = { readonly sees: (id: TechnicianId) => boolean; readonly hearsOfOrders: boolean };

/** Whose stream it is, and whether they may still hear it. */
type Listener = {
  readonly key: string;
  readonly mayHear: () => Promise<boolean>;
  /** What they are told of, as it is now; of everything where it is absent. */
  readonly audience?: () => Audience | undefined;
};

/** Tells every open page that something has changed, with the sequence number it has changed to. */
export type Live = {
  /** Says that a commit has moved the journal on, and what it has changed. */
  readonly publish: (commit: Commit) => void;
  /** Says that something beside the journal has changed: a person, an order, a station. */
  readonly publishSetup: () => void;
  /** Another number whenever anything has changed. */
  readonly version: () => number;
  /** What has changed since a place in the journal up to where it is now; absent where that is not known. */
  readonly changesSince: (seq: number, now: number) => Changes | undefined;
  readonly stream: (req: Request, res: Response, currentSeq: number, listener: Listener) => void;
  /** Ends the streams of whoever may hear them no longer: of one session, one user, one station. */
  readonly end: (key: string) => void;
  readonly close: () => void;
};

/** A commit of the journal: where it was before, where it is after it, and what that changed. */
export type Commit = { readonly before: number; readonly after: number; readonly changes: Changes };

const KEEP_ALIVE_MS = 20_000;
/** Events of a busy moment are told as one, at most so often: what a scan costs does not grow with who is listening. */
const TOGETHER_MS = 100;
/** More people and orders than these are not named one by one: everything is asked for anew. */
const MOST_NAMED = 300;
/** Streams that one session or station may hold; the oldest ends for a new one. */
const MOST_STREAMS = 20;

type Open = { readonly res: Response; readonly listener: Listener };

const named = ({ technicians, orders }: Changes): Omit<JournalEvent, 'seq'> =>
  technicians.size > MOST_NAMED || orders.size > MOST_NAMED
    ? { technicians: null, orders: null }
    : { technicians: [...technicians], orders: [...orders] };

export function createLive(): Live {
  const open = new Set<Open>();
  let lastSeq = 0;
  let isClosed = false;
  let version = 0;
  const memory = createChangeMemory();
  const write = (kind: string, data: JournalEvent | { readonly seq: number }) =>
    `id: ${lastSeq}\nevent: ${kind}\ndata: ${JSON.stringify(data)}\n\n`;
  const tell = (event: string) => {
    for (const { res } of open) res.write(event);
  };

  /** Tells what of some changes is for an audience; nothing where nothing is. */
  function tellPart(res: Response, { sees, hearsOfOrders }: Audience, changes: Changes): void {
    const technicians = [...changes.technicians].filter(sees);
    if (!hearsOfOrders && technicians.length === 0) return;
    const orders = hearsOfOrders ? named(changes).orders : [];
    res.write(write('journal', { seq: lastSeq, technicians, orders }));
  }

  const untold: Changes[] = [];
  let telling: NodeJS.Timeout | undefined;
  /** Tells what has come together; after it others wait a moment for more. */
  function tellJournal(): void {
    telling = undefined;
    if (untold.length === 0) return;
    const changes = joinChanges(untold.splice(0));
    const event = write('journal', { seq: lastSeq, ...named(changes) });
    for (const { res, listener } of open) {
      const audience = listener.audience?.();
      if (!audience) res.write(event);
      else tellPart(res, audience, changes);
    }
    telling = setTimeout(tellJournal, TOGETHER_MS).unref();
  }
  /** Ends a stream: whatever is told from here on is not told to it. */
  const finish = (each: Open) => {
    open.delete(each);
    each.res.end();
  };
  const endAll = (which: (each: Open) => boolean) => {
    for (const each of open) if (which(each)) finish(each);
  };

  /** A right may be taken away, or a session run out, while nobody asks for anything. */
  const lookAgain = (each: Open) =>
    each.listener.mayHear().then(
      (mayHear) => {
        if (!open.has(each)) return;
        if (mayHear) each.res.write(': still here\n\n');
        else finish(each);
      },
      // Whether they may is not known just now; they are asked again soon.
      () => undefined,
    );

  return {
    version: () => version,
    publish: ({ before, after, changes }) => {
      // Sent again, and known already.
      if (before === after && changes.technicians.size === 0) return;
      version += 1;
      lastSeq = Math.max(lastSeq, after);
      memory.add(before, after, changes);
      untold.push(changes);
      if (!telling) tellJournal();
    },
    publishSetup: () => {
      version += 1;
      tell(write('setup', { seq: lastSeq }));
    },
    changesSince: memory.since,
    stream: (req, res, currentSeq, listener) => {
      // Whoever comes while the server stops comes again when it is back.
      if (isClosed) return void res.status(503).end();
      lastSeq = Math.max(lastSeq, currentSeq);
      const own = [...open].filter((each) => each.listener.key === listener.key);
      own.slice(0, Math.max(0, own.length - MOST_STREAMS + 1)).forEach(finish);
      res.writeHead(200, {
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      });
      // Whoever comes back with an older number has missed something and is told so at once.
      const seen = Number(req.headers['last-event-id'] ?? req.query['after'] ?? lastSeq);
      res.write(write(seen === lastSeq ? 'hello' : 'missed', { seq: lastSeq }));
      const each: Open = { res, listener };
      open.add(each);
      const keepAlive = setInterval(() => void lookAgain(each), KEEP_ALIVE_MS);
      // A connection that breaks under a word is only a page that has gone.
      res.on('error', () => open.delete(each));
      res.on('close', () => {
        clearInterval(keepAlive);
        open.delete(each);
      });
    },
    end: (key) => endAll(({ listener }) => listener.key === key),
    close: () => {
      isClosed = true;
      clearTimeout(telling);
      endAll(() => true);
    },
  };
}
