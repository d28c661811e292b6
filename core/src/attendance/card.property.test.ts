import fc from 'fast-check';
import { attendedByShiftDay, deriveLedger } from '../ledger/index.ts';
import type { HoursEntry } from '../ledger/index.ts';
import { THE_END, TECHNICIANS, anyEntries, clock, factsWith, technician } from '../ledger/shop.fixture.ts';
import { addDays, mondayOf, toSeconds } from '../time/index.ts';
import { cardWeeks, personCard, sumCard } from './card.ts';
import type { CardDay, CardSums } from './card.ts';

const facts = factsWith();
/** A fortnight that all random entries lie in. */
const firstDay = addDays(mondayOf(facts.zone.dayAt(clock(12))), -3);
const lastDay = addDays(firstDay, 20);

/** A random shop, by person. */
const anyShop = anyEntries.map((entries) => {
  const ledger = deriveLedger(entries, facts, THE_END);
  return TECHNICIANS.map((who) => {
    const own = <T extends { readonly technician: unknown }>(items: readonly T[]) =>
      items.filter((item) => item.technician === who);
    const hours = entries.filter(
      (entry): entry is HoursEntry => entry.type === 'hours' && entry.technician === who,
    );
    return {
      lines: own(ledger.lines),
      of: { stints: own(ledger.stints), shifts: own(ledger.shifts), breaks: own(ledger.breaks), hours },
    };
  });
});
/** Something of each, different day by day. */
const withPay = (day: CardDay, i: number) => ({
  ...day,
  ...{ jobSeconds: day.chargedSeconds, overtimeSeconds: toSeconds(i * 60), doubleSeconds: toSeconds(i) },
  ...{ awaySeconds: toSeconds(i * 3600), plannedSeconds: toSeconds(28_800), balanceSeconds: 60 - i * 7 },
});
const sum = (figures: readonly number[]) => figures.reduce((total, figure) => total + figure, 0);

test('a card leaves nothing out and counts nothing twice: all that was charged, attended, scanned', () => {
  fc.assert(
    fc.property(anyShop, (people) => {
      for (const { lines, of } of people) {
        const card = personCard(of, { firstDay, lastDay }, facts);
        expect(sum(card.map((day) => day.chargedSeconds))).toBe(sum(lines.map(({ seconds }) => seconds)));
        const attended = attendedByShiftDay(of.shifts, of.breaks, of.stints, facts);
        expect(sum(card.map((day) => day.attendedSeconds))).toBe(sum([...attended.values()]));
        expect(card.flatMap((day) => day.stretches)).toHaveLength(of.stints.length);
        expect(card.flatMap((day) => day.shifts)).toHaveLength(of.shifts.length);
        expect(card.flatMap((day) => day.breaks)).toHaveLength(of.breaks.length);
        for (const day of card) expect(sum(day.lines.map(({ seconds }) => seconds))).toBe(day.chargedSeconds);
      }
    }),
  );
});

test('a card of two stretches of days is the cards of each, one behind the other', () => {
  fc.assert(
    fc.property(anyShop, fc.integer({ min: 1, max: 19 }), (people, days) => {
      const cut = addDays(firstDay, days);
      for (const { of } of people)
        expect([
          ...personCard(of, { firstDay, lastDay: addDays(cut, -1) }, facts),
          ...personCard(of, { firstDay: cut, lastDay }, facts),
        ]).toEqual(personCard(of, { firstDay, lastDay }, facts));
    }),
  );
});

test('the weeks of a card hold each of its days once, and add up to it', () => {
  fc.assert(
    fc.property(anyShop, fc.integer({ min: 0, max: 20 }), (people, length) => {
      for (const { of } of people) {
        const card = personCard(of, { firstDay, lastDay: addDays(firstDay, length) }, facts).map(withPay);
        const weeks = cardWeeks(card);
        expect(weeks.flatMap(({ days }) => days)).toEqual(card);
        for (const { monday, days } of weeks)
          expect(days.every(({ day }) => day >= monday && day < addDays(monday, 7))).toBe(true);
        const all = sumCard(card);
        for (const [what, seconds] of Object.entries(all)) {
          const of = what as keyof CardSums;
          expect(sum(weeks.map((week) => week[of]))).toBe(seconds);
          expect(sum(card.map((day) => day[of]))).toBe(seconds);
        }
      }
    }),
  );
});

test('a night shift stands whole on the day on which it began', () => {
  const ada = technician('ada');
  const entry = (id: string, type: string, at: number, more: object = {}) => ({
    id,
    type,
    technician: ada,
    at: clock(at),
    recordedAt: clock(at),
    ...more,
  });
  const entries = [
    entry('1', 'shift-in', 22),
    entry('2', 'work-start', 22, { targets: ['a'], workType: 'run' }),
    entry('3', 'break-start', 25),
    entry('4', 'break-end', 26),
    entry('5', 'work-start', 26, { targets: ['b'], workType: 'run' }),
    entry('6', 'shift-out', 30),
  ] as unknown as Parameters<typeof deriveLedger>[0];
  const { stints, shifts, breaks } = deriveLedger(entries, facts, THE_END);
  const monday = facts.zone.dayAt(clock(12));
  const card = personCard(
    { stints, shifts, breaks, hours: [] },
    { firstDay: monday, lastDay: addDays(monday, 1) },
    facts,
  );
  expect(card.map((day) => [day.shifts.length, day.breaks.length, day.stretches.length, day.lines])).toEqual([
    [
      1,
      1,
      2,
      [
        { target: 'b', seconds: 4 * 3600 },
        { target: 'a', seconds: 3 * 3600 },
      ],
    ],
    [0, 0, 0, []],
  ]);
  expect(card.map((day) => [day.attendedSeconds, day.chargedSeconds])).toEqual([
    [7 * 3600, 7 * 3600],
    [0, 0],
  ]);
});
