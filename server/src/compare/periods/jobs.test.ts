import type { z } from 'zod';
import type { comparedCausesSchema, comparedJobsSchema } from '@wergon/contract/compare';
import { openTestShop } from '../../app/testShop.fixture.ts';
import type { TestShop } from '../../app/testShop.fixture.ts';

type Jobs = z.input<typeof comparedJobsSchema>;
type Causes = z.input<typeof comparedCausesSchema>;
let shop: TestShop;
beforeAll(async () => {
  shop = await openTestShop();
  await shop.send(
    shop.scan('work-start', 0, shop.ada, [shop.strip]),
    { ...shop.scan('work-start', 30, shop.ada, [shop.strip]), workType: 'rework' },
    shop.scan('task-done', 60, shop.ada, [shop.strip]),
    shop.scan('work-start', 60, shop.bo, [shop.winding]),
    shop.scan('work-stop', 75, shop.bo),
  );
});
afterAll(() => shop.close());

const WEEK = 'from=2026-03-02&to=2026-03-08';
const jobs = async (query = WEEK, cookie = shop.desk) =>
  (await shop.get(`/api/compare/jobs?${query}`, cookie)).body as Jobs;
const causes = async (query = '', cookie = shop.desk) =>
  (await shop.get(`/api/compare/causes?${WEEK}${query}`, cookie)).body as Causes;
const cents = (text: string) => Math.round(Number(text) * 100);

test('a job that goes on is on the floor and not among the finished', async () => {
  expect((await jobs()).jobs).toEqual([]);
  const [job] = (await jobs(`${WEEK}&show=floor`)).jobs;
  expect(job).toMatchObject({
    number: '1001',
    finishedDay: null,
    taskCount: 2,
    current: { isFinished: false },
  });
});

describe('once all of it is done', () => {
  beforeAll(() => shop.send(shop.scan('task-done', 80, shop.bo, [shop.winding])));

  test('it is among the finished of its day, and of no other', async () => {
    const told = await jobs();
    expect(told.jobs).toMatchObject([
      { number: '1001', finishedDay: '2026-03-03', current: { isFinished: true } },
    ]);
    expect((await jobs('from=2026-03-04&to=2026-03-08')).jobs).toEqual([]);
    expect((await jobs('from=2026-03-03&to=2026-03-03')).jobs).toHaveLength(1);
    expect((await jobs(`${WEEK}&show=floor`)).jobs).toEqual([]);
  });

  test('it says the same as its own page, and its causes add up', async () => {
    const {
      jobs: [job],
      total,
    } = await jobs();
    const why = (await shop.get(`/api/work/${shop.order}/why`)).body as { current: Jobs['total'] };
    expect(job?.current).toEqual(why.current);
    expect(total).toEqual(why.current);
    const sum = (job?.current.causes ?? []).reduce((all, each) => all + cents(each.cents), 0);
    expect(sum).toBe(cents(job?.current.difference ?? ''));
    expect(job?.main.length).toBeGreaterThan(0);
  });

  test.each(['workCenter', 'task', 'standard', 'grade', 'customer', 'division', 'jobType', 'month'])(
    'by %s the groups and the months add up to the whole',
    async (by) => {
      const told = await causes(`&by=${by}`);
      const whole = (await jobs()).total;
      const sum = (list: readonly { difference: { difference: string; differenceSeconds: number } }[]) => [
        list.reduce((all, { difference }) => all + cents(difference.difference), 0),
        list.reduce((all, { difference }) => all + difference.differenceSeconds, 0),
      ];
      const expected = [cents(whole.difference), whole.differenceSeconds];
      expect(sum(told.groups)).toEqual(expected);
      expect(sum(told.months)).toEqual(expected);
      expect(told.total).toEqual(whole);
      expect(told).toMatchObject({ taskCount: 2, jobCount: 1 });
    },
  );

  test('a group leads to its jobs, with what lies in it', async () => {
    const { groups } = await causes('&by=task');
    const strip = groups.find(({ key }) => key === 'Strip');
    const told = await causes('&by=task&group=Strip&cause=rework');
    expect(told.jobs).toMatchObject([{ number: '1001' }]);
    expect(told.jobs[0]?.difference).toEqual(strip?.difference);
    expect((await causes('&by=task&group=Nothing')).jobs).toEqual([]);
  });

  test.each([
    ['customer=Stock', 1],
    ['customer=Nobody', 0],
    ['search=1001%20rew', 1],
    ['search=1002', 0],
    ['month=2026-03-01&standard=', 1],
    ['month=2026-02-01', 0],
  ])('narrowed by %s it tells %i of all', async (asked, count) => {
    const told = await jobs(`${WEEK}&${asked}`);
    expect(told).toMatchObject({ jobCount: count, all: { jobCount: 1, values: { customer: ['Stock'] } } });
    expect(told.jobs).toHaveLength(count);
  });

  test('grouped it tells the groups, and the jobs of the one that is opened', async () => {
    const told = await jobs(`${WEEK}&by=jobType`);
    expect(told.groups).toEqual([{ key: '', jobCount: 1, difference: told.total }]);
    expect(told.jobs).toEqual([]);
    expect((await jobs(`${WEEK}&by=jobType&key=`)).jobs).toMatchObject([{ number: '1001' }]);
    expect((await jobs(`${WEEK}&by=jobType&key=pump`)).jobs).toEqual([]);
  });

  test('taken up again it goes on', async () => {
    await shop.send(shop.scan('task-reopen', 90, shop.bo, [shop.winding]));
    expect((await jobs()).jobs).toEqual([]);
    await shop.send(shop.scan('task-done', 95, shop.bo, [shop.winding]));
    expect((await jobs()).jobs).toHaveLength(1);
  });
});

test('who may not see rates is told nothing of what a person costs', async () => {
  const mikko = await shop.addUser({ name: 'Mikko', userName: 'mikko', role: 'supervisor' });
  const told = await jobs(WEEK, mikko);
  expect(told.costs).toBe('standard');
  expect(JSON.stringify([told, await causes('&by=task&group=Strip', mikko)])).not.toContain('"rate"');
});

test.each([
  ['from=2026-03-08&to=2026-03-02', 'to'],
  ['from=2010-01-01&to=2026-03-02', 'to'],
  ['from=2026-03-02', 'to'],
  ['from=yesterday&to=2026-03-02', 'from'],
  [`${WEEK}&show=all`, 'show'],
  [`${WEEK}&sort=best`, 'sort'],
  [`${WEEK}&by=person`, 'by'],
  [`${WEEK}&most=0`, 'most'],
  [`${WEEK}&most=1e9`, 'most'],
  [`${WEEK}&search=${'a'.repeat(201)}`, 'search'],
])('%s is refused, and %s named', async (query, field) => {
  const { status, body } = await shop.get(`/api/compare/jobs?${query}`);
  expect(status).toBe(422);
  expect(body).toMatchObject({ errors: [{ field }] });
});
