import fc from 'fast-check';
import { target, technician } from '../ledger/shop.fixture.ts';
import { toCents } from '../money/money.ts';
import { toSeconds } from '../time/seconds.ts';
import { withAlwaysIncluded } from '../work/workType.ts';
import { balanceOf, balanceOfTasks, formatBalance, isPastEstimate } from './balance.ts';
import type { BalanceInput } from './balance.ts';
import { compareTask } from './compare.ts';

const HOUR = 3600;
const input = (figures: Partial<Record<keyof BalanceInput, number | null>>) =>
  ({ used: 0, left: 0, over: 0, ...figures }) as BalanceInput;

test.each<[figures: Partial<Record<keyof BalanceInput, number | null>>, words: string, why: string]>([
  [{ left: HOUR }, '1:00 left', 'open work has hours left'],
  [{ left: 24_241 }, '6:45 left', 'what is left is rounded up, so that 0:00 used and 6:45 left make 6:45'],
  [{ over: HOUR }, '1:00 over', 'over is said as soon as it is true'],
  [{ over: 59, left: 60 }, '0:01 left', 'but not by less than a minute'],
  [{ over: 59 }, '0:00 even', 'nor where nothing is left'],
  [{ over: 60 }, '0:01 over', 'a minute is enough'],
  [{ over: 3659 }, '1:00 over', 'what is over is cut off'],
  [{ over: HOUR, left: HOUR }, '1:00 over', 'over on one task goes before what is left on others'],
  [{ under: HOUR }, '1:00 under', 'under is said of what is finished'],
  [{}, '0:00 even', 'neither over nor under'],
  [{ used: HOUR, left: null, over: null }, '1:00 used', 'without an estimate only what was used'],
])('%j: %s (%s)', (figures, words) => {
  const balance = balanceOf(input(figures));
  expect(`${formatBalance(balance, 'h:mm')} ${balance.kind}`).toBe(words);
});

test.each([
  [null, false],
  [0, false],
  [59, false],
  [60, true],
])('over by %p s is past its estimate: %p', (over, isPast) => expect(isPastEstimate(over)).toBe(isPast));

test('for any tasks what is over and what is left make the difference of used and estimated', () => {
  const task = fc.record({ estimate: fc.nat(90_000), used: fc.nat(90_000), isFinished: fc.boolean() });
  fc.assert(
    fc.property(fc.array(task, { maxLength: 9 }), (tasks) => {
      const compared = tasks.map(({ estimate, used, isFinished }) =>
        compareTask(
          {
            estimatedSeconds: toSeconds(estimate),
            estimatedCost: toCents(0),
            includes: withAlwaysIncluded([]),
            isFinished,
          },
          used === 0
            ? []
            : [
                {
                  technician: technician('ada'),
                  target: target('a'),
                  workType: 'run',
                  day: 20_000 as never,
                  seconds: toSeconds(used),
                  measuredSeconds: toSeconds(used),
                  sharedSeconds: toSeconds(0),
                  enteredSeconds: toSeconds(0),
                  cost: null,
                },
              ],
        ),
      );
      const { net, over, left, under, tasksOver } = balanceOfTasks(compared);
      const sum = (of: (each: (typeof tasks)[number]) => number) =>
        tasks.reduce((all, each) => all + of(each), 0);
      expect(net).toBe(sum(({ used }) => used) - sum(({ estimate }) => estimate));
      expect(net).toBe(over - left - under);
      expect(tasksOver).toBe(tasks.filter(({ estimate, used }) => used - estimate >= 60).length);
    }),
  );
});
