import { addSettled, emptyTimeline, settleAt } from '@wergon/core/ledger';
import type { LaborState, LinePremium } from '@wergon/core/ledger';
import { toCents } from '@wergon/core/money';
import { byShiftDay, payOfWeek, weeksBetween } from '@wergon/core/pay';
import type { PaidDay } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { earliestOf, latestOf } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { isPayKept } from '../catalog/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { loadCounted, loadPortions, paidBy, startOf } from './payDays.ts';
import { loadPremiums } from './payRows.ts';
import { loadStates } from './timelineRows.ts';

/** How somebody's days are paid on which something runs, and what that adds to labor beyond what has ended. */
export type RunningPay = { readonly days: readonly PaidDay[]; readonly premiums: readonly LinePremium[] };

/** How everybody, or some people, are paid by what runs at `now`. Nothing where days are not kept as they are paid. */
export function loadRunningPay(
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
  states: ReadonlyMap<TechnicianId, LaborState> = loadStates(sql),
): ReadonlyMap<TechnicianId, RunningPay> {
  if (!isPayKept(facts.overtime)) return new Map();
  return new Map(
    [...states]
      .filter(([, { shift, doing }]) => shift !== null || doing.status !== 'nothing')
      .map(([technician, state]) => [technician, payOfRunning(sql, facts, technician, state, now)]),
  );
}

/** What overtime adds to labor by what runs at `now`, beyond what it adds by what has ended. */
export function loadRunningPremiums(
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
  states: ReadonlyMap<TechnicianId, LaborState> = loadStates(sql),
): ReadonlyMap<TechnicianId, readonly LinePremium[]> {
  if (facts.overtime.rules.length === 0) return new Map();
  const working = new Map([...states].filter(([, { doing }]) => doing.status === 'work'));
  return new Map(
    [...loadRunningPay(sql, facts, now, working)].flatMap(([technician, { premiums }]) =>
      premiums.length === 0 ? [] : [[technician, premiums] as const],
    ),
  );
}

function payOfRunning(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  state: LaborState,
  now: Instant,
): RunningPay {
  const running = emptyTimeline();
  addSettled(running, settleAt(technician, state, now, facts.policy).settled);
  const isAttended = facts.overtime.basis === 'attended';
  const begins = [
    ...running.stints.map(({ shiftSince, from }) => shiftSince ?? from),
    ...(isAttended ? running.shifts.map(({ from }) => from) : []),
  ].map((at) => facts.zone.dayAt(at));
  if (begins.length === 0) return { days: [], premiums: [] };
  const weekOf = (day: LocalDay) => facts.overtime.weekOf(technician, day);
  const parts = weeksBetween(weekOf, earliestOf(begins), facts.zone.dayAt(now)).map((week): RunningPay => {
    const first = startOf(week, latestOf([week.firstDay, earliestOf(begins)]));
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
    return { days: pay.days, premiums: beyond(pay.lines, kept) };
  });
  return { days: parts.flatMap(({ days }) => days), premiums: parts.flatMap(({ premiums }) => premiums) };
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
