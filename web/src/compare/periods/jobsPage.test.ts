/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type { ComparedJob } from '@wergon/contract/compare';
import type { CausedDifference, ListedJob } from '@wergon/core/compare';
import {
  JOB_FIELDS,
  JOB_SORTS,
  differenceScale,
  differenceSteps,
  findJobs,
  groupJobs,
  sumDifferences,
  valuesOfJobs,
} from '@wergon/core/compare';
import { server } from '../../kit/fakeServer.fixture.ts';
import JobsPage from './JobsPage.vue';
import { PERIOD, day, differs, imitateBrowser, open } from './pages.fixture.ts';

jest.mock('../../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../../kit/callRoute.ts'),
  ...jest.requireActual<object>('../../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);
beforeAll(imitateBrowser);
beforeEach(() => {
  server.calls = [];
});

type Job = ComparedJob & ListedJob;
const job = (number: string, current: CausedDifference, more: Partial<Job> = {}): Job => ({
  id: number as ComparedJob['id'],
  number,
  title: 'Rewind',
  customer: 'Aker Dairy',
  division: '',
  jobType: '',
  standard: '',
  estimator: '',
  finishedDay: day('2026-03-02'),
  hasEstimate: true,
  taskCount: 9,
  month: '2026-03-01',
  current,
  main: current.causes.slice(0, 1).map((share) => ({ ...share, task: 'Winding' })),
  ...more,
});
/** What the server says of some jobs to what is asked. */
function tellJobs(jobs: readonly Job[], query: Readonly<Record<string, string>>) {
  const { by, key, most, search = '', sort } = query;
  const field = JOB_FIELDS.find((each) => each === by);
  const found = findJobs(jobs, {
    only: query,
    search,
    sort: JOB_SORTS.find((each) => each === sort) ?? 'over',
  });
  const groups = field ? groupJobs(found, field) : [];
  const listed = field ? (groups.find((group) => group.key === key)?.items ?? []) : found;
  const bars = found.map(({ current }) => current);
  return {
    ...PERIOD,
    all: { jobCount: jobs.length, values: valuesOfJobs(jobs) },
    jobCount: found.length,
    taskCount: found.reduce((sum, { taskCount }) => sum + taskCount, 0),
    total: sumDifferences(bars),
    ruler: differenceSteps(found, PERIOD),
    scales: { money: differenceScale(bars, 'money'), hours: differenceScale(bars, 'hours') },
    groups: groups.map(({ key: own, items, difference }) => ({
      key: own,
      jobCount: items.length,
      difference,
    })),
    jobs: listed.slice(0, Number(most)),
  };
}

const jobs = [
  job('5001', differs(['run', 2, 100], ['rate', 0, -20])),
  job('5002', differs(['setup', -1, -40]), { customer: 'Port of Vik', taskCount: 1 }),
  job('5003', differs(), { hasEstimate: false, customer: 'Port of Vik', taskCount: 1 }),
];
const lines = (page: Awaited<ReturnType<typeof open>>['page']) =>
  page.findAll('.job-line').map((line) => line.text().replace(/\s+/g, ' '));

test('the sum first, then the jobs, most over first, each with what counts most and where', async () => {
  const { page } = await open(JobsPage, (_name, query) => tellJobs(jobs, query));
  expect(page.text()).toContain('3 jobs finished');
  expect(page.text()).toContain('+€40.00 more than estimated');
  expect(lines(page).map((text) => text.slice(0, 4))).toEqual(['5001', '5003', '5002']);
  expect(lines(page)[0]).toContain('2:00 more at Winding');
  expect(lines(page)[1]).toContain('no estimate');
  expect(lines(page)[2]).toContain('1:00 less setup at Winding');
});

test('what is narrowed is said, cleared in one step, and rests on few tasks where it does', async () => {
  const { page, press } = await open(JobsPage, (_name, query) => tellJobs(jobs, query));
  await page.get('select[aria-label="Only some customers"]').setValue('Port of Vik');
  await flushPromises();
  expect(page.text()).toContain('2 of 3 jobs shown.');
  expect(page.text()).toContain('rests on 2 tasks only');
  expect(lines(page)).toHaveLength(2);
  await press('Show all');
  await flushPromises();
  expect(lines(page)).toHaveLength(3);
});

test('grouped by customer the groups open to their jobs', async () => {
  const { page } = await open(JobsPage, (_name, query) => tellJobs(jobs, query));
  await page.get('select[aria-label="Grouped by"]').setValue('customer');
  await flushPromises();
  const groups = page.findAll('.group-line');
  expect(groups.map((group) => group.get('.name').text())).toEqual(['Aker Dairy1 job', 'Port of Vik2 jobs']);
  expect(lines(page)).toHaveLength(0);
  await groups[1]?.trigger('click');
  await flushPromises();
  expect(lines(page)).toHaveLength(2);
});

test('of many the first hundred are listed, and more when they are asked for', async () => {
  const many = Array.from({ length: 230 }, (_each, i) => job(String(6000 + i), differs(['run', 1, i])));
  const { page, press } = await open(JobsPage, (_name, query) => tellJobs(many, query));
  expect(page.text()).toContain('230 jobs finished');
  expect(lines(page)).toHaveLength(100);
  expect(page.text()).toContain('100 of 230 shown');
  await press('Show more');
  await flushPromises();
  expect(lines(page)).toHaveLength(200);
  await press('Show more');
  await flushPromises();
  expect(lines(page)).toHaveLength(230);
  expect(page.text()).not.toContain('Show more');
});

test('a period in which nothing was finished leads to the year', async () => {
  const { page, press, router } = await open(JobsPage, (_name, query) => tellJobs([], query));
  expect(page.text()).toContain('No job was finished in this period.');
  await press('Look at the whole year');
  expect(router.currentRoute.value.query).toMatchObject({ period: 'year' });
  expect(server.calls.at(-1)?.options).toMatchObject({ query: { show: 'finished' } });
});
