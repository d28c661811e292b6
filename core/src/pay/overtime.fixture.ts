import fc from 'fast-check';
import { MONDAY, zone } from '../ledger/shop.fixture.ts';
import { fraction } from '../money/fraction.ts';
import { addDays } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import { PREMIUM_ON, USUAL_MULTIPLIERS, findTierOutOfOrder } from './overtimeRule.ts';
import type { OvertimeRule, PayTier } from './overtimeRule.ts';
import { PAY_CLASSES } from './payClass.ts';

/** Rules of overtime for the tests of pay. */
export const FIRST_DAY = zone.dayAt(MONDAY);
const HOUR = 3600;
export const hours = (count: number) => toSeconds(count * HOUR);

export const ruleWith = (rule: Partial<OvertimeRule> = {}): OvertimeRule => ({
  from: addDays(FIRST_DAY, -100),
  group: undefined,
  weekStart: 1,
  day: [],
  week: [],
  special: [],
  multipliers: USUAL_MULTIPLIERS,
  premiumOn: 'worked',
  ...rule,
});

const anyClass = fc.constantFrom(...PAY_CLASSES);
const anyTiers = (most: number): fc.Arbitrary<readonly PayTier[]> =>
  fc
    .array(fc.record({ over: fc.integer({ min: 0, max: most }).map(toSeconds), class: anyClass }), {
      maxLength: 3,
    })
    .map((tiers) => [...tiers].sort((a, b) => a.over - b.over))
    .map((tiers) => tiers.slice(0, findTierOutOfOrder(tiers) ?? tiers.length));

/** Any rule, some days around the first of the random shops' week. */
export const anyRule = (mostOfDay = 12 * HOUR, mostOfWeek = 40 * HOUR): fc.Arbitrary<OvertimeRule> =>
  fc.record({
    from: fc.integer({ min: -20, max: 6 }).map((count) => addDays(FIRST_DAY, count)),
    group: fc.constantFrom(undefined, 'day crew', 'night crew'),
    weekStart: fc.integer({ min: 1, max: 7 }),
    day: anyTiers(mostOfDay),
    week: anyTiers(mostOfWeek),
    special: fc.array(
      fc.record({
        on: fc.oneof(fc.constant('closed' as const), fc.integer({ min: 1, max: 7 })),
        class: anyClass,
      }),
      { maxLength: 2 },
    ),
    multipliers: fc.record({
      overtime: fc.integer({ min: 100, max: 300 }).map((percent) => fraction(BigInt(percent), 100n)),
      double: fc.integer({ min: 100, max: 400 }).map((percent) => fraction(BigInt(percent), 100n)),
    }),
    premiumOn: fc.constantFrom(...PREMIUM_ON),
  });
