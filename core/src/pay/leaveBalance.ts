import { groupBy } from '../result/index.ts';
import { sumSeconds, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import { leaveOn } from './paidAway.ts';
import type { LeaveFacts } from './paidAway.ts';

/** How much somebody may be away in a year for one reason, in seconds: what the shop allows (`null` where it says
 *  nothing), what they have had up to today, what is granted after it, and what is left; below nothing where they have
 *  had more. */
export type LeaveBalance = {
  readonly kind: string;
  readonly allowed: Seconds | null;
  readonly taken: Seconds;
  readonly ahead: Seconds;
  readonly left: number | null;
};

/** The balances of one person over the days of a year, by kind: those that the shop allows something of first, then others
 *  that there was leave of. Leave counts paid or not; paid leave on a closed day that is paid is none.
 *  Source: docs/pay.md, time off. */
export function leaveBalances(
  facts: LeaveFacts,
  allowed: ReadonlyMap<string, Seconds>,
  days: readonly LocalDay[],
  today: LocalDay,
): readonly LeaveBalance[] {
  const had = groupBy(
    days.flatMap((day) => leaveOn(facts, day)),
    ({ kind }) => kind,
  );
  return [...new Set([...allowed.keys(), ...had.keys()])].map((kind) => {
    const own = had.get(kind) ?? [];
    const taken = sumSeconds(own.filter(({ day }) => day <= today));
    const ahead = sumSeconds(own.filter(({ day }) => day > today));
    const most = allowed.get(kind) ?? null;
    return { kind, allowed: most, taken, ahead, left: most === null ? null : most - taken - ahead };
  });
}

/** What one more time off takes of a balance, in seconds: of days on which something is planned, and that are not taken by
 *  other leave or a closed day already. */
export const leaveTakes = (
  { plannedOn, leave, closedDays }: LeaveFacts,
  days: readonly LocalDay[],
  seconds: Seconds | null,
): Seconds =>
  toSeconds(
    days
      .filter((day) => !closedDays.has(day) && !leave.some((each) => each.day === day))
      .reduce((sum, day) => sum + Math.min(seconds ?? Infinity, plannedOn(day)), 0),
  );
