import type { Cause, CausedDifference } from '@wergon/core/compare';
import type { TargetId } from '@wergon/core/ledger';
import { toCents } from '@wergon/core/money';
import { toSeconds } from '@wergon/core/time';

/** A difference as it is kept: seven figures, then cause, seconds and cents in turn. */
export type KeptDifference = readonly (number | Cause)[];

export const writeDifference = (of: CausedDifference): KeptDifference => [
  Number(of.isFinished),
  of.expectedSeconds,
  of.expectedCost,
  of.difference,
  of.differenceSeconds,
  of.includedSeconds,
  of.measuredSeconds,
  ...of.causes.flatMap(({ cause, seconds, cents }) => [cause, seconds, cents]),
];

export function readDifference(kept: KeptDifference): CausedDifference {
  const figure = (at: number) => Number(kept[at]);
  const causes = [];
  for (let at = 7; at < kept.length; at += 3)
    causes.push({
      cause: kept[at] as Cause,
      seconds: toSeconds(figure(at + 1)),
      cents: toCents(figure(at + 2)),
    });
  return {
    isFinished: figure(0) === 1,
    expectedSeconds: toSeconds(figure(1)),
    expectedCost: toCents(figure(2)),
    difference: toCents(figure(3)),
    differenceSeconds: toSeconds(figure(4)),
    causes,
    includedSeconds: toSeconds(figure(5)),
    measuredSeconds: toSeconds(figure(6)),
  };
}

/** Tasks of a job as they are kept, each with its id. */
export type KeptTasks = readonly (readonly [TargetId, KeptDifference])[];
