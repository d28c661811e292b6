import { createHash } from 'node:crypto';
import type { ShiftLine } from '@wergon/core/ledger';
import { adjustmentsOf, payPeriodOf } from '@wergon/core/pay';
import type { ClosedLine, PayPeriod, PayRule } from '@wergon/core/pay';
import { Defect } from '@wergon/core/result';
import { parseDay } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../shop/facts.ts';
import { settingsOf } from '../shop/settings.ts';
import { loadShiftDays } from './shiftDays.ts';
import type { ShiftDay } from './shiftDays.ts';

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

const needsApproval = ({ shop }: ShopFacts): boolean => settingsOf(shop).pay.approval === 'person-day';

/** Whether a shift day goes to pay as it is now. */
export const isPayable = (facts: ShopFacts, { state }: Pick<ShiftDay, 'state'>): boolean =>
  state === 'approved' || !needsApproval(facts);

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

/** Lines that closed periods keep: their own, or with the adjustments that they paid. */
export const loadClosedLines = (
  sql: Sql,
  period?: LocalDay,
): { readonly own: ClosedLine[]; readonly adjustments: ClosedLine[] } => {
  const rows =
    period === undefined
      ? sql.all<ClosedRow>('select * from "closed_line"')
      : sql.all<ClosedRow>('select * from "closed_line" where "period" = ?', [period]);
  const read = (row: ClosedRow): ClosedLine => ({
    technician: row.technician,
    shiftDay: row.shift_day,
    day: row.day,
    target: row.target,
    workType: row.work_type,
    seconds: row.seconds,
    cost: row.cost,
  });
  return {
    own: rows.filter((row) => !row.is_adjustment).map(read),
    adjustments: rows.filter((row) => row.is_adjustment).map(read),
  };
};

/** What derivation says now beyond what closed periods have paid; of days that nobody has approved as they are now,
 *  nothing yet. */
export function findAdjustments(sql: Sql, facts: ShopFacts, now: Instant): readonly ClosedLine[] {
  const periods = loadClosedPeriods(sql);
  const [first, last] = [periods[0], periods.at(-1)];
  if (!first || !last) return [];
  const days = loadShiftDays(sql, facts, { firstDay: first.firstDay, lastDay: last.lastDay }, now);
  const isSettled = new Map(days.map((each) => [keyOf(each.technician, each.day), isPayable(facts, each)]));
  const derived: ShiftLine[] = days.filter((each) => isPayable(facts, each)).flatMap(({ lines }) => lines);
  const { own, adjustments } = loadClosedLines(sql);
  // A day that is gone altogether has no row; what was paid for it is taken back.
  const closed = [...own, ...adjustments].filter(
    ({ technician, shiftDay }) => isSettled.get(keyOf(technician, shiftDay)) ?? true,
  );
  return adjustmentsOf(derived, closed);
}

const keyOf = (technician: string, day: number) => `${technician} ${day}`;

/** The first day of the period that closes next. */
export function nextPeriod(sql: Sql, facts: ShopFacts, now: Instant): PayPeriod {
  const rule = payRuleOf(facts);
  const last = loadClosedPeriods(sql).at(-1);
  if (last) {
    const firstDay = (last.lastDay + 1) as LocalDay;
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
  while (period.firstDay < firstDay) period = payPeriodOf((period.lastDay + 1) as LocalDay, payRuleOf(facts));
  return period.firstDay === firstDay ? period : undefined;
}

/** Periods that are not closed, the oldest first, up to the one that runs. */
export function openPeriods(sql: Sql, facts: ShopFacts, now: Instant): readonly PayPeriod[] {
  const today = facts.zone.dayAt(now);
  const open: PayPeriod[] = [];
  for (
    let period = nextPeriod(sql, facts, now);
    period.firstDay <= today;
    period = payPeriodOf((period.lastDay + 1) as LocalDay, payRuleOf(facts))
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
