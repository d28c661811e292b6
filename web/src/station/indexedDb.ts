import { openDB } from 'idb';
import { z } from 'zod';
import type { DBSchema, IDBPDatabase } from 'idb';
import { directorySchema } from '@wergon/contract/station';
import type { Directory, SentEntry } from '@wergon/contract/station';

/** An entry that the server has, but that the directory kept here does not show yet. */
type Acknowledged = { readonly sent: SentEntry; readonly seq: number };
/** An entry that the server would not take, for its technician to be told. */
const refusedSchema = z.array(z.object({ technician: z.string(), what: z.string(), why: z.string() }));
export type Refused = z.output<typeof refusedSchema>[number];

type Schema = DBSchema & {
  outbox: { key: number; value: SentEntry };
  acknowledged: { key: number; value: Acknowledged };
  kept: { key: string; value: unknown };
  aside: { key: number; value: SentEntry };
};

const VERSION = 3;

/** What one device keeps: entries on their way, and all it needs to go on without the server. */
export type DeviceStore = {
  /** Keeps entries, all or none; they are safe once this is done. */
  readonly put: (entries: readonly SentEntry[]) => Promise<void>;
  /** Entries on their way, in order, some at a time. */
  readonly next: (
    most: number,
  ) => Promise<{ readonly keys: readonly number[]; readonly entries: readonly SentEntry[] }>;
  readonly count: () => Promise<number>;
  /** They have been acknowledged: off their way, and kept until a directory shows them. */
  readonly acknowledge: (
    keys: readonly number[],
    entries: readonly SentEntry[],
    seq: number,
  ) => Promise<void>;
  /** Out of the way: the server fails at it. It is kept, and tried again when the page is opened anew. */
  readonly setAside: (keys: readonly number[], entries: readonly SentEntry[]) => Promise<void>;
  /** Puts what was set aside on its way once more, behind everything else. */
  readonly tryAgain: () => Promise<void>;
  /** Everything that a directory of this sequence number does not show yet, in order. */
  readonly pending: (seq: number) => Promise<readonly SentEntry[]>;
  readonly keepDirectory: (directory: Directory) => Promise<void>;
  readonly findDirectory: () => Promise<Directory | undefined>;
  readonly forgetDirectory: () => Promise<void>;
  readonly keepRefused: (refused: readonly Refused[]) => Promise<void>;
  readonly findRefused: () => Promise<readonly Refused[]>;
};

const upgrade = (db: IDBPDatabase<Schema>): void => {
  if (!db.objectStoreNames.contains('outbox')) db.createObjectStore('outbox', { autoIncrement: true });
  if (!db.objectStoreNames.contains('acknowledged'))
    db.createObjectStore('acknowledged', { autoIncrement: true });
  if (!db.objectStoreNames.contains('kept')) db.createObjectStore('kept');
  if (!db.objectStoreNames.contains('aside')) db.createObjectStore('aside', { autoIncrement: true });
};

/** Opens what this device keeps. Fails where the browser allows a page no storage. */
export async function openDeviceStore(): Promise<DeviceStore> {
  const database = await openDB<Schema>('wergon-station', VERSION, { upgrade });
  return {
    put: async (entries) => {
      const transaction = database.transaction('outbox', 'readwrite', { durability: 'strict' });
      await Promise.all([...entries.map((entry) => transaction.store.add(entry)), transaction.done]);
    },
    next: async (most) => {
      const transaction = database.transaction('outbox');
      const [keys, entries] = await Promise.all([
        transaction.store.getAllKeys(null, most),
        transaction.store.getAll(null, most),
      ]);
      return { keys, entries };
    },
    count: () => database.count('outbox'),
    acknowledge: async (keys, entries, seq) => {
      const transaction = database.transaction(['outbox', 'acknowledged'], 'readwrite');
      const outbox = transaction.objectStore('outbox');
      const acknowledged = transaction.objectStore('acknowledged');
      await Promise.all([
        ...keys.map((key) => outbox.delete(key)),
        ...entries.map((sent) => acknowledged.add({ sent, seq })),
        transaction.done,
      ]);
    },
    setAside: async (keys, entries) => {
      const transaction = database.transaction(['outbox', 'aside'], 'readwrite', { durability: 'strict' });
      const aside = transaction.objectStore('aside');
      await Promise.all([
        ...keys.map((key) => transaction.objectStore('outbox').delete(key)),
        ...entries.map((sent) => aside.add(sent)),
        transaction.done,
      ]);
    },
    tryAgain: async () => {
      const transaction = database.transaction(['outbox', 'aside'], 'readwrite', { durability: 'strict' });
      const aside = transaction.objectStore('aside');
      const entries = await aside.getAll();
      const outbox = transaction.objectStore('outbox');
      await Promise.all([...entries.map((sent) => outbox.add(sent)), aside.clear(), transaction.done]);
    },
    pending: async (seq) => {
      const transaction = database.transaction(['outbox', 'acknowledged']);
      const [acknowledged, waiting] = await Promise.all([
        transaction.objectStore('acknowledged').getAll(),
        transaction.objectStore('outbox').getAll(),
      ]);
      return [...acknowledged.filter((each) => each.seq > seq).map(({ sent }) => sent), ...waiting];
    },
    keepDirectory: async (directory) => {
      const transaction = database.transaction(['kept', 'acknowledged'], 'readwrite');
      await transaction.objectStore('kept').put(directorySchema.encode(directory), 'directory');
      // What it shows need not be kept beside it any more.
      const acknowledged = transaction.objectStore('acknowledged');
      for (let cursor = await acknowledged.openCursor(); cursor; cursor = await cursor.continue())
        if (cursor.value.seq <= directory.seq) await cursor.delete();
      await transaction.done;
    },
    // A page of an earlier version may have kept it in another form: then this one waits for the server.
    findDirectory: async () => directorySchema.safeParse(await database.get('kept', 'directory')).data,
    forgetDirectory: () => database.delete('kept', 'directory'),
    keepRefused: async (refused) => {
      await database.put('kept', refused, 'refused');
    },
    findRefused: async () => refusedSchema.catch([]).parse(await database.get('kept', 'refused')),
  };
}

/** Stands in where the browser keeps nothing: all of it lives as long as the page, and no longer. */
export function createMemoryStore(): DeviceStore {
  let outbox: { readonly key: number; readonly entry: SentEntry }[] = [];
  let acknowledged: Acknowledged[] = [];
  let aside: readonly SentEntry[] = [];
  let directory: Directory | undefined;
  let refused: readonly Refused[] = [];
  let lastKey = 0;
  return {
    put: (entries) => {
      outbox.push(...entries.map((entry) => ({ key: (lastKey += 1), entry })));
      return Promise.resolve();
    },
    next: (most) => {
      const some = outbox.slice(0, most);
      return Promise.resolve({ keys: some.map(({ key }) => key), entries: some.map(({ entry }) => entry) });
    },
    count: () => Promise.resolve(outbox.length),
    acknowledge: (keys, entries, seq) => {
      outbox = outbox.filter(({ key }) => !keys.includes(key));
      acknowledged.push(...entries.map((sent) => ({ sent, seq })));
      return Promise.resolve();
    },
    setAside: (keys, entries) => {
      outbox = outbox.filter(({ key }) => !keys.includes(key));
      aside = [...aside, ...entries];
      return Promise.resolve();
    },
    tryAgain: () => {
      outbox.push(...aside.map((entry) => ({ key: (lastKey += 1), entry })));
      aside = [];
      return Promise.resolve();
    },
    pending: (seq) => {
      const kept = acknowledged.filter((each) => each.seq > seq).map(({ sent }) => sent);
      return Promise.resolve([...kept, ...outbox.map(({ entry }) => entry)]);
    },
    keepDirectory: (next) => {
      directory = next;
      acknowledged = acknowledged.filter((each) => each.seq > next.seq);
      return Promise.resolve();
    },
    findDirectory: () => Promise.resolve(directory),
    forgetDirectory: () => {
      directory = undefined;
      return Promise.resolve();
    },
    keepRefused: (next) => {
      refused = next;
      return Promise.resolve();
    },
    findRefused: () => Promise.resolve(refused),
  };
}
