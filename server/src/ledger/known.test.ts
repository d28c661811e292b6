import type { LineDetail, TrailJson } from '@wergon/contract/ledger';
import { line, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { BadgeEntity } from '../people/entities.ts';

let shop: TestShop;
beforeAll(async () => (shop = await openTestShop()));
afterAll(() => shop.close());

const CARD = 'card-of-ada';
const badgeOf = async (technician: string) =>
  (
    await shop.database.em
      .fork()
      .findOneOrFail(BadgeEntity, { technician: technician as never, isBound: false })
  ).id;

/** Starts Ada on a task in some way, stops her, and says how both scans tell who she was. */
async function start(minutes: number, sent: object, more: object = {}) {
  const entry = { ...shop.scan('work-start', minutes, shop.ada, [shop.strip]), ...more };
  const entries = [
    line(entry, sent as never),
    line(shop.scan('work-stop', minutes + 1, shop.ada), sent as never),
  ];
  const sentNow = await shop.post('/api/station/entries', { entries }, shop.station);
  expect(sentNow.status).toBe(200);
  const query = `technician=${shop.ada}&target=${shop.strip}&workType=run&day=2026-03-03`;
  const { stints } = (await shop.get(`/api/ledger/line?${query}`)).body as LineDetail;
  const { entries: trail } = (await shop.get('/api/ledger/trail?type=work-start')).body as TrailJson;
  const opened = stints.at(-1)?.opened;
  return [opened?.knownBy, opened?.letThroughBy, trail[0]?.knownBy, trail[0]?.letThroughBy];
}

test('how somebody was known stands with the scan, in the line and in the trail', async () => {
  const badge = await badgeOf(shop.ada);
  await shop.database.em.fork().insert(BadgeEntity, {
    id: CARD as never,
    code: 'bound',
    technician: shop.ada as never,
    revokedAt: null,
    isBound: true,
  });
  const ways: readonly [sent: object, known: string | null][] = [
    [{ identity: 'badge', via: [badge] }, 'badge'],
    [{ identity: 'badge', via: [CARD] }, 'card'],
    [{ identity: 'badge-and-pin', via: [badge] }, 'badge-and-pin'],
    [{ identity: 'pin-unchecked', via: [badge] }, 'pin-unchecked'],
    [{ identity: 'name', via: [] }, 'name'],
    [{ identity: 'number', via: [] }, 'number'],
    [{ identity: 'number-and-pin', via: [] }, 'number-and-pin'],
    // Recorded before it was kept.
    [{}, null],
  ];
  for (const [i, [sent, known]] of ways.entries())
    expect(await start(2 + i * 3, sent)).toEqual([known, null, known, null]);
});

test('who let a start through stands with it by name', async () => {
  expect(await start(40, { identity: 'badge', via: [] }, { override: shop.bo })).toEqual([
    'badge',
    'Bo',
    'badge',
    'Bo',
  ]);
});
