import type { BatchResult, SentEntry } from '@wergon/contract/station';
import { createMemoryStore, openDeviceStore } from './indexedDb.ts';
import type { DeviceStore, Refused } from './indexedDb.ts';
import { sendEntries } from './stationApi.ts';
import type { ServerTime } from './stationClock.ts';

/** Entries sent in one go. */
const BATCH = 500;
/** How often an entry is sent by itself before it is set aside. */
const TRIES = 3;
/** Answers that are about what was sent, not about the server as a whole. */
const IS_ABOUT_ENTRIES: ReadonlySet<number> = new Set([400, 413, 415, 422, 500]);

export type DrainResult =
  | { readonly kind: 'drained'; readonly refused: readonly Refused[]; readonly time: ServerTime | null }
  | { readonly kind: 'unreachable' | 'unpaired' };

export type Outbox = {
  readonly store: DeviceStore;
  /** Keeps entries on their way. `false`: this device could not keep them, and they live only as long as the page. */
  readonly put: (entries: readonly SentEntry[]) => Promise<boolean>;
  readonly count: () => Promise<number>;
  /** Everything that a directory of this sequence number does not show yet. */
  readonly pending: (seq: number) => Promise<readonly SentEntry[]>;
  /** Sends what waits, in order, until nothing does. Only one page of a browser sends at a time. */
  readonly drain: () => Promise<DrainResult>;
};

/** Opens what the device keeps. Where storage is blocked or full, entries wait in memory and are sent all the same. */
export async function openOutbox(): Promise<Outbox> {
  const memory = createMemoryStore();
  const store = await openDeviceStore().catch(() => memory);
  const stores = store === memory ? [memory] : [store, memory];
  // What the server failed at then, it may take by now.
  await store.tryAgain().catch(() => undefined);

  /** Entries of which each was sent by itself and failed, by their keys, with how often. */
  const failures = new Map<DeviceStore, Map<number, number>>(stores.map((each) => [each, new Map()]));

  async function drainStore(from: DeviceStore): Promise<DrainResult> {
    const refused: Refused[] = [];
    let time: ServerTime | null = null;
    let most = BATCH;
    for (;;) {
      const { keys, entries } = await from.next(most);
      if (keys.length === 0) return { kind: 'drained', refused, time };
      const answer = await sendEntries(entries);
      if (answer.kind === 'ok') {
        time = answer.time;
        refused.push(...findRefused(entries, answer.value));
        // Acknowledged, so durable there; what was refused is kept whole on the server's side list.
        const taken = entries.filter((_entry, i) => answer.value.results[i]?.result !== 'refused');
        await from.acknowledge(keys, taken, answer.value.seq);
        continue;
      }
      if (answer.kind === 'unreachable') return { kind: 'unreachable' };
      if (answer.status === 401) return { kind: 'unpaired' };
      if (!IS_ABOUT_ENTRIES.has(answer.status)) return { kind: 'unreachable' };
      // It is too much at once, or the server fails at something in it: smaller and smaller, down to the one entry.
      if (entries.length > 1) {
        most = Math.ceil(entries.length / 2);
        continue;
      }
      const aside = await findFault(from, keys, answer.status);
      if (aside.length === 0) return { kind: 'unreachable' };
      await from.setAside(keys, entries);
      refused.push(...aside);
      most = BATCH;
    }
  }

  /** What to tell of an entry that stands in the way of others: it has failed several times, and the one behind it does
   *  not. Where that fails too, or nothing waits behind it, the server is at fault, and the entry waits. */
  async function findFault(from: DeviceStore, [key = 0]: readonly number[], status: number) {
    const counts = failures.get(from) ?? new Map<number, number>();
    const count = (counts.get(key) ?? 0) + 1;
    counts.set(key, count);
    if (count < TRIES) return [];
    const { keys, entries } = await from.next(2);
    const next = entries[1];
    if (!next) return [];
    const answer = await sendEntries([next]);
    if (answer.kind !== 'ok') return [];
    const taken = answer.value.results[0]?.result === 'refused' ? [] : [next];
    await from.acknowledge([keys[1] ?? 0], taken, answer.value.seq);
    counts.delete(key);
    const { technician = '', type = '' } = bodyOf(entries[0]);
    const told: Refused = { technician, what: type, why: `set aside (${status})` };
    return [told, ...findRefused([next], answer.value)];
  }

  async function drainAll(): Promise<DrainResult> {
    const refused: Refused[] = [];
    let time: ServerTime | null = null;
    for (const each of stores) {
      const result = await drainStore(each);
      if (result.kind !== 'drained') return result;
      refused.push(...result.refused);
      time = result.time ?? time;
    }
    if (refused.length > 0) await store.keepRefused([...(await store.findRefused()), ...refused]);
    return { kind: 'drained', refused, time };
  }

  return {
    store,
    put: async (entries) => {
      try {
        await store.put(entries);
        return store !== memory;
      } catch {
        await memory.put(entries);
        return false;
      }
    },
    count: async () => {
      const counts = await Promise.all(stores.map((each) => each.count()));
      return counts.reduce((sum, count) => sum + count, 0);
    },
    pending: async (seq) => (await Promise.all(stores.map((each) => each.pending(seq)))).flat(),
    drain: async () => navigator.locks.request('wergon-outbox', drainAll),
  };
}

/** An entry as this page wrote it. */
const bodyOf = (sent: SentEntry | undefined): Body => sent?.entry ?? {};

type Body = { readonly type?: string; readonly technician?: string };

function findRefused(entries: readonly SentEntry[], { results }: BatchResult): Refused[] {
  return results.flatMap(({ result, problem }, i) => {
    if (result !== 'refused') return [];
    // Written by this page, so it is an entry in JSON.
    const { type = '', technician = '' } = bodyOf(entries[i]);
    const why = (problem?.errors ?? []).map(({ message }) => message).join('; ');
    return [{ technician, what: type, why }];
  });
}
