import fc from 'fast-check';
import { sumSeconds, toInstant, withChange } from '../time/index.ts';
import { deriveLedger, derivePerson, foldEntries } from './derive.ts';
import { effectiveEntries, inOrderOfTime } from './effective.ts';
import type { HoursEntry, LaborEntry } from './entries.ts';
import { DEFAULT_POLICY } from './facts.ts';
import type { Policy } from './facts.ts';
import { AT_REST } from './fold.ts';
import { effectOfPolicy, sumPolicyEffects } from './policyEffect.ts';
import { TECHNICIANS, THE_END, anyEntries, clock, factsWith } from './shop.fixture.ts';

const facts = factsWith();
const anyPolicy: fc.Arbitrary<Policy> = fc.record({
  split: fc.constantFrom('estimate', 'equal'),
  maxStintHours: fc.integer({ min: 1, max: 14 }),
  maxShiftHours: fc.integer({ min: 1, max: 18 }),
  gapMinutes: fc.integer({ min: 0, max: 60 }),
  maxBreakMinutes: fc.integer({ min: 0, max: 90 }),
  warnAt: fc.integer({ min: 1, max: 100 }),
});
const anyHour = fc.nat(9 * 24).map((hour) => clock(hour));

/** What somebody recorded from an instant on, and where they stood there. */
function pastFrom(entries: readonly LaborEntry[], technician: (typeof TECHNICIANS)[number], from: number) {
  const own = effectiveEntries(entries).filter((entry) => entry.technician === technician);
  const isTimed = (entry: LaborEntry): entry is Exclude<LaborEntry, HoursEntry> => entry.type !== 'hours';
  const timed = inOrderOfTime(own.filter(isTimed).filter(({ at }) => at <= THE_END));
  const isEarly = ({ at }: { readonly at: number }) => at < from;
  const { state } = foldEntries(technician, AT_REST, timed.filter(isEarly), facts);
  const hours = own.filter((entry): entry is HoursEntry => entry.type === 'hours');
  return {
    technician,
    state,
    timed: timed.filter((entry) => !isEarly(entry)),
    hours: hours.filter(
      ({ day }) => day >= facts.zone.dayAt(toInstant(from)) && day <= facts.zone.dayAt(THE_END),
    ),
  };
}

test('rules that say the same change nothing', () => {
  fc.assert(
    fc.property(anyEntries, anyHour, (entries, from) => {
      const past = pastFrom(entries, TECHNICIANS[0] ?? ('ada' as never), from);
      const same = withChange(facts.policy, { from, value: DEFAULT_POLICY });
      const { days, targets, looseEnds } = effectOfPolicy(past, facts, same, THE_END);
      expect([days, targets, looseEnds]).toEqual([[], [], []]);
    }),
    { numRuns: 200 },
  );
});

test('what is told of tasks adds up to what is told of people, and to what the whole ledger then says', () => {
  fc.assert(
    fc.property(anyEntries, anyHour, anyPolicy, (entries, from, rules) => {
      const policy = withChange(facts.policy, { from, value: rules });
      const [before, after] = [facts, { ...facts, policy }].map((each) =>
        deriveLedger(entries, each, THE_END),
      );
      for (const technician of TECHNICIANS) {
        const told = effectOfPolicy(pastFrom(entries, technician, from), facts, policy, THE_END);
        const difference = told.charged.after - told.charged.before;
        expect(told.targets.reduce((sum, { seconds }) => sum + seconds.after - seconds.before, 0)).toBe(
          difference,
        );
        const charged = (ledger: typeof before) =>
          sumSeconds((ledger?.lines ?? []).filter((line) => line.technician === technician));
        expect(charged(after) - charged(before)).toBe(difference);
        const attended = (ledger: typeof before) =>
          (ledger?.attendance ?? [])
            .filter((day) => day.technician === technician)
            .reduce((sum, { attendedSeconds }) => sum + attendedSeconds, 0);
        expect(attended(after) - attended(before)).toBe(told.attended.after - told.attended.before);
        const ends = (ledger: typeof before) =>
          (ledger?.looseEnds ?? []).filter(
            (end) => end.technician === technician && end.kind !== 'after-done',
          ).length;
        expect(ends(after) - ends(before)).toBe(
          told.looseEnds.reduce((sum, { count }) => sum + count.after - count.before, 0),
        );
      }
    }),
    { numRuns: 200 },
  );
});

test('a person derived from where they stood comes to what the whole of them comes to', () => {
  fc.assert(
    fc.property(anyEntries, anyHour, (entries, from) => {
      for (const technician of TECHNICIANS) {
        const past = pastFrom(entries, technician, from);
        const whole = derivePerson(pastFrom(entries, technician, 0), facts, THE_END);
        const part = derivePerson(past, facts, THE_END);
        const day = facts.zone.dayAt(from) + 1;
        const later = (lines: typeof whole.lines) => sumSeconds(lines.filter((line) => line.day > day));
        expect(later(part.lines)).toBe(later(whole.lines));
      }
    }),
    { numRuns: 100 },
  );
});

test('what is told of a shop is the sum of what is told of its people, however targets are grouped', () => {
  fc.assert(
    fc.property(anyEntries, anyHour, anyPolicy, fc.boolean(), (entries, from, rules, isOne) => {
      const policy = withChange(facts.policy, { from, value: rules });
      const effects = TECHNICIANS.map((each) =>
        effectOfPolicy(pastFrom(entries, each, from), facts, policy, THE_END),
      );
      const { groups, looseEnds } = sumPolicyEffects(effects, (target) => (isOne ? 'all' : target));
      const difference = (items: readonly { readonly before: number; readonly after: number }[]) =>
        items.reduce((sum, { before, after }) => sum + after - before, 0);
      expect(difference(groups.map(({ seconds }) => seconds))).toBe(
        difference(effects.map(({ charged }) => charged)),
      );
      expect(difference(groups.map(({ cost }) => cost))).toBe(
        difference(effects.flatMap(({ targets }) => targets.map(({ cost }) => cost))),
      );
      expect(difference(looseEnds.map(({ count }) => count))).toBe(
        difference(effects.flatMap((each) => each.looseEnds.map(({ count }) => count))),
      );
      for (const { seconds, cost } of groups)
        expect(seconds.before !== seconds.after || cost.before !== cost.after).toBe(true);
    }),
    { numRuns: 200 },
  );
});
