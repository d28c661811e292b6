import type { Request, Response } from 'express';

/** Whose stream it is, and whether they may still hear it. */
type Listener = { readonly key: string; readonly mayHear: () => Promise<boolean> };

/** Tells every open page that something has changed, with the sequence number it has changed to. */
export type Live = {
  readonly publish: (seq: number) => void;
  /** Says that something beside the journal has changed: a person, an order, a station. */
  readonly publishSetup: () => void;
  readonly stream: (req: Request, res: Response, currentSeq: number, listener: Listener) => void;
  /** Ends the streams of whoever may hear them no longer: of one session, one user, one station. */
  readonly end: (key: string) => void;
  readonly close: () => void;
};

const KEEP_ALIVE_MS = 20_000;
/** Streams that one session or station may hold; the oldest ends for a new one. */
const MOST_STREAMS = 20;

type Open = { readonly res: Response; readonly listener: Listener };

export function createLive(): Live {
  const open = new Set<Open>();
  let lastSeq = 0;
  let isClosed = false;
  const send = (res: Response, kind: string) =>
    res.write(`id: ${lastSeq}\nevent: ${kind}\ndata: {"seq":${lastSeq}}\n\n`);
  const tell = (kind: string) => {
    for (const { res } of open) send(res, kind);
  };
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
    publish: (seq) => {
      lastSeq = Math.max(lastSeq, seq);
      tell('journal');
    },
    publishSetup: () => tell('setup'),
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
      send(res, seen === lastSeq ? 'hello' : 'journal');
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
      endAll(() => true);
    },
  };
}
