import { addFractions, fraction, multiplyFractions, roundFraction } from '../money/index.ts';
import type { Fraction } from '../money/index.ts';
import { toSeconds } from '../time/index.ts';
import type { Seconds } from '../time/index.ts';

/** What the instructions of a task come to beside its estimate. */
export type StepHours = {
  readonly seconds: Seconds;
  /** How many instructions say hours, and how many there are. */
  readonly counted: number;
  readonly all: number;
  /** Seconds by which they are more than the estimate; below 0 less. */
  readonly difference: number;
};

/** Adds up what instructions say in exact hours, rounded once; absent where none says any. Hours of instructions are of
 *  the whole task, however many pieces it has. */
export function sumInstructions(
  hours: readonly (Fraction | undefined)[],
  estimated: Seconds,
): StepHours | undefined {
  const said = hours.flatMap((each) => each ?? []);
  if (said.length === 0) return undefined;
  const sum = said.reduce((total, each) => addFractions(total, each), fraction(0n));
  const seconds = toSeconds(Number(roundFraction(multiplyFractions(sum, fraction(3600n)))));
  return { seconds, counted: said.length, all: hours.length, difference: seconds - estimated };
}
