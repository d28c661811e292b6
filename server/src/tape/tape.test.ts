import type { z } from 'zod';
import type { EffectJson } from '@wergon/contract/loose-ends';
import type { personDaySchema } from '@wergon/contract/tape';
import type { Problem } from '@wergon/contract/wire';
import { at, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

// Ada was on Strip from 7:00 to 8:00 and is on Winding since 8:00; it is 8:40.
let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
  await shop.send(
    shop.scan('shift-in', 0, shop.ada),
    shop.scan('work-start', 0, shop.ada, [shop.strip]),
    shop.scan('work-start', 60, shop.ada, [shop.winding]),
  );
});
afterEach(() => shop.close());

const day = async (who = shop.ada) =>
  (await shop.get(`/api/reconcile/day?technician=${who}&day=2026-03-03`)).body as z.input<
    typeof personDaySchema
  >;
const lane = async (who = shop.ada) =>
  (await day(who)).stints.map(({ from, to, isOpen, running }) => [
    (Date.parse(from) - Date.parse(at(0))) / 60_000,
    isOpen ? null : (Date.parse(to) - Date.parse(at(0))) / 60_000,
    running.map(({ title }) => title).join('+'),
  ]);
const piece = (from: number, to: number | null, target = shop.strip, technician = shop.ada) => ({
  technician,
  from: at(from),
  to: to === null ? null : at(to),
  running: [{ target, workType: 'run' as const }],
});
const edit = (block: object | null, ...becomes: object[]) =>
  shop.post('/api/reconcile/tape', { block, becomes, reason: 'said so' });

test('an edge that was drawn moves, and the history of the block keeps the original and who changed it', async () => {
  const answer = await edit(piece(0, 60), piece(0, 45));
  expect(answer.status).toBe(200);
  expect(await lane()).toEqual([
    [0, 45, '1001 Strip'],
    [60, null, '1001 Winding'],
  ]);
  await edit(piece(0, 45), piece(0, 45, shop.winding));
  const [first] = (await day()).stints;
  expect(first?.opened.corrections).toMatchObject([
    { type: 'amend', author: 'Sol', why: 'said so', changes: [{ field: 'targets', before: shop.strip }] },
  ]);
});

test('what was shown is what then happens, and undoing gives what was there', async () => {
  const before = await lane();
  const body = { block: piece(0, 60), becomes: [piece(0, 30), piece(30, 60, shop.winding)] };
  const effect = (await shop.post('/api/reconcile/tape/preview', body)).body as EffectJson;
  expect(await lane()).toEqual(before);
  const { entries } = (await shop.post('/api/reconcile/tape', body)).body as { entries: string[] };
  expect((await day()).stints.map(({ from, to }) => [from, to])).toEqual(
    effect.lanes[0]?.after.map(({ from, to }) => [from, to]),
  );
  expect(effect.jobs).toMatchObject([
    { title: '1001 Strip', beforeSeconds: 3600, afterSeconds: 1800 },
    { title: '1001 Winding', beforeSeconds: 2400, afterSeconds: 4200 },
  ]);
  await shop.post('/api/reconcile/undo', { entries });
  expect(await lane()).toEqual(before);
});

test('a block is handed to somebody else, and a start is made for somebody who forgot', async () => {
  await edit(piece(0, 60), piece(0, 60, shop.strip, shop.bo));
  expect(await lane(shop.bo)).toEqual([[0, 60, '1001 Strip']]);
  expect(await lane()).toEqual([[60, null, '1001 Winding']]);
  await edit(null, piece(90, null, shop.strip, shop.bo));
  expect(await lane(shop.bo)).toEqual([
    [0, 60, '1001 Strip'],
    [90, null, '1001 Strip'],
  ]);
});

test.each([
  [() => [piece(0, 50), piece(0, 40)], 409, 'edit.block_changed', 'the block is another by now'],
  [() => [piece(0, 60), piece(0, 70)], 409, 'edit.overlap', 'two stints at once'],
  [() => [piece(0, 60), piece(60, 0)], 422, 'edit.ends_before_start', 'ends before it starts'],
  [() => [piece(60, null, shop.winding), piece(60, 200, shop.winding)], 422, 'edit.future', 'in the future'],
  [() => [piece(0, 60), piece(0, 60)], 409, 'edit.nothing', 'nothing would change'],
  [() => [null, piece(-60, -30, 'nothing')], 422, 'input.invalid', 'no such task'],
  [() => [null, piece(-60, -30, shop.strip, 'nobody')], 422, 'input.invalid', 'no such person'],
])('%# is refused with %i %s and changes nothing: %s', async (words, status, code) => {
  const before = await lane();
  const [block, ...becomes] = words() as [object | null, ...object[]];
  const answer = await edit(block, ...becomes);
  expect([answer.status, (answer.body as Problem).type]).toEqual([status, `urn:wergon:${code}`]);
  expect(await lane()).toEqual(before);
});

test('what would lie over other work names what is there', async () => {
  const { errors } = (await edit(piece(0, 60), piece(0, 70))).body as Problem;
  expect(errors).toEqual([{ field: 'becomes[0]', message: 'there is something from 8:00 to 8:40' }]);
});

test('of two who put the same block right, the second is told and nothing is recorded twice', async () => {
  const [first, second] = await Promise.all([
    edit(piece(0, 60), piece(0, 45)),
    edit(piece(0, 60), piece(0, 30)),
  ]);
  expect([first.status, second.status].sort()).toEqual([200, 409]);
});

test('a code, words, and nothing at all find what time can be put on', async () => {
  const { code } = ((await shop.get(`/api/work/${shop.order}`)).body as { tasks: { code: string }[] })
    .tasks[0] as { code: string };
  const find = async (words: string) =>
    (await shop.get(`/api/reconcile/targets?search=${encodeURIComponent(words)}`)).body as {
      targets: { title: string }[];
      exact: string | null;
    };
  expect(await find(code.toLowerCase())).toMatchObject({
    exact: shop.strip,
    targets: [{ title: '1001 Strip' }],
  });
  const printed = await shop.post('/api/travelers', { orders: [shop.order], workTypes: ['setup'] });
  const [setup] = (
    printed.body as { travelers: { tasks: { codes: { workType: string; code: string }[] }[] }[] }
  ).travelers.flatMap(({ tasks }) => tasks[0]?.codes.filter(({ workType }) => workType === 'setup') ?? []);
  expect(await find(setup?.code ?? '')).toMatchObject({
    exact: shop.strip,
    targets: [{ title: '1001 Strip', workType: 'setup' }],
  });
  expect((await find('1001 winding')).targets.map(({ title }) => title)).toEqual(['1001 Winding']);
  expect((await find('nothing such')).targets).toEqual([]);
  // What somebody is on comes before what answers as well, with how many are.
  expect((await find('')).targets.slice(0, 2)).toMatchObject([
    { title: '1001 Winding', more: expect.stringContaining('1 on it now') as string },
    { title: '1001 Strip' },
  ]);
  expect((await find('st')).targets[0]).toMatchObject({ title: '1001 Strip' });
});
