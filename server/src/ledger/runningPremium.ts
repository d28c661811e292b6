import { addSettled, emptyTimeline, settleAt } from '@wergon/core/ledger';
import type { LaborState, LinePremium } from '@wergon/core/ledger';
import { toCents } from '@wergon/core/money';
import { byShiftDay, payOfWeek, weeksBetween } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { earliestOf, latestOf } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { loadCounted, loadPortions, paidBy, startOf } from './payDays.ts';
import { loadPremiums } from './payRows.ts';
import { loadStates } from './timelineRows.ts';

/** What overtime adds to labor by what runs at `now`, beyond what it adds by what has ended: of everybody who is on
 *  something, or of some people. Nothing where no rule is set. */
export function loadRunningPremiums(
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
  states: ReadonlyMap<TechnicianId, LaborState> = loadStates(sql),
): ReadonlyMap<TechnicianId, readonly LinePremium[]> {
  if (facts.overtime.rules.length === 0) return new Map();
  return new Map(
    [...states].flatMap(([technician, state]) => {
      const own = state.doing.status === 'work' ? premiumOfRunning(sql, facts, technician, state, now) : [];
      return own.length === 0 ? [] : [[technician, own] as const];
    }),
  );
}

function premiumOfRunning(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  state: LaborState,
  now: Instant,
): readonly LinePremium[] {
  const running = emptyTimeline();
  addSettled(running, settleAt(technician, state, now, facts.policy).settled);
  const shiftDays = running.stints.flatMap((stint) => {
    const begins = facts.zone.dayAt(stint.shiftSince ?? stint.from);
    return [begins, facts.zone.dayAt(now)].filter((day) => day >= begins);
  });
  if (shiftDays.length === 0) return [];
  const weekOf = (day: LocalDay) => facts.overtime.weekOf(technician, day);
  return weeksBetween(weekOf, earliestOf(shiftDays), latestOf(shiftDays)).flatMap((week) => {
    if (week.rule === undefined) return [];
    const first = startOf(week, latestOf([week.firstDay, earliestOf(shiftDays)]));
    const days = { first, last: week.lastDay };
    const pay = payOfWeek(
      byShiftDay(loadPortions(sql, facts, technician, days, running)),
      week.rule,
      paidBy(sql, facts, technician, days),
      loadCounted(sql, technician, week, first),
    );
    const kept = loadPremiums(sql, '"technician" = ? and "shift_day" between ? and ?', [
      technician,
      first,
      week.lastDay,
    ]);
    return beyond(pay.lines, kept);
  });
}

/** Premiums less those that are kept already. */
function beyond(all: readonly LinePremium[], kept: readonly LinePremium[]): readonly LinePremium[] {
  const left = new Map<string, LinePremium>();
  const add = ({ shiftDay, day, target, workType, premium }: LinePremium, sign: 1 | -1) => {
    const key = `${shiftDay} ${day} ${target} ${workType}`;
    const sum = (left.get(key)?.premium ?? 0) + sign * premium;
    left.set(key, { shiftDay, day, target, workType, premium: toCents(sum) });
  };
  for (const each of all) add(each, 1);
  for (const each of kept) add(each, -1);
  return [...left.values()].filter(({ premium }) => premium !== 0);
}
