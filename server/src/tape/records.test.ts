import type { EffectJson } from '@wergon/contract/loose-ends';
import type { PersonDayJson } from '@wergon/contract/tape';
import type { Problem } from '@wergon/contract/wire';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

const DAY = '2026-03-02';
let shop: TestShop;
let hours: string;
beforeEach(async () => {
  shop = await openTestShop();
  const clock = (each: number) => each * 3600;
  const row = { technician: shop.ada, day: DAY, workType: 'run' };
  const rows = [
    { ...row, target: shop.strip, from: clock(7), to: clock(9) },
    { ...row, target: shop.winding, from: clock(9), to: clock(11) },
    { ...row, target: shop.strip, seconds: 1800 },
  ];
  await shop.post('/api/reconcile/slips', { rows });
  hours = (await day()).hours[0]?.id ?? '';
});
afterEach(() => shop.close());

const day = async (who = shop.ada) =>
  (await shop.get(`/api/reconcile/day?technician=${who}&day=${DAY}`)).body as PersonDayJson;
/** A day as words: what was scanned, and what was written down. */
const say = async (who = shop.ada) => {
  const told = await day(who);
  return [
    ...told.stints.map(({ from, running }) => `${String(from).slice(11, 16)} ${running[0]?.title}`),
    ...told.hours.map(({ seconds, title, workType }) => `${seconds} ${title} ${workType}`),
  ];
};
const WHOLE = ['06:00 1001 Strip', '08:00 1001 Winding', '1800 1001 Strip run'];
const blocks = async () =>
  (await day()).stints.map(({ from, to, running }) => ({
    technician: shop.ada,
    from,
    to,
    running: running.map(({ target, workType }) => ({ target, workType })),
  }));
const body = async (act: object, more: object = {}) => ({
  blocks: await blocks(),
  hours: [hours],
  act,
  ...more,
});
const edit = async (act: object, more: object = {}, cookie = shop.desk) =>
  shop.post('/api/reconcile/records', await body(act, more), cookie);

test('taken out together, seen before, undone as one', async () => {
  const effect = await shop.post('/api/reconcile/records/preview', await body({ what: 'out' }));
  expect((effect.body as EffectJson).lanes.map(({ before, after }) => [before.length, after.length])).toEqual(
    [[2, 0]],
  );
  expect(await say()).toEqual(WHOLE);
  const { entries } = (await edit({ what: 'out' })).body as { entries: string[] };
  expect(await say()).toEqual([]);
  await shop.post('/api/reconcile/undo', { entries });
  expect(await say()).toEqual(WHOLE);
});

test('given to somebody, put on other work, moved: all of them', async () => {
  await edit({ what: 'give', technician: shop.bo });
  expect([await say(), await say(shop.bo)]).toEqual([[], WHOLE]);
});
test('put on other work, lengths and stretches alike', async () => {
  await edit({ what: 'work', target: shop.winding, workType: 'rework' });
  expect(await say()).toEqual(['06:00 1001 Winding', '1800 1001 Winding rework']);
});
test('moved together, none over the other', async () => {
  await edit({ what: 'shift', seconds: 1800 }, { hours: [] });
  expect(await say()).toEqual(['06:30 1001 Strip', '08:30 1001 Winding', WHOLE[2]]);
});

test.each<[act: () => object, more: object, field: string, why: string]>([
  [() => ({ what: 'out' }), { blocks: [], hours: [] }, 'blocks', 'nothing'],
  [() => ({ what: 'out' }), { hours: ['none'] }, 'hours[0]', 'a length that is not there'],
  [() => ({ what: 'out' }), { hours: ['a', 'a'] }, 'hours', 'one twice'],
  [() => ({ what: 'give', technician: 'nobody' }), {}, 'act.technician', 'to nobody'],
  [() => ({ what: 'work', target: 'nothing', workType: 'run' }), {}, 'act.target', 'on nothing'],
  [() => ({ what: 'shift', seconds: 60 }), {}, 'hours', 'a length moved'],
  [() => ({ what: 'shift', seconds: 0 }), { hours: [] }, 'act.seconds', 'by nothing'],
  [() => ({ what: 'burn' }), {}, 'act.what', 'what nobody can do'],
  [() => ({ what: 'shift', seconds: 86_400 }), { hours: [] }, 'blocks[0]', 'into the future'],
])('%#: refused at its field, nothing changed', async (act, more, field) => {
  const { status, body: told } = await edit(act(), more);
  expect([Math.floor(status / 100), (told as Problem).errors?.[0]?.field]).toEqual([4, field]);
  expect(await say()).toEqual(WHOLE);
});

test('more than the day of whoever gets it holds, or of people who are not one’s own, is refused whole', async () => {
  await shop.post('/api/reconcile/slips', {
    rows: [{ technician: shop.bo, day: DAY, workType: 'run', target: shop.strip, seconds: 86_000 }],
  });
  const { body: told } = await edit({ what: 'give', technician: shop.bo }, { blocks: [] });
  expect((told as Problem).errors).toEqual([
    { field: 'hours[0]', message: `${DAY} would hold more than 24 hours` },
  ]);
  const lead = await shop.addUser({ userName: 'lea', role: 'lead', technician: shop.bo });
  expect((await edit({ what: 'out' }, {}, lead)).status).toBe(403);
  expect(await say()).toEqual(WHOLE);
});
