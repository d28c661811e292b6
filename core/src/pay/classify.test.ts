import fc from 'fast-check';
import { target } from '../ledger/shop.fixture.ts';
import { addDays, toDay } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import type { LocalDay } from '../time/day.ts';
import { classifyWeek } from './classify.ts';
import type { DecidedSplit } from './classify.ts';
import { FIRST_DAY, anyRule, hours, ruleWith } from './overtime.fixture.ts';
import type { OvertimeRule, PayTier } from './overtimeRule.ts';
import { PAY_CLASSES, highestOf } from './payClass.ts';
import type { PayClass } from './payClass.ts';
import type { Portion } from './portions.ts';

const portion = (shiftDay: LocalDay, seconds: number, own: PayClass = 'straight'): Portion => ({
  shiftDay,
  day: shiftDay,
  seconds: toSeconds(seconds),
  own,
  shares: [{ target: target('a'), workType: 'run', seconds: toSeconds(seconds) }],
});
/** Days of hours, Monday first; a day without any is none. */
const weekOf = (days: readonly (readonly number[])[], own?: PayClass) =>
  new Map(
    days.flatMap((lengths, i) => {
      const day = addDays(FIRST_DAY, i);
      return lengths.length === 0
        ? []
        : [[day, lengths.map((each) => portion(day, each * 3600, own))] as const];
    }),
  );
const never = () => false;
const classed = (
  days: Parameters<typeof classifyWeek>[0],
  rule: OvertimeRule | undefined,
  splits: readonly DecidedSplit[],
  isClosed: (day: LocalDay) => boolean,
  counted = 0,
) => classifyWeek(days, { rule, splits, isClosed }, toSeconds(counted));
/** Hours straight, overtime and double of each day. */
const told = (...args: Parameters<typeof classed>) =>
  classed(...args).map(({ straight, overtime, double }) =>
    [straight, overtime, double].map((seconds) => seconds / 3600).join(' '),
  );

const eight: readonly PayTier[] = [
  { over: hours(8), class: 'overtime' },
  { over: hours(12), class: 'double' },
];
const forty: readonly PayTier[] = [{ over: hours(40), class: 'overtime' }];

test.each<
  [days: readonly (readonly number[])[], rule: Partial<OvertimeRule>, told: readonly string[], why: string]
>([
  [[[8], [13]], { day: eight }, ['8 0 0', '8 4 1'], 'tiers of a day begin anew each day'],
  [[[5, 3, 2]], { day: eight }, ['8 2 0'], 'over all portions of a day'],
  [
    [[9], [9], [9], [9], [9]],
    { week: forty },
    ['9 0 0', '9 0 0', '9 0 0', '9 0 0', '4 5 0'],
    'beyond 40 a week',
  ],
  [
    [[10], [10], [10], [10], [10]],
    { day: eight, week: forty },
    ['8 2 0', '8 2 0', '8 2 0', '8 2 0', '8 2 0'],
    'what the day has made overtime does not count towards the week',
  ],
  [
    [[9], [], [2]],
    { special: [{ on: 3, class: 'double' }] },
    ['9 0 0', '0 0 2'],
    'a weekday that is paid double',
  ],
  [
    [[10]],
    { day: [{ over: hours(8), class: 'double' }], special: [{ on: 1, class: 'overtime' }] },
    ['0 8 2'],
    'the higher of a special day and a tier',
  ],
  [[[1]], { day: [{ over: hours(0), class: 'overtime' }] }, ['0 1 0'], 'a tier from the first second on'],
])('%j by %j: %j, %s', (days, rule, expected) => {
  expect(told(weekOf(days), ruleWith(rule), [], never)).toEqual(expected);
});

test('a closed day is special where the rule says so', () => {
  const rule = ruleWith({ special: [{ on: 'closed', class: 'double' }] });
  expect(told(weekOf([[3], [3]]), rule, [], (day) => day === FIRST_DAY)).toEqual(['0 0 3', '3 0 0']);
});

test('what entries say lifts a class and never lowers it; without a rule it does nothing', () => {
  const rule = ruleWith({ day: [{ over: hours(2), class: 'double' }] });
  expect(told(weekOf([[3]], 'overtime'), rule, [], never)).toEqual(['0 2 1']);
  expect(told(weekOf([[3]], 'straight'), rule, [], never)).toEqual(['2 0 1']);
  expect(told(weekOf([[3]], 'overtime'), undefined, [], never)).toEqual(['3 0 0']);
});

describe('a decided split', () => {
  const split = (straight: number, overtime: number, double: number) => ({
    day: FIRST_DAY,
    ...{ straight: hours(straight), overtime: hours(overtime), double: hours(double) },
  });
  const states = (...args: Parameters<typeof classed>) => classed(...args).map((each) => each.split);

  test('takes the place of the rule, and its straight hours alone count towards the week', () => {
    const days = weekOf([[10], [10]]);
    const rule = ruleWith({ day: eight, week: [{ over: hours(10), class: 'double' }] });
    expect(told(days, rule, [split(7, 0, 3)], never)).toEqual(['7 0 3', '3 2 5']);
    expect(states(days, rule, [split(7, 0, 3)], never)).toEqual(['decided', 'none']);
  });

  test('holds no longer once the day has other seconds', () => {
    const days = weekOf([[10]]);
    expect(told(days, ruleWith({ day: eight }), [split(7, 0, 2)], never)).toEqual(['8 2 0']);
    expect(states(days, ruleWith({ day: eight }), [split(7, 0, 2)], never)).toEqual(['changed']);
  });

  test('does nothing where no rule is in effect', () =>
    expect(states(weekOf([[10]]), undefined, [split(0, 10, 0)], never)).toEqual(['none']));

  test('gives portions straight first, then overtime, then double', () => {
    const [day] = classed(weekOf([[4, 6]]), ruleWith(), [split(5, 2, 3)], never);
    expect(day?.shares.map((share) => [share.class, share.seconds / 3600])).toEqual([
      ['straight', 4],
      ['straight', 1],
      ['overtime', 2],
      ['double', 3],
    ]);
  });
});

test('classes of a portion are shared over its targets by what is left of their shares', () => {
  const shared: Portion = {
    ...portion(FIRST_DAY, 10),
    shares: [
      { target: target('a'), workType: 'run', seconds: toSeconds(7) },
      { target: target('b'), workType: 'run', seconds: toSeconds(3) },
    ],
  };
  const rule = ruleWith({ day: [{ over: toSeconds(5), class: 'overtime' }] });
  const [day] = classed(new Map([[FIRST_DAY, [shared]]]), rule, [], never);
  expect(day?.shares.map((share) => [share.class, share.target, share.seconds])).toEqual([
    // 3.5 and 1.5: of equal parts the earlier.
    ['straight', 'a', 4],
    ['straight', 'b', 1],
    ['overtime', 'a', 3],
    ['overtime', 'b', 2],
  ]);
});

/** The rule of the book, second by second. */
function countOff(days: ReadonlyMap<LocalDay, readonly Portion[]>, rule: OvertimeRule) {
  const tier = (tiers: readonly PayTier[], count: number): PayClass =>
    tiers.findLast(({ over }) => over <= count)?.class ?? 'straight';
  let ofWeek = 0;
  return [...days].map(([day, portions]) => {
    const sums = { straight: 0, overtime: 0, double: 0 };
    let ofDay = 0;
    for (const { seconds, own } of portions)
      for (let i = 0; i < seconds; i += 1) {
        const special = rule.special
          .filter(({ on }) => (on === 'closed' ? day % 3 === 0 : on === ((day + 3) % 7) + 1))
          .map((each) => each.class);
        const first = highestOf([own, tier(rule.day, ofDay), ...special]);
        ofDay += 1;
        sums[first === 'straight' ? tier(rule.week, ofWeek) : first] += 1;
        if (first === 'straight') ofWeek += 1;
      }
    return sums;
  });
}

test('cut at thresholds or counted off second by second: the same', () => {
  const anyPortions = fc.array(
    fc.record({
      day: fc.nat(6),
      seconds: fc.integer({ min: 1, max: 12 }),
      own: fc.constantFrom(...PAY_CLASSES),
    }),
    { maxLength: 14 },
  );
  fc.assert(
    fc.property(anyPortions, anyRule(16, 50), fc.nat(7), (portions, rule, left) => {
      const isClosed = (day: LocalDay) => day % 3 === 0;
      const days = new Map<LocalDay, Portion[]>();
      for (const { day, seconds, own } of [...portions].sort((a, b) => a.day - b.day)) {
        const of = toDay(FIRST_DAY + day);
        days.set(of, [...(days.get(of) ?? []), portion(of, seconds, own)]);
      }
      const found = classed(days, rule, [], isClosed);
      expect(found.map(({ straight, overtime, double }) => ({ straight, overtime, double }))).toEqual(
        countOff(days, rule),
      );
      // Who goes on after some of the days comes to the same.
      const own = [...days];
      const counted = found
        .slice(0, left % (own.length + 1))
        .reduce((sum, each) => sum + each.countedSeconds, 0);
      const rest = own.slice(left % (own.length + 1));
      expect(classed(new Map(rest), rule, [], isClosed, counted)).toEqual(
        found.slice(own.length - rest.length),
      );
    }),
    { numRuns: 500 },
  );
});
