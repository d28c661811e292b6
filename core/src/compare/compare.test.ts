import { toCents } from '../money/money.ts';
import { toSeconds } from '../time/seconds.ts';
import type { LaborLine } from '../ledger/lines.ts';
import { target, technician } from '../ledger/shop.fixture.ts';
import { withAlwaysIncluded } from '../work/workType.ts';
import type { WorkType } from '../work/workType.ts';
import { compareTask, sumComparisons } from './compare.ts';
import { drawYardstick } from './yardstick.ts';

const line = (workType: WorkType, seconds: number, cost: number | null): LaborLine => ({
  technician: technician('ada'),
  target: target('a'),
  workType,
  day: 20_000 as LaborLine['day'],
  seconds: toSeconds(seconds),
  measuredSeconds: toSeconds(seconds),
  sharedSeconds: toSeconds(0),
  enteredSeconds: toSeconds(0),
  cost: cost === null ? null : toCents(cost),
});
const expected = (isFinished = false) => ({
  estimatedSeconds: toSeconds(100),
  estimatedCost: toCents(1000),
  includes: withAlwaysIncluded(['setup']),
  isFinished,
});

test.each<[lines: LaborLine[], isFinished: boolean, figures: object, why: string]>([
  [[], false, { remainingSeconds: 100, overSeconds: 0, underSeconds: 0 }, 'not begun is all left'],
  [
    [line('run', 60, 600)],
    false,
    { remainingSeconds: 40, overSeconds: 0, underSeconds: 0 },
    'open work has hours left, and is not under',
  ],
  [
    [line('run', 60, 600)],
    true,
    { remainingSeconds: 0, overSeconds: 0, underSeconds: 40 },
    'finished work is under',
  ],
  [
    [line('run', 130, 1300)],
    false,
    { remainingSeconds: 0, overSeconds: 30, underSeconds: 0 },
    'over is said as soon as it is true',
  ],
  [
    [line('setup', 20, 200), line('rework', 20, 200)],
    false,
    { actualSeconds: 40, outsideSeconds: 0 },
    'rework always belongs to it',
  ],
  [
    [line('travel', 50, 500)],
    false,
    { actualSeconds: 0, outsideSeconds: 50, outsideCost: 500, actualCost: 0 },
    'what the estimate leaves out stands beside it',
  ],
  [
    [line('run', 60, null)],
    false,
    { actualSeconds: 60, actualCost: 0, uncostedLines: 1 },
    'a line without a rate is left out of the cost, and said so',
  ],
])('%#: finished %s: %j (%s)', (lines, isFinished, figures) => {
  expect(compareTask(expected(isFinished), lines)).toMatchObject(figures);
});

test('an order can have hours left on one task and be over on another', () => {
  const sum = sumComparisons([
    compareTask(expected(), [line('run', 130, 1300)]),
    compareTask(expected(), [line('run', 60, 600)]),
  ]);
  expect(sum).toMatchObject({
    actualSeconds: 190,
    remainingSeconds: 40,
    overSeconds: 30,
    costDifference: -100,
  });
});

const third = (share: number) => Math.round(share * 3000) / 1000;
const drawn = (estimate: number | null, used: Partial<Record<WorkType, number>>) => {
  const entries = Object.entries(used).map(([workType, seconds]) => ({
    workType: workType as WorkType,
    seconds: toSeconds(seconds),
  }));
  const { stretches, tornAt } = drawYardstick(estimate === null ? null : toSeconds(estimate), entries);
  return `${stretches.map(({ fill, from, to, isOver }) => `${fill} ${third(from)}-${third(to)}${isOver ? ' over' : ''}`).join(', ')}${tornAt === null ? '' : ` torn ${tornAt}`}`;
};

// In thirds of the width: the estimate always stands at 2.
test.each<[estimate: number | null, used: Partial<Record<WorkType, number>>, picture: string, why: string]>([
  [100, {}, '', 'not begun'],
  [100, { run: 50 }, 'run 0-1', 'half of the estimate'],
  [
    100,
    { setup: 25, run: 25, rework: 50 },
    'setup 0-0.5, run 0.5-1, rework 1-2',
    'textures by kind of work, in a fixed order',
  ],
  [100, { travel: 50 }, 'run 0-1', 'other work is plain'],
  [100, { run: 125 }, 'run 0-2, run 2-2.5 over', 'what is over is parted at the estimate'],
  [100, { run: 50, rework: 75 }, 'run 0-1, rework 1-2, rework 2-2.5 over', 'the texture goes on past it'],
  [100, { run: 150 }, 'run 0-2, run 2-3 over', 'to the end of the scale'],
  [100, { run: 320 }, 'run 0-2, run 2-3 over torn 3.2', 'beyond the scale it ends torn'],
  [0, { run: 10 }, 'run 2-3 over torn Infinity', 'an estimate of 0 is all over'],
  [0, {}, '', 'an estimate of 0, not begun'],
  [null, { run: 10 }, '', 'without an estimate there is no bar'],
])('estimate %s, used %j: %s (%s)', (estimate, used, picture) => {
  expect(drawn(estimate, used)).toBe(picture);
});
