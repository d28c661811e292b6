import type { LinePremium, PersonTimeline } from '@wergon/core/ledger';
import {
  byShiftDay,
  payOfWeek,
  payOfWeeks,
  portionsOf,
  sharesOfWeeks,
  weeksBetween,
  workedLinesOf,
} from '@wergon/core/pay';
import type { PayFacts, PayWeek, PersonPay, Portion, WorkedLine } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { addDays, earliestOf, latestOf, toSeconds } from '@wergon/core/time';
import type { LocalDay, Seconds } from '@wergon/core/time';
import { isPayKept } from '../catalog/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { findClosedUntil, markUnsettled } from './decisionRows.ts';
import { loadPremiums, loadSplits } from './payRows.ts';
import { loadHoursOf, loadPresence, loadStints, longestStint } from './timelineRows.ts';

/** A shift can begin so many days before the last calendar day of its labor. */
const DAYS_AFTER = 3;

type Days = { readonly first: LocalDay; readonly last: LocalDay };
/** What somebody's work is paid by, beside their time. */
type PaidBy = Pick<PayFacts, 'splits' | 'isClosed' | 'premiumRates'>;

/** One person's paid seconds of some shift days: what has ended, and what is given on top. */
export function loadPortions(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  { first, last }: Days,
  running?: Pick<PersonTimeline, 'stints' | 'shifts' | 'breaks'>,
): readonly Portion[] {
  const { zone, policy, overtime } = facts;
  const span = { technician, from: zone.startOf(first), to: zone.startOf(addDays(last, DAYS_AFTER)) };
  const isAttended = overtime.basis === 'attended';
  const time = {
    stints: [...loadStints(sql, { ...span, longest: longestStint(policy) }), ...(running?.stints ?? [])],
    shifts: isAttended ? [...loadPresence(sql, 'shift', span), ...(running?.shifts ?? [])] : [],
    breaks: isAttended ? [...loadPresence(sql, 'break', span), ...(running?.breaks ?? [])] : [],
    hours: loadHoursOf(sql, technician, first, last),
  };
  return portionsOf(time, facts, overtime.basis).filter(
    ({ shiftDay }) => shiftDay >= first && shiftDay <= last,
  );
}

/** By what somebody's work of some days is paid. */
export const paidBy = (
  sql: Sql,
  { overtime }: ShopFacts,
  technician: TechnicianId,
  { first, last }: Days,
): PaidBy => ({
  splits: loadSplits(sql, technician, first, last),
  isClosed: (day) => overtime.closedDays.has(day),
  premiumRates: overtime.premiumRates.get(technician) ?? [],
});

/** Where a week is derived from, so that a day of it comes out right. Each day goes on from what counted before it; where
 *  premium is spread over the week, any day changes all. */
export const startOf = ({ rule, firstDay }: PayWeek, day: LocalDay): LocalDay =>
  rule?.premiumOn === 'spread' ? firstDay : day;

/** What counted towards the tiers of a week before a day of it. */
export function loadCounted(
  sql: Sql,
  technician: TechnicianId,
  { firstDay }: PayWeek,
  before: LocalDay,
): Seconds {
  if (before <= firstDay) return toSeconds(0);
  const [row] = sql.all<{ counted: Seconds | null }>(
    'select sum("counted") as "counted" from "pay_day" where "technician" = ? and "shift_day" between ? and ?',
    [technician, firstDay, addDays(before, -1)],
  );
  return row?.counted ?? toSeconds(0);
}

/** What overtime would add to somebody's labor of some local days if it were paid by something else. */
export function premiumsWith(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  { first, last }: Days,
  change: (by: PaidBy) => PaidBy,
): readonly LinePremium[] {
  if (facts.overtime.rules.length === 0) return [];
  return payOfDays(sql, facts, technician, { first: addDays(first, -DAYS_AFTER), last }, change).lines.filter(
    ({ day }) => day >= first && day <= last,
  );
}

/** How somebody's ended shift days are paid, of all weeks that hold some days; derived, and not what is kept. */
export function payOfDays(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  { first, last }: Days,
  change: (by: PaidBy) => PaidBy = (by) => by,
): PersonPay {
  const weeks = weeksBetween((day) => facts.overtime.weekOf(technician, day), first, last);
  const days = { first: weeks[0]?.firstDay ?? first, last: weeks.at(-1)?.lastDay ?? last };
  const portions = byShiftDay(loadPortions(sql, facts, technician, days));
  return payOfWeeks(portions, weeks, change(paidBy(sql, facts, technician, days)));
}

/** What somebody worked on ended shift days and is paid for, by class and target; what runs is given on top. */
export function loadWorkedOf(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  { first, last }: Days,
  running?: Pick<PersonTimeline, 'stints' | 'shifts' | 'breaks'>,
): readonly WorkedLine[] {
  const weeks = weeksBetween((day) => facts.overtime.weekOf(technician, day), first, last);
  const days = { first: weeks[0]?.firstDay ?? first, last: weeks.at(-1)?.lastDay ?? last };
  const portions = byShiftDay(loadPortions(sql, facts, technician, days, running));
  const shares = sharesOfWeeks(portions, weeks, paidBy(sql, facts, technician, days));
  return workedLinesOf(
    technician,
    shares.filter(({ shiftDay }) => shiftDay >= first && shiftDay <= last),
  );
}

/** Derives anew how somebody's ended shift days are paid, from the first of some days in each of their weeks on; days whose
 *  labor costs other than before by it are added to those whose lines are summed. Source: docs/pay.md, kept days. */
export function keepPay(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  shiftDays: ReadonlySet<LocalDay>,
  lineDays: Set<LocalDay>,
): void {
  const { overtime } = facts;
  if (shiftDays.size === 0) return;
  const isKept = isPayKept(overtime);
  // In a shop that never had a rule there is nothing to look for.
  if (!isKept && !hasPaidDays(sql, technician)) return;
  const weekOf = (day: LocalDay) => overtime.weekOf(technician, day);
  for (const week of weeksBetween(weekOf, earliestOf(shiftDays), latestOf(shiftDays))) {
    const own = [...shiftDays].filter((day) => day >= week.firstDay && day <= week.lastDay);
    if (own.length === 0) continue;
    const days = { first: startOf(week, earliestOf(own)), last: week.lastDay };
    if (!isKept) {
      for (const day of replacePay(sql, technician, days, { days: [], lines: [] })) lineDays.add(day);
      continue;
    }
    const portions = loadPortions(sql, facts, technician, days);
    const counted = loadCounted(sql, technician, week, days.first);
    const pay = payOfWeek(byShiftDay(portions), week.rule, paidBy(sql, facts, technician, days), counted);
    for (const day of replacePay(sql, technician, days, pay)) lineDays.add(day);
  }
}

const hasPaidDays = (sql: Sql, technician: TechnicianId): boolean =>
  sql.all('select 1 from "pay_day" where "technician" = ? limit 1', [technician]).length > 0;

function replacePay(
  sql: Sql,
  technician: TechnicianId,
  { first, last }: Days,
  { days, lines }: Pick<PersonPay, 'days' | 'lines'>,
): readonly LocalDay[] {
  const own = [technician, first, last];
  const which = '"technician" = ? and "shift_day" between ? and ?';
  const before = loadPremiums(sql, which, own);
  const after = lines.filter(({ premium }) => premium !== 0);
  const daysBefore = sql.all<PaidRow>(
    `delete from "pay_day" where ${which} returning "shift_day", "straight", "overtime", "double", "unallocated"`,
    own,
  );
  unsettle(sql, technician, daysBefore, days);
  sql.insert(
    'pay_day',
    days.map((day) => ({
      technician,
      shift_day: day.day,
      paid: day.paidSeconds,
      straight: day.straight,
      overtime: day.overtime,
      double: day.double,
      unallocated: day.unallocatedSeconds,
      counted: day.countedSeconds,
      premium: day.premium,
      split: day.split,
    })),
  );
  if (before.length + after.length === 0) return [];
  sql.run(`delete from "line_premium" where ${which}`, own);
  sql.insert(
    'line_premium',
    after.map(({ shiftDay, workType, ...line }) => ({
      technician,
      shift_day: shiftDay,
      work_type: workType,
      ...line,
    })),
  );
  return changedDays(before, after);
}

type PaidRow = {
  readonly shift_day: LocalDay;
  readonly straight: number;
  readonly overtime: number;
  readonly double: number;
  readonly unallocated: number;
};

/** Days of closed periods that are paid otherwise now owe something, or are owed. */
function unsettle(
  sql: Sql,
  technician: TechnicianId,
  before: readonly PaidRow[],
  after: PersonPay['days'],
): void {
  const closedUntil = findClosedUntil(sql);
  if (closedUntil === null) return;
  const textOf = (day: Omit<PaidRow, 'shift_day'>) =>
    `${day.straight} ${day.overtime} ${day.double} ${day.unallocated}`;
  const was = new Map(before.map((row) => [row.shift_day, textOf(row)]));
  const is = new Map(after.map((day) => [day.day, textOf({ ...day, unallocated: day.unallocatedSeconds })]));
  // Before days were kept, all of them were straight.
  const stayStraight = new Set(
    after
      .filter(
        ({ day, straight, paidSeconds, unallocatedSeconds }) =>
          !was.has(day) && straight === paidSeconds && unallocatedSeconds === 0,
      )
      .map(({ day }) => day),
  );
  const changed = [...new Set([...was.keys(), ...is.keys()])].filter(
    (day) => day <= closedUntil && was.get(day) !== is.get(day) && !stayStraight.has(day),
  );
  markUnsettled(
    sql,
    changed.map((day) => ({ technician, day })),
  );
}

/** The calendar days of lines to which overtime adds something else. */
function changedDays(before: readonly LinePremium[], after: readonly LinePremium[]): readonly LocalDay[] {
  const keyOf = ({ shiftDay, day, target, workType, premium }: LinePremium) =>
    `${shiftDay} ${day} ${target} ${workType} ${premium}`;
  const [was, is] = [new Set(before.map(keyOf)), new Set(after.map(keyOf))];
  return [
    ...before.filter((each) => !is.has(keyOf(each))),
    ...after.filter((each) => !was.has(keyOf(each))),
  ].map(({ day }) => day);
}
