import { addDays, formatDay, parseDay, toDay } from '../time/day.ts';
import { isAboveAttended } from './aboveAttended.ts';
import fc from 'fast-check';
import { deriveLedger } from '../ledger/derive.ts';
import { effectiveEntries } from '../ledger/effective.ts';
import { allocateStint } from '../ledger/allocate.ts';
import { splitByShiftDay } from '../ledger/shiftLines.ts';
import type { HoursEntry } from '../ledger/entries.ts';
import { THE_END, anyEntries, factsWith } from '../ledger/shop.fixture.ts';
import type { LocalDay } from '../time/day.ts';
import { adjustmentsOf } from './adjustments.ts';
import { PAY_PERIOD_KINDS, payPeriodOf } from './payPeriod.ts';
import type { PayPeriodKind } from './payPeriod.ts';

const day = (text: string): LocalDay => {
  const parsed = parseDay(text);
  if (!parsed.ok) throw new Error(text);
  return parsed.value;
};

test.each<[kind: PayPeriodKind, anchor: string, of: string, first: string, last: string, why: string]>([
  ['weekly', '2026-01-05', '2026-03-04', '2026-03-02', '2026-03-08', 'a week from the anchor’s weekday'],
  ['weekly', '2026-01-05', '2025-12-31', '2025-12-29', '2026-01-04', 'before the anchor too'],
  ['two-weekly', '2026-01-05', '2026-01-18', '2026-01-05', '2026-01-18', 'the last of fourteen days'],
  ['two-weekly', '2026-01-05', '2026-01-19', '2026-01-19', '2026-02-01', 'and the first of the next'],
  ['twice-monthly', '2026-01-01', '2026-02-10', '2026-02-01', '2026-02-15', 'the first half'],
  ['twice-monthly', '2026-01-01', '2026-02-16', '2026-02-16', '2026-02-28', 'the rest of a short month'],
  ['twice-monthly', '2026-01-21', '2026-03-05', '2026-02-21', '2026-03-05', 'an anchor in the second half'],
  ['monthly', '2026-01-01', '2028-02-29', '2028-02-01', '2028-02-29', 'a leap year'],
  [
    'monthly',
    '2026-01-31',
    '2026-03-01',
    '2026-02-28',
    '2026-03-30',
    'a month too short begins on its last day',
  ],
  ['monthly', '2026-01-25', '2026-12-31', '2026-12-25', '2027-01-24', 'over the year’s end'],
])('%s from %s: %s lies in %s to %s, %s', (kind, anchor, of, first, last) => {
  const period = payPeriodOf(day(of), { kind, anchor: day(anchor) });
  expect([formatDay(period.firstDay), formatDay(period.lastDay)]).toEqual([first, last]);
});

test('periods follow each other: every day lies in the one that holds it, and none is left out', () => {
  const anyDay = fc.integer({ min: 18_000, max: 24_000 }).map(toDay);
  fc.assert(
    fc.property(fc.constantFrom(...PAY_PERIOD_KINDS), anyDay, anyDay, (kind, anchor, of) => {
      const rule = { kind, anchor };
      const period = payPeriodOf(of, rule);
      expect(period.firstDay <= of && of <= period.lastDay).toBe(true);
      expect(payPeriodOf(period.firstDay, rule)).toEqual(period);
      expect(payPeriodOf(period.lastDay, rule)).toEqual(period);
      expect(payPeriodOf(addDays(period.lastDay, 1), rule).firstDay).toBe(period.lastDay + 1);
    }),
  );
});

const facts = factsWith();
const shiftLines = (entries: Parameters<typeof deriveLedger>[0]) => {
  const { lines, stints } = deriveLedger(entries, facts, THE_END);
  const hours = effectiveEntries(entries).filter((entry): entry is HoursEntry => entry.type === 'hours');
  return {
    lines,
    split: splitByShiftDay(
      lines,
      stints.flatMap((stint) => allocateStint(stint, facts)),
      hours,
    ),
  };
};
const sum = (items: readonly { readonly seconds: number; readonly cost: number | null }[]) =>
  items.reduce<[number, number]>(([s, c], { seconds, cost }) => [s + seconds, c + (cost ?? 0)], [0, 0]);

test('the parts of a labor line by shift day add up to it, to the second and the cent', () => {
  fc.assert(
    fc.property(anyEntries, (entries) => {
      const { lines, split } = shiftLines(entries);
      for (const line of lines) {
        const own = split.filter(
          ({ technician, target, workType, day: on }) =>
            technician === line.technician &&
            target === line.target &&
            workType === line.workType &&
            on === line.day,
        );
        expect(sum(own)).toEqual(sum([line]));
      }
      expect(split.every(({ seconds }) => seconds > 0)).toBe(true);
    }),
    { numRuns: 200 },
  );
});

test('what was closed and its adjustments are what was derived, whatever came after closing', () => {
  fc.assert(
    fc.property(anyEntries, anyEntries, (then, since) => {
      const closed = shiftLines(then).split;
      const late = since.map((entry) => ({ ...entry, id: `late-${entry.id}` as typeof entry.id }));
      const derived = shiftLines([...then, ...late]).split;
      const adjusted = adjustmentsOf(derived, closed);
      expect(sum([...closed, ...adjusted])).toEqual(sum(derived));
      expect(adjustmentsOf(derived, [...closed, ...adjusted])).toEqual([]);
    }),
    { numRuns: 200 },
  );
});

test('nothing changed, nothing to adjust', () => {
  const { split } = shiftLines([]);
  expect(adjustmentsOf(split, split)).toEqual([]);
});

test.each([
  [8 * 3600, 8 * 3600, false, 'as much as was attended'],
  [8 * 3600 + 59, 8 * 3600, false, 'seconds more are nothing'],
  [8 * 3600 + 60, 8 * 3600, true, 'a minute more'],
  [3600, 0, true, 'hours entered for a day without a shift'],
  [0, 8 * 3600, false, 'attended and charged to nothing'],
])('%i s of labor, %i s attended: above %p (%s)', (chargedSeconds, attendedSeconds, isAbove) =>
  expect(isAboveAttended({ chargedSeconds, attendedSeconds })).toBe(isAbove),
);
