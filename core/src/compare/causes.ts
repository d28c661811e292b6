import { addFractions, fraction, laborCost, multiplyFractions, sumCents, toCents } from '../money/index.ts';
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
};

const NOTHING = fraction(0n);
const whole = (count: number): Fraction => fraction(BigInt(count));
const minus = (a: Fraction, b: Fraction): Fraction => addFractions(a, multiplyFractions(whole(-1), b));
const sum = (parts: readonly Fraction[]): Fraction => parts.reduce(addFractions, NOTHING);

/** So many units of a rate are an hour at one cent. */
const RATES_IN_CENT = 100n;
/** Exact cents of a length, in seconds, at a rate. */
const costOf = (seconds: Fraction, rate: number): Fraction =>
  multiplyFractions(seconds, fraction(BigInt(rate), 3600n * RATES_IN_CENT));

type Exact = { readonly cause: Cause; readonly seconds: Fraction; readonly cents: Fraction };

/** Causes of a task that is finished: where its time went against where it was to go. */
function causesOfTime(
  { estimatedSeconds, setupSeconds, perPiece, quantity, rate }: TaskEstimate,
  { good, scrap }: Pieces,
  secondsOf: (type: WorkType) => Fraction,
): Exact[] {
  const isCounted = good + scrap > 0;
  const scrapped = isCounted ? multiplyFractions(perPiece, whole(scrap)) : NOTHING;
  const more = isCounted ? multiplyFractions(perPiece, whole(good - quantity)) : NOTHING;
  const time = (cause: Cause, seconds: Fraction): Exact => ({ cause, seconds, cents: costOf(seconds, rate) });
  const runEstimate = whole(estimatedSeconds - setupSeconds);
  return [
    time('setup', minus(secondsOf('setup'), whole(setupSeconds))),
    time('scrap', scrapped),
    time('quantity', more),
    time('run', minus(secondsOf('run'), sum([runEstimate, scrapped, more]))),
    ...(['rework', 'cleanup', 'down', 'travel'] as const).map((type) => time(type, secondsOf(type))),
  ];
}

/** Causes of what an hour cost: who did it, what they cost beside their grade, and where no rate says it. */
function causesOfCost(rate: Rate, lines: readonly GradedLine[], isStandard: boolean): Exact[] {
  const money = (cause: Cause, cents: Fraction): Exact => ({ cause, seconds: NOTHING, cents });
  const costed = lines.flatMap(({ cost, ...line }) => (cost === null ? [] : [{ ...line, cost }]));
  const uncosted = lines.filter(({ cost }) => cost === null);
  return [
    money('mix', sum(costed.map(({ seconds, gradeRate }) => costOf(whole(seconds), gradeRate - rate)))),
    ...(isStandard
      ? []
      : [
          money(
            'rate',
            sum(
              costed.map(({ seconds, gradeRate, cost }) =>
                minus(whole(cost), costOf(whole(seconds), gradeRate)),
              ),
            ),
          ),
        ]),
    money('uncosted', sum(uncosted.map(({ seconds }) => costOf(whole(-seconds), rate)))),
  ];
}

/** Why a task's actual differs from its estimate, in seconds and in cents. Of a task that is not finished only what is
 *  known counts: what was used beyond the estimate, and what the used hours cost. Lines of work types that the estimate
 *  does not include are in no cause. Lines at standard cost tell nothing of what a person costs: there is no `rate` among
 *  their causes. Source: docs/compare.md, section 2. */
export function findCauses(
  estimate: TaskEstimate,
  pieces: Pieces,
  lines: readonly GradedLine[],
  costs: 'actual' | 'standard' = 'actual',
): CausedDifference {
  const { estimatedSeconds, includes, isFinished, rate } = estimate;
  const included = lines.filter(({ workType }) => includes.has(workType));
  const used = sumSeconds(included);
  const secondsOf = (type: WorkType) =>
    whole(sumSeconds(included.filter(({ workType }) => workType === type)));
  const expected = toSeconds(isFinished ? estimatedSeconds : Math.min(estimatedSeconds, used));
  const soFar = whole(used - expected);
  const exact = [
    ...(isFinished
      ? causesOfTime(estimate, pieces, secondsOf)
      : [{ cause: 'soFar' as const, seconds: soFar, cents: costOf(soFar, rate) }]),
    ...causesOfCost(rate, included, costs === 'standard'),
  ];
  const expectedCost = laborCost(expected, rate);
  const difference = toCents(sumCents(included) - expectedCost);
  const differenceSeconds = toSeconds(used - expected);
  const cents = toWhole(
    exact.map((each) => each.cents),
    difference,
  );
  const seconds = toWhole(
    exact.map((each) => each.seconds),
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
  const sum = (of: (each: CausedDifference) => number) => all.reduce((total, each) => total + of(each), 0);
  const causes = all.flatMap((each) => each.causes);
  const shares = CAUSES.map((cause): CauseShare => {
    const own = causes.filter((each) => each.cause === cause);
    return { cause, seconds: sumSeconds(own), cents: sumCents(own.map(({ cents }) => ({ cost: cents }))) };
  });
  return {
    isFinished: all.every(({ isFinished }) => isFinished),
    expectedSeconds: toSeconds(sum(({ expectedSeconds }) => expectedSeconds)),
    expectedCost: toCents(sum(({ expectedCost }) => expectedCost)),
    difference: toCents(sum(({ difference }) => difference)),
    differenceSeconds: toSeconds(sum(({ differenceSeconds }) => differenceSeconds)),
    causes: shares.filter(isSomething),
    includedSeconds: toSeconds(sum(({ includedSeconds }) => includedSeconds)),
    measuredSeconds: toSeconds(sum(({ measuredSeconds }) => measuredSeconds)),
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
