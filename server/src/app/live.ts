import { EventEmitter } from 'node:events';
import type { Request, Response } from 'express';

/** Tells every open page that something has changed, with the sequence number it has changed to. */
export type Live = {
  readonly publish: (seq: number) => void;
  /** Says that something beside the journal has changed: a person, an order, a station. */
  readonly publishSetup: () => void;
  readonly stream: (req: Request, res: Response, currentSeq: number) => void;
  readonly close: () => void;
};

const KEEP_ALIVE_MS = 20_000;

export function createLive(): Live {
  const events = new EventEmitter().setMaxListeners(0);
  const responses = new Set<Response>();
  let lastSeq = 0;
  let isClosed = false;
  return {
    publish: (seq) => {
      lastSeq = Math.max(lastSeq, seq);
      events.emit('change', 'journal', lastSeq);
    },
    publishSetup: () => events.emit('change', 'setup', lastSeq),
    stream: (req, res, currentSeq) => {
      // Whoever comes while the server stops comes again when it is back.
      if (isClosed) return void res.status(503).end();
      lastSeq = Math.max(lastSeq, currentSeq);
      res.writeHead(200, {
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      });
      const send = (kind: string, seq: number) =>
        res.write(`id: ${seq}\nevent: ${kind}\ndata: {"seq":${seq}}\n\n`);
      // Whoever comes back with an older number has missed something and is told so at once.
      const seen = Number(req.headers['last-event-id'] ?? req.query['after'] ?? lastSeq);
      send(seen === lastSeq ? 'hello' : 'journal', lastSeq);
      const keepAlive = setInterval(() => res.write(': still here\n\n'), KEEP_ALIVE_MS);
      events.on('change', send);
      responses.add(res);
      res.on('close', () => {
        clearInterval(keepAlive);
        events.off('change', send);
        responses.delete(res);
      });
    },
    close: () => {
      isClosed = true;
      for (const res of responses) res.end();
    },
  };
}
