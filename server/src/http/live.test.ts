import type { TechnicianId } from '@wergon/core/people';
import { journalEventSchema, technicianId, workOrderId } from '@wergon/contract/wire';
import type { Changes } from './changes.ts';
import { noChanges } from './changes.ts';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createLive } from './live.ts';
import { openTestShop } from '../app/testShop.fixture.ts';

// Streams over real connections: what is told, to whom, and until when.
type Stream = { readonly heard: () => string; readonly ended: Promise<void>; readonly leave: () => void };

async function listen(url: string, cookie = ''): Promise<Stream> {
  const leaving = new AbortController();
  const response = await fetch(url, { headers: { cookie }, signal: leaving.signal });
  let text = '';
  const reader = response.body?.getReader();
  const read = async () => {
    for (;;) {
      const part = await reader?.read();
      if (!part || part.done) return;
      text += Buffer.from(part.value).toString();
    }
  };
  return { heard: () => text, ended: read().catch(() => undefined), leave: () => leaving.abort() };
}

/** Waits until something is so; the test's own limit is all the patience there is. */
async function until(isSo: () => boolean): Promise<void> {
  while (!isSo()) await new Promise((again) => setTimeout(again, 5));
}

const commit = (after: number, more: Partial<Changes> = {}) => ({
  before: after - 1,
  after,
  changes: { ...noChanges, ...more },
});

async function openLive(mayHear = () => Promise.resolve(true)) {
  const live = createLive();
  const server = createServer((req, res) => {
    const key = new URL(req.url ?? '/', 'http://x').searchParams.get('key') ?? '';
    const [kind = '', name] = key.split('-');
    const audience = { sees: (id: TechnicianId) => id === name, hearsOfOrders: kind === 'part' };
    const listener = {
      key,
      mayHear,
      ...(kind === 'all' || name === undefined ? {} : { audience: () => audience }),
    };
    live.stream(Object.assign(req, { query: {} }) as never, res as never, 1, listener);
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/`;
  const close = async () => {
    live.close();
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
  };
  return { live, url, close };
}

test('whoever sees nothing of others hears of themselves alone', async () => {
  const { live, url, close } = await openLive();
  const [everybody, ada, nobody, part] = await Promise.all(
    ['all', 'only-ada', 'only-', 'part-ada'].map((key) => listen(`${url}?key=${key}`)),
  );
  const people = (...names: string[]) => ({ technicians: new Set(names as TechnicianId[]) });
  live.publish(commit(2, people('bo')));
  await until(() => everybody?.heard().includes('"bo"') ?? false);
  live.publish(commit(3, { ...people('ada', 'bo'), orders: new Set(['o1'] as never[]) }));
  await until(() => everybody?.heard().includes('"o1"') ?? false);
  await until(() => ada?.heard().includes('"ada"') ?? false);
  expect(ada?.heard()).not.toMatch(/bo|o1/);
  expect(ada?.heard()).toContain('{"seq":3,"technicians":["ada"],"orders":[]}');
  expect(nobody?.heard()).not.toContain('journal');
  // Whoever sees some people and the work hears of all orders, and of nobody else.
  await until(() => part?.heard().includes('"o1"') ?? false);
  expect(part?.heard()).toContain('{"seq":3,"technicians":["ada"],"orders":["o1"]}');
  expect(part?.heard()).not.toContain('bo');
  await close();
});

test('a stream that is ended hears nothing more, the others do, and nothing breaks', async () => {
  const { live, url, close } = await openLive();
  const [ada, bo] = [await listen(`${url}?key=ada`), await listen(`${url}?key=bo`)];
  live.end('ada');
  // In the same moment, before the connection is closed: this once ended the server.
  live.publishSetup();
  live.publish(commit(7));
  await ada.ended;
  await until(() => bo.heard().includes('"seq":7'));
  expect(ada.heard()).not.toContain('"seq":7');
  bo.leave();
  live.publish(commit(8));
  live.publish(commit(9));
  await close();
});

test('of one session no more than twenty are open: the oldest ends for a new one', async () => {
  const { live, url, close } = await openLive();
  const streams: Stream[] = [];
  for (let i = 0; i < 22; i += 1) streams.push(await listen(`${url}?key=ada`));
  await Promise.all(streams.slice(0, 2).map(({ ended }) => ended));
  live.publish(commit(5));
  const hearing = streams.slice(2);
  await until(() => hearing.every((each) => each.heard().includes('"seq":5')));
  expect(streams.filter((each) => each.heard().includes('"seq":5'))).toHaveLength(20);
  await close();
});

test('a stream ends with its session, and with its station’s token, and the server goes on', async () => {
  const shop = await openTestShop();
  const server = shop.app.listen(0, '127.0.0.1');
  await new Promise((ready) => server.once('listening', ready));
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const [desk, station] = [
    await listen(`${url}/api/stream`, shop.desk),
    await listen(`${url}/api/station/stream`, shop.station),
  ];
  expect((await shop.post(`/api/stations/${shop.stationId}/revoke`, {})).status).toBe(200);
  await station.ended;
  expect((await shop.post('/api/sign-out', {})).status).toBe(200);
  await desk.ended;
  expect((await fetch(`${url}/api/start`)).status).toBe(200);
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
  await shop.close();
});

test('a busy moment is told as one event, with whose days and which orders it has changed', async () => {
  const { live, url, close } = await openLive();
  const ada = await listen(url);
  await until(() => ada.heard().includes('hello'));
  const of = (id: string) => ({
    technicians: new Set([technicianId.parse(id)]),
    orders: new Set([workOrderId.parse(`o-${id}`)]),
  });
  // The first is told at once, those that come right behind it together.
  for (const [i, id] of ['ada', 'bo', 'cy', 'ada'].entries()) live.publish(commit(i + 2, of(id)));
  await until(() => ada.heard().includes('"seq":5'));
  const events = [...ada.heard().matchAll(/event: journal\ndata: (.*)\n/g)].map(([, data]) =>
    journalEventSchema.parse(JSON.parse(data ?? '')),
  );
  expect(events).toEqual([
    { seq: 2, technicians: ['ada'], orders: ['o-ada'] },
    { seq: 5, technicians: ['bo', 'cy', 'ada'], orders: ['o-bo', 'o-cy', 'o-ada'] },
  ]);
  await close();
});

test.each<[after: number, now: number, people: readonly string[] | undefined, why: string]>([
  [9, 13, undefined, 'before all that is remembered'],
  [10, 13, ['ada', 'bo', 'cy'], 'all of it'],
  [11, 13, ['bo', 'cy'], 'from a place in between'],
  [12, 13, ['cy'], 'the last alone'],
  [13, 13, [], 'nothing is missed'],
  [14, 13, undefined, 'a place that has not come yet'],
  [11, 14, undefined, 'a commit can be seen that nobody has been told of'],
  [14, 14, undefined, 'the same, asked for from there'],
])('what has changed since %i, seen at %i, is %j: %s', (after, now, people) => {
  const live = createLive();
  for (const [i, id] of ['ada', 'bo', 'cy'].entries())
    live.publish(commit(i + 11, { technicians: new Set([technicianId.parse(id)]) }));
  const since = live.changesSince(after, now);
  expect(since && [...since.technicians]).toEqual(people);
  live.close();
});

test('what was taken in at no new place of the journal is not passed over', () => {
  const live = createLive();
  live.publish(commit(1));
  live.publish({
    before: 1,
    after: 1,
    changes: { ...noChanges, technicians: new Set([technicianId.parse('ada')]) },
  });
  expect(live.changesSince(1, 1)).toBeUndefined();
  // Somebody who knew the first place asks only after one more commit: what came in between is still unknown to them.
  live.publish(commit(2));
  expect(live.changesSince(1, 2)).toBeUndefined();
  expect(live.changesSince(2, 2)).toEqual(noChanges);
  live.close();
});
