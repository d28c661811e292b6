import { allocateStint, attendedByShiftDay } from '../ledger/index.ts';
import type { HoursEntry, LedgerFacts, Presence, Stint, TargetId } from '../ledger/index.ts';
import { daysFrom, mondayOf, sumSeconds, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds, Span } from '../time/index.ts';

/** One shift day on a person's card. `lines` are what was charged, by task or activity, the longest first; they add up to
 *  `chargedSeconds`. `stretches` are what was scanned; hours that were written down have no times and are in the lines. */
export type CardDay = {
  readonly day: LocalDay;
  readonly shifts: readonly Presence[];
  readonly breaks: readonly Presence[];
  readonly stretches: readonly Stint[];
  readonly lines: readonly { readonly target: TargetId; readonly seconds: Seconds }[];
  readonly attendedSeconds: Seconds;
  readonly chargedSeconds: Seconds;
};

/** What was recorded of one person: scanned, and written down. */
type Recorded = {
  readonly stints: readonly Stint[];
  readonly shifts: readonly Presence[];
  readonly breaks: readonly Presence[];
  readonly hours: readonly HoursEntry[];
};

/** A person's card: in, out, breaks, stretches and sums of each day from `firstDay` to `lastDay`, also where nothing was.
 *  What belongs to a shift stands on the day on which the shift began, as it is approved and paid; the timeline must reach
 *  around the days by the longest shift. Source: docs/reconcile.md, the card. */
export function personCard(
  { stints, shifts, breaks, hours }: Recorded,
  { firstDay, lastDay }: { readonly firstDay: LocalDay; readonly lastDay: LocalDay },
  facts: LedgerFacts,
): readonly CardDay[] {
  const { zone } = facts;
  const attended = attendedByShiftDay(shifts, breaks, stints, facts);
  const charged = new Map<LocalDay, Map<TargetId, number>>();
  const charge = (day: LocalDay, target: TargetId, seconds: number) => {
    const own = charged.get(day) ?? new Map<TargetId, number>();
    charged.set(day, own.set(target, (own.get(target) ?? 0) + seconds));
  };
  for (const stint of stints)
    for (const { shiftDay, target, seconds } of allocateStint(stint, facts))
      charge(shiftDay, target, seconds);
  for (const { day, targets, seconds } of hours)
    if (targets[0] !== undefined) charge(day, targets[0], seconds);

  const shiftOf = ({ from }: Span) =>
    shifts.find((shift) => shift.from <= from && from < shift.to)?.from ?? from;
  return daysFrom(firstDay, lastDay - firstDay + 1).map((day) => {
    const lines = [...(charged.get(day) ?? [])]
      .map(([target, seconds]) => ({ target, seconds: toSeconds(seconds) }))
      .sort((a, b) => b.seconds - a.seconds);
    return {
      day,
      shifts: shifts.filter(({ from }) => zone.dayAt(from) === day),
      breaks: breaks.filter((each) => zone.dayAt(shiftOf(each)) === day),
      stretches: stints.filter(({ shiftSince, from }) => zone.dayAt(shiftSince ?? from) === day),
      lines,
      attendedSeconds: attended.get(day) ?? toSeconds(0),
      chargedSeconds: sumSeconds(lines),
    };
  });
}

/** What a day, a week or all of a card comes to, in seconds. `balanceSeconds` is how much more was worked and is paid than
 *  was planned; it grows with days that are over alone. */
export type CardSums = {
  readonly attendedSeconds: Seconds;
  readonly chargedSeconds: Seconds;
  /** Of what was charged, on jobs. */
  readonly jobSeconds: Seconds;
  readonly overtimeSeconds: Seconds;
  readonly doubleSeconds: Seconds;
  readonly awaySeconds: Seconds;
  readonly plannedSeconds: Seconds;
  readonly balanceSeconds: number;
};

/** How much more of a day was worked and is paid than was left to work of it, in seconds; of a day that is not over nothing
 *  yet. Source: docs/reconcile.md, the card. */
export const dayBalance = (paid: number, planned: number, isOver: boolean): number =>
  isOver ? paid - planned : 0;

/** Days of a card, added up. */
export function sumCard(days: readonly CardSums[]): CardSums {
  const sum = (of: Exclude<keyof CardSums, 'balanceSeconds'>) =>
    sumSeconds(days.map((day) => ({ seconds: day[of] })));
  return {
    attendedSeconds: sum('attendedSeconds'),
    chargedSeconds: sum('chargedSeconds'),
    jobSeconds: sum('jobSeconds'),
    overtimeSeconds: sum('overtimeSeconds'),
    doubleSeconds: sum('doubleSeconds'),
    awaySeconds: sum('awaySeconds'),
    plannedSeconds: sum('plannedSeconds'),
    balanceSeconds: days.reduce((total, { balanceSeconds }) => total + balanceSeconds, 0),
  };
}

/** What a card comes to from Monday to Sunday. */
export type CardWeek<Day> = CardSums & { readonly monday: LocalDay; readonly days: readonly Day[] };

/** The days of a card by week, each week with its sums; the first and the last may lack days. */
export function cardWeeks<Day extends CardSums & { readonly day: LocalDay }>(
  days: readonly Day[],
): readonly CardWeek<Day>[] {
  const mondays = [...new Set(days.map(({ day }) => mondayOf(day)))];
  return mondays.map((monday) => {
    const own = days.filter(({ day }) => mondayOf(day) === monday);
    return { monday, days: own, ...sumCard(own) };
  });
}
