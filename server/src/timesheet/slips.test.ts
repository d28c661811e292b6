import type { DraftJson, WeekJson } from '@wergon/contract/timesheet';
import type { PersonDayJson } from '@wergon/contract/tape';
import type { Problem } from '@wergon/contract/wire';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
});
afterEach(() => shop.close());

const clock = (hours: number) => hours * 3600;
const row = (more: object = {}) => ({
  technician: shop.ada,
  target: shop.strip,
  workType: 'run',
  day: '2026-03-02',
  ...more,
});
const record = (rows: object[], more: object = {}) => shop.post('/api/reconcile/slips', { rows, ...more });
const day = async (who = shop.ada) =>
  (await shop.get(`/api/reconcile/day?technician=${who}&day=2026-03-02`)).body as PersonDayJson;
const problemOf = async (rows: object[]) => {
  const { status, body } = await record(rows);
  const { errors, type } = body as Problem;
  return [status, errors?.[0]?.field ?? type];
};

test('a slip with times lies on the tape with its pieces and its note, and is taken back as one', async () => {
  const timed = row({ from: clock(7), to: clock(9), good: 12, scrap: 1, note: 'short of wire' });
  const { body } = await record([timed, row({ technician: shop.bo, seconds: 1800 })]);
  const { stints } = await day();
  const hourOf = (at: unknown) => String(at).slice(11, 16);
  expect(stints.map(({ from, to, running }) => [hourOf(from), hourOf(to), running[0]?.target])).toEqual([
    ['06:00', '08:00', shop.strip],
  ]);
  const story = JSON.stringify((await shop.get(`/api/story?order=${shop.order}`)).body);
  expect(story).toContain('short of wire');
  expect((await day(shop.bo)).hours.map(({ seconds }) => seconds)).toEqual([1800]);
  await shop.post('/api/reconcile/undo', { entries: (body as { entries: string[] }).entries });
  expect((await day()).stints).toEqual([]);
  expect((await day(shop.bo)).hours).toEqual([]);
});

test('an end that is not behind its start lies on the next day', async () => {
  await record([row({ day: '2026-03-01', from: clock(22), to: clock(2) })]);
  const week = (await shop.get(`/api/reconcile/week?technician=${shop.ada}&day=2026-03-02`)).body as WeekJson;
  expect(week.rows.map(({ cells }) => cells[0]?.scannedSeconds)).toEqual([7200]);
});

test.each<[more: object, field: string, why: string]>([
  [{}, 'rows[0].seconds', 'neither times nor a length'],
  [{ from: clock(7), to: clock(8), seconds: 60 }, 'rows[0].seconds', 'both'],
  [{ from: clock(7) }, 'rows[0].to', 'a start without an end'],
  [{ from: clock(24), to: clock(8) }, 'rows[0].from', 'no time of day'],
  [{ from: 7.5, to: clock(8) }, 'rows[0].from', 'half a second'],
  [{ seconds: 90_000 }, 'rows[0].seconds', 'more than a day can hold'],
  [{ seconds: 60, good: -1 }, 'rows[0].good', 'fewer pieces than none'],
  [{ seconds: 60, good: 1e12 }, 'rows[0].good', 'more pieces than anybody makes'],
  [{ seconds: 60, note: 'x'.repeat(501) }, 'rows[0].note', 'a note that is a book'],
  [{ seconds: 60, technician: 'nobody' }, 'rows[0].technician', 'nobody of this name'],
  [{ seconds: 60, target: 'nothing' }, 'rows[0].target', 'no such task'],
  [{ seconds: 60, day: '2026-03-04' }, 'rows[0].day', 'a future day'],
])('%j is refused at %s: %s', async (more, field) => {
  expect(await problemOf([row(more)])).toEqual([422, field]);
  expect(await day()).toMatchObject({ stints: [], hours: [] });
});

test('what lies over a scan, or fills a day beyond what it has, is refused whole at its row', async () => {
  await record([row({ from: clock(7), to: clock(9) })]);
  const before = await day();
  const over = row({ from: clock(8), to: clock(8.5) });
  expect(await problemOf([row({ seconds: 600 }), over])).toEqual([409, 'rows[1].from']);
  expect(await problemOf([row({ seconds: 86_000 })])).toEqual([422, 'rows[0].seconds']);
  expect(await day()).toEqual(before);
});

test('pieces of an activity are refused; a row sent twice is recorded once', async () => {
  const { activities } = (await shop.get('/api/shop')).body as { activities: { id: string }[] };
  const [activity] = activities;
  expect(await problemOf([row({ target: activity?.id, seconds: 60, good: 1 })])).toEqual([
    422,
    'rows[0].good',
  ]);
  const once = '00000000-0000-4000-8000-000000000001';
  const both = [
    await record([row({ seconds: 60 })], { once }),
    await record([row({ seconds: 60 })], { once }),
  ];
  expect(both.map(({ status }) => status)).toEqual([200, 200]);
  expect((await day()).hours).toHaveLength(1);
});

const drafts = async (cookie?: string) =>
  ((await shop.get('/api/reconcile/drafts', cookie)).body as { drafts: DraftJson[] }).drafts;
const keep = async (fields: object, cookie?: string) =>
  ((await shop.post('/api/reconcile/drafts', { id: null, fields }, cookie)).body as { id: string }).id;

test('drafts are kept, changed, counted nowhere, and gone when they are recorded', async () => {
  const id = await keep({ hours: '1,5' });
  await shop.post('/api/reconcile/drafts', { id, fields: { hours: '1,5', personText: 'Ada' } });
  expect(await drafts()).toMatchObject([
    { id, by: 'Sol', isOwn: true, fields: { hours: '1,5', personText: 'Ada', from: '' } },
  ]);
  expect((await day()).hours).toEqual([]);
  await record([row({ seconds: 5400 })], { drafts: [id] });
  expect(await drafts()).toEqual([]);
  expect((await shop.post(`/api/reconcile/drafts/${id}/drop`, {})).status).toBe(404);
});

test('a draft is seen by whoever may record it, who takes it over; its writer can change it no more', async () => {
  const lead = await shop.addUser({ userName: 'lea', role: 'lead', technician: shop.ada });
  const [unsaid, bos] = [await keep({ hours: '1' }), await keep({ technician: shop.bo, hours: '2' })];
  // A lead without a crew reaches nobody: only what is about nobody yet is theirs to finish.
  expect((await drafts(lead)).map(({ id, by, isOwn }) => [id, by, isOwn])).toEqual([[unsaid, 'Sol', false]]);
  expect((await shop.post(`/api/reconcile/drafts/${bos}/take`, {}, lead)).status).toBe(404);
  const change = (cookie: string) =>
    shop.post('/api/reconcile/drafts', { id: unsaid, fields: { hours: '3' } }, cookie);
  expect((await change(lead)).status).toBe(404);
  expect((await shop.post(`/api/reconcile/drafts/${unsaid}/take`, {}, lead)).status).toBe(200);
  expect([(await change(lead)).status, (await change(shop.desk)).status]).toEqual([200, 404]);
  expect((await drafts()).map(({ id, isOwn }) => [id, isOwn])).toEqual([
    [unsaid, false],
    [bos, true],
  ]);
});
