import { ref, shallowRef } from 'vue';
import type { Directory, SentEntry } from '@wergon/contract/station';
import type { Refused } from './indexedDb.ts';
import { openOutbox } from './outbox.ts';
import type { DrainResult, Outbox } from './outbox.ts';

type Told = {
  /** Something new is on the device and can be sent. */
  readonly onKept: () => void;
  /** Another page of this browser, which is the same station, has done something. */
  readonly onPeer: (sent: SentEntry) => void;
};

/** What this page keeps on the device and sends: written down in the order in which it was made, all that waits
 *  together; told to the browser's other pages; sent by one of them at a time. */
export function createSending({ onKept, onPeer }: Told) {
  const waiting = ref(0);
  const refused = shallowRef<readonly Refused[]>([]);
  const isUnsaved = ref(false);
  const opening: Promise<Outbox> = openOutbox();
  const peers = new BroadcastChannel('wergon-station');
  let unwritten: SentEntry[] = [];
  let writing: Promise<void> = Promise.resolve();

  /** What waits is said only once it is kept: whoever reads it may close the page. */
  const count = async () => {
    waiting.value = await (await opening).count();
  };

  async function write(): Promise<void> {
    const outbox = await opening;
    const entries = unwritten;
    if (entries.length === 0) return;
    const isKept = await outbox.put(entries);
    // Nothing else takes entries away, and new ones come behind them.
    unwritten = unwritten.slice(entries.length);
    if (!isKept) isUnsaved.value = true;
    for (const sent of entries) peers.postMessage(sent);
    await count();
  }

  let draining: Promise<DrainResult> | undefined;
  /** Sends what waits. Whoever asks meanwhile waits for the same, and is asked again after it. */
  let isAskedAgain = false;
  async function drain(): Promise<DrainResult> {
    if (draining) {
      isAskedAgain = true;
      return draining;
    }
    draining = drainNow();
    const result = await draining;
    draining = undefined;
    if (isAskedAgain && result.kind === 'drained') onKept();
    isAskedAgain = false;
    return result;
  }
  async function drainNow(): Promise<DrainResult> {
    const outbox = await opening;
    const result = await outbox.drain();
    await count();
    if (result.kind === 'drained' && result.refused.length > 0)
      refused.value = await outbox.store.findRefused();
    return result;
  }

  /** Whoever closes the page in the very moment in which something is being written down is asked to wait. */
  const holdOn = (event: BeforeUnloadEvent) => {
    if (unwritten.length > 0) event.preventDefault();
  };
  window.addEventListener('beforeunload', holdOn);
  peers.addEventListener('message', ({ data }: MessageEvent<SentEntry>) => {
    onPeer(data);
    void count();
  });

  return {
    waiting,
    refused,
    isUnsaved,
    drain,
    keep: (sent: SentEntry): void => {
      unwritten = [...unwritten, sent];
      writing = writing.then(write);
      void writing.then(onKept);
    },
    /** Everything that a directory of this sequence number does not show yet. */
    pending: async (seq: number): Promise<readonly SentEntry[]> => {
      await writing;
      return (await opening).pending(seq);
    },
    /** What this device knew when it was last connected, if it was. */
    recall: async (): Promise<Directory | undefined> => {
      const { store } = await opening;
      refused.value = await store.findRefused().catch(() => []);
      await count();
      return store.findDirectory().catch(() => undefined);
    },
    /** Keeps the directory for when the server is gone; `null` forgets it. A device without room goes on without. */
    keepDirectory: async (directory: Directory | null): Promise<void> => {
      const { store } = await opening;
      const done = directory === null ? store.forgetDirectory() : store.keepDirectory(directory);
      await done.catch(() => undefined);
    },
    /** Whoever was told that something of theirs was not taken knows it now. */
    forgetRefused: async (technician: string): Promise<void> => {
      if (refused.value.length === 0) return;
      refused.value = refused.value.filter((each) => each.technician !== technician);
      await (await opening).store.keepRefused(refused.value);
    },
    close: (): void => {
      peers.close();
      window.removeEventListener('beforeunload', holdOn);
    },
  };
}
export type Sending = ReturnType<typeof createSending>;
