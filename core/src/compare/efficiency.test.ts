import fc from 'fast-check';
import { TECHNICIANS, target, technician } from '../ledger/shop.fixture.ts';
import { toDay } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import { WORK_TYPES } from '../work/workType.ts';
import type { WorkType } from '../work/workType.ts';
import { earnedOf, efficiencyOf, expectedSeconds, isMostlyShared, shareOf } from './efficiency.ts';
import type { FinishedTask } from './efficiency.ts';

type Line = [who: string, workType: WorkType, seconds: number, measured?: number];
const task = (estimatedSeconds: number, lines: Line[], setupSeconds = 0): FinishedTask => ({
  target: target('a'),
  estimatedSeconds: toSeconds(estimatedSeconds),
  setupSeconds: toSeconds(setupSeconds),
  includes: new Set<WorkType>(['setup', 'run', 'rework']),
  lines: lines.map(([who, workType, seconds, measured = seconds]) => ({
    technician: technician(who),
    workType,
    seconds: toSeconds(seconds),
    measuredSeconds: toSeconds(measured),
  })),
});

describe('what people earn of a task', () => {
  test.each<[what: string, of: FinishedTask, told: string]>([
    ['alone, all of it', task(3600, [['ada', 'run', 7200]]), 'ada 3600 of 7200'],
    [
      'by their share of the labor',
      task(3000, [
        ['ada', 'run', 100],
        ['bo', 'run', 200],
      ]),
      'ada 1000 of 100, bo 2000 of 200',
    ],
    [
      'what is left over goes to the larger part',
      task(10, [
        ['ada', 'run', 1],
        ['bo', 'run', 2],
      ]),
      'ada 3 of 1, bo 7 of 2',
    ],
    [
      'of equal parts to the earlier by id',
      task(3, [
        ['bo', 'run', 5],
        ['ada', 'run', 5],
      ]),
      'ada 2 of 5, bo 1 of 5',
    ],
    [
      'work types are one',
      task(100, [
        ['ada', 'setup', 10],
        ['ada', 'rework', 10],
      ]),
      'ada 100 of 20',
    ],
    [
      'what the estimate leaves out earns nothing',
      task(100, [
        ['ada', 'travel', 50],
        ['bo', 'run', 50],
      ]),
      'bo 100 of 50',
    ],
    ['without an estimate nobody earns', task(0, [['ada', 'run', 50]]), ''],
    ['nor without labor', task(100, [['ada', 'travel', 50]]), ''],
  ])('%s', (_what, of, told) => {
    const said = earnedOf([of]).map(
      ({ technician: who, earnedSeconds, ownSeconds }) => `${who} ${earnedSeconds} of ${ownSeconds}`,
    );
    expect(said.join(', ')).toBe(told);
  });
});

test('efficiency counts finished tasks with an estimate and labor, setup apart', () => {
  const told = efficiencyOf([
    task(
      3600,
      [
        ['ada', 'setup', 600],
        ['ada', 'run', 1200, 600],
      ],
      900,
    ),
    task(0, [['ada', 'run', 999]]),
    task(1000, []),
  ]);
  expect(told).toEqual({
    taskCount: 1,
    estimatedSeconds: 3600,
    includedSeconds: 1800,
    measuredSeconds: 1200,
    setupEstimatedSeconds: 900,
    setupSeconds: 600,
  });
  expect(shareOf(told.estimatedSeconds, told.includedSeconds)).toBe(2);
  expect(shareOf(1, 0)).toBeNull();
});

test.each([
  [100, 50, false],
  [100, 49, true],
  [0, 0, false],
])('%i seconds of which %i were measured rest mostly on shared time: %s', (own, measured, told) => {
  expect(isMostlyShared({ ownSeconds: toSeconds(own), measuredSeconds: toSeconds(measured) })).toBe(told);
});

test('what is earned adds up to the estimates, own time to what was used', () => {
  const anyLine = fc.tuple(
    fc.constantFrom<string>(...TECHNICIANS, 'cy'),
    fc.constantFrom(...WORK_TYPES),
    fc.integer({ min: 1, max: 50_000 }),
  );
  const anyTask = fc.tuple(fc.nat(90_000), fc.array(anyLine, { maxLength: 8 }));
  fc.assert(
    fc.property(fc.array(anyTask, { maxLength: 6 }), (given) => {
      const tasks = given.map(([estimate, lines]) => task(estimate, lines));
      const earned = earnedOf(tasks);
      const { estimatedSeconds, includedSeconds, measuredSeconds } = efficiencyOf(tasks);
      const sum = (of: (each: (typeof earned)[number]) => number) =>
        earned.reduce((total, each) => total + of(each), 0);
      expect(sum((each) => each.earnedSeconds)).toBe(estimatedSeconds);
      expect(sum((each) => each.ownSeconds)).toBe(includedSeconds);
      expect(sum((each) => each.measuredSeconds)).toBe(measuredSeconds);
    }),
  );
});

test.each<[today: number, planned: number[], hours: number, what: string]>([
  [14, [10, 11, 12, 13, 14], 40, 'a week up to its end'],
  [12, [10, 11, 12, 13, 14], 24, 'of a week that goes on no more than there was of it'],
  [14, [10, 12], 16, 'nothing of days on which they were away'],
  [9, [10, 11], 0, 'nothing of what is to come'],
])('up to day %i, planned on %j: %i hours (%s)', (today, planned, hours) => {
  const days = [10, 11, 12, 13, 14].map(toDay);
  const told = expectedSeconds(toSeconds(8 * 3600), days, toDay(today), (day) => planned.includes(day));
  expect(told).toBe(hours * 3600);
});
