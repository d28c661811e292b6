import fc from 'fast-check';
import type { BatchResult, SentEntry } from '@wergon/contract/station';
import { createMemoryStore } from './indexedDb.ts';
import type { DeviceStore } from './indexedDb.ts';
import { openOutbox } from './outbox.ts';
import type { Answer } from './stationApi.ts';

let store: DeviceStore | undefined;
let respond: (entries: readonly SentEntry[]) => Answer<BatchResult>;
jest.mock('./indexedDb.ts', () => ({
  ...jest.requireActual<object>('./indexedDb.ts'),
  openDeviceStore: () => (store ? Promise.resolve(store) : Promise.reject(new Error('no storage here'))),
}));
jest.mock('./stationApi.ts', () => ({
  sendEntries: (entries: readonly SentEntry[]) => Promise.resolve(respond(entries)),
}));
Object.defineProperty(globalThis, 'navigator', {
  value: { locks: { request: (_name: string, work: () => unknown) => work() } },
  configurable: true,
});

const idOf = (sent: SentEntry) => (sent.entry as { id: string }).id;
const sent = (id: string): SentEntry => ({
  source: 'scan',
  via: [],
  action: id,
  deviceAt: '2026-03-02T07:00:00Z',
  clockOffset: 0,
  entry: { id, type: 'work-start', technician: 'ada' },
});
/** A server that records what it is sent, once each, and would not take some ids. */
const createServer = (bad: ReadonlySet<string> = new Set()) => {
  const journal: string[] = [];
  const take = (entries: readonly SentEntry[]): Answer<BatchResult> => {
    const results = entries.map((each): BatchResult['results'][number] => {
      const id = idOf(each);
      if (bad.has(id)) {
        const problem = {
          type: 'urn:wergon:x',
          title: 'no',
          status: 422,
          errors: [{ field: 'target', message: 'no such task' }],
        };
        return { id, result: 'refused', problem };
      }
      const isKnown = journal.includes(id);
      if (!isKnown) journal.push(id);
      return { id, result: isKnown ? 'known' : 'recorded' } as BatchResult['results'][number];
    });
    const value = { results, seq: journal.length, now: 0 } as unknown as BatchResult;
    return { kind: 'ok', value, time: { ms: 5, at: 0 } };
  };
  return { journal, take };
};
beforeEach(() => {
  store = createMemoryStore();
});

test('whatever the network does, every entry arrives once, in the order in which it was made', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.constantFrom('scan', 'gone', 'lost', 'send'), { minLength: 1, maxLength: 40 }),
      async (acts) => {
        store = createMemoryStore();
        const { journal, take } = createServer();
        const outbox = await openOutbox();
        const made: string[] = [];
        for (const act of acts) {
          if (act === 'scan') {
            const id = `e${made.length}`;
            made.push(id);
            await outbox.put([sent(id)]);
            continue;
          }
          respond = (entries) => {
            if (act === 'gone') return { kind: 'unreachable' };
            const answer = take(entries);
            // Recorded, and the answer lost on its way back.
            return act === 'lost' ? { kind: 'unreachable' } : answer;
          };
          await outbox.drain();
        }
        respond = take;
        expect((await outbox.drain()).kind).toBe('drained');
        expect(journal).toEqual(made);
        expect(await outbox.count()).toBe(0);
      },
    ),
    { numRuns: 200 },
  );
});

test('what the server would not take holds up nothing, and whoever made it can be told', async () => {
  const { journal, take } = createServer(new Set(['e1']));
  respond = take;
  const outbox = await openOutbox();
  await outbox.put(['e0', 'e1', 'e2'].map(sent));
  const refused = [{ technician: 'ada', what: 'work-start', why: 'no such task' }];
  expect(await outbox.drain()).toEqual({ kind: 'drained', refused, time: { ms: 5, at: 0 } });
  expect(journal).toEqual(['e0', 'e2']);
  expect(await outbox.store.findRefused()).toEqual(refused);
  expect(await outbox.count()).toBe(0);
});

test.each<[answer: Answer<BatchResult>, kind: string, why: string]>([
  [{ kind: 'refused', status: 401 }, 'unpaired', 'a station that is paired no longer'],
  [{ kind: 'refused', status: 500 }, 'unreachable', 'a server in trouble'],
  [{ kind: 'refused', status: 429 }, 'unreachable', 'one that is asked too often'],
  [{ kind: 'unreachable' }, 'unreachable', 'one that is gone'],
])('after %j the outbox is %s and keeps everything: %s', async (answer, kind) => {
  respond = () => answer;
  const outbox = await openOutbox();
  await outbox.put([sent('e0')]);
  expect((await outbox.drain()).kind).toBe(kind);
  expect(await outbox.count()).toBe(1);
});

test('what a directory does not show yet is pending: first what was acknowledged since, then what waits', async () => {
  const { take } = createServer();
  respond = take;
  const outbox = await openOutbox();
  await outbox.put([sent('e0')]);
  await outbox.drain();
  await outbox.put([sent('e1')]);
  expect((await outbox.pending(0)).map(idOf)).toEqual(['e0', 'e1']);
  expect((await outbox.pending(1)).map(idOf)).toEqual(['e1']);
});

test('where the device keeps nothing it is said, and entries are sent all the same', async () => {
  store = undefined;
  const { journal, take } = createServer();
  respond = take;
  const outbox = await openOutbox();
  expect(await outbox.put([sent('e0')])).toBe(false);
  await outbox.drain();
  expect(journal).toEqual(['e0']);
});

test('a device that is full keeps what it holds, and the rest lives with the page and is sent', async () => {
  const whole = createMemoryStore();
  let isFull = false;
  store = { ...whole, put: (entries) => (isFull ? Promise.reject(new Error('full')) : whole.put(entries)) };
  const { journal, take } = createServer();
  respond = take;
  const outbox = await openOutbox();
  expect(await outbox.put([sent('e0')])).toBe(true);
  isFull = true;
  expect(await outbox.put([sent('e1')])).toBe(false);
  expect(await outbox.count()).toBe(2);
  await outbox.drain();
  expect(journal.sort()).toEqual(['e0', 'e1']);
});

describe('a server that says no to what it is sent', () => {
  const refusing = (
    status: number,
    isBad: (entries: readonly SentEntry[]) => boolean,
    bad?: ReadonlySet<string>,
  ) => {
    const server = createServer(bad);
    const calls: number[] = [];
    respond = (entries) => {
      calls.push(entries.length);
      return isBad(entries) ? { kind: 'refused', status } : server.take(entries);
    };
    return { ...server, calls };
  };
  const ids = (count: number) => Array.from({ length: count }, (_, i) => `e${i}`);
  const open = async (made: readonly string[]) => {
    const outbox = await openOutbox();
    await outbox.put(made.map(sent));
    return outbox;
  };

  test('too much at once is sent in smaller parts, and all of it arrives in order', async () => {
    const made = ids(300);
    const { journal, calls } = refusing(413, (entries) => entries.length > 40);
    const outbox = await open(made);
    expect((await outbox.drain()).kind).toBe('drained');
    expect(journal).toEqual(made);
    expect(calls[0]).toBe(300);
    expect(Math.max(...calls.slice(4))).toBeLessThanOrEqual(300);
    expect(await outbox.count()).toBe(0);
  });

  test.each([500, 400, 422])(
    'one entry at which it fails with %i is set aside after some tries; the rest arrives',
    async (status) => {
      const made = ids(20);
      const { journal } = refusing(status, (entries) => entries.some((each) => idOf(each) === 'e7'));
      const outbox = await open(made);
      const results = [await outbox.drain(), await outbox.drain(), await outbox.drain()];
      expect(results.map(({ kind }) => kind)).toEqual(['unreachable', 'unreachable', 'drained']);
      expect([...journal].sort()).toEqual(made.filter((id) => id !== 'e7').sort());
      expect(await outbox.count()).toBe(0);
      expect(await outbox.store.findRefused()).toMatchObject([
        { technician: 'ada', why: `set aside (${status})` },
      ]);
      // The page opened anew tries it again, and by then the server may take it.
      respond = createServer().take;
      const again = await openOutbox();
      expect(await again.count()).toBe(1);
      expect((await again.drain()).kind).toBe('drained');
    },
  );

  test('a server that fails at everything is at fault itself: nothing is set aside', async () => {
    const made = ids(5);
    refusing(500, () => true);
    const outbox = await open(made);
    for (let i = 0; i < 6; i += 1) expect((await outbox.drain()).kind).toBe('unreachable');
    expect(await outbox.count()).toBe(5);
    expect(await outbox.store.findRefused()).toEqual([]);
  });

  test('a disk that is full is no fault of an entry', async () => {
    refusing(503, () => true);
    const outbox = await open(ids(3));
    for (let i = 0; i < 6; i += 1) expect((await outbox.drain()).kind).toBe('unreachable');
    expect(await outbox.count()).toBe(3);
  });
});
