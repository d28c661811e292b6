import { openDB } from 'idb';
import type { DBSchema } from 'idb';
import type { SentEntry } from '@wergon/contract/station';
import { sendEntries } from './stationApi.ts';

type Schema = DBSchema & { outbox: { key: number; value: SentEntry } };

/** Entries sent in one go. */
const BATCH = 100;

export type DrainResult =
  | { readonly kind: 'drained'; readonly refused: number; readonly offsetMs: number | null }
  | { readonly kind: 'unreachable' | 'unpaired' };

export type Outbox = {
  /** Keeps an entry on this device; it is safe once this is done. */
  readonly put: (entry: SentEntry) => Promise<void>;
  readonly all: () => Promise<readonly SentEntry[]>;
  /** Sends what waits, in order, until nothing does. Only one page of a browser sends at a time. */
  readonly drain: () => Promise<DrainResult>;
};

export async function openOutbox(): Promise<Outbox> {
  const database = await openDB<Schema>('wergon-station', 1, {
    upgrade: (db) => void db.createObjectStore('outbox', { autoIncrement: true }),
  });

  async function drainAlone(): Promise<DrainResult> {
    let refused = 0;
    let offsetMs: number | null = null;
    for (;;) {
      const keys = await database.getAllKeys('outbox', null, BATCH);
      if (keys.length === 0) return { kind: 'drained', refused, offsetMs };
      const entries = await database.getAll('outbox', null, BATCH);
      const answer = await sendEntries(entries.slice(0, keys.length));
      if (answer.kind === 'refused') return { kind: answer.status === 401 ? 'unpaired' : 'unreachable' };
      if (answer.kind === 'unreachable') return { kind: 'unreachable' };
      offsetMs = answer.offsetMs;
      refused += answer.value.results.filter(({ result }) => result === 'refused').length;
      // Acknowledged, so durable there; what was refused is kept whole on the server's side list.
      const transaction = database.transaction('outbox', 'readwrite');
      await Promise.all([...keys.map((key) => transaction.store.delete(key)), transaction.done]);
    }
  }

  return {
    put: async (entry) => {
      await database.add('outbox', entry);
    },
    all: () => database.getAll('outbox'),
    drain: async () => navigator.locks.request('wergon-outbox', drainAlone),
  };
}
