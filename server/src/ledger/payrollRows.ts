import type { TechnicianId } from '@wergon/core/people';
import { earliestOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { Decision } from './decision.ts';

type Paid = Extract<Decision, { type: 'payroll-paid' }>;
type PersonPeriod = { readonly technician: TechnicianId; readonly period: LocalDay };

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
    amounts.map(({ technician, firstDay }) => ({ technician, period: firstDay })),
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
  sql.all<PersonPeriod>('select "technician", "period" from "payroll_amount" where "entry" = ?', [entry]);

/** Of each person and period the lines of what was taken last, and not taken back. */
function takeLast(sql: Sql, periods: readonly PersonPeriod[]): void {
  for (const { technician, period } of periods) {
    sql.run('delete from "line_true_up" where "technician" = ? and "period" = ?', [technician, period]);
    sql.run(
      `insert into "line_true_up" ("technician", "day", "shift_day", "target", "work_type", "period", "true_up")
       select "technician", "day", "shift_day", "target", "work_type", "period", "true_up" from "payroll_line"
       where "technician" = ? and "period" = ? and "entry" =
         (select a."entry" from "payroll_amount" a join "payroll" p on p."entry" = a."entry"
          where a."technician" = ? and a."period" = ? and p."withdrawn_by" is null order by p."place" desc limit 1)`,
      [technician, period, technician, period],
    );
  }
}

/** Whose labor costs something else by what payroll paid or no longer paid, and from which day on. */
export function changedByPayroll(
  sql: Sql,
  decision: Extract<Decision, { type: 'payroll-paid' | 'withdraw-payroll' }>,
): { readonly people: readonly TechnicianId[]; readonly from: LocalDay } | undefined {
  const entry = decision.type === 'payroll-paid' ? decision.id : decision.payroll;
  const people = periodsOf(sql, entry).map(({ technician }) => technician);
  const days = sql.all<{ day: LocalDay }>('select distinct "day" from "payroll_line" where "entry" = ?', [
    entry,
  ]);
  const first = sql.all<{ day: LocalDay | null }>(
    'select min("period") as "day" from "payroll_amount" where "entry" = ?',
    [entry],
  )[0]?.day;
  if (people.length === 0 || first == null) return undefined;
  return { people, from: earliestOf([first, ...days.map(({ day }) => day)]) };
}
