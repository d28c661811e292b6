import { secondsOfDay } from '../ledger/index.ts';
import type { AttendanceDay, ChargedDays, TargetId } from '../ledger/index.ts';
import { daysFrom, mondayOf, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';

/** A technician's own day, as a station shows it. */
export type OwnDay = {
  readonly day: LocalDay;
  readonly attendedSeconds: Seconds;
  readonly chargedSeconds: Seconds;
  readonly lines: readonly { readonly target: TargetId; readonly seconds: Seconds }[];
};

/** A technician's own week from Monday up to today, each day there even if nothing was. The lines of a day add up to what
 *  it was charged with. Source: docs/station.md. */
export function ownWeek(
  today: LocalDay,
  attendance: readonly AttendanceDay[],
  charged: ChargedDays,
): readonly OwnDay[] {
  const monday = mondayOf(today);
  return daysFrom(monday, today - monday + 1).map((day) => ({
    day,
    attendedSeconds: attendance.find((each) => each.day === day)?.attendedSeconds ?? toSeconds(0),
    chargedSeconds: secondsOfDay(charged, day),
    lines: [...(charged.get(day) ?? [])].map(([target, seconds]) => ({ target, seconds })),
  }));
}
