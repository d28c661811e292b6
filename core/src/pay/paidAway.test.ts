import fc from 'fast-check';
import { parseDecimal } from '../money/fraction.ts';
import { addDays, daysFrom, weekdayOf } from '../time/day.ts';
import type { LocalDay } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import { FIRST_DAY, hours, ruleWith } from './overtime.fixture.ts';
import { payWeeks } from './overtimeRule.ts';
import { paidAwayOf } from './paidAway.ts';
import type { AwayFacts, Guarantee } from './paidAway.ts';

const decimal = (text: string) => {
  const parsed = parseDecimal(text);
  if (!parsed.ok) throw new Error(text);
  return parsed.value;
};
const plan = [8, 8, 8, 8, 7.5, 0, 0].map(hours);
const plannedOn = (of: LocalDay) => plan[weekdayOf(of) - 1] ?? hours(0);
const unplanned = () => hours(0);
const day = (place: number) => addDays(FIRST_DAY, place);
const always = (amount: string): Guarantee => ({ from: day(-100), hours: decimal(amount) });
const closed = (place: number, isPaid = true): AwayFacts['closedDays'] => new Map([[day(place), { isPaid }]]);

/** One week by its places, Monday 0: kind and hours. */
function told(
  facts: Partial<AwayFacts>,
  worked: readonly number[] = [],
  [from, to]: readonly [number, number] = [0, 6],
) {
  const days = daysFrom(day(from), to - from + 1);
  const weeks = payWeeks([ruleWith()], () => undefined, { first: day(from), last: day(to) });
  const all = { plannedOn, leave: [], guarantees: [], closedDays: new Map(), ...facts };
  return paidAwayOf(all, days, weeks, (of) => hours(worked[of - FIRST_DAY] ?? 0)).map(
    (each) =>
      `${each.day - FIRST_DAY} ${each.kind.of === 'leave' ? each.kind.name : each.kind.of} ${each.seconds / 3600}`,
  );
}
const leave = (place: number, isPaid: boolean, count?: number, kind = 'vacation') => ({
  day: day(place),
  kind,
  isPaid,
  ...(count === undefined ? {} : { seconds: hours(count) }),
});

test.each<[facts: Partial<AwayFacts>, told: readonly string[], why: string]>([
  [{ leave: [leave(0, true), leave(4, true)] }, ['0 vacation 8', '4 vacation 7.5'], 'as long as was planned'],
  [{ leave: [leave(0, true, 3)] }, ['0 vacation 3'], 'as long as was said'],
  [{ leave: [leave(0, true, 3), leave(0, true, 2)] }, ['0 vacation 5'], 'two of one kind and day together'],
  [
    { leave: [leave(0, true, 3), leave(0, true, 2, 'sick')] },
    ['0 vacation 3', '0 sick 2'],
    'two kinds apart',
  ],
  [{ leave: [leave(0, false)] }, [], 'what is not paid is not paid'],
  [{ leave: [leave(0, true)], plannedOn: unplanned }, [], 'nothing is planned without a plan'],
  [{ closedDays: closed(2) }, ['2 closed 8'], 'a closed day that is paid'],
  [{ closedDays: closed(5) }, [], 'on which nothing was planned'],
  [{ closedDays: closed(2, false) }, [], 'one that is not'],
  [{ closedDays: closed(2), leave: [leave(2, true)] }, ['2 closed 8'], 'paid leave on it is no leave'],
  [{ closedDays: closed(2), leave: [leave(2, false, 3)] }, ['2 closed 5'], 'unpaid leave takes from it'],
  [{ closedDays: closed(2), leave: [leave(2, false, 9)] }, [], 'and never more than there is'],
])('%#: %j', (facts, expected) => expect(told(facts)).toEqual(expected));

test.each<[facts: Partial<AwayFacts>, worked: readonly number[], told: readonly string[], why: string]>([
  [{ guarantees: [always('38')] }, [8, 8, 8], ['6 guarantee 14'], 'what is lacking, on the last day'],
  [{ guarantees: [always('38')] }, [40], [], 'nothing where there is enough'],
  [
    { guarantees: [always('38')], leave: [leave(0, true)] },
    [],
    ['0 vacation 8', '6 guarantee 30'],
    'less paid leave',
  ],
  [
    { guarantees: [always('38')], leave: [leave(0, false)] },
    [],
    ['6 guarantee 30'],
    'and leave that is not paid',
  ],
  [
    { guarantees: [always('38')], closedDays: closed(1) },
    [],
    ['1 closed 8', '6 guarantee 30'],
    'and paid closed days',
  ],
  [
    { guarantees: [{ from: day(1), hours: decimal('40') }] },
    [],
    [],
    'only one that was in force on the first day of the week',
  ],
  [
    {
      guarantees: [
        { from: day(0), hours: decimal('10') },
        { from: day(-7), hours: decimal('40') },
      ],
    },
    [],
    ['6 guarantee 10'],
    'the latest of several, in any order',
  ],
])('guaranteed %#: %j with %j worked', (facts, worked, expected) =>
  expect(told(facts, worked)).toEqual(expected),
);

test('of a week that is not there whole nothing is filled up, of a short one its part', () => {
  expect(told({ guarantees: [always('35')] }, [], [1, 6])).toEqual([]);
  expect(told({ guarantees: [always('35')] }, [], [0, 5])).toEqual([]);
  const short = { firstDay: day(0), lastDay: day(1), rule: undefined };
  const away = { plannedOn, leave: [], guarantees: [always('35')], closedDays: new Map() };
  expect(paidAwayOf(away, [day(0), day(1)], [short], () => 0)).toEqual([
    { day: day(1), kind: { of: 'guarantee' }, seconds: hours(10) },
  ]);
});

test('worked, away and filled up are never less than what is guaranteed', () => {
  fc.assert(
    fc.property(
      fc.array(fc.nat(12), { minLength: 7, maxLength: 7 }),
      fc.array(fc.record({ place: fc.nat(6), isPaid: fc.boolean(), count: fc.nat(9) }), { maxLength: 5 }),
      fc.nat(50),
      fc.nat(6),
      (worked, absences, guaranteed, closing) => {
        const all = {
          plannedOn,
          leave: absences.map(({ place, isPaid, count }) => leave(place, isPaid, count)),
          guarantees: [always(String(guaranteed))],
          closedDays: closed(closing),
        };
        const weeks = payWeeks([], () => undefined, { first: FIRST_DAY, last: FIRST_DAY });
        const away = paidAwayOf(all, daysFrom(FIRST_DAY, 7), weeks, (of) =>
          hours(worked[of - FIRST_DAY] ?? 0),
        );
        const unpaid = all.leave
          .filter(({ isPaid }) => !isPaid)
          .reduce((sum, { seconds }) => sum + (seconds ?? 0), 0);
        const had = worked.reduce((sum, count) => sum + count * 3600, 0);
        const sum = away.reduce((total, { seconds }) => total + seconds, 0);
        expect(had + unpaid + sum).toBeGreaterThanOrEqual(guaranteed * 3600);
        const filled = away.find(({ kind }) => kind.of === 'guarantee');
        if (filled) expect(had + unpaid + sum).toBe(toSeconds(guaranteed * 3600));
      },
    ),
  );
});
