/** Just so much of a browser as the stream needs: one tab that holds the lock, and a stream that can be refused. */
type Listener = (event: { readonly lastEventId: string }) => void;

class FakeEventSource {
  static readonly CLOSED = 2;
  static readonly all: FakeEventSource[] = [];
  readyState = 0;
  onerror: (() => void) | null = null;
  readonly listeners = new Map<string, Listener>();
  constructor(readonly url: string) {
    FakeEventSource.all.push(this);
  }
  addEventListener(kind: string, listener: Listener): void {
    this.listeners.set(kind, listener);
  }
  close(): void {
    this.readyState = FakeEventSource.CLOSED;
  }
  say(kind: string, seq: number): void {
    this.readyState = 1;
    this.listeners.get(kind)?.({ lastEventId: String(seq) });
  }
  /** The server answers something else than a stream: a browser gives up for good. */
  refuse(): void {
    this.readyState = FakeEventSource.CLOSED;
    this.onerror?.();
  }
}

jest.useFakeTimers();
Object.assign(globalThis, {
  EventSource: FakeEventSource,
  BroadcastChannel: class {
    onmessage: unknown = null;
    postMessage(): void {
      // There is one tab.
    }
  },
});
Object.defineProperty(globalThis, 'navigator', {
  value: { locks: { request: (_name: string, work: () => unknown) => Promise.resolve(work()) } },
  configurable: true,
});

const last = () => {
  const found = FakeEventSource.all.at(-1);
  if (!found) throw new Error('no stream');
  return found;
};

test('a page is live again after whatever came between, and asks for what it missed', async () => {
  const { isLive, listenLive } = await import('./live.ts');
  let asked = 0;
  const { openAgain } = listenLive(() => (asked += 1));
  const settle = () => jest.advanceTimersByTime(200);

  last().say('hello', 7);
  settle();
  expect([isLive.value, asked]).toEqual([true, 1]);

  // The server is starting: 503. Nothing more would come of this stream.
  last().refuse();
  expect(isLive.value).toBe(false);
  const refused = FakeEventSource.all.length;
  jest.advanceTimersByTime(2_500);
  expect(FakeEventSource.all).toHaveLength(refused + 1);
  expect(last().url).toContain('after=7');

  // And again, as often as it takes.
  last().refuse();
  jest.advanceTimersByTime(2_500);
  last().say('hello', 9);
  settle();
  expect([isLive.value, asked]).toEqual([true, 2]);

  // The session had run out: 401; somebody signs in again, and nobody waits for the next try.
  last().refuse();
  openAgain();
  last().say('hello', 9);
  settle();
  expect([isLive.value, asked]).toEqual([true, 3]);
  const live = FakeEventSource.all.length;
  jest.advanceTimersByTime(10_000);
  expect(FakeEventSource.all).toHaveLength(live);
});
