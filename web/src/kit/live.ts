import { ref } from 'vue';
import { STREAM_PATHS } from '@wergon/contract/routes';

/** Whether changes arrive as they happen. */
export const isLive = ref(false);

type Message =
  { readonly kind: 'change' | 'ask' | 'again' } | { readonly kind: 'state'; readonly isLive: boolean };

const QUIET_MS = 150;
/** A stream that was refused or cut for good is opened anew so long after. */
const AGAIN_MS = 2_000;

type Listening = {
  /** Opens the stream at once, for instance because somebody has signed in again. */
  readonly openAgain: () => void;
};

/** Hears of every change on the server. All tabs of a browser share one stream: the tab that holds the lock keeps it
 *  open and tells the others; when it closes, the next one takes over. A stream that the server would not give, because
 *  it was starting or a session had run out, is asked for again and again. */
export function listenLive(onChange: () => void): Listening {
  const channel = new BroadcastChannel('wergon-live');
  let timer: ReturnType<typeof setTimeout> | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let events: EventSource | undefined;
  let isLeader = false;
  let lastSeq = 0;
  const tell = (message: Message) => channel.postMessage(message);
  const changed = () => {
    clearTimeout(timer);
    timer = setTimeout(onChange, QUIET_MS);
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
    for (const kind of ['hello', 'journal', 'setup'])
      own.addEventListener(kind, ({ lastEventId }: MessageEvent) => {
        lastSeq = Math.max(lastSeq, Number(lastEventId));
        // A stream that comes back after a break may have missed what it cannot name: everything is asked for anew.
        if (kind !== 'hello' || !isLive.value) {
          changed();
          tell({ kind: 'change' });
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
    if (data.kind === 'change') changed();
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
