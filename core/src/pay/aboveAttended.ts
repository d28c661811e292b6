import { isSaidLength } from '../time/index.ts';

/** Whether somebody is to be paid for more labor than the time they attended, by as much as is said anywhere: a sign-in or
 *  sign-out is missing, or hours were entered twice. Both in seconds. Source: docs/pay.md. */
export const isAboveAttended = ({
  chargedSeconds,
  attendedSeconds,
}: {
  readonly chargedSeconds: number;
  readonly attendedSeconds: number;
}): boolean => isSaidLength(chargedSeconds - attendedSeconds);
