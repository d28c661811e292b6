import type { BatchResult, SentEntry } from '@wergon/contract/station';
import { createMemoryStore, openDeviceStore } from './deviceStore.ts';
import type { DeviceStore, Refused } from './deviceStore.ts';
import { sendEntries } from './stationApi.ts';

/** Entries sent in one go. */
const BATCH = 500;

export type DrainResult =
  | { readonly kind: 'drained'; readonly refused: readonly Refused[]; readonly offsetMs: number | null }
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

  async function drainStore(from: DeviceStore): Promise<DrainResult> {
    const refused: Refused[] = [];
    let offsetMs: number | null = null;
    for (;;) {
      const { keys, entries } = await from.next(BATCH);
      if (keys.length === 0) return { kind: 'drained', refused, offsetMs };
      const answer = await sendEntries(entries);
      if (answer.kind === 'refused') return { kind: answer.status === 401 ? 'unpaired' : 'unreachable' };
      if (answer.kind === 'unreachable') return { kind: 'unreachable' };
      offsetMs = answer.offsetMs;
      refused.push(...findRefused(entries, answer.value));
      // Acknowledged, so durable there; what was refused is kept whole on the server's side list.
      const taken = entries.filter((_entry, i) => answer.value.results[i]?.result !== 'refused');
      await from.acknowledge(keys, taken, answer.value.seq);
    }
  }

  async function drainAll(): Promise<DrainResult> {
    const refused: Refused[] = [];
    let offsetMs: number | null = null;
    for (const each of stores) {
      const result = await drainStore(each);
      if (result.kind !== 'drained') return result;
      refused.push(...result.refused);
      offsetMs = result.offsetMs ?? offsetMs;
    }
    if (refused.length > 0) await store.keepRefused([...(await store.findRefused()), ...refused]);
    return { kind: 'drained', refused, offsetMs };
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

type Body = { readonly type?: string; readonly technician?: string };

function findRefused(entries: readonly SentEntry[], { results }: BatchResult): Refused[] {
  return results.flatMap(({ result, problem }, i) => {
    if (result !== 'refused') return [];
    // Written by this page, so it is an entry in JSON.
    const { type = '', technician = '' } = (entries[i]?.entry ?? {}) as Body;
    const why = (problem?.errors ?? []).map(({ message }) => message).join('; ');
    return [{ technician, what: type, why }];
  });
}
