import { useThrottleFn } from '@vueuse/core';
import { ref } from 'vue';
import { mergeDirectory } from '@wergon/contract/station';
import type { Directory } from '@wergon/contract/station';
import type { Knowledge } from './knowledge.ts';
import type { ServerTime } from './stationClock.ts';
import { fetchDirectory, fetchDirectoryChanges } from './stationApi.ts';
import type { Sending } from './syncQueue.ts';

export type Connection = 'starting' | 'connected' | 'offline' | 'unpaired';

const RETRY_MS = 3_000;
const REFRESH_AFTER_MS = 150;
const KEEP_MS = 5_000;
/** A page that is never touched asks again for what it knows: yesterday's directory is of little use. */
const STALE_MS = 10 * 60_000;

type Around = {
  readonly sending: Pick<Sending, 'drain'>;
  readonly knowledge: Pick<Knowledge, 'info' | 'know' | 'keep' | 'forget'>;
  readonly setServerTime: (time: ServerTime | null) => void;
};

/** The way between a station and its server: what waits is sent, what has changed is asked for, and a break in it is
 *  noticed and mended. */
export function createLink({ sending, knowledge, setServerTime }: Around) {
  const connection = ref<Connection>('starting');
  let events: EventSource | undefined;
  let refreshedAt = 0;

  /** This device is a station no longer: what it knew is none of its business. What still waits to be sent is kept until
   *  it is paired again. */
  async function forget(): Promise<void> {
    connection.value = 'unpaired';
    await knowledge.forget();
  }

  /** Sends what waits, and takes in how that went. */
  async function drain(): Promise<boolean> {
    const result = await sending.drain();
    if (result.kind === 'drained') {
      setServerTime(result.time);
      if (connection.value === 'offline' && result.time) connection.value = 'connected';
      return true;
    }
    if (result.kind === 'unpaired') await forget();
    else connection.value = 'offline';
    return false;
  }

  /** One after the other: what was asked for first is taken in first. */
  let refreshing = Promise.resolve();
  const refresh = (wantsWhole = true): Promise<void> => {
    refreshing = refreshing.then(() => refreshNow(wantsWhole)).catch(() => undefined);
    return refreshing;
  };
  async function refreshNow(wantsWhole: boolean): Promise<void> {
    if (!(await drain())) return;
    const known = knowledge.info.value;
    if (!wantsWhole && known && (await takeChanges(known))) return;
    const answer = await fetchDirectory();
    if (answer.kind === 'refused' && answer.status === 401) await forget();
    else if (answer.kind !== 'ok') connection.value = 'offline';
    else {
      setServerTime(answer.time);
      refreshedAt = performance.now();
      await knowledge.know(answer.value);
      connection.value = 'connected';
      await knowledge.keep();
      listen();
    }
  }
  /** Asks for what has changed since; `false` where only the whole says it. */
  async function takeChanges(known: Directory): Promise<boolean> {
    const answer = await fetchDirectoryChanges(known.seq);
    if (answer.kind !== 'ok' || answer.value === null) return false;
    setServerTime(answer.time);
    await knowledge.know(mergeDirectory(known, answer.value));
    connection.value = 'connected';
    void keepSoon();
    return true;
  }
  /** Kept seldom: what the kept one does not show yet is kept beside it. */
  const keepSoon = useThrottleFn(knowledge.keep, KEEP_MS, true, false);

  let wantsWhole = false;
  /** The first change is asked for at once, those that come right behind it together. */
  const refreshSoon = useThrottleFn(
    () => {
      const whole = wantsWhole;
      wantsWhole = false;
      return refresh(whole);
    },
    REFRESH_AFTER_MS,
    true,
  );
  function listen(): void {
    if (events && events.readyState !== EventSource.CLOSED) return;
    events = new EventSource('/api/station/stream');
    events.addEventListener('journal', () => void refreshSoon());
    for (const kind of ['missed', 'setup'])
      events.addEventListener(kind, () => {
        wantsWhole = true;
        void refreshSoon();
      });
    events.addEventListener('error', () => {
      if (connection.value === 'connected') connection.value = 'offline';
    });
  }

  const retrying = setInterval(() => {
    const isStale = performance.now() - refreshedAt > STALE_MS;
    if (connection.value !== 'connected' || isStale) void refresh();
  }, RETRY_MS);

  return {
    connection,
    drain,
    refresh,
    close: (): void => {
      clearInterval(retrying);
      events?.close();
    },
  };
}
