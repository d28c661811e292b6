import type { LooseEndsJson } from '@wergon/contract/loose-ends';
import { rebuild } from '../ledger/rebuild.ts';
import { at, line, newId, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

// It is 8:40 on a Tuesday; nobody has worked yet.
let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
});
afterEach(() => shop.close());

const page = async () => (await shop.get('/api/reconcile')).body as LooseEndsJson;
const seen = async () => {
  const { fromDay: from, toDay: to } = await page();
  return { from, to };
};
const told = async () =>
  (await page()).looseEnds.map(({ kind, name, about, times }) => `${name} ${kind} ${about ?? ''} ${times}`);
const accept = async (kind: string) =>
  shop.post('/api/reconcile/accept', {
    ends: (await page()).looseEnds
      .filter((end) => end.kind === kind)
      .map(({ technician, targetId: target, from, day, about }) => ({
        kind,
        technician,
        target,
        from,
        day,
        about,
      })),
    reason: 'looked into it',
    seen: await seen(),
  });
const unread = (text: string, minutes: number) => ({
  id: newId(),
  type: 'unread-scan',
  at: at(minutes),
  text,
  reason: 'unknown',
});
const inRail = async () => ((await shop.get('/api/rail')).body as { looseEnds: number }).looseEnds;

test('a code that stands for nothing is one loose end a day, is accepted, and returns when it is read again', async () => {
  await shop.send(unread('4006381', 0), unread('4006381', 5), unread('T7K2P', 6));
  expect(await told()).toEqual(['Winding 1 unknown-code 4006381 2', 'Winding 1 unknown-code T7K2P 1']);
  expect(await inRail()).toBe(2);
  expect((await accept('unknown-code')).status).toBe(200);
  expect(await told()).toEqual([]);
  expect(await inRail()).toBe(0);
  expect((await page()).accepted).toMatchObject([
    { kind: 'unknown-code', name: 'Winding 1', reason: 'looked into it' },
    { kind: 'unknown-code' },
  ]);
  await shop.send(unread('4006381', 7));
  expect(await told()).toEqual(['Winding 1 unknown-code 4006381 3']);
});

test('what could not be recorded is told whole, and is accepted once somebody has looked', async () => {
  const bad = shop.scan('work-start', 0, 'nobody', [shop.winding]);
  await shop.send(bad);
  const [end] = (await page()).looseEnds;
  expect(end).toMatchObject({ kind: 'refused-entry', name: 'Winding 1' });
  expect(end?.refused?.body).toContain(bad.id);
  expect(end?.refused?.errors).toMatchObject([{ field: 'technician' }]);
  await accept('refused-entry');
  expect(await told()).toEqual([]);
});

test('a clock that was moved is looked into and accepted, and a rebuild gives the same', async () => {
  await shop.send({ id: newId(), type: 'clock-jump', at: at(3), seconds: -3600 });
  expect((await page()).looseEnds).toMatchObject([
    { kind: 'clock-jump', name: 'Winding 1', seconds: 3600, stations: ['Winding 1'] },
  ]);
  await accept('clock-jump');
  await rebuild(shop.database, await shop.context.facts.get(), shop.clock.now());
  expect(await told()).toEqual([]);
});

test('two badges that are only ever read together are one loose end of both', async () => {
  const scans = [0, 10, 20, 30, 40].flatMap((minute, i) =>
    [shop.ada, shop.bo].map((who) => shop.scan(i % 2 ? 'break-end' : 'break-start', minute, who)),
  );
  await shop.post(
    '/api/station/entries',
    { entries: scans.map((entry) => line(entry, { via: ['B1'] })) },
    shop.station,
  );
  const pairs = async () => (await page()).looseEnds.filter(({ kind }) => kind === 'badge-pair');
  expect(await pairs()).toMatchObject([{ times: 5 }]);
  expect((await pairs())[0]?.name?.split(', ').sort()).toEqual(['Ada', 'Bo']);
  expect((await accept('badge-pair')).status).toBe(200);
  expect(await pairs()).toEqual([]);
});

test('what nobody was told of cannot be accepted', async () => {
  await shop.send(unread('4006381', 0));
  const key = { kind: 'unknown-code', technician: null, target: null, from: null, day: '2026-03-03' };
  const ends = [{ ...key, about: 'T7K2P' }];
  const answer = await shop.post('/api/reconcile/accept', { ends, reason: 'why not', seen: await seen() });
  expect(answer.status).toBe(409);
  expect(await told()).toHaveLength(1);
});
