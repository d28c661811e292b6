import fc from 'fast-check';
import { target } from '../ledger/shop.fixture.ts';
import { toCents } from '../money/money.ts';
import { toDay } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import { orderDays } from './orderDays.ts';

const line = (day: number, of: string, technician: string, seconds: number, cost: number | null = null) => ({
  day: toDay(day),
  target: target(of),
  technician,
  seconds: toSeconds(seconds),
  cost: cost === null ? null : toCents(cost),
});
const count = (day: number, of: string, good: number, scrap: number) => ({
  day: toDay(day),
  target: target(of),
  good,
  scrap,
});

test('day by day: tasks in their order, heads, man-hours, pieces and the sum of the day', () => {
  const told = orderDays(
    [target('strip'), target('wind')],
    [
      line(2, 'wind', 'ada', 60, 100),
      line(2, 'strip', 'ada', 30, 50),
      line(2, 'wind', 'bo', 60, 90),
      line(1, 'strip', 'ada', 10),
    ],
    [count(2, 'wind', 3, 1), count(2, 'wind', 2, 0), count(3, 'strip', 1, 0)],
  );
  expect(
    told.map(({ day, heads, seconds, cost, tasks }) => [
      day,
      heads,
      seconds,
      cost,
      tasks.map(
        (each) =>
          `${each.target} ${each.heads} ${each.seconds} ${each.pieces ? `${each.pieces.good}/${each.pieces.scrap}` : '-'}`,
      ),
    ]),
  ).toEqual([
    [1, 1, 10, 0, ['strip 1 10 -']],
    [2, 2, 150, 240, ['strip 1 30 -', 'wind 2 120 5/1']],
    [3, 0, 0, 0, ['strip 0 0 1/0']],
  ]);
});

test('days, and the tasks of each, add up to all there is', () => {
  const anyLine = fc
    .tuple(
      fc.nat(5),
      fc.constantFrom('a', 'b'),
      fc.constantFrom('ada', 'bo'),
      fc.nat(500),
      fc.option(fc.nat(900), { nil: null }),
    )
    .map((each) => line(...each));
  fc.assert(
    fc.property(fc.array(anyLine, { maxLength: 12 }), (lines) => {
      const days = orderDays([target('a'), target('b')], lines, []);
      const sum = (list: readonly { seconds: number; cost: number | null }[]) => [
        list.reduce((all, { seconds }) => all + seconds, 0),
        list.reduce((all, { cost }) => all + (cost ?? 0), 0),
      ];
      expect(sum(days)).toEqual(sum(lines));
      for (const each of days) expect(sum(each.tasks)).toEqual(sum([each]));
    }),
  );
});
