import { ref, shallowRef } from 'vue';
import { readDirectory } from '@wergon/contract/station';
import type { Directory } from '@wergon/contract/station';
import type { Entry } from '@wergon/core/ledger';
import type { ScannerProfile } from '@wergon/core/scan';
import { recordLocally } from '@wergon/core/station';
import type { FloorEntry, StationDirectory } from '@wergon/core/station';
import { stationEntry } from './entryJson.ts';
import { inOrder } from './inOrder.ts';
import type { Sending } from './syncQueue.ts';

type Happened = Entry | FloorEntry;

/** What a station knows of people and work: the server's directory, with what was done here since laid on top of it. */
export function createKnowledge(sending: Pick<Sending, 'keepDirectory' | 'pending' | 'recall'>) {
  const directory = shallowRef<StationDirectory | null>(null);
  const info = shallowRef<Directory | null>(null);
  /** What the calibration label taught here: it holds against answers that were on their way meanwhile. */
  const taught = ref<ScannerProfile | null>(null);
  /** What happens here while directories are being made ready, for each of them. */
  const meanwhile = new Set<Happened[]>();

  function happened(entry: Happened): void {
    for (const list of meanwhile) list.push(entry);
    if (directory.value) directory.value = recordLocally(directory.value, entry);
  }

  /** Takes a directory in. */
  const know = inOrder(
    () => info.value?.seq ?? 0,
    async ({ seq }: Directory) => {
      const since: Happened[] = [];
      meanwhile.add(since);
      try {
        return { pending: (await sending.pending(seq)).map(({ entry }) => stationEntry.parse(entry)), since };
      } finally {
        meanwhile.delete(since);
      }
    },
    (json, { pending, since }) => {
      const known = new Set(pending.map(({ id }) => id));
      const before = directory.value;
      const fresh = readDirectory(json);
      const merged = [...pending, ...since.filter(({ id }) => !known.has(id))].reduce(recordLocally, {
        ...fresh,
        proposed: new Set([...fresh.proposed, ...(before?.proposed ?? [])]),
      });
      info.value = taught.value ? { ...json, scanner: taught.value } : json;
      directory.value = {
        ...merged,
        remembered: [...merged.remembered, ...(before?.remembered ?? [])],
      };
    },
  );

  return {
    directory,
    info,
    happened,
    know,
    keep: () => sending.keepDirectory(info.value),
    teach: (profile: ScannerProfile): void => {
      taught.value = profile;
      if (info.value) info.value = { ...info.value, scanner: profile };
    },
    /** What this device knew when it was last connected: enough to go on without the server. */
    recall: async (): Promise<void> => {
      const kept = await sending.recall();
      if (kept && !directory.value) await know(kept);
    },
    /** What a station no longer is knows nothing of people and work. */
    forget: async (): Promise<void> => {
      directory.value = null;
      info.value = null;
      taught.value = null;
      await sending.keepDirectory(null);
    },
  };
}
export type Knowledge = ReturnType<typeof createKnowledge>;
