import fc from 'fast-check';
import { fraction } from '../money/fraction.ts';
import { laborCost, toCents, toRate } from '../money/money.ts';
import { toSeconds } from '../time/seconds.ts';
import { WORK_TYPES } from '../work/workType.ts';
import { CAUSES, againstFirst, findCauses, sumDifferences } from './causes.ts';
import type { GradedLine, TaskEstimate } from './causes.ts';
import type { Pieces } from './pieces.ts';
import { toWhole } from './toWhole.ts';

const HOUR = 3600;
const [winder, helper] = [toRate(400_000), toRate(300_000)];
const hours = (count: number) => toSeconds(count * HOUR);
const line = (workType: GradedLine['workType'], count: number, cost: number | null, gradeRate = winder) => ({
  workType,
  seconds: hours(count),
  measuredSeconds: hours(count),
  cost: cost === null ? null : toCents(cost),
  gradeRate,
});
const estimate = (more: Partial<TaskEstimate> = {}): TaskEstimate => ({
  estimatedSeconds: hours(3.5),
  setupSeconds: hours(0.5),
  perPiece: fraction(900n),
  quantity: 10,
  rate: winder,
  includes: new Set(['setup', 'run', 'rework'] as const),
  isFinished: true,
  ...more,
});
const none = { good: 0, scrap: 0 };
const told = (of: TaskEstimate, pieces: Pieces, lines: readonly GradedLine[]) => {
  const { difference, causes } = findCauses(of, pieces, lines);
  return [difference, Object.fromEntries(causes.map(({ cause, cents }) => [cause, cents]))];
};

type Row = [
  what: string,
  of: TaskEstimate,
  pieces: Pieces,
  lines: readonly GradedLine[],
  difference: number,
  causes: object,
];
test.each<Row>([
  [
    'a finished task: each stretch of time against its part of the estimate, and a winder above the grade',
    estimate(),
    { good: 9, scrap: 1 },
    [line('setup', 1, 4200), line('run', 4, 16_800), line('rework', 0.5, 2100)],
    9100,
    { setup: 2000, scrap: 1000, quantity: -1000, run: 4000, rework: 2000, rate: 1100 },
  ],
  [
    'an unfinished one: what is beyond the estimate, done by a cheaper grade than planned',
    estimate({
      estimatedSeconds: hours(2),
      setupSeconds: hours(0),
      perPiece: fraction(0n),
      isFinished: false,
    }),
    none,
    [line('run', 3, 8700, helper)],
    700,
    { soFar: 4000, mix: -3000, rate: -300 },
  ],
  [
    'one that has hardly begun is not under',
    estimate({ isFinished: false }),
    none,
    [line('run', 1, 4000)],
    0,
    {},
  ],
  [
    'what the estimate does not include is in no cause',
    estimate({ estimatedSeconds: hours(1), setupSeconds: hours(0), perPiece: fraction(0n), rate: helper }),
    none,
    [line('travel', 1, 2900, helper)],
    -3000,
    { run: -3000 },
  ],
  [
    'without a report of pieces nothing is scrap and nothing too many',
    estimate(),
    none,
    [line('setup', 0.5, 2000), line('run', 3, 12_000)],
    0,
    {},
  ],
  [
    'hours without a rate are counted, and their money is missing',
    estimate(),
    none,
    [line('setup', 0.5, 2000), line('run', 3, null)],
    -12_000,
    { uncosted: -12_000 },
  ],
])('%s', (_what, of, pieces, lines, difference, causes) => {
  expect(told(of, pieces, lines)).toEqual([difference, causes]);
});

test('a change of the estimate is a cause of its own against the first, of what is finished alone', () => {
  const first = { estimatedSeconds: hours(3), estimatedCost: toCents(12_000) };
  const current = { estimatedSeconds: hours(3.5), estimatedCost: toCents(14_000) };
  const lines = [line('setup', 0.5, 2000), line('run', 3, 12_000)];
  const done = againstFirst(findCauses(estimate(), none, lines), first, current);
  expect(done).toMatchObject({
    difference: 2000,
    differenceSeconds: 1800,
    causes: [{ cause: 'changed', seconds: 1800, cents: 2000 }],
  });
  const open = findCauses(estimate({ isFinished: false }), none, lines);
  expect(againstFirst(open, first, current)).toEqual(open);
});

const sumOf = (causes: readonly { readonly cents: number; readonly seconds: number }[]) => [
  causes.reduce((sum, { cents }) => sum + cents, 0),
  causes.reduce((sum, { seconds }) => sum + seconds, 0),
];

const anyLine = fc.record({
  workType: fc.constantFrom(...WORK_TYPES),
  seconds: fc.integer({ min: 1, max: 100_000 }).map(toSeconds),
  measuredSeconds: fc.constant(toSeconds(0)),
  cost: fc.option(fc.integer({ min: 0, max: 1_000_000 }).map(toCents), { nil: null }),
  gradeRate: fc.integer({ min: 1, max: 2_000_000 }).map(toRate),
  premium: fc.integer({ min: 0, max: 50_000 }).map(toCents),
});
const anyTask = fc.record({
  lines: fc.array(anyLine, { maxLength: 12 }),
  pieces: fc.record({ good: fc.nat(50), scrap: fc.nat(50) }),
  estimate: fc
    .record({
      estimatedSeconds: fc.nat(500_000).map(toSeconds),
      perPiece: fc.tuple(fc.bigInt(0n, 9999n), fc.bigInt(1n, 7n)).map(([a, b]) => fraction(a, b)),
      quantity: fc.nat(40),
      rate: fc.integer({ min: 1, max: 2_000_000 }).map(toRate),
      includes: fc.subarray([...WORK_TYPES]).map((types) => new Set(types)),
      isFinished: fc.boolean(),
    })
    .map((fields) => ({ ...fields, setupSeconds: toSeconds(Math.floor(fields.estimatedSeconds / 3)) })),
});

test('causes add up to the difference, in cents and in seconds, for every task', () => {
  fc.assert(
    fc.property(anyTask, ({ estimate: of, pieces, lines }) => {
      const found = findCauses(of, pieces, lines);
      const included = lines.filter(({ workType }) => of.includes.has(workType));
      const used = included.reduce((sum, { seconds }) => sum + seconds, 0);
      const actual = included.reduce((sum, { cost }) => sum + (cost ?? 0), 0);
      const expected = toSeconds(of.isFinished ? of.estimatedSeconds : Math.min(of.estimatedSeconds, used));
      expect(found.difference).toBe(actual - laborCost(expected, of.rate));
      expect(found.differenceSeconds).toBe(used - expected);
      expect(sumOf(found.causes)).toEqual([found.difference, found.differenceSeconds]);
      // What it is held against, and what it differs by, are what it came to.
      expect(found.expectedCost + found.difference).toBe(actual);
      expect(found.expectedSeconds + found.differenceSeconds).toBe(used);
    }),
  );
});

test('at standard cost nothing is told of what a person costs, and the rest adds up to the difference', () => {
  fc.assert(
    fc.property(anyTask, ({ estimate: of, pieces, lines }) => {
      const standard = lines.map((each) => ({ ...each, cost: laborCost(each.seconds, each.gradeRate) }));
      const found = findCauses(of, pieces, standard, 'standard');
      expect(found.causes.map(({ cause }) => cause)).not.toContain('rate');
      expect(found.causes.map(({ cause }) => cause)).not.toContain('premium');
      expect(found.causes.reduce((total, { cents }) => total + cents, 0)).toBe(found.difference);
    }),
  );
});

test('several tasks differ by what each differs by, cause by cause, in their order', () => {
  fc.assert(
    fc.property(fc.array(anyTask, { maxLength: 6 }), (tasks) => {
      const each = tasks.map(({ estimate: of, pieces, lines }) => findCauses(of, pieces, lines));
      const all = sumDifferences(each);
      const total = (of: (one: (typeof each)[number]) => number) =>
        each.reduce((sum, one) => sum + of(one), 0);
      expect(all).toMatchObject({
        difference: total(({ difference }) => difference),
        differenceSeconds: total(({ differenceSeconds }) => differenceSeconds),
        expectedCost: total(({ expectedCost }) => expectedCost),
        includedSeconds: total(({ includedSeconds }) => includedSeconds),
      });
      expect(sumOf(all.causes)).toEqual([all.difference, all.differenceSeconds]);
      const order = all.causes.map(({ cause }) => CAUSES.indexOf(cause));
      expect(order).toEqual([...order].sort((a, b) => a - b));
    }),
  );
});

test('each cause is its own amount, to less than a cent and a second', () => {
  fc.assert(
    fc.property(anyTask, ({ estimate: of, pieces: { good, scrap }, lines }) => {
      const found = findCauses({ ...of, isFinished: true }, { good, scrap }, lines);
      const included = lines.filter(({ workType }) => of.includes.has(workType));
      const used = (type: string) =>
        included.reduce((sum, { workType, seconds }) => sum + (workType === type ? seconds : 0), 0);
      const piece = Number(of.perPiece.numerator) / Number(of.perPiece.denominator);
      const isCounted = good + scrap > 0;
      const [scrapped, more] = isCounted ? [piece * scrap, piece * (good - of.quantity)] : [0, 0];
      const told = (cause: string) => found.causes.find((each) => each.cause === cause);
      const near = (a: number | undefined, b: number) => expect(Math.abs((a ?? 0) - b)).toBeLessThan(1.0001);
      for (const [cause, seconds] of [
        ['setup', used('setup') - of.setupSeconds],
        ['scrap', scrapped],
        ['quantity', more],
        ['run', used('run') - (of.estimatedSeconds - of.setupSeconds) - scrapped - more],
        ['rework', used('rework')],
        ['travel', used('travel')],
      ] as const) {
        near(told(cause)?.seconds, seconds);
        near(told(cause)?.cents, (seconds * of.rate) / 360_000);
      }
      const costed = included.flatMap(({ cost, ...each }) => (cost === null ? [] : [{ ...each, cost }]));
      const sum = (amount: (each: (typeof costed)[number]) => number) =>
        costed.reduce((all, each) => all + amount(each), 0);
      near(
        told('mix')?.cents,
        sum(({ seconds, gradeRate }) => (seconds * (gradeRate - of.rate)) / 360_000),
      );
      near(
        told('rate')?.cents,
        sum(({ seconds, gradeRate, cost, premium }) => cost - premium - (seconds * gradeRate) / 360_000),
      );
      near(
        told('premium')?.cents,
        sum(({ premium }) => premium),
      );
    }),
  );
});

// In quarters.
test.each<[exact: bigint[], total: number, whole: number[], why: string]>([
  [[2n, 2n], 1, [1, 0], 'of equal parts the earlier gets what is missing'],
  [[1n, 3n], 1, [0, 1], 'the larger part gets it'],
  [[-1n, 1n], 0, [0, 0], 'a part below nothing is floored downwards'],
  [[4n, 0n], 3, [2, 1], 'more than one each'],
  [[20n, 2n], 4, [4, 0], 'too much comes off the smallest part'],
  [[20n, 4n], 6, [5, 1], 'whole parts stay as they are'],
])('%j quarters are shared over %i as %j: %s', (exact, total, whole) => {
  expect(toWhole(exact, 4n, total)).toEqual(whole);
});
