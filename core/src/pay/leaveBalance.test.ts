import fc from 'fast-check';
import { addDays, daysFrom, weekdayOf } from '../time/day.ts';
import type { LocalDay } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import { leaveBalances, leaveTakes } from './leaveBalance.ts';
import { FIRST_DAY, hours } from './overtime.fixture.ts';
import type { Leave, LeaveFacts as Facts } from './paidAway.ts';

const day = (place: number) => addDays(FIRST_DAY, place);
/** Monday to Friday eight hours. */
const plannedOn = (of: LocalDay) => hours(weekdayOf(of) < 6 ? 8 : 0);
const leave = (place: number, kind = 'holiday', count?: number, isPaid = true): Leave => ({
  ...{ day: day(place), kind, isPaid, seconds: count === undefined ? undefined : hours(count) },
});
const facts = (own: readonly Leave[], closed: ReadonlyMap<number, boolean> = new Map()): Facts => ({
  plannedOn,
  leave: own,
  closedDays: new Map([...closed].map(([place, isPaid]) => [day(place), { isPaid }])),
});
const DAYS = daysFrom(FIRST_DAY, 28);
const TODAY = day(7);

test.each<[Facts, allowed: Record<string, number>, told: readonly string[], why: string]>([
  [facts([]), {}, [], 'nothing is said of nothing'],
  [facts([]), { holiday: 40 }, ['holiday 0 0 40'], 'all is left'],
  [facts([leave(0), leave(8)]), { holiday: 40 }, ['holiday 8 8 24'], 'had, and still to come'],
  [facts([leave(0, 'holiday', 3)]), { holiday: 40 }, ['holiday 3 0 37'], 'a part of a day'],
  [facts([leave(5)]), { holiday: 40 }, ['holiday 0 0 40'], 'a free day takes nothing'],
  [facts([leave(0), leave(1)]), { holiday: 10 }, ['holiday 16 0 -6'], 'more than was allowed'],
  [facts([leave(0, 'sick')]), { holiday: 40 }, ['holiday 0 0 40', 'sick 8 0 -'], 'of others what was had'],
  [facts([leave(0)], new Map([[0, true]])), { holiday: 40 }, ['holiday 0 0 40'], 'a paid closed day is none'],
  [facts([leave(0, 'holiday', undefined, false)]), { holiday: 40 }, ['holiday 8 0 32'], 'paid or not'],
])('%#: %j %j (%s)', (known, allowed, told) => {
  const most = new Map(Object.entries(allowed).map(([kind, count]) => [kind, hours(count)]));
  expect(
    leaveBalances(known, most, DAYS, TODAY).map(
      ({ kind, taken, ahead, left }) =>
        `${kind} ${taken / 3600} ${ahead / 3600} ${left === null ? '-' : left / 3600}`,
    ),
  ).toEqual(told);
});

test.each<[Facts, from: number, count: number, own: number | null, takes: number, why: string]>([
  [facts([]), 0, 7, null, 40, 'a week of five days'],
  [facts([]), 0, 7, 3, 15, 'three hours of each'],
  [facts([]), 0, 1, 10, 8, 'never more than is planned'],
  [facts([leave(1)]), 0, 2, null, 8, 'a day off already takes nothing more'],
  [facts([], new Map([[0, false]])), 0, 2, null, 8, 'nor one that is closed'],
])('%#: of %s on %s days with %s each it takes %s (%s)', (known, from, count, own, takes) =>
  expect(leaveTakes(known, daysFrom(day(from), count), own === null ? null : hours(own))).toBe(hours(takes)),
);

test('granting what was asked for takes as much as was said before', () => {
  const place = fc.integer({ min: 0, max: 27 });
  fc.assert(
    fc.property(
      fc.uniqueArray(place, { maxLength: 8 }),
      fc.tuple(place, fc.integer({ min: 1, max: 10 })),
      fc.option(fc.integer({ min: 1, max: 8 })),
      (before, [from, count], own) => {
        const known = facts(before.map((each) => leave(each)));
        const days = daysFrom(day(from), Math.min(count, 28 - from));
        const seconds = own === null ? null : hours(own);
        const takes = leaveTakes(known, days, seconds);
        const fresh = days.filter((each) => !known.leave.some(({ day: of }) => of === each));
        const after = facts([
          ...known.leave,
          ...fresh.map((each) => ({
            ...{ day: each, kind: 'holiday', isPaid: true },
            seconds: seconds === null ? undefined : toSeconds(Math.min(seconds, plannedOn(each))),
          })),
        ]);
        const allowed = new Map([['holiday', hours(200)]]);
        const leftOf = (of: Facts) => leaveBalances(of, allowed, DAYS, TODAY)[0]?.left ?? 0;
        expect(leftOf(known) - leftOf(after)).toBe(takes);
      },
    ),
  );
});
