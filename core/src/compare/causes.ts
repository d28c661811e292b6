import { laborCost, sumCents, toCents } from '../money/index.ts';
import type { Cents, Fraction, Rate } from '../money/index.ts';
import type { LaborLine } from '../ledger/index.ts';
import { sumSeconds, toSeconds } from '../time/index.ts';
import type { Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { Pieces } from './pieces.ts';
import { toWhole } from './toWhole.ts';

/** Why a task costs other than estimated, in the order in which they are told. Those up to `soFar` are of time, the others
 *  of what an hour costs. Source: docs/compare.md, section 2. */
export const CAUSES = [
  'setup',
  'scrap',
  'quantity',
  'run',
  'rework',
  'cleanup',
  'down',
  'travel',
  'soFar',
  'mix',
  'rate',
  'premium',
  'trueUp',
  'uncosted',
  'changed',
] as const;
export type Cause = (typeof CAUSES)[number];

/** One cause: what it adds to the estimate, below zero what it saves. Of what an hour costs there are no seconds. */
export type CauseShare = { readonly cause: Cause; readonly seconds: Seconds; readonly cents: Cents };

/** Why a task's actual differs from its estimate. The causes add up to both differences. */
export type CausedDifference = {
  readonly isFinished: boolean;
  /** What the actual is held against: of what is not finished no more of the estimate than was used. */
  readonly expectedSeconds: Seconds;
  readonly expectedCost: Cents;
  readonly difference: Cents;
  readonly differenceSeconds: Seconds;
  /** Those that are not nothing. */
  readonly causes: readonly CauseShare[];
  /** Of the seconds that the estimate includes: all, and those that were measured and not shared or written down. */
  readonly includedSeconds: Seconds;
  readonly measuredSeconds: Seconds;
};

/** What a task was estimated at. */
export type TaskEstimate = {
  readonly estimatedSeconds: Seconds;
  /** Its setup, where the order's estimate includes any. */
  readonly setupSeconds: Seconds;
  /** Seconds of run time to a piece, exact. */
  readonly perPiece: Fraction;
  readonly quantity: number;
  /** The standard rate that the task keeps. */
  readonly rate: Rate;
  readonly includes: ReadonlySet<WorkType>;
  readonly isFinished: boolean;
};

/** A labor line with the standard rate, that day, of the grade of whoever did it; the task's own where they have none. */
export type GradedLine = Pick<LaborLine, 'workType' | 'seconds' | 'measuredSeconds' | 'cost'> & {
  readonly gradeRate: Rate;
  /** What of its cost is overtime, and what payroll paid beyond. */
  readonly premium?: Cents;
  readonly trueUp?: Cents;
};

/** So many units of a rate, over so many seconds, are a cent. */
const RATE_SECONDS_IN_CENT = 360_000n;

/** A cause in exact parts: seconds and cents in units of one scale each, so that they add up as whole numbers. */
type Exact = { readonly cause: Cause; readonly seconds: bigint; readonly cents: bigint };
/** The scale of a task: what takes part of a second a piece decides how fine it is. */
type Scale = { readonly second: bigint; readonly cent: bigint };

const scaleOf = ({ perPiece }: TaskEstimate): Scale => ({
  second: perPiece.denominator,
  cent: perPiece.denominator * RATE_SECONDS_IN_CENT,
});

/** Causes of a task that is finished: where its time went against where it was to go. */
function causesOfTime(
  { estimatedSeconds, setupSeconds, perPiece, quantity, rate }: TaskEstimate,
  { good, scrap }: Pieces,
  secondsOf: (type: WorkType) => bigint,
  { second }: Scale,
): Exact[] {
  const isCounted = good + scrap > 0;
  // Seconds of a piece are exact in this scale: its second is the denominator of theirs.
  const scrapped = isCounted ? perPiece.numerator * BigInt(scrap) : 0n;
  const more = isCounted ? perPiece.numerator * BigInt(good - quantity) : 0n;
  const time = (cause: Cause, seconds: bigint): Exact => ({ cause, seconds, cents: seconds * BigInt(rate) });
  const runEstimate = BigInt(estimatedSeconds - setupSeconds) * second;
  return [
    time('setup', secondsOf('setup') - BigInt(setupSeconds) * second),
    time('scrap', scrapped),
    time('quantity', more),
    time('run', secondsOf('run') - runEstimate - scrapped - more),
    ...(['rework', 'cleanup', 'down', 'travel'] as const).map((type) => time(type, secondsOf(type))),
  ];
}

/** Causes of what an hour cost: who did it, what they cost beside their grade, and where no rate says it. */
function causesOfCost(
  rate: Rate,
  lines: readonly GradedLine[],
  isStandard: boolean,
  { second, cent }: Scale,
): Exact[] {
  let [mix, dearer, overtime, beyond, uncosted] = [0n, 0n, 0n, 0n, 0n];
  for (const { seconds, gradeRate, cost, premium = 0, trueUp = 0 } of lines) {
    const length = BigInt(seconds) * second;
    if (cost === null) uncosted -= length * BigInt(rate);
    else {
      mix += length * BigInt(gradeRate - rate);
      dearer += BigInt(cost - premium - trueUp) * cent - length * BigInt(gradeRate);
      overtime += BigInt(premium) * cent;
      beyond += BigInt(trueUp) * cent;
    }
  }
  const money = (cause: Cause, cents: bigint): Exact => ({ cause, seconds: 0n, cents });
  return [
    money('mix', mix),
    ...(isStandard ? [] : [money('rate', dearer), money('premium', overtime), money('trueUp', beyond)]),
    money('uncosted', uncosted),
  ];
}

/** Why a task's actual differs from its estimate, in seconds and in cents. Of a task that is not finished only what is
 *  known counts: what was used beyond the estimate, and what the used hours cost. Lines of work types that the estimate
 *  does not include are in no cause. Lines at standard cost tell nothing of what a person costs: there is neither
 *  `rate` nor `premium` nor `trueUp` among their causes. Source: docs/compare.md, section 2. */
export function findCauses(
  estimate: TaskEstimate,
  pieces: Pieces,
  lines: readonly GradedLine[],
  costs: 'actual' | 'standard' = 'actual',
): CausedDifference {
  const { estimatedSeconds, includes, isFinished, rate } = estimate;
  const included = lines.filter(({ workType }) => includes.has(workType));
  const used = sumSeconds(included);
  const scale = scaleOf(estimate);
  const secondsOf = (type: WorkType) =>
    BigInt(sumSeconds(included.filter(({ workType }) => workType === type))) * scale.second;
  const expected = toSeconds(isFinished ? estimatedSeconds : Math.min(estimatedSeconds, used));
  const soFar = BigInt(used - expected) * scale.second;
  const exact = [
    ...(isFinished
      ? causesOfTime(estimate, pieces, secondsOf, scale)
      : [{ cause: 'soFar' as const, seconds: soFar, cents: soFar * BigInt(rate) }]),
    ...causesOfCost(rate, included, costs === 'standard', scale),
  ];
  const expectedCost = laborCost(expected, rate);
  const difference = toCents(sumCents(included) - expectedCost);
  const differenceSeconds = toSeconds(used - expected);
  const cents = toWhole(
    exact.map((each) => each.cents),
    scale.cent,
    difference,
  );
  const seconds = toWhole(
    exact.map((each) => each.seconds),
    scale.second,
    differenceSeconds,
  );
  return {
    isFinished,
    expectedSeconds: expected,
    expectedCost,
    difference,
    differenceSeconds,
    causes: exact
      .map(({ cause }, i) => ({ cause, seconds: toSeconds(seconds[i] ?? 0), cents: toCents(cents[i] ?? 0) }))
      .filter(isSomething),
    includedSeconds: used,
    measuredSeconds: sumSeconds(included.map(({ measuredSeconds: seconds }) => ({ seconds }))),
  };
}

/** What several tasks differ by together. Each figure is the sum of theirs, cause by cause; they are finished where all are.
 *  Source: docs/compare.md, section 2. */
export function sumDifferences(all: readonly CausedDifference[]): CausedDifference {
  const sum = { expectedSeconds: 0, expectedCost: 0, difference: 0, differenceSeconds: 0 };
  const used = { includedSeconds: 0, measuredSeconds: 0 };
  const shares = new Map(CAUSES.map((cause) => [cause, { seconds: 0, cents: 0 }]));
  for (const each of all) {
    sum.expectedSeconds += each.expectedSeconds;
    sum.expectedCost += each.expectedCost;
    sum.difference += each.difference;
    sum.differenceSeconds += each.differenceSeconds;
    used.includedSeconds += each.includedSeconds;
    used.measuredSeconds += each.measuredSeconds;
    for (const { cause, seconds, cents } of each.causes) {
      const share = shares.get(cause);
      if (!share) continue;
      share.seconds += seconds;
      share.cents += cents;
    }
  }
  return {
    isFinished: all.every(({ isFinished }) => isFinished),
    expectedSeconds: toSeconds(sum.expectedSeconds),
    expectedCost: toCents(sum.expectedCost),
    difference: toCents(sum.difference),
    differenceSeconds: toSeconds(sum.differenceSeconds),
    causes: [...shares]
      .map(([cause, { seconds, cents }]) => ({ cause, seconds: toSeconds(seconds), cents: toCents(cents) }))
      .filter(isSomething),
    includedSeconds: toSeconds(used.includedSeconds),
    measuredSeconds: toSeconds(used.measuredSeconds),
  };
}

const isSomething = ({ seconds, cents }: CauseShare): boolean => seconds !== 0 || cents !== 0;

type Estimated = { readonly estimatedSeconds: Seconds; readonly estimatedCost: Cents };

/** The same against the first estimate: of a finished task what was changed of it since is a cause of its own; of one that
 *  is not finished nothing is judged by an estimate that is no longer held. Source: docs/compare.md, section 2. */
export function againstFirst(
  difference: CausedDifference,
  first: Estimated,
  current: Estimated,
): CausedDifference {
  const cents = toCents(current.estimatedCost - first.estimatedCost);
  const seconds = toSeconds(current.estimatedSeconds - first.estimatedSeconds);
  if (!difference.isFinished || (cents === 0 && seconds === 0)) return difference;
  return {
    ...difference,
    expectedSeconds: toSeconds(difference.expectedSeconds - seconds),
    expectedCost: toCents(difference.expectedCost - cents),
    difference: toCents(difference.difference + cents),
    differenceSeconds: toSeconds(difference.differenceSeconds + seconds),
    causes: [...difference.causes, { cause: 'changed', seconds, cents }],
  };
}
