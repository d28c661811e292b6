import type { JobWeekJson, WeekJson } from '@wergon/contract/timesheet';
import type { Problem } from '@wergon/contract/wire';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
});
afterEach(() => shop.close());

const row = (more: object = {}) => ({
  entry: null,
  technician: shop.ada,
  target: shop.strip,
  workType: 'run',
  day: '2026-03-02',
  seconds: 5400,
  ...more,
});
const enter = (rows: object[]) => shop.post('/api/reconcile/hours', { rows });
const week = async () =>
  (await shop.get(`/api/reconcile/week?technician=${shop.ada}&day=2026-03-04`)).body as WeekJson;
const cells = async () =>
  (await week()).rows.map(({ title, workType, cells: own }) => [
    title,
    workType,
    own.map(
      ({ scannedSeconds, entered }) => scannedSeconds + entered.reduce((s, { seconds }) => s + seconds, 0),
    ),
  ]);

test('a number becomes a length on its day, is changed, and is taken out', async () => {
  const { entries } = (await enter([row()])).body as { entries: string[] };
  expect(await cells()).toEqual([['1001 Strip', 'run', [5400, 0, 0, 0, 0, 0, 0]]]);
  await enter([row({ entry: entries[0], seconds: 3600 })]);
  expect(await cells()).toEqual([['1001 Strip', 'run', [3600, 0, 0, 0, 0, 0, 0]]]);
  await enter([row({ entry: entries[0], seconds: 0 })]);
  expect(await cells()).toEqual([]);
});

test('what is scanned stands in the same week', async () => {
  await shop.send(shop.scan('work-start', 0, shop.ada, [shop.strip]), shop.scan('work-stop', 60, shop.ada));
  await enter([row({ seconds: 600 })]);
  expect(await cells()).toEqual([['1001 Strip', 'run', [600, 3600, 0, 0, 0, 0, 0]]]);
});

test.each<[more: object, field: string, why: string]>([
  [{ day: '2026-03-04' }, 'rows[0].day', 'a future day'],
  [{ seconds: 90_000 }, 'rows[0].seconds', 'more than a day can hold at all'],
  [{ technician: 'nobody' }, 'rows[0].technician', 'nobody of this name'],
  [{ target: 'nothing' }, 'rows[0].target', 'no such task'],
  [{ entry: 'none' }, 'rows[0].entry', 'a length that is not there'],
])('%j is refused at %s: %s', async (more, field) => {
  const { status, body } = await enter([row(more)]);
  expect([status, (body as Problem).errors?.[0]?.field]).toEqual([422, field]);
  expect(await cells()).toEqual([]);
});

test('several rows that together are more than the day holds are refused where it overflows', async () => {
  const { body } = await enter([row({ seconds: 80_000 }), row({ seconds: 7_000, target: shop.winding })]);
  expect((body as Problem).errors).toEqual([
    { field: 'rows[1].seconds', message: '2026-03-02 would hold more than 24 hours' },
  ]);
  expect(await cells()).toEqual([]);
});

test('of a closed order no more is written down', async () => {
  await shop.post(`/api/work/${shop.order}/state`, { state: 'finished' });
  await shop.post(`/api/work/${shop.order}/state`, { state: 'closed' });
  expect(((await enter([row()])).body as Problem).errors).toEqual([
    { field: 'rows[0].target', message: 'its order is closed' },
  ]);
});

test('a length of any kind of work is seen with its job, which says what it comes to against its estimate', async () => {
  await enter([row(), row({ workType: 'rework', seconds: 900 })]);
  const path = `/api/reconcile/job-week?target=${shop.strip}&day=2026-03-02`;
  const job = (await shop.get(path)).body as JobWeekJson;
  expect(job.people.find(({ technician }) => technician === shop.ada)).toMatchObject({
    totalSeconds: 6300,
    cells: [{ entered: [{ workType: 'run' }, { workType: 'rework', seconds: 900 }] }, {}, {}, {}, {}, {}, {}],
  });
  expect(job.task).toMatchObject({
    hasEstimate: true,
    comparison: { actualSeconds: 6300, overSeconds: 6300 - 3600 },
    used: { run: 5400, rework: 900 },
  });
});

test('a week without anything says when the last time was', async () => {
  await enter([row({ day: '2026-02-10' })]);
  expect(await week()).toMatchObject({ rows: [], lastDay: '2026-02-10' });
});
