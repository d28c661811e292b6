import fc from 'fast-check';
import { parseRate, toCents } from '../money/money.ts';
import type { Rate } from '../money/money.ts';
import type { TargetId } from '../ledger/entries.ts';
import type { TechnicianId } from '../people/costRate.ts';
import { parseDay } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import { atStandardCost } from './standardCost.ts';
import type { StandardFacts } from './standardCost.ts';

const day = (text: string) => {
  const read = parseDay(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};
const rate = (text: string): Rate => {
  const read = parseRate(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};
const ada = 'ada' as TechnicianId;
const bo = 'bo' as TechnicianId;
const task = 'task' as TargetId;
const meeting = 'meeting' as TargetId;

/** Ada was a helper until March and is a winder since; the winders' rate went up on the 10th. Bo's record names nothing. */
const FACTS: StandardFacts = {
  gradesOf: new Map([
    [
      ada,
      [
        { from: day('2026-01-01'), grade: 'helper' },
        { from: day('2026-03-01'), grade: 'winder' },
      ],
    ],
    [bo, [{ from: day('2026-01-01'), grade: null }]],
  ]),
  gradeRates: new Map([
    ['helper', [{ from: day('2020-01-01'), rate: rate('30') }]],
    [
      'winder',
      [
        { from: day('2020-01-01'), rate: rate('50') },
        { from: day('2026-03-10'), rate: rate('60.0001') },
      ],
    ],
  ]),
};
const kept = (target: TargetId) => (target === task ? rate('40') : undefined);

test.each<[TechnicianId, string, TargetId, number, number | null, string]>([
  [ada, '2026-02-28', task, 3600, 3000, 'the grade of the record in force that day'],
  [ada, '2026-03-01', task, 3600, 5000, 'another record, another grade'],
  [ada, '2026-03-10', task, 3600, 6000, 'the grade’s rate of that day, rounded once'],
  [ada, '2025-12-31', task, 3600, 4000, 'before any record: the rate that the task keeps'],
  [bo, '2026-03-10', task, 1800, 2000, 'a record that names no grade: the rate that the task keeps'],
  [bo, '2026-03-10', meeting, 3600, null, 'an activity keeps none'],
  [ada, '2026-03-10', meeting, 3600, 6000, 'but a grade has one for whatever is done'],
  [ada, '2026-03-01', task, 1, 1, 'half a cent and more is a cent'],
  [ada, '2026-03-01', task, -3600, -5000, 'time that was taken back'],
])('%s on %s at %s: %i s cost %s, %s', (technician, on, target, seconds, cost) => {
  const line = { technician, target, day: day(on), seconds, cost: toCents(99_999) };
  expect(atStandardCost([line], FACTS, kept)).toEqual([{ ...line, cost }]);
});

test('what people really cost changes nothing of it', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          technician: fc.constantFrom(ada, bo),
          target: fc.constantFrom(task, meeting),
          day: fc.integer({ min: 20_000, max: 21_000 }),
          seconds: fc.integer({ min: 0, max: 100_000 }),
        }),
      ),
      fc.array(fc.option(fc.integer({ min: 0, max: 1_000_000 }))),
      (lines, costs) => {
        const costed = (of: readonly (number | null)[]) =>
          lines.map((line, i) => ({
            ...line,
            day: line.day as ReturnType<typeof day>,
            seconds: toSeconds(line.seconds),
            cost: of[i] == null ? null : toCents(of[i]),
          }));
        expect(atStandardCost(costed(costs), FACTS, kept)).toEqual(atStandardCost(costed([]), FACTS, kept));
      },
    ),
  );
});
