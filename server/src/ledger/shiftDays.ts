import { createHash } from 'node:crypto';
import {
  attendedByShiftDay,
  allocateStint,
  emptyTimeline,
  splitByShiftDay,
  sumLines,
} from '@wergon/core/ledger';
import type { HoursEntry, ShiftLine } from '@wergon/core/ledger';
import { toCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import type { DayClasses, PaidDay } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { approvalFacts, approvalState } from '@wergon/core/approval';
import type { ApprovalState } from '@wergon/core/approval';
import { groupBy } from '@wergon/core/result';
import { inForceAt, sumSeconds, toSeconds, addDays } from '@wergon/core/time';
import type { Instant, LocalDay, Seconds } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import { loadPaidDays, loadPremiumsOn } from './payRows.ts';
import { loadRunningPay } from './runningPay.ts';
import { loadPersonTimeline, loadTimelines } from './personTimeline.ts';
import { costingOf, loadSetCosts } from './setCosts.ts';
import { loadHours } from './timelineRows.ts';
import { isPayKept } from '../catalog/index.ts';
import type { ShopFacts } from '../catalog/index.ts';

/** So few people are looked up one by one. */
const FEW = 20;
/** A shift can begin so many days before the last calendar day of its labor. */
const DAYS_AROUND = 2;

/** One person's shift day as it is now, with what has been said of it. */
export type ShiftDay = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
  readonly attendedSeconds: Seconds;
  readonly chargedSeconds: Seconds;
  readonly lines: readonly ShiftLine[];
  readonly classes: DayClasses;
  /** What its overtime adds, whoever bears it. */
  readonly premium: Cents;
  /** Whether somebody has decided on its classes, and whether that still holds. */
  readonly split: PaidDay['split'];
  readonly facts: string;
  /** Names what can be seen of it without rates. */
  readonly stamp: string;
  readonly state: ApprovalState;
  readonly approvedBy: string | null;
  readonly isConfirmed: boolean;
  readonly isOpen: boolean;
};

export type AskedDays = {
  readonly firstDay: LocalDay;
  readonly lastDay: LocalDay;
  readonly people?: Iterable<TechnicianId>;
};

type ApprovalRow = {
  kind: 'approve' | 'confirm';
  technician: TechnicianId;
  shift_day: LocalDay;
  facts: string;
  said_by: string;
};

/** Shift days with anything in them, by person and day. Labor of a night shift after midnight belongs to the day on
 *  which the shift began. */
export function loadShiftDays(sql: Sql, facts: ShopFacts, asked: AskedDays, now: Instant): ShiftDay[] {
  const { firstDay, lastDay, people = facts.technicians.keys() } = asked;
  const [first, last] = [addDays(firstDay, -DAYS_AROUND), addDays(lastDay, DAYS_AROUND)];
  const span = { from: facts.zone.startOf(first), to: facts.zone.startOf(addDays(last, 1)) };
  const hoursOf = byTechnician(loadHours(sql, first, last));
  const said = loadSaid(sql, firstDay, lastDay);
  const setCosts = loadSetCosts(sql, first, last);
  const premiums = groupBy(loadPremiumsOn(sql, first, last), (each) => each.technician);
  const running = loadRunningPay(sql, facts, now, undefined, lastDay);
  const paidOf = paidDaysOf(sql, facts, { firstDay, lastDay }, running);
  const own = [...people];
  const all = own.length > FEW ? loadTimelines(sql, facts, span, now) : undefined;
  const timelineOf = (technician: TechnicianId) =>
    all ? (all.get(technician) ?? emptyTimeline()) : loadPersonTimeline(sql, facts, technician, span, now);
  return own.flatMap((technician) => {
    const { stints, shifts, breaks } = timelineOf(technician);
    const hours = hoursOf.get(technician) ?? [];
    const pieces = stints.flatMap((stint) => allocateStint(stint, facts));
    const added = [...(premiums.get(technician) ?? []), ...(running.get(technician)?.premiums ?? [])];
    const lines = sumLines(pieces, hours, costingOf(facts, technician, setCosts, added));
    const byDay = new Map<LocalDay, ShiftLine[]>();
    for (const line of splitByShiftDay(lines, pieces, hours, added).filter((each) => isForPay(each, facts)))
      byDay.set(line.shiftDay, [...(byDay.get(line.shiftDay) ?? []), line]);
    const attended = attendedByShiftDay(shifts, breaks, stints, facts);
    const openDays = new Set([
      ...shifts.filter(({ open }) => open).map(({ from }) => facts.zone.dayAt(from)),
      ...stints
        .filter(({ open, capped }) => open && !capped)
        .map(({ shiftSince, from }) => facts.zone.dayAt(shiftSince ?? from)),
    ]);
    return [...new Set([...byDay.keys(), ...attended.keys()])]
      .filter((day) => day >= firstDay && day <= lastDay)
      .sort((a, b) => a - b)
      .map((day): ShiftDay => {
        const own = byDay.get(day) ?? [];
        const attendedSeconds = attended.get(day) ?? toSeconds(0);
        const seen = approvalFacts(own, attendedSeconds);
        const paid = paidOf(technician, day, own);
        const approval = said.get(`approve ${technician} ${day}`);
        return {
          technician,
          day,
          attendedSeconds,
          chargedSeconds: sumSeconds(own),
          lines: own,
          ...paid,
          facts: seen,
          stamp: stampOf(own, attendedSeconds, paid.classes),
          state: approvalState(approval?.facts, seen),
          approvedBy: approval?.said_by ?? null,
          isConfirmed: said.get(`confirm ${technician} ${day}`)?.facts === seen,
          isOpen: openDays.has(day),
        };
      });
  });
}

/** How each shift day is paid: as it is kept, or as it is by what runs. Where nothing is kept all of it is straight. */
function paidDaysOf(
  sql: Sql,
  facts: ShopFacts,
  { firstDay, lastDay }: Pick<AskedDays, 'firstDay' | 'lastDay'>,
  running: ReturnType<typeof loadRunningPay>,
) {
  const keyOf = (technician: TechnicianId, day: LocalDay) => `${technician} ${day}`;
  const kept = new Map<string, PaidDay>();
  if (isPayKept(facts.overtime))
    for (const each of loadPaidDays(sql, firstDay, lastDay)) kept.set(keyOf(each.technician, each.day), each);
  for (const [technician, { days }] of running)
    for (const each of days) kept.set(keyOf(technician, each.day), each);
  return (
    technician: TechnicianId,
    day: LocalDay,
    lines: readonly ShiftLine[],
  ): Pick<ShiftDay, 'classes' | 'premium' | 'split'> => {
    const paid = kept.get(keyOf(technician, day));
    const none = toSeconds(0);
    const { straight, overtime, double, unallocatedSeconds, premium, split } = paid ?? {
      straight: isPayKept(facts.overtime) ? none : sumSeconds(lines),
      overtime: none,
      double: none,
      unallocatedSeconds: none,
      premium: toCents(0),
      split: 'none',
    };
    return { classes: { straight, overtime, double, unallocated: unallocatedSeconds }, premium, split };
  };
}

/** Time on an activity that is not paid, or does not count, is nobody's to approve and goes to no pay.
 *  Source: docs/ledger.md, section 7. */
function isForPay({ target, day }: ShiftLine, facts: ShopFacts): boolean {
  const activity = facts.activities.get(target);
  const known = facts.targets.get(target);
  if (!activity || known?.kind !== 'activity') return true;
  return activity.isPaid && inForceAt(known.counts, facts.zone.startOf(day));
}

/** Of costs a stamp says nothing: they are few enough to be guessed. */
const stampOf = (lines: readonly ShiftLine[], attended: Seconds, classes: DayClasses): string =>
  createHash('sha256')
    .update(
      approvalFacts(
        lines.map((line) => ({ ...line, cost: null })),
        attended,
      ),
    )
    .update(`${classes.straight} ${classes.overtime} ${classes.double} ${classes.unallocated}`)
    .digest('base64url')
    .slice(0, 22);

function loadSaid(sql: Sql, firstDay: LocalDay, lastDay: LocalDay): ReadonlyMap<string, ApprovalRow> {
  const rows = sql.all<ApprovalRow>('select * from "approval" where "shift_day" between ? and ?', [
    firstDay,
    lastDay,
  ]);
  return new Map(rows.map((row) => [`${row.kind} ${row.technician} ${row.shift_day}`, row]));
}

function byTechnician(hours: readonly HoursEntry[]): ReadonlyMap<TechnicianId, HoursEntry[]> {
  const own = new Map<TechnicianId, HoursEntry[]>();
  for (const entry of hours) own.set(entry.technician, [...(own.get(entry.technician) ?? []), entry]);
  return own;
}
