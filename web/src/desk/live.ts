import { ref } from 'vue';
import { STREAM_PATHS } from '@wergon/contract/routes';

/** Whether changes arrive as they happen. */
export const isLive = ref(false);

type Message = { readonly kind: 'change' | 'ask' } | { readonly kind: 'state'; readonly isLive: boolean };

const QUIET_MS = 150;

/** Hears of every change on the server. All tabs of a browser share one stream: the tab that holds the lock keeps it
 *  open and tells the others; when it closes, the next one takes over. */
export function listenLive(onChange: () => void): void {
  const channel = new BroadcastChannel('wergon-live');
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isLeader = false;
  const changed = () => {
    clearTimeout(timer);
    timer = setTimeout(onChange, QUIET_MS);
  };
  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    if (data.kind === 'change') changed();
    else if (data.kind === 'state') isLive.value = data.isLive;
    else if (isLeader) tell({ kind: 'state', isLive: isLive.value });
  };
  const tell = (message: Message) => channel.postMessage(message);
  tell({ kind: 'ask' });
  void navigator.locks.request('wergon-live', () => {
    isLeader = true;
    const events = new EventSource(STREAM_PATHS.desk);
    const say = (value: boolean) => {
      isLive.value = value;
      tell({ kind: 'state', isLive: value });
    };
    for (const kind of ['hello', 'journal', 'setup'])
      events.addEventListener(kind, () => {
        // A stream that comes back after a break may have missed what it cannot name: everything is asked for anew.
        if (kind !== 'hello' || !isLive.value) {
          changed();
          tell({ kind: 'change' });
        }
        say(true);
      });
    events.onerror = () => say(false);
    return new Promise<never>(() => undefined); // the lock is held for as long as the tab lives
  });
}
