import { Defect } from '../result/index.ts';
import type { Seconds } from '../time/index.ts';

const SECONDS_PER_HUNDREDTH = 36;

const write = (hundredths: number): string =>
  `${Math.floor(hundredths / 100)}.${String(hundredths % 100).padStart(2, '0')}`;

/** Parts the hours of a task in two: the first part keeps what has been used, up to all of it, the second gets what is
 *  left. In hundredths of an hour; the used part is rounded up, and both add up to the estimate, itself rounded to a
 *  hundredth. Throws `Defect` on a negative length. */
export function splitHoursOf(estimated: Seconds, used: Seconds): readonly [first: string, second: string] {
  if (estimated < 0 || used < 0) throw new Defect('a length is never negative');
  const total = Math.round(estimated / SECONDS_PER_HUNDREDTH);
  const first = Math.min(total, Math.ceil(used / SECONDS_PER_HUNDREDTH));
  return [write(first), write(total - first)];
}
