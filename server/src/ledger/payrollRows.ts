import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { addDays } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { Decision } from './decision.ts';

type Paid = Extract<Decision, { type: 'payroll-paid' }>;
type PersonPeriod = {
  readonly technician: TechnicianId;
  readonly period: LocalDay;
  readonly lastDay: LocalDay;
};

/** Keeps what payroll really paid; of a person and period it counts instead of what came before. */
export function keepPayroll(sql: Sql, { id, name, by, at, amounts }: Paid): void {
  const [{ place } = { place: 0 }] = sql.all<{ place: number }>(
    'select coalesce(max("place"), 0) + 1 as "place" from "payroll"',
  );
  sql.insert('payroll', [
    {
      ...{ entry: id, place, name, taken_by: by, at },
      ...{ withdrawn_by: null, withdrawn_at: null, reason: null },
    },
  ]);
  sql.insert(
    'payroll_amount',
    amounts.map(({ technician, firstDay, lastDay, amount, notJobs, costed, overhead }) => ({
      ...{ entry: id, technician, period: firstDay, last_day: lastDay, amount },
      ...{ not_jobs: notJobs, costed, overhead },
    })),
  );
  sql.insert(
    'payroll_line',
    amounts.flatMap(({ technician, firstDay, lines }) =>
      lines.map(({ shiftDay, day, target, workType, trueUp }) => ({
        ...{ entry: id, technician, period: firstDay, shift_day: shiftDay, day, target },
        ...{ work_type: workType, true_up: trueUp },
      })),
    ),
  );
  takeLast(
    sql,
    amounts.map(({ technician, firstDay, lastDay }) => ({ technician, period: firstDay, lastDay })),
  );
}

/** Takes back what payroll paid, as a whole; what was there before counts again. */
export function withdrawPayroll(
  sql: Sql,
  { payroll, by, at, reason }: Extract<Decision, { type: 'withdraw-payroll' }>,
): void {
  sql.run('update "payroll" set "withdrawn_by" = ?, "withdrawn_at" = ?, "reason" = ? where "entry" = ?', [
    by,
    at,
    reason,
    payroll,
  ]);
  takeLast(sql, periodsOf(sql, payroll));
}

const periodsOf = (sql: Sql, entry: string): readonly PersonPeriod[] =>
  sql.all<PersonPeriod>(
    'select "technician", "period", "last_day" as "lastDay" from "payroll_amount" where "entry" = ?',
    [entry],
  );

/** Labor of a shift can lie so many days behind the one on which it began. */
const DAYS_AFTER = 3;

/** What stands in `line_true_up` of a labor line. */
const ON_LINE = `(select sum(t."true_up") from "line_true_up" t where t."technician" = "labor_line"."technician"
  and t."day" = "labor_line"."day" and t."target" = "labor_line"."target" and t."work_type" = "labor_line"."work_type")`;

/** Of each person and period the lines of what was taken last, and not taken back. Their labor costs that at once: nothing
 *  else of it changes, so nothing is derived. A line without a cost takes none. */
function takeLast(sql: Sql, periods: readonly PersonPeriod[]): void {
  for (const { technician, period, lastDay } of periods) {
    sql.run('delete from "line_true_up" where "technician" = ? and "period" = ?', [technician, period]);
    sql.run(
      `insert into "line_true_up" ("technician", "day", "shift_day", "target", "work_type", "period", "true_up")
       select "technician", "day", "shift_day", "target", "work_type", "period", "true_up" from "payroll_line"
       where "technician" = ? and "period" = ? and "entry" =
         (select a."entry" from "payroll_amount" a join "payroll" p on p."entry" = a."entry"
          where a."technician" = ? and a."period" = ? and p."withdrawn_by" is null order by p."place" desc limit 1)`,
      [technician, period, technician, period],
    );
    sql.run(
      `update "labor_line" set "cost" = "cost" - "true_up" + coalesce(${ON_LINE}, 0), "true_up" = coalesce(${ON_LINE}, 0)
       where "technician" = ? and "day" between ? and ? and "cost" is not null
         and "true_up" <> coalesce(${ON_LINE}, 0)`,
      [technician, period, addDays(lastDay, DAYS_AFTER)],
    );
  }
}

/** Whose labor on what costs something else by what payroll paid, or paid no longer. */
export const touchedByPayroll = (
  sql: Sql,
  entry: string,
): readonly { readonly technician: TechnicianId; readonly target: TargetId }[] =>
  sql.all(
    `select distinct a."technician", c."target" from "payroll_amount" a join "closed_line" c
       on c."period" = a."period" and c."is_adjustment" = 0 and c."technician" = a."technician" where a."entry" = ?`,
    [entry],
  );
