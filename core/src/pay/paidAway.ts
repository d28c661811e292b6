import { fraction, multiplyFractions, roundFraction } from '../money/index.ts';
import type { Fraction } from '../money/index.ts';
import { groupBy } from '../result/index.ts';
import { daysFrom, sumSeconds, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { PayWeek } from './overtimeRule.ts';

/** A day or part of one on which somebody was away; without seconds what was planned of that weekday. */
export type Leave = {
  readonly day: LocalDay;
  readonly kind: string;
  readonly isPaid: boolean;
  readonly seconds?: Seconds | undefined;
};

/** Hours of a week for which somebody is paid at the least, from a day on. */
export type Guarantee = { readonly from: LocalDay; readonly hours: Fraction };

/** What decides what somebody is paid without working. */
export type AwayFacts = {
  /** What was planned of a day, whatever became of it. */
  readonly plannedOn: (day: LocalDay) => Seconds;
  readonly leave: readonly Leave[];
  readonly guarantees: readonly Guarantee[];
  /** Closed days of the shop, and whether they are paid. */
  readonly closedDays: ReadonlyMap<LocalDay, { readonly isPaid: boolean }>;
};

/** What of it decides how long somebody is away. */
export type LeaveFacts = Pick<AwayFacts, 'plannedOn' | 'leave' | 'closedDays'>;

/** Seconds paid without being worked. */
export type PaidAway = {
  readonly day: LocalDay;
  readonly kind: { readonly of: 'leave'; readonly name: string } | { readonly of: 'closed' | 'guarantee' };
  readonly seconds: Seconds;
};

const DAYS_OF_WEEK = 7n;

/** What somebody is paid for time away: leave that is paid, closed days that are, and what a week lacks of the hours that
 *  are guaranteed. `days` are those asked for; of a week that does not lie in them whole nothing is filled up. `paidOn`
 *  says what was worked and paid on a shift day. None of it counts toward a tier or lies on a job.
 *  Source: docs/pay.md, paid time that is not worked. */
export function paidAwayOf(
  facts: AwayFacts,
  days: readonly LocalDay[],
  weeks: readonly PayWeek[],
  paidOn: (day: LocalDay) => number,
): readonly PaidAway[] {
  const [first, last] = [days[0], days.at(-1)];
  const away = new Map(days.map((day) => [day, timeAwayOn(facts, day)]));
  const filled = weeks.flatMap((week): PaidAway[] => {
    if (first === undefined || last === undefined || week.firstDay < first || week.lastDay > last) return [];
    const ofWeek = daysFrom(week.firstDay, week.lastDay - week.firstDay + 1);
    const had = ofWeek.reduce((sum, day) => sum + paidOn(day) + sumSeconds(away.get(day) ?? []), 0);
    const lacks = guaranteedIn(facts.guarantees, week.firstDay, ofWeek.length) - had;
    return [{ day: week.lastDay, kind: { of: 'guarantee' }, seconds: toSeconds(Math.max(0, lacks)) }];
  });
  const paid = [...away].flatMap(([day, all]) =>
    all.flatMap(({ isPaid, kind, seconds }): PaidAway[] => (isPaid ? [{ day, kind, seconds }] : [])),
  );
  return [...paid, ...filled].filter(({ seconds }) => seconds > 0);
}

/** Leave of a day and how long it is: what was said, or what is planned. Paid leave on a closed day that is paid is none. */
export const leaveOn = (
  { plannedOn, leave, closedDays }: LeaveFacts,
  day: LocalDay,
): readonly (Leave & { readonly seconds: Seconds })[] =>
  leave
    .filter((each) => each.day === day && !(each.isPaid && closedDays.get(day)?.isPaid === true))
    .map((each) => ({ ...each, seconds: each.seconds ?? plannedOn(day) }));

/** Time of a day that stands instead of work, paid or not. */
export type TimeAway = Pick<PaidAway, 'kind' | 'seconds'> & { readonly isPaid: boolean };

/** Leave of a day by its kind, and a closed day as far as it is paid: as long as planned, less unpaid leave.
 *  Source: docs/pay.md, paid time that is not worked. */
export function timeAwayOn(facts: LeaveFacts, day: LocalDay): readonly TimeAway[] {
  const own = leaveOn(facts, day);
  const isPaidClosing = facts.closedDays.get(day)?.isPaid === true;
  const unpaid = sumSeconds(own.filter(({ isPaid }) => !isPaid));
  const closed = isPaidClosing ? Math.max(0, facts.plannedOn(day) - unpaid) : 0;
  const byKind = [true, false].flatMap((isPaid) =>
    [
      ...groupBy(
        own.filter((each) => each.isPaid === isPaid),
        ({ kind }) => kind,
      ),
    ].map(([name, of]): TimeAway => ({ kind: { of: 'leave', name }, seconds: sumSeconds(of), isPaid })),
  );
  const all: TimeAway[] = [...byKind, { kind: { of: 'closed' }, seconds: toSeconds(closed), isPaid: true }];
  return all.filter(({ seconds }) => seconds > 0);
}

/** What is guaranteed of a week by the record in force on its first day; of a short week its part, rounded once. */
function guaranteedIn(guarantees: readonly Guarantee[], firstDay: LocalDay, days: number): number {
  const record = guarantees
    .filter(({ from }) => from <= firstDay)
    .reduce<Guarantee | undefined>((last, each) => (last && last.from > each.from ? last : each), undefined);
  const part = fraction(BigInt(days) * 3600n, DAYS_OF_WEEK);
  return record ? Number(roundFraction(multiplyFractions(record.hours, part))) : 0;
}
