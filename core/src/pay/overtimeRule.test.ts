import fc from 'fast-check';
import { addDays, formatDay, parseDay } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import { FIRST_DAY, anyRule, ruleWith } from './overtime.fixture.ts';
import { findTierOutOfOrder, payCalendar, payWeeks } from './overtimeRule.ts';
import type { OvertimeRule } from './overtimeRule.ts';

const day = (text: string) => {
  const parsed = parseDay(`2026-${text}`);
  if (!parsed.ok) throw new Error(text);
  return parsed.value;
};
const rule = (from: string, weekStart: number, group?: string): OvertimeRule =>
  ruleWith({ from: day(from), weekStart, group });
/** Weeks as `from to rule`, by the place of the rule. */
const weeksOf = (
  rules: readonly OvertimeRule[],
  span: readonly [string, string],
  groupOn: (of: number) => string | undefined = () => undefined,
) =>
  payWeeks(rules, groupOn, { first: day(span[0]), last: day(span[1]) }).map(
    ({ firstDay, lastDay, rule: own }) =>
      `${formatDay(firstDay).slice(5)} ${formatDay(lastDay).slice(5)} ${own ? rules.indexOf(own) : '-'}`,
  );

// 2026-03-02 is a Monday.
test.each<
  [rules: readonly OvertimeRule[], span: readonly [string, string], weeks: readonly string[], why: string]
>([
  [[], ['03-04', '03-09'], ['03-02 03-08 -', '03-09 03-15 -'], 'without a rule weeks begin on Monday'],
  [[rule('01-01', 7)], ['03-04', '03-04'], ['03-01 03-07 0'], 'a week of its own beginning'],
  [
    [rule('03-04', 1)],
    ['03-02', '03-08'],
    ['03-02 03-03 -', '03-04 03-08 0'],
    'the first takes effect at once',
  ],
  [
    [rule('01-01', 1), rule('03-04', 6)],
    ['03-02', '03-13'],
    ['03-02 03-06 0', '03-07 03-13 1'],
    'another one on the first start of its own week',
  ],
  [
    [rule('01-01', 1), rule('03-04', 1)],
    ['03-02', '03-09'],
    ['03-02 03-08 0', '03-09 03-15 1'],
    'the old one goes on until then',
  ],
  [
    [rule('01-01', 1), rule('03-03', 7), rule('03-05', 1)],
    ['03-02', '03-09'],
    ['03-02 03-08 0', '03-09 03-15 2'],
    'one that no longer fits on the start of its week never takes effect',
  ],
  [
    [rule('03-05', 1), rule('03-03', 1)],
    ['03-02', '03-08'],
    ['03-02 03-02 -', '03-03 03-08 1'],
    'in any order',
  ],
])('%j over %j: %j, %s', (rules, span, weeks) => expect(weeksOf(rules, span)).toEqual(weeks));

test('a group’s own rule goes before that of all, however old', () => {
  const rules = [rule('03-01', 1), rule('01-01', 1, 'day crew')];
  expect(weeksOf(rules, ['03-09', '03-09'], () => 'day crew')).toEqual(['03-09 03-15 1']);
  expect(weeksOf(rules, ['03-09', '03-09'], () => 'night crew')).toEqual(['03-09 03-15 0']);
});

test('who changes groups is paid by the new one from its next week on, and by none from a Monday on', () => {
  const rules = [rule('01-01', 1, 'day crew'), rule('01-01', 3, 'night crew')];
  const groupOn = (of: number) =>
    of < day('03-03') ? 'day crew' : of < day('03-13') ? 'night crew' : undefined;
  expect(weeksOf(rules, ['03-02', '03-20'], groupOn)).toEqual([
    '03-02 03-03 0',
    '03-04 03-10 1',
    '03-11 03-15 1',
    '03-16 03-22 -',
  ]);
});

test('weeks follow each other and hold every day asked for', () => {
  const rules = [rule('01-01', 4), rule('02-11', 2), rule('03-01', 7)];
  const weeks = payWeeks(rules, () => undefined, { first: day('01-01'), last: day('04-30') });
  weeks.forEach(({ firstDay, lastDay }, i) => {
    expect(lastDay - firstDay).toBeLessThan(7);
    if (i > 0) expect(firstDay).toBe(addDays(weeks[i - 1]?.lastDay ?? firstDay, 1));
  });
});

test('a week is the same in whatever order days are asked for', () => {
  fc.assert(
    fc.property(fc.array(anyRule()), fc.array(fc.integer({ min: -40, max: 60 })), (rules, asked) => {
      const days = asked.map((each) => addDays(FIRST_DAY, each));
      const weekOf = payCalendar(rules, () => 'day crew');
      for (const each of days) {
        const week = weekOf(each);
        expect(week).toEqual(payCalendar(rules, () => 'day crew')(each));
        expect(week.firstDay <= each && each <= week.lastDay).toBe(true);
      }
    }),
  );
});

test.each<[tiers: readonly [number, 'straight' | 'overtime' | 'double'][], wrong: number | undefined]>([
  [[], undefined],
  [
    [
      [8, 'overtime'],
      [12, 'double'],
    ],
    undefined,
  ],
  [
    [
      [8, 'overtime'],
      [8, 'double'],
    ],
    1,
  ],
  [
    [
      [8, 'overtime'],
      [7, 'double'],
    ],
    1,
  ],
  [
    [
      [8, 'double'],
      [12, 'overtime'],
    ],
    1,
  ],
  [
    [
      [1, 'overtime'],
      [2, 'overtime'],
      [2, 'double'],
    ],
    2,
  ],
])('tiers %j: %s is out of order', (tiers, wrong) =>
  expect(findTierOutOfOrder(tiers.map(([over, class_]) => ({ over: toSeconds(over), class: class_ })))).toBe(
    wrong,
  ),
);
