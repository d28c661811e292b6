import type { z } from 'zod';
import type { EffectJson, LooseEndsJson } from '@wergon/contract/loose-ends';
import type { personDaySchema } from '@wergon/contract/tape';
import type { Problem } from '@wergon/contract/wire';
import { SEVEN, at, cookieOf, openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

// Ada came at 7:00, took a break at 9:00 and began to work again at 9:30; nobody signed her out. It is the next morning.
let shop: TestShop;
let desk: string;
beforeEach(async () => {
  shop = await openTestShop();
  shop.clock.set((SEVEN + 3 * 3600) * 1000);
  await shop.send(
    shop.scan('shift-in', 0, shop.ada),
    shop.scan('work-start', 0, shop.ada, [shop.strip]),
    shop.scan('break-start', 120, shop.ada),
    shop.scan('work-start', 150, shop.ada, [shop.strip]),
  );
  shop.clock.set((SEVEN + 24 * 3600) * 1000);
  desk = cookieOf(await shop.post('/api/sign-in', { userName: 'sol', password: 'long enough' }, ''));
});
afterEach(() => shop.close());

const day = async () =>
  (await shop.get(`/api/reconcile/day?technician=${shop.ada}&day=2026-03-03`, desk)).body as z.input<
    typeof personDaySchema
  >;
const ends = async () =>
  (
    (await shop.get('/api/reconcile?from=2026-03-03&to=2026-03-04', desk)).body as LooseEndsJson
  ).looseEnds.map(({ kind }) => kind);
type Allocation = { from: string; to: string | null } | null;
const edit = (kind: string, was: Allocation, becomes: Allocation, path = '/api/reconcile/presence') =>
  shop.post(path, { technician: shop.ada, kind, was, becomes }, desk);
const piece = (from: number, to: number | null) => ({ from: at(from), to: to === null ? null : at(to) });
const minutes = (instant: string) => (Date.parse(instant) / 1000 - SEVEN) / 60;

test('a shift that the rule ended is said to have ended when it did; what runs ends with it, as was shown', async () => {
  const [shift] = (await day()).shifts;
  expect(shift).toMatchObject({ isTorn: true, isOpen: false });
  expect(minutes(shift?.to ?? '')).toBe(16 * 60);
  const becomes = piece(0, 8 * 60);
  const shown = await edit('shift', piece(0, 16 * 60), becomes, '/api/reconcile/presence/preview');
  const effect = shown.body as EffectJson;
  expect(effect.jobs).toMatchObject([{ title: '1001 Strip', afterSeconds: (8 * 60 - 30) * 60 }]);
  expect(effect.looseEndsAfter).toBeLessThan(effect.looseEndsBefore);
  expect(await ends()).toContain('forgotten-shift-out');

  const { entries } = (await edit('shift', piece(0, 16 * 60), becomes)).body as { entries: string[] };
  const after = await day();
  expect(after.shifts).toMatchObject([{ isTorn: false }]);
  expect(after.stints.map(({ to }) => minutes(to))).toEqual([120, 8 * 60]);
  expect(await ends()).not.toContain('forgotten-shift-out');

  await shop.post('/api/reconcile/undo', { entries }, desk);
  expect((await day()).shifts).toMatchObject([{ isTorn: true }]);
});

test('a break that work ended is made shorter, and one that was forgotten is added', async () => {
  expect((await edit('break', piece(120, 150), piece(120, 140))).status).toBe(200);
  expect((await edit('break', null, piece(300, 315))).status).toBe(200);
  const { breaks, stints } = await day();
  expect(breaks.map(({ from, to }) => [minutes(from), minutes(to)])).toEqual([
    [120, 140],
    [300, 315],
  ]);
  // What the break suspended runs again from its end, until it is begun anew.
  expect(stints.map(({ from, to }) => [minutes(from), minutes(to)]).slice(0, 3)).toEqual([
    [0, 120],
    [140, 300],
    [315, 315 + (16 * 60 - 315)],
  ]);
});

test.each<
  [
    kind: string,
    was: [number, number | null] | null,
    becomes: [number, number | null] | null,
    code: string,
    why: string,
  ]
>([
  ['shift', [0, 500], [0, 480], 'edit.block_changed', 'it is another by now'],
  ['shift', null, [600, 700], 'edit.presence_overlap', 'she was in then'],
  ['shift', null, [24 * 60 + 10, null], 'edit.future', 'it has not begun'],
  ['break', [120, 150], [120, 110], 'edit.ends_before_start', 'it would end before it began'],
  ['break', [120, 150], [120, 200], 'edit.work_is_there', 'she worked then'],
])('%s %j is not made %j: %s, because %s', async (kind, was, becomes, code) => {
  const before = await day();
  const answer = await edit(kind, was && piece(...was), becomes && piece(...becomes));
  expect((answer.body as Problem).type).toBe(`urn:wergon:${code}`);
  expect({ ...(await day()), asOf: '' }).toEqual({ ...before, asOf: '' });
});

test('of two who put the same shift right, the second is told', async () => {
  const both = await Promise.all([480, 500].map((to) => edit('shift', piece(0, 960), piece(0, to))));
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
});
