import { workedOfClasses } from '@wergon/core/pay';
import type { ClosedClasses, ClosedLine, WorkedLine } from '@wergon/core/pay';
import type { LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { Decision, LeftOut } from './decision.ts';
import { keepPayFile, withdrawPayFile } from './payFileRows.ts';
import { keepPayroll, withdrawPayroll } from './payrollRows.ts';

/** The tables that are derived from decisions alone. */
export const DECISION_TABLES = [
  'approval',
  'pay_period',
  'closed_line',
  'closed_pay',
  'closed_away',
  'set_cost',
  'pay_split',
  'pay_file',
  'pay_file_part',
  'payroll',
  'payroll_amount',
  'payroll_line',
  'line_true_up',
] as const;

/** Takes a decision into its projections; acceptances are read from the journal itself. */
export function projectDecision(sql: Sql, decision: Decision): void {
  switch (decision.type) {
    case 'accept':
    case 'withdraw':
      return;
    case 'approve':
    case 'confirm': {
      const { type, technician, day, id, facts, by, at } = decision;
      forget(sql, type, technician, day);
      sql.insert('approval', [{ kind: type, technician, shift_day: day, entry: id, facts, said_by: by, at }]);
      return;
    }
    case 'unapprove':
      forget(sql, 'approve', decision.technician, decision.day);
      return;
    case 'close': {
      const { firstDay, lastDay, lines, adjustments, away, id, by, at, head } = decision;
      const { worked = workedBefore(lines, decision.classes) } = decision;
      const { workedAdjustments = workedBefore(adjustments, decision.classAdjustments) } = decision;
      sql.insert('pay_period', [
        { first_day: firstDay, last_day: lastDay, entry: id, closed_by: by, at, head },
      ]);
      sql.insert('closed_line', [
        ...lines.map((line) => closedRow(firstDay, line, false)),
        ...adjustments.map((line) => closedRow(firstDay, line, true)),
      ]);
      sql.insert('closed_pay', [
        ...worked.map((line) => workedRow(firstDay, line, false)),
        ...workedAdjustments.map((line) => workedRow(firstDay, line, true)),
      ]);
      sql.insert(
        'closed_away',
        away.map((each) => ({ period: firstDay, ...each })),
      );
      // With its lines and adjustments, everything else up to its end is paid as it is.
      sql.run('delete from "unsettled_day" where "shift_day" <= ?', [lastDay]);
      markUnsettled(sql, decision.leftOut);
      return;
    }
    case 'set-cost': {
      const { technician, day, target, workType, seconds, cost, id, reason, by, at } = decision;
      forgetCost(sql, decision);
      sql.insert('set_cost', [
        { technician, day, target, work_type: workType, seconds, cost, entry: id, reason, set_by: by, at },
      ]);
      return;
    }
    case 'split': {
      const { technician, day, straight, overtime, double, id, reason, by, at } = decision;
      forgetSplit(sql, decision);
      sql.insert('pay_split', [
        { technician, shift_day: day, straight, overtime, double, entry: id, reason, said_by: by, at },
      ]);
      return;
    }
    case 'reset-split':
      forgetSplit(sql, decision);
      return;
    case 'pay-file':
      keepPayFile(sql, decision);
      return;
    case 'withdraw-pay-file':
      withdrawPayFile(sql, decision);
      return;
    case 'payroll-paid':
      keepPayroll(sql, decision);
      return;
    case 'withdraw-payroll':
      withdrawPayroll(sql, decision);
      return;
    case 'reset-cost':
      forgetCost(sql, decision);
      return;
    case 'reopen':
      // The adjustments that it paid are owed again.
      sql.run(
        `insert or ignore into "unsettled_day" select distinct "technician", "shift_day" from "closed_line"
         where "period" = ? and "is_adjustment" = 1`,
        [decision.firstDay],
      );
      sql.run('delete from "pay_period" where "first_day" = ?', [decision.firstDay]);
      for (const table of ['closed_line', 'closed_pay', 'closed_away'])
        sql.run(`delete from "${table}" where "period" = ?`, [decision.firstDay]);
  }
}

/** Has days looked at anew when it is asked what is owed beyond what was paid. */
export function markUnsettled(sql: Sql, days: readonly LeftOut[]): void {
  for (const { technician, day } of days)
    sql.run('insert or ignore into "unsettled_day" ("technician", "shift_day") values (?, ?)', [
      technician,
      day,
    ]);
}

const forget = (sql: Sql, kind: string, technician: string, day: number) =>
  sql.run('delete from "approval" where "kind" = ? and "technician" = ? and "shift_day" = ?', [
    kind,
    technician,
    day,
  ]);

const forgetCost = (sql: Sql, line: Extract<Decision, { type: 'set-cost' | 'reset-cost' }>) =>
  sql.run(
    'delete from "set_cost" where "technician" = ? and "day" = ? and "target" = ? and "work_type" = ?',
    [line.technician, line.day, line.target, line.workType],
  );

const forgetSplit = (sql: Sql, { technician, day }: Extract<Decision, { type: 'split' | 'reset-split' }>) =>
  sql.run('delete from "pay_split" where "technician" = ? and "shift_day" = ?', [technician, day]);

const closedRow = (period: number, line: ClosedLine, isAdjustment: boolean) => ({
  period,
  is_adjustment: isAdjustment,
  technician: line.technician,
  shift_day: line.shiftDay,
  day: line.day,
  target: line.target,
  work_type: line.workType,
  seconds: line.seconds,
  cost: line.cost,
  premium: line.premium ?? 0,
});

const workedRow = (
  period: number,
  { technician, shiftDay, target, workType, class: paidAs, seconds }: Worked,
  isAdjustment: boolean,
) => ({
  period,
  is_adjustment: isAdjustment,
  technician,
  shift_day: shiftDay,
  // A key has no empty parts: what is on nothing has no words there.
  target: target ?? '',
  work_type: workType ?? '',
  class: paidAs,
  seconds,
});
type Worked = Partial<WorkedLine> & Omit<WorkedLine, 'target' | 'workType'>;

/** Pay lines of a closing that kept no more than the classes of its days, or not even those. */
const workedBefore = (
  lines: readonly ClosedLine[],
  classes: readonly ClosedClasses[] = straightOf(lines),
): readonly WorkedLine[] => workedOfClasses(lines, classes);

/** Lines of a time without classes: all straight. */
function straightOf(lines: readonly ClosedLine[]): readonly ClosedClasses[] {
  const days = new Map<string, ClosedClasses>();
  for (const { technician, shiftDay: day, seconds } of lines) {
    const key = `${technician} ${day}`;
    const straight = (days.get(key)?.straight ?? 0) + seconds;
    days.set(key, { technician, day, straight, overtime: 0, double: 0, unallocated: 0 });
  }
  return [...days.values()];
}

/** The last day of the last closed pay period; nothing up to it is changed from the desk. */
export const findClosedUntil = (sql: Sql): LocalDay | null =>
  sql.all<{ day: LocalDay | null }>('select max("last_day") as "day" from "pay_period"')[0]?.day ?? null;
