import fc from 'fast-check';
import { chargeDays, deriveLedger, sumAccounted } from '../ledger/index.ts';
import type { HoursEntry } from '../ledger/index.ts';
import { THE_END, TECHNICIANS, anyEntries, factsWith, target } from '../ledger/shop.fixture.ts';
import { toInstant } from '../time/index.ts';
import { accountPerson, sumPeople } from './accounted.ts';

const facts = factsWith();
const EVER = { from: toInstant(0), to: THE_END };
const isJob = (of: string) => facts.targets.get(target(of))?.kind === 'task';
const sum = (items: readonly { readonly seconds: number }[]) =>
  items.reduce((total, { seconds }) => total + seconds, 0);

/** A random shop, and of each of its people what was charged on which day. */
const anyShop = anyEntries.map((entries) => {
  const ledger = deriveLedger(entries, facts, THE_END);
  const people = TECHNICIANS.map((technician) => {
    const own = <T extends { readonly technician: unknown }>(items: readonly T[]) =>
      items.filter((item) => item.technician === technician);
    const stints = own(ledger.stints);
    const hours = entries.filter(
      (entry): entry is HoursEntry => entry.type === 'hours' && entry.technician === technician,
    );
    const charged = chargeDays(stints, hours, facts);
    const days = own(ledger.attendance);
    return { lines: own(ledger.lines), charged, days, breaks: own(ledger.breaks) };
  });
  return people;
});

test('what days are charged with is what labor lines say, day by day and target by target', () => {
  fc.assert(
    fc.property(anyShop, (people) => {
      for (const { lines, charged } of people) {
        for (const [day, targets] of charged)
          for (const [of, seconds] of targets)
            expect(seconds).toBe(sum(lines.filter((line) => line.day === day && line.target === of)));
        const all = [...charged.values()].flatMap((targets) => [...targets.values()]);
        expect(all.reduce((total, seconds) => total + seconds, 0)).toBe(sum(lines));
      }
    }),
  );
});

test('jobs and indirect time are all that was charged: attended − unaccounted + outside', () => {
  fc.assert(
    fc.property(anyShop, (people) => {
      const parts = people.map(({ charged, days, breaks }) =>
        accountPerson(days, charged, { breaks, span: EVER }, isJob),
      );
      parts.forEach((part, i) => {
        const { lines = [], days = [] } = people[i] ?? {};
        expect(part.jobSeconds + part.indirectSeconds).toBe(sum(lines));
        expect(part.attendedSeconds - part.unaccountedSeconds + part.outsideSeconds).toBe(sum(lines));
        expect(sum(part.activities)).toBe(part.indirectSeconds);
        expect([...part.jobSecondsOn.values()].reduce((total, seconds) => total + seconds, 0)).toBe(
          part.jobSeconds,
        );
        expect(part).toMatchObject(sumAccounted(days));
      });
      const total = sumPeople(parts);
      for (const part of ['attendedSeconds', 'jobSeconds', 'indirectSeconds', 'outsideSeconds'] as const)
        expect(total[part]).toBe(parts.reduce((all, each) => all + each[part], 0));
      if (total.share !== null) {
        expect(total.share).toBeGreaterThanOrEqual(0);
        expect(total.share).toBeLessThanOrEqual(1);
      }
    }),
  );
});

test('nobody who attended is nobody’s share', () => {
  expect(sumPeople([])).toMatchObject({ attendedSeconds: 0, share: null });
});
