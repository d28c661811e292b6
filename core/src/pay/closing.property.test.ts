import fc from 'fast-check';
import { addDays, toDay } from '../time/index.ts';
import type { LocalDay } from '../time/index.ts';
import { toCents } from '../money/index.ts';
import { toSeconds } from '../time/index.ts';
import { TARGETS, TECHNICIANS } from '../ledger/shop.fixture.ts';
import type { ClosedLine } from './adjustments.ts';
import { PAY_CLASSES } from './payClass.ts';
import type { WorkedLine } from './worked.ts';
import { closeDays, owedOf, periodToClose, periodsUpTo, refuseClosing } from './closing.ts';
import type { PayDay } from './closing.ts';
import { PAY_PERIOD_KINDS, payPeriodOf } from './payPeriod.ts';

const FIRST = toDay(20_535);
const DAYS = 5;
const NOTHING = { adjustments: [], workedAdjustments: [], waiting: [] };

/** Days of a shop as they are at some moment: each person's, each at most once. */
const anyDays = fc
  .uniqueArray(
    fc.record({
      technician: fc.constantFrom(...TECHNICIANS),
      day: fc.nat(DAYS - 1).map((n) => addDays(FIRST, n)),
      isPayable: fc.boolean(),
      isOpen: fc.boolean(),
      paid: fc.uniqueArray(
        fc.record({
          target: fc.constantFrom(undefined, ...TARGETS),
          class: fc.constantFrom(...PAY_CLASSES),
          seconds: fc.integer({ min: 1, max: 30_000 }),
        }),
        { selector: (each) => `${each.target} ${each.class}`, maxLength: 4 },
      ),
      work: fc.uniqueArray(
        fc.record({
          target: fc.constantFrom(...TARGETS),
          seconds: fc.integer({ min: 1, max: 36_000 }),
          cost: fc.option(fc.nat(50_000)),
        }),
        { selector: ({ target }) => target, maxLength: 3 },
      ),
    }),
    { selector: ({ technician, day }) => `${technician} ${day}`, maxLength: TECHNICIANS.length * DAYS },
  )
  .map((days) =>
    days.map(({ work, paid, ...each }): PayDay => ({
      ...each,
      worked: paid.map((line) => ({
        ...line,
        technician: each.technician,
        shiftDay: each.day,
        workType: line.target === undefined ? undefined : ('run' as const),
      })),
      lines: work.map(({ target, seconds, cost }) => ({
        technician: each.technician,
        shiftDay: each.day,
        day: each.day,
        target,
        workType: 'run' as const,
        seconds: toSeconds(seconds),
        cost: cost === null ? null : toCents(cost),
      })),
    })),
  );

const keyOf = ({ technician, day }: Pick<PayDay, 'technician' | 'day'>) => `${technician} ${day}`;
const sumOf = (lines: readonly ClosedLine[], technician: string, day: LocalDay) =>
  lines
    .filter((line) => line.technician === technician && line.shiftDay === day)
    .reduce<[number, number]>(([s, c], { seconds, cost }) => [s + seconds, c + (cost ?? 0)], [0, 0]);

/** What was paid of a shift day, by target and class. */
function paidOf(worked: readonly WorkedLine[], technician: string, day: LocalDay): Record<string, number> {
  const sums: Record<string, number> = {};
  for (const line of worked.filter((each) => each.technician === technician && each.shiftDay === day)) {
    const key = `${line.target} ${line.class}`;
    sums[key] = (sums[key] ?? 0) + line.seconds;
  }
  return Object.fromEntries(Object.entries(sums).filter(([, seconds]) => seconds !== 0));
}

test('a closing pays each payable day whole, and names every other one as left out', () => {
  fc.assert(
    fc.property(anyDays, (days) => {
      const { lines, worked, leftOut } = closeDays(days, NOTHING);
      const named = new Set(leftOut.map(keyOf));
      for (const day of days) {
        expect(sumOf(lines, day.technician, day.day)).toEqual(
          day.isPayable ? sumOf(day.lines, day.technician, day.day) : [0, 0],
        );
        expect(paidOf(worked, day.technician, day.day)).toEqual(
          day.isPayable ? paidOf(day.worked, day.technician, day.day) : {},
        );
        expect(named.has(keyOf(day))).toBe(!day.isPayable || day.isOpen);
      }
    }),
  );
});

test('closed after closed, what was paid for a settled day is what it says now, and of others what was paid before', () => {
  fc.assert(
    fc.property(fc.array(anyDays, { minLength: 1, maxLength: 5 }), (moments) => {
      let paid: ClosedLine[] = [];
      let worked: WorkedLine[] = [];
      for (const days of moments) {
        const before = paid;
        const workedBefore = worked;
        const owed = owedOf(days, paid, worked);
        worked = [...worked, ...owed.workedAdjustments];
        paid = [...paid, ...owed.adjustments];
        const held = new Set(days.filter(({ isPayable }) => !isPayable).map(keyOf));
        for (const technician of TECHNICIANS)
          for (let day = FIRST; day < FIRST + DAYS; day = addDays(day, 1)) {
            const now = days.filter((each) => each.technician === technician && each.day === day);
            const isHeld = held.has(keyOf({ technician, day }));
            expect(paidOf(worked, technician, day)).toEqual(
              paidOf(isHeld ? workedBefore : now.flatMap((each) => each.worked), technician, day),
            );
            // A day that is gone altogether says nothing: all of it is taken back.
            expect(sumOf(paid, technician, day)).toEqual(
              isHeld
                ? sumOf(before, technician, day)
                : sumOf(
                    now.flatMap(({ lines }) => lines),
                    technician,
                    day,
                  ),
            );
          }
        const nothing = owedOf(days, paid, worked);
        expect([nothing.adjustments, nothing.workedAdjustments]).toEqual([[], []]);
      }
    }),
  );
});

test('periods close one after the other, without a day between them or in two', () => {
  const anyDay = fc.integer({ min: 18_000, max: 24_000 }).map(toDay);
  fc.assert(
    fc.property(
      fc.array(fc.record({ kind: fc.constantFrom(...PAY_PERIOD_KINDS), anchor: anyDay }), {
        minLength: 1,
        maxLength: 6,
      }),
      anyDay,
      (rules, known) => {
        let last: { readonly firstDay: LocalDay; readonly lastDay: LocalDay } | undefined;
        for (const rule of rules) {
          const next = periodToClose(rule, last, known);
          if (last) expect(next.firstDay).toBe(last.lastDay + 1);
          else expect(next.firstDay <= known && known <= next.lastDay).toBe(true);
          expect(next.lastDay >= next.firstDay).toBe(true);
          // A changed rule takes hold at once: the period ends where its own would.
          expect(payPeriodOf(next.lastDay, rule).lastDay).toBe(next.lastDay);
          last = next;
        }
        const rule = rules[0] ?? { kind: 'weekly' as const, anchor: known };
        const first = periodToClose(rule, undefined, known);
        const open = periodsUpTo(first, rule, addDays(known, 60));
        expect(open[0]).toEqual(first);
        open.forEach(({ firstDay }, i) => i > 0 && expect(firstDay).toBe((open[i - 1]?.lastDay ?? 0) + 1));
        expect((open.at(-1)?.lastDay ?? 0) >= known + 60).toBe(true);
        expect(periodsUpTo(first, rule, addDays(first.firstDay, -1))).toEqual([]);
      },
    ),
    { numRuns: 300 },
  );
});

test.each([
  [{ isClosed: true, isOver: true, isNext: false }, 'pay.closed'],
  [{ isClosed: false, isOver: false, isNext: true }, 'pay.not_over'],
  [{ isClosed: false, isOver: false, isNext: false }, 'pay.not_over'],
  [{ isClosed: false, isOver: true, isNext: false }, 'pay.earlier_open'],
  [{ isClosed: false, isOver: true, isNext: true }, undefined],
])('a period that is %j is refused with %s', (period, refusal) =>
  expect(refuseClosing(period)).toBe(refusal),
);
