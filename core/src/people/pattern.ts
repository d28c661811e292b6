import { fail, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';
import { addDays, atWallClock, mondayOf, toInstant, toSeconds, weekdayOf } from '../time/index.ts';
import type { LocalDay, Seconds, Span, Zone } from '../time/index.ts';

/** One planned shift: minutes of the day on the shop's clock. An end at or before the start lies on the next day. */
export type ShiftPlan = {
  readonly startMinute: number;
  readonly endMinute: number;
  readonly breakMinutes: number;
};

/** Seven days, Monday first; `null` is a free day. */
export type PatternWeek = readonly (ShiftPlan | null)[];

/** A rotation of one to four weeks that holds from a day on; its first week is the week of that day. */
export type WorkPattern = { readonly from: LocalDay; readonly weeks: readonly PatternWeek[] };

const DAY_MINUTES = 1440;
const DAYS_PER_WEEK = 7;
const MOST_WEEKS = 4;

export const PATTERN_ERROR_CODES = [
  'pattern.weeks',
  'pattern.days',
  'pattern.minute',
  'pattern.break',
] as const;
export type PatternErrorCode = (typeof PATTERN_ERROR_CODES)[number];

/** Length of a planned shift from its start to its end, break included, in minutes. */
const lengthOfShift = ({ startMinute, endMinute }: ShiftPlan): number =>
  endMinute > startMinute ? endMinute - startMinute : endMinute + DAY_MINUTES - startMinute;

/** Planned working minutes of a shift: its length less the unpaid break. */
const plannedMinutes = (plan: ShiftPlan): number => lengthOfShift(plan) - plan.breakMinutes;

/** Planned working time of a shift, in seconds: its length less the unpaid break. */
export const plannedSeconds = (plan: ShiftPlan): Seconds => toSeconds(plannedMinutes(plan) * 60);

/** From when to when a shift of a day is planned, by the shop's wall clock; an end at or before the start lies on the next
 *  day. Source: docs/people.md, planned pattern. */
export function plannedSpan(zone: Zone, day: LocalDay, { startMinute, endMinute }: ShiftPlan): Span {
  const lastDay = endMinute <= startMinute ? addDays(day, 1) : day;
  return {
    from: atWallClock(zone, day, startMinute * 60),
    to: atWallClock(zone, lastDay, endMinute * 60),
  };
}

/** When somebody is expected on a planned day. Who is away for a part of it is missed by so much later only: nobody has said
 *  which part it is. */
export const expectedSpan = ({ from, to }: Span, awaySeconds: number): Span => ({
  from: toInstant(Math.min(to, from + awaySeconds)),
  to,
});

/** Checks a rotation: one to four weeks of seven days, minutes within a day, a break shorter than its shift. */
export function checkPattern(
  weeks: readonly PatternWeek[],
): Result<readonly PatternWeek[], PatternErrorCode> {
  if (weeks.length < 1 || weeks.length > MOST_WEEKS) return fail('pattern.weeks');
  for (const [week, days] of weeks.entries()) {
    if (days.length !== DAYS_PER_WEEK) return fail('pattern.days', { week });
    for (const [day, plan] of days.entries()) {
      if (!plan) continue;
      const isMinute = (minute: number) => Number.isInteger(minute) && minute >= 0 && minute < DAY_MINUTES;
      if (!isMinute(plan.startMinute) || !isMinute(plan.endMinute))
        return fail('pattern.minute', { week, day });
      if (!isMinute(plan.breakMinutes) || plannedMinutes(plan) <= 0)
        return fail('pattern.break', { week, day });
    }
  }
  return ok(weeks);
}

/** What a day is for a person. */
export type PlannedDay =
  | {
      readonly kind: 'work';
      readonly plan: ShiftPlan;
      /** What of the shift's working time is left, where somebody is away for a part of it. */
      readonly seconds: Seconds;
    }
  | { readonly kind: 'free' | 'closed' | 'absent' | 'unplanned' };

/** What is planned of a person on a day: the latest pattern not after it, unless the shop is closed or they are away for
 *  all of it; `away` are seconds of an absence, `null` for the whole day. `unplanned` where no pattern holds yet.
 *  Source: docs/people.md, planned pattern. */
export function plannedOn(
  patterns: readonly WorkPattern[],
  isClosed: boolean,
  away: Seconds | null | undefined,
  day: LocalDay,
): PlannedDay {
  const pattern = [...patterns].sort((a, b) => b.from - a.from).find(({ from }) => from <= day);
  if (!pattern) return { kind: 'unplanned' };
  const week = Math.floor((day - mondayOf(pattern.from)) / DAYS_PER_WEEK) % pattern.weeks.length;
  const plan = pattern.weeks[week]?.[weekdayOf(day) - 1];
  if (!plan) return { kind: 'free' };
  if (isClosed) return { kind: 'closed' };
  const seconds = toSeconds(plannedSeconds(plan) - (away ?? 0));
  return away === null || seconds <= 0 ? { kind: 'absent' } : { kind: 'work', plan, seconds };
}
