import { useThrottleFn } from '@vueuse/core';
import { ref } from 'vue';
import { STREAM_PATHS } from '@wergon/contract/routes';
import { journalEventSchema } from '@wergon/contract/wire';
import type { JournalEvent } from '@wergon/contract/wire';

/** Whether changes arrive as they happen. */
export const isLive = ref(false);
/** How often something else than the journal has changed, or may have been missed: what was known before is no ground to
 *  build changes on. */
export const wholeCount = ref(0);

/** What has been heard of together: everything, or what some commits of the journal have changed. */
export type Heard = 'everything' | Omit<JournalEvent, 'seq'>;

type Message =
  | { readonly kind: 'change'; readonly heard: Heard }
  | { readonly kind: 'ask' | 'again' }
  | { readonly kind: 'state'; readonly isLive: boolean };

const QUIET_MS = 150;
/** A stream that was refused or cut for good is opened anew so long after. */
const AGAIN_MS = 2_000;

type Listening = {
  /** Opens the stream at once, for instance because somebody has signed in again. */
  readonly openAgain: () => void;
};

const join = (a: readonly string[] | null, b: readonly string[] | null) =>
  a === null || b === null ? null : [...new Set([...a, ...b])];
export const joinHeard = (a: Heard | undefined, b: Heard): Heard =>
  a === undefined
    ? b
    : a === 'everything' || b === 'everything'
      ? 'everything'
      : { technicians: join(a.technicians, b.technicians), orders: join(a.orders, b.orders) };

const readEvent = (data: unknown): Heard =>
  journalEventSchema.safeParse(JSON.parse(String(data))).data ?? 'everything';

/** Hears of every change on the server. All tabs of a browser share one stream: the tab that holds the lock keeps it
 *  open and tells the others; when it closes, the next one takes over. A stream that the server would not give, because
 *  it was starting or a session had run out, is asked for again and again. */
export function listenLive(onChange: (heard: Heard) => void): Listening {
  const channel = new BroadcastChannel('wergon-live');
  let again: ReturnType<typeof setTimeout> | undefined;
  let events: EventSource | undefined;
  let isLeader = false;
  let lastSeq = 0;
  let untold: Heard | undefined;
  const tell = (message: Message) => channel.postMessage(message);
  // The first is passed on at once, what comes right behind it together.
  const passOn = useThrottleFn(
    () => {
      const heard = untold;
      untold = undefined;
      if (heard !== undefined) onChange(heard);
    },
    QUIET_MS,
    true,
  );
  const changed = (heard: Heard) => {
    if (heard === 'everything') wholeCount.value += 1;
    untold = joinHeard(untold, heard);
    void passOn();
  };
  const say = (value: boolean) => {
    isLive.value = value;
    tell({ kind: 'state', isLive: value });
  };

  function open(): void {
    clearTimeout(again);
    events?.close();
    const own = new EventSource(lastSeq > 0 ? `${STREAM_PATHS.desk}?after=${lastSeq}` : STREAM_PATHS.desk);
    events = own;
    for (const kind of ['hello', 'journal', 'missed', 'setup'])
      own.addEventListener(kind, ({ data, lastEventId }: MessageEvent) => {
        lastSeq = Math.max(lastSeq, Number(lastEventId));
        // A stream that comes back after a break may have missed what it cannot name: everything is asked for anew.
        if (kind !== 'hello' || !isLive.value) {
          const heard = kind === 'journal' && isLive.value ? readEvent(data) : 'everything';
          changed(heard);
          tell({ kind: 'change', heard });
        }
        say(true);
      });
    own.onerror = () => {
      say(false);
      // A browser tries again by itself after a cut, and never after a no.
      if (own.readyState === EventSource.CLOSED && own === events) again = setTimeout(open, AGAIN_MS);
    };
  }

  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    if (data.kind === 'change') changed(data.heard);
    else if (data.kind === 'state') isLive.value = data.isLive;
    else if (isLeader && data.kind === 'again') open();
    else if (isLeader) tell({ kind: 'state', isLive: isLive.value });
  };
  tell({ kind: 'ask' });
  void navigator.locks.request('wergon-live', () => {
    isLeader = true;
    open();
    return new Promise<never>(() => undefined); // the lock is held for as long as the tab lives
  });
  return { openAgain: () => (isLeader ? open() : tell({ kind: 'again' })) };
}
