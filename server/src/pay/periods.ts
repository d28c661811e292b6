import { createHash } from 'node:crypto';
import type { ShiftLine } from '@wergon/core/ledger';
import { adjustmentsOf, payPeriodOf } from '@wergon/core/pay';
import type { ClosedLine, PayPeriod, PayRule } from '@wergon/core/pay';
import { Defect } from '@wergon/core/result';
import { parseDay, earliestOf, latestOf, addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { TechnicianId } from '@wergon/core/people';
import type { Sql } from '../db/index.ts';
import type { LeftOut, ShiftDay } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { settingsOf } from '../shop/index.ts';
import { isPayable } from '../approval/index.ts';
import { loadShiftDays } from '../ledger/index.ts';

export type ClosedPeriod = PayPeriod & {
  readonly entry: string;
  readonly closedBy: string;
  readonly at: Instant;
  readonly head: string;
};

/** The shop's pay periods. */
export function payRuleOf({ shop }: ShopFacts): PayRule {
  const { period, anchor } = settingsOf(shop).pay;
  const day = parseDay(anchor);
  if (!day.ok) throw new Defect(`stored anchor: ${anchor}`);
  return { kind: period, anchor: day.value };
}

/** Closed periods, oldest first. */
export const loadClosedPeriods = (sql: Sql): ClosedPeriod[] =>
  sql
    .all<{
      first_day: LocalDay;
      last_day: LocalDay;
      entry: string;
      closed_by: string;
      at: Instant;
      head: string;
    }>('select * from "pay_period" order by "first_day"')
    .map(({ first_day, last_day, entry, closed_by, at, head }) => ({
      firstDay: first_day,
      lastDay: last_day,
      entry,
      closedBy: closed_by,
      at,
      head,
    }));

type ClosedRow = {
  period: LocalDay;
  is_adjustment: number;
  technician: ClosedLine['technician'];
  shift_day: LocalDay;
  day: LocalDay;
  target: ClosedLine['target'];
  work_type: ClosedLine['workType'];
  seconds: number;
  cost: ClosedLine['cost'];
};

const readClosed = (row: ClosedRow): ClosedLine => ({
  technician: row.technician,
  shiftDay: row.shift_day,
  day: row.day,
  target: row.target,
  workType: row.work_type,
  seconds: row.seconds,
  cost: row.cost,
});

/** Lines that a closed period keeps: its own, and the adjustments that it paid. */
export function loadClosedLines(
  sql: Sql,
  period: LocalDay,
): { readonly own: ClosedLine[]; readonly adjustments: ClosedLine[] } {
  const rows = sql.all<ClosedRow>('select * from "closed_line" where "period" = ?', [period]);
  return {
    own: rows.filter((row) => !row.is_adjustment).map(readClosed),
    adjustments: rows.filter((row) => row.is_adjustment).map(readClosed),
  };
}

/** What closed periods still owe: lines beyond what they have paid, and the days of which nothing is owed yet, because
 *  nobody has approved them as they are now. */
export type Owed = { readonly adjustments: readonly ClosedLine[]; readonly waiting: readonly LeftOut[] };

/** Days of one person that lie nearer than this are derived together. */
const NEAR = 7;

/** What derivation says now beyond what closed periods have paid. Only days that can differ are looked at, so it takes
 *  no longer in a shop with many years behind it. */
export function findOwed(sql: Sql, facts: ShopFacts, now: Instant): Owed {
  const periods = loadClosedPeriods(sql);
  const [first, last] = [periods[0], periods.at(-1)];
  if (!first || !last) return { adjustments: [], waiting: [] };
  const derived: ShiftLine[] = [];
  const closed: ClosedLine[] = [];
  const waiting: LeftOut[] = [];
  for (const { technician, days } of loadUnsettled(sql, first.firstDay, last.lastDay)) {
    const [firstDay, lastDay] = [earliestOf(days), latestOf(days)];
    const found = loadShiftDays(sql, facts, { firstDay, lastDay, people: [technician] }, now).filter(
      ({ day }) => days.has(day),
    );
    const isWaiting = new Set(found.filter((each) => !isPayable(facts, each)).map(({ day }) => day));
    for (const { day, lines, isOpen } of found) {
      if (!isWaiting.has(day)) derived.push(...lines);
      if (isWaiting.has(day) || isOpen) waiting.push({ technician, day });
    }
    closed.push(
      ...sql
        .all<ClosedRow>(
          'select * from "closed_line" where "technician" = ? and "shift_day" between ? and ?',
          [technician, firstDay, lastDay],
        )
        .map(readClosed)
        // A day that is gone altogether is not waiting: what was paid for it is taken back.
        .filter(({ shiftDay }) => days.has(shiftDay) && !isWaiting.has(shiftDay)),
    );
  }
  return { adjustments: adjustmentsOf(derived, closed), waiting };
}

/** Days of closed periods that may differ from what was paid, in runs of one person's days near each other. */
function loadUnsettled(
  sql: Sql,
  firstDay: LocalDay,
  lastDay: LocalDay,
): readonly { readonly technician: TechnicianId; readonly days: ReadonlySet<LocalDay> }[] {
  const rows = sql.all<{ technician: TechnicianId; shift_day: LocalDay }>(
    'select * from "unsettled_day" where "shift_day" between ? and ? order by "technician", "shift_day"',
    [firstDay, lastDay],
  );
  const runs: { technician: TechnicianId; days: Set<LocalDay>; end: number }[] = [];
  for (const { technician, shift_day } of rows) {
    const run = runs.at(-1);
    if (run?.technician === technician && shift_day - run.end <= NEAR) {
      run.days.add(shift_day);
      run.end = shift_day;
    } else runs.push({ technician, days: new Set([shift_day]), end: shift_day });
  }
  return runs;
}

/** The decision that closes a period: what it pays of its days, what it owed for earlier ones, and what it leaves out. */
export function closingOf(
  facts: ShopFacts,
  { firstDay, lastDay }: PayPeriod,
  days: readonly ShiftDay[],
  { adjustments, waiting }: Owed,
) {
  const isPaid = (day: ShiftDay) => isPayable(facts, day);
  const leftOut = days.filter((day) => !isPaid(day) || day.isOpen);
  return {
    type: 'close' as const,
    firstDay,
    lastDay,
    lines: days.filter(isPaid).flatMap(({ lines }) => lines),
    adjustments,
    leftOut: [...waiting, ...leftOut.map(({ technician, day }) => ({ technician, day }))],
  };
}

/** The first day of the period that closes next. */
export function nextPeriod(sql: Sql, facts: ShopFacts, now: Instant): PayPeriod {
  const rule = payRuleOf(facts);
  const last = loadClosedPeriods(sql).at(-1);
  if (last) {
    const firstDay = addDays(last.lastDay, 1);
    // A changed rule takes hold where the closed periods end.
    return { firstDay, lastDay: payPeriodOf(firstDay, rule).lastDay };
  }
  return payPeriodOf(findFirstDay(sql) ?? facts.zone.dayAt(now), rule);
}

/** The first day of which anything is known: a look into an index for each person, however long the history is. */
function findFirstDay(sql: Sql): LocalDay | undefined {
  const [row] = sql.all<{ day: LocalDay | null }>(
    `select min("day") as "day" from (
       select (select min("day") from "labor_state" where "technician" = t."id") as "day" from "technician" t
       union all select min("day") from "labor_line")`,
  );
  return row?.day ?? undefined;
}

/** The period that begins on a day, if one does: a closed one, or one that the shop's rule gives from there on. */
export function findPeriod(
  sql: Sql,
  facts: ShopFacts,
  firstDay: LocalDay,
  now: Instant,
): PayPeriod | undefined {
  const closed = loadClosedPeriods(sql).find((each) => each.firstDay === firstDay);
  if (closed) return closed;
  let period = nextPeriod(sql, facts, now);
  while (period.firstDay < firstDay) period = payPeriodOf(addDays(period.lastDay, 1), payRuleOf(facts));
  return period.firstDay === firstDay ? period : undefined;
}

/** Periods that are not closed, the oldest first, up to the one that runs. */
export function openPeriods(sql: Sql, facts: ShopFacts, now: Instant): readonly PayPeriod[] {
  const today = facts.zone.dayAt(now);
  const open: PayPeriod[] = [];
  for (
    let period = nextPeriod(sql, facts, now);
    period.firstDay <= today;
    period = payPeriodOf(addDays(period.lastDay, 1), payRuleOf(facts))
  )
    open.push(period);
  return open;
}

/** What a closing was seen to hold: the days with their stamps and states. */
export const stampOfPeriod = (days: readonly ShiftDay[], adjustments: readonly ClosedLine[]): string =>
  createHash('sha256')
    .update(
      days.map(({ technician, day, stamp, state }) => `${technician} ${day} ${stamp} ${state}`).join('\n'),
    )
    .update(
      adjustments
        .map((each) => `${each.technician} ${each.shiftDay} ${each.target} ${each.seconds}`)
        .join('\n'),
    )
    .digest('base64url')
    .slice(0, 22);
