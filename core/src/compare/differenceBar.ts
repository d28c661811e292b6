import type { Cause, CausedDifference } from './causes.ts';

/** What differences are measured in. */
export type DifferenceUnit = 'money' | 'hours';

/** How far bars reach to the left of the middle line and to the right of it, in cents or seconds; neither below 0. */
export type DifferenceScale = { readonly less: number; readonly more: number };

/** One cause of a bar, from and to in shares of its width; what saves something lies left of the line. */
export type DifferencePiece = { readonly cause: Cause; readonly from: number; readonly to: number };

/** No side of the line is narrower than this share of the width. */
const LEAST_SIDE = 0.12;

const lengthsOf = (difference: CausedDifference, unit: DifferenceUnit) =>
  difference.causes.map(({ cause, cents, seconds }) => ({
    cause,
    length: unit === 'money' ? cents : seconds,
  }));

/** The one scale of several bars, so that they can be told against each other. */
export function differenceScale(
  differences: readonly CausedDifference[],
  unit: DifferenceUnit,
): DifferenceScale {
  let [less, more] = [0, 0];
  for (const each of differences) {
    const lengths = lengthsOf(each, unit).map(({ length }) => length);
    less = Math.max(less, -lengths.filter((length) => length < 0).reduce((sum, length) => sum + length, 0));
    more = Math.max(
      more,
      lengths.filter((length) => length > 0).reduce((sum, length) => sum + length, 0),
    );
  }
  const whole = less + more;
  return { less: Math.max(less, whole * LEAST_SIDE), more: Math.max(more, whole * LEAST_SIDE) };
}

/** Where the middle line of a scale stands, in shares of the width; in the middle where nothing differs. */
export const middleOf = ({ less, more }: DifferenceScale): number =>
  less + more === 0 ? 0.5 : less / (less + more);

/** A bar from the middle line: causes that add to the estimate to its right, those that save of it to its left, in the order
 *  of causes from the line outwards. Source: docs/compare.md, section 3. */
export function drawDifference(
  difference: CausedDifference,
  scale: DifferenceScale,
  unit: DifferenceUnit,
): readonly DifferencePiece[] {
  const whole = scale.less + scale.more;
  if (whole === 0) return [];
  let [left, right] = [middleOf(scale), middleOf(scale)];
  return lengthsOf(difference, unit).flatMap(({ cause, length }): DifferencePiece[] => {
    if (length === 0) return [];
    const share = Math.abs(length) / whole;
    if (length > 0) {
      const from = right;
      right += share;
      return [{ cause, from, to: right }];
    }
    const to = left;
    left -= share;
    return [{ cause, from: left, to }];
  });
}
