import { addSettled, emptyTimeline, isPaidTarget, settleAt } from '@wergon/core/ledger';
import type { LaborState, LinePremium } from '@wergon/core/ledger';
import { toCents } from '@wergon/core/money';
import { byShiftDay, highestOf, isPayClass, payOfWeek, stagesAhead, weeksBetween } from '@wergon/core/pay';
import type { PaidDay, PayClass, WorkedLine } from '@wergon/core/pay';
import { groupBy } from '@wergon/core/result';
import type { TechnicianId } from '@wergon/core/people';
import { earliestOf, latestOf, toInstant, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { isPayKept } from '../catalog/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { loadCounted, loadPortions, loadWorkedOf, paidBy, startOf } from './payDays.ts';
import { loadPremiums } from './payRows.ts';
import { findState, loadStates } from './timelineRows.ts';

/** How somebody's days are paid on which something runs, and what that adds to labor beyond what has ended. */
export type RunningPay = { readonly days: readonly PaidDay[]; readonly premiums: readonly LinePremium[] };

const NOTHING: RunningPay = { days: [], premiums: [] };

/** How everybody, or some people, are paid by what runs at `now`; left out where that concerns no day up to `until`. Nothing
 *  where days are not kept as they are paid. */
export function loadRunningPay(
  sql: Sql,
  facts: ShopFacts,
  now: Instant,
  states: ReadonlyMap<TechnicianId, LaborState> = loadStates(sql),
  until?: LocalDay,
): ReadonlyMap<TechnicianId, RunningPay> {
  if (!isPayKept(facts.overtime)) return new Map();
  return new Map(
    [...states]
      .filter(([, { shift, doing }]) => shift !== null || doing.status !== 'nothing')
      .map(([technician, state]) => [technician, payOfRunning(sql, facts, technician, state, now, until)]),
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
  until: LocalDay | undefined,
): RunningPay {
  const running = emptyTimeline();
  addSettled(running, settleAt(technician, state, now, facts.policy).settled);
  const isAttended = facts.overtime.basis === 'attended';
  const begins = [
    ...running.stints.map(({ shiftSince, from }) => shiftSince ?? from),
    ...(isAttended ? running.shifts.map(({ from }) => from) : []),
  ].map((at) => facts.zone.dayAt(at));
  if (begins.length === 0) return NOTHING;
  const weekOf = (day: LocalDay) => facts.overtime.weekOf(technician, day);
  // Where a premium is spread over its week, what runs moves earlier days of it too.
  const begin = earliestOf(begins);
  if (until !== undefined && startOf(weekOf(begin), begin) > until) return NOTHING;
  const parts = weeksBetween(weekOf, begin, facts.zone.dayAt(now)).map((week): RunningPay => {
    const first = startOf(week, latestOf([week.firstDay, begin]));
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

/** What of some shift days is worked and paid, by class and target, as it is at `now`. */
export function loadWorked(
  sql: Sql,
  facts: ShopFacts,
  days: readonly PersonDay[],
  now: Instant,
): (technician: TechnicianId, day: LocalDay) => readonly WorkedLine[] {
  const keyOf = (technician: TechnicianId, day: LocalDay) => `${technician} ${day}`;
  const lines = [...groupBy(days, ({ technician }) => technician)].flatMap(([technician, own]) => {
    const span = { first: earliestOf(own.map(({ day }) => day)), last: latestOf(own.map(({ day }) => day)) };
    const running = own.some(({ isOpen }) => isOpen) ? settled(sql, facts, technician, now) : undefined;
    return loadWorkedOf(sql, facts, technician, span, running);
  });
  const found = groupBy(lines, ({ technician, shiftDay }) => keyOf(technician, shiftDay));
  return (technician, day) => found.get(keyOf(technician, day)) ?? [];
}
type PersonDay = { readonly technician: TechnicianId; readonly day: LocalDay; readonly isOpen: boolean };

/** What of somebody's running time there is at `now`. */
function settled(sql: Sql, facts: ShopFacts, technician: TechnicianId, now: Instant) {
  const running = emptyTimeline();
  const state = findState(sql, technician);
  if (state) addSettled(running, settleAt(technician, state, now, facts.policy).settled);
  return running;
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

/** From when on what runs is paid otherwise. */
export type StageAt = { readonly class: PayClass; readonly at: Instant };

/** How what some people are on is paid from when on, as long as they go on with it. */
export function loadStages(
  sql: Sql,
  facts: ShopFacts,
  people: readonly TechnicianId[],
): ReadonlyMap<TechnicianId, readonly StageAt[]> {
  if (facts.overtime.rules.length === 0) return new Map();
  const states = people.length > 1 ? loadStates(sql) : undefined;
  return new Map(
    people.flatMap((id) => {
      const state = states ? states.get(id) : findState(sql, id);
      const stages = state ? stagesOf(sql, facts, id, state) : [];
      return stages.length > 0 ? [[id, stages] as const] : [];
    }),
  );
}

function stagesOf(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  state: LaborState,
): readonly StageAt[] {
  const { doing, shift } = state;
  if (doing.status !== 'work' || !doing.running.every(({ target }) => isPaidTarget(facts, target))) return [];
  const since = doing.since;
  const day = facts.zone.dayAt(shift?.since ?? since);
  const { rule, ...week } = facts.overtime.weekOf(technician, day);
  if (rule === undefined) return [];
  // As it all stood when what runs began: the stages do not move while it runs.
  const before = emptyTimeline();
  addSettled(before, settleAt(technician, state, since, facts.policy).settled);
  const portions = byShiftDay(loadPortions(sql, facts, technician, { first: day, last: day }, before));
  const counted = loadCounted(sql, technician, { ...week, rule }, day);
  const by = paidBy(sql, facts, technician, { first: day, last: day });
  const [paid] = payOfWeek(portions, rule, by, counted).days;
  const soFar = {
    paidSeconds: paid?.paidSeconds ?? toSeconds(0),
    countedSeconds: toSeconds(counted + (paid?.countedSeconds ?? 0)),
  };
  const own = highestOf(doing.running.flatMap(({ payClass }) => (isPayClass(payClass) ? [payClass] : [])));
  return stagesAhead(rule, day, soFar, own, by.isClosed(day)).map((stage) => ({
    class: stage.class,
    at: toInstant(since + stage.after),
  }));
}
