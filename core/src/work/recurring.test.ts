import * as fc from 'fast-check';
import { addDays, addMonths, formatDay, parseDay, toInstant } from '../time/index.ts';
import type { LocalDay } from '../time/index.ts';
import { isDueSoon, lastDone, nextDue } from './recurring.ts';
import type { OrderState } from './orderState.ts';
import type { Reading } from './recurring.ts';

const day = (text: string): LocalDay => {
  const read = parseDay(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};
const said = ({ day: on, atHours }: ReturnType<typeof nextDue>) => [
  on === null ? null : formatDay(on),
  atHours,
];

test.each([
  ['2026-01-15', 1, '2026-02-15', 'a month on'],
  ['2026-01-31', 1, '2026-02-28', 'of a short month its last day'],
  ['2024-01-31', 1, '2024-02-29', 'of a leap year too'],
  ['2026-11-30', 3, '2027-02-28', 'over the year'],
  ['2026-03-31', -1, '2026-02-28', 'and back'],
])('%s and %i months: %s (%s)', (from, months, to) => {
  expect(formatDay(addMonths(day(from), months))).toBe(to);
});

const read = (...readings: (readonly [string, number])[]): Reading[] =>
  readings.map(([on, hours]) => ({ day: day(on), hours }));
test.each<[readings: Reading[], due: (string | number | null)[], why: string]>([
  [[], [null, null], 'never read'],
  [read(['2026-01-01', 1000]), [null, 1500], 'read once: how many hours, but no day'],
  [read(['2026-01-01', 1000], ['2026-01-11', 1100]), ['2026-02-20', 1500], 'ten hours a day'],
  [
    read(['2026-01-11', 1100], ['2026-01-01', 1000]),
    ['2026-02-20', 1500],
    'in whatever order they were read',
  ],
  [read(['2026-01-01', 1000], ['2026-01-11', 1000]), [null, 1500], 'it stands still'],
  [
    read(['2026-01-01', 1000], ['2026-01-11', 1100], ['2026-02-01', 1520]),
    ['2026-02-01', 1500],
    'reached, as was seen when it was read',
  ],
  [
    read(['2025-12-22', 900], ['2026-01-11', 1100]),
    ['2026-02-20', 1500],
    'between two readings in proportion',
  ],
  [
    read(['2026-01-06', 1000], ['2026-01-11', 1050]),
    ['2026-02-25', 1500],
    'first read later than it was done',
  ],
])('500 running hours after 1 January with %j: %j (%s)', (readings, due) => {
  expect(said(nextDue({ kind: 'hours', every: 500 }, day('2026-01-01'), readings))).toEqual(due);
});

test('months look at no meter', () => {
  const due = nextDue({ kind: 'months', every: 6 }, day('2026-01-31'), read(['2026-02-01', 99_999]));
  expect(said(due)).toEqual(['2026-07-31', null]);
});

test.each([
  [{ kind: 'months', every: 100_000 } as const, '2026-01-01', [], 'in eight thousand years'],
  [{ kind: 'months', every: 12 } as const, '9999-06-01', [], 'after the last date there is'],
  [
    { kind: 'hours', every: 100_000 } as const,
    '2026-01-01',
    read(['2026-01-01', 0], ['2026-12-31', 1]),
    'of a unit that hardly runs',
  ],
])('%j after %s is due on no day that anybody plans: %j (%s)', (cadence, last, readings, _why) => {
  expect(nextDue(cadence, day(last), readings).day).toBeNull();
});

test('more to run is never due sooner, and a day that is reckoned never lies before the last reading', () => {
  const anyReading = fc.record({
    days: fc.integer({ min: 1, max: 400 }),
    more: fc.integer({ min: 0, max: 9000 }),
  });
  fc.assert(
    fc.property(
      fc.array(anyReading, { maxLength: 6 }),
      fc.integer({ min: 1, max: 10_000 }),
      fc.integer({ min: 1, max: 10_000 }),
      (steps, a, b) => {
        const first = day('2026-01-01');
        let at = { day: first, hours: 0 };
        const readings = [
          at,
          ...steps.map(({ days, more }) => (at = { day: addDays(at.day, days), hours: at.hours + more })),
        ];
        const dueAfter = (every: number) => nextDue({ kind: 'hours', every }, first, readings);
        const [sooner, later] = [dueAfter(Math.min(a, b)), dueAfter(Math.max(a, b))];
        if (sooner.day !== null && later.day !== null) expect(sooner.day).toBeLessThanOrEqual(later.day);
        if (sooner.day === null) expect(later.day).toBeNull();
        if (later.isReckoned && later.day !== null) expect(later.day).toBeGreaterThanOrEqual(at.day);
      },
    ),
  );
});

const zone = { dayAt: (at: number) => Math.floor(at / 86_400) as LocalDay };
const at = (text: string) => toInstant(day(text) * 86_400);
type States = readonly (readonly [string, OrderState])[];
test.each<[states: States | null, written: string, last: string, why: string]>([
  [null, '2026-01-01', '2026-01-01', 'without an order what was written down'],
  [[['2026-02-01', 'released']], '2026-01-01', '2026-01-01', 'an order that is open says nothing'],
  [[['2026-02-01', 'lost']], '2026-01-01', '2026-01-01', 'nor does one that was lost'],
  [
    [
      ['2026-02-01', 'released'],
      ['2026-02-10', 'finished'],
      ['2026-03-01', 'closed'],
    ],
    '2026-01-01',
    '2026-02-10',
    'the day on which it was finished, not closed',
  ],
  [
    [
      ['2026-02-01', 'released'],
      ['2026-02-10', 'finished'],
      ['2026-02-12', 'released'],
      ['2026-02-20', 'finished'],
    ],
    '2026-01-01',
    '2026-02-20',
    'taken up again: for the last time',
  ],
  [
    [
      ['2026-02-01', 'released'],
      ['2026-02-10', 'finished'],
    ],
    '2026-03-05',
    '2026-03-05',
    'done elsewhere later, as was written down',
  ],
  [
    [
      ['2026-02-01', 'released'],
      ['2027-02-10', 'finished'],
    ],
    '2026-01-01',
    '2026-01-01',
    'not finished yet',
  ],
])('an order of %j, and %s written down: last done %s (%s)', (states, written, last) => {
  const order = states?.map(([from, value]) => ({ from: at(from), value }));
  expect(formatDay(lastDone(day(written), order, zone, at('2026-12-01')))).toBe(last);
});

test.each([
  ['2026-03-31', false, false, true],
  ['2026-04-01', false, false, false],
  ['2020-01-01', false, false, true],
  ['2020-01-01', true, false, false],
  ['2020-01-01', false, true, false],
  [null, false, false, false],
])('due %s, switched off %j, with an order %j: wanted soon on 1 March %j', (on, isOff, hasOrder, isSoon) => {
  const due = { day: on === null ? null : day(on) };
  expect(isDueSoon({ due, isOff, hasOrder }, day('2026-03-01'))).toBe(isSoon);
});
