import fc from 'fast-check';
import { sumCents, toRate } from '../money/money.ts';
import type { CostRate } from '../people/costRate.ts';
import { addDays, toDay } from '../time/day.ts';
import { sumSeconds } from '../time/seconds.ts';
import { deriveLedger } from './derive.ts';
import { recost } from './recost.ts';
import { TECHNICIANS, THE_END, anyJournal, factsWith } from './shop.fixture.ts';

const facts = factsWith();
const [ada] = TECHNICIANS;
const costing = (rates: readonly CostRate[]) => ({ rates, setCosts: [] });
const linesOf = (journal: Parameters<typeof deriveLedger>[0], costRates = facts.costRates) =>
  deriveLedger(journal, { ...facts, costRates }, THE_END).lines.filter(
    ({ technician }) => technician === ada,
  );

test('lines costed by the rates they have cost what they cost', () => {
  fc.assert(
    fc.property(anyJournal, (journal) => {
      for (const { cost, after } of recost(
        linesOf(journal),
        costing((ada && facts.costRates.get(ada)) ?? []),
      ))
        expect(after).toBe(cost);
    }),
  );
});

test('lines costed by other rates cost what a ledger derived with those would say, and hours stay', () => {
  const anyRates = fc
    .uniqueArray(fc.integer({ min: 0, max: 14 }), { maxLength: 4 })
    .chain((days) =>
      fc.tuple(...days.sort((a, b) => a - b).map((day) => fc.tuple(fc.constant(day), fc.nat(900_000)))),
    )
    .map((list) => list.map(([day, rate]) => ({ from: addDays(toDay(20_530), day), rate: toRate(rate) })));
  fc.assert(
    fc.property(anyJournal, anyRates, (journal, rates) => {
      if (!ada) return;
      const lines = linesOf(journal);
      const other = linesOf(journal, new Map([...facts.costRates, [ada, rates]]));
      const costed = recost(lines, costing(rates));
      expect(sumSeconds(costed)).toBe(sumSeconds(other));
      expect(sumCents(costed.map(({ after }) => ({ cost: after })))).toBe(sumCents(other));
    }),
  );
});
