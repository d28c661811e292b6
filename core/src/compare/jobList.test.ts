import fc from 'fast-check';
import { toCents } from '../money/money.ts';
import { addDays, formatDay, parseDay } from '../time/day.ts';
import { monthOf } from '../time/period.ts';
import { toSeconds } from '../time/seconds.ts';
import { sumDifferences } from './causes.ts';
import { JOB_FIELDS, JOB_SORTS, differenceSteps, findJobs, groupJobs, valuesOfJobs } from './jobList.ts';
import type { AskedList, JobSort, ListedJob } from './jobList.ts';

const day = (text: string) => {
  const parsed = parseDay(text);
  if (!parsed.ok) throw new Error(text);
  return parsed.value;
};
const job = (
  number: string,
  euros: number,
  hours: number,
  finished: string,
  more: Partial<ListedJob> = {},
) => {
  const finishedDay = finished === '' ? null : day(finished);
  return {
    number,
    title: 'Rewind',
    customer: 'Aker Dairy',
    division: '',
    jobType: '',
    standard: '',
    estimator: 'Ida',
    month: finishedDay === null ? '' : formatDay(monthOf(finishedDay)),
    finishedDay,
    current: {
      ...sumDifferences([]),
      difference: toCents(euros * 100),
      differenceSeconds: toSeconds(hours * 3600),
    },
    ...more,
  } satisfies ListedJob;
};
const JOBS = [
  job('5003', 100, 1, '2026-03-02'),
  job('5001', -40, 4, '2026-02-27', { customer: 'Port of Vik', jobType: 'pump' }),
  job('5002', 100, -2, '2026-03-09', { customer: 'Port of Vik', title: 'New shaft' }),
  job('5004', 0, 0, '', { estimator: '' }),
];
const ALL: AskedList = { only: {}, search: '', sort: 'number' };
const numbers = (asked: Partial<AskedList>) =>
  findJobs(JOBS, { ...ALL, ...asked }).map(({ number }) => number.slice(-1));

test.each<[sort: JobSort, told: string[]]>([
  ['over', ['2', '3', '4', '1']],
  ['hours', ['1', '3', '4', '2']],
  ['under', ['1', '4', '2', '3']],
  ['latest', ['2', '3', '1', '4']],
  ['number', ['1', '2', '3', '4']],
])('by %s; where that says nothing, by number', (sort, told) => {
  expect(numbers({ sort })).toEqual(told);
});

test.each<[what: string, asked: Partial<AskedList>, told: string[]]>([
  ['nothing asked', {}, ['1', '2', '3', '4']],
  ['words of a customer', { search: ' vik ' }, ['1', '2']],
  ['words of a title, whatever their case', { search: 'NEW SHAFT' }, ['2']],
  ['a number', { search: '5004' }, ['4']],
  ['words that reach from number to title', { search: '5003 rew' }, ['3']],
  ['one customer', { only: { customer: 'Port of Vik' } }, ['1', '2']],
  ['two fields at once', { only: { customer: 'Port of Vik', jobType: 'pump' } }, ['1']],
  ['a month by its first day', { only: { month: '2026-03-01' } }, ['2', '3']],
  ['those that have none', { only: { estimator: '' } }, ['4']],
  ['what none has', { only: { division: 'East' } }, []],
])('narrowed to %s', (_what, asked, told) => {
  expect(numbers(asked)).toEqual(told);
});

test('the values to choose among are those that jobs have, in order', () => {
  expect(valuesOfJobs(JOBS)).toEqual({
    customer: ['Aker Dairy', 'Port of Vik'],
    division: [],
    jobType: ['pump'],
    standard: [],
    estimator: ['Ida'],
    month: ['2026-02-01', '2026-03-01'],
  });
});

describe('by week or month', () => {
  const steps = (first: string, last: string) => {
    const told = differenceSteps(JOBS, { firstDay: day(first), lastDay: day(last) });
    return [
      told.isMonthly,
      ...told.steps.map(({ firstDay, cents }) => `${formatDay(firstDay).slice(5)} ${cents / 100}`),
    ];
  };
  test.each([
    ['2026-02-23', '2026-03-15', [false, '02-23 -40', '03-02 100', '03-09 100']],
    ['2026-03-02', '2026-03-02', [false, '03-02 100']],
    [
      '2026-01-15',
      '2026-08-01',
      [true, '01-01 0', '02-01 -40', '03-01 200', '04-01 0', '05-01 0', '06-01 0', '07-01 0', '08-01 0'],
    ],
  ])('from %s to %s', (first, last, told) => {
    expect(steps(first, last)).toEqual(told);
  });
});

const anyJob = fc
  .record({
    number: fc.integer({ min: 1, max: 500 }),
    euros: fc.integer({ min: -5000, max: 5000 }),
    hours: fc.integer({ min: -50, max: 50 }),
    after: fc.option(fc.integer({ min: 0, max: 200 })),
    customer: fc.constantFrom('', 'Aker Dairy', 'Port of Vik'),
  })
  .map(({ number, euros, hours, after, customer }) =>
    job(String(number), euros, hours, after === null ? '' : formatDay(addDays(day('2026-01-01'), after)), {
      customer,
    }),
  );
const difference = (jobs: readonly { readonly current: { readonly difference: number } }[]) =>
  jobs.reduce((sum, { current }) => sum + current.difference, 0);

test('whatever the order no job is lost or told twice; groups and steps add up to the whole', () => {
  fc.assert(
    fc.property(fc.array(anyJob), fc.constantFrom(...JOB_SORTS), (jobs, sort) => {
      const found = findJobs(jobs, { ...ALL, sort });
      expect(new Set(found)).toEqual(new Set(jobs));
      expect(found).toHaveLength(jobs.length);
      for (const field of JOB_FIELDS) {
        const groups = groupJobs(jobs, field);
        expect(groups.reduce((sum, { items }) => sum + items.length, 0)).toBe(jobs.length);
        expect(groups.reduce((sum, group) => sum + group.difference.difference, 0)).toBe(difference(jobs));
        for (const { key, items } of groups)
          expect(findJobs(jobs, { ...ALL, only: { [field]: key } })).toHaveLength(items.length);
      }
      const { steps } = differenceSteps(jobs, { firstDay: day('2026-01-01'), lastDay: day('2026-07-31') });
      const finished = jobs.filter(({ finishedDay }) => finishedDay !== null);
      expect(steps.reduce((sum, { cents }) => sum + cents, 0)).toBe(difference(finished));
    }),
  );
});
