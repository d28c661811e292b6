import type { LinePremium, LineTrueUp, LooseEnd, TargetId } from '@wergon/core/ledger';
import type { Cents } from '@wergon/core/money';
import type { DecidedSplit, PaidDay } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { addDays } from '@wergon/core/time';
import type { LocalDay, Seconds } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import type { Sql } from '../db/index.ts';

type PremiumRow = {
  technician: TechnicianId;
  shift_day: LocalDay;
  day: LocalDay;
  target: TargetId;
  work_type: WorkType;
  premium: Cents;
};

/** What overtime adds to a labor line of somebody. */
export type OwnPremium = LinePremium & { readonly technician: TechnicianId };

export const loadPremiums = (
  sql: Sql,
  which: string,
  params: readonly (string | number)[],
): readonly OwnPremium[] =>
  sql
    .all<PremiumRow>(`select * from "line_premium" where ${which}`, [...params])
    .map(({ technician, shift_day, day, target, work_type, premium }) => ({
      technician,
      shiftDay: shift_day,
      day,
      target,
      workType: work_type,
      premium,
    }));

/** What overtime of ended shift days adds to somebody's labor of some local days. */
export const loadPremiumsOf = (
  sql: Sql,
  technician: TechnicianId,
  first: LocalDay,
  last: LocalDay,
): readonly OwnPremium[] =>
  // Looked up by the shift day, which is the day of the labor or one just before it.
  loadPremiums(sql, '"technician" = ? and "shift_day" between ? and ? and "day" between ? and ?', [
    technician,
    addDays(first, -SHIFT_LASTS),
    last,
    first,
    last,
  ]);

/** A shift that somebody forgot to end can go on for so many days. */
const SHIFT_LASTS = 3;

/** What overtime of ended shift days adds to labor of some local days. */
export const loadPremiumsOn = (sql: Sql, first: LocalDay, last: LocalDay): readonly OwnPremium[] =>
  loadPremiums(sql, '"day" between ? and ?', [first, last]);

/** What payroll paid for somebody's labor of some local days beyond what it was costed at. */
export const loadTrueUps = (
  sql: Sql,
  technician: TechnicianId,
  first: LocalDay,
  last: LocalDay,
): readonly LineTrueUp[] =>
  sql
    .all<Omit<PremiumRow, 'premium'> & { true_up: Cents }>(
      'select * from "line_true_up" where "technician" = ? and "day" between ? and ?',
      [technician, first, last],
    )
    .map(({ shift_day, day, target, work_type, true_up }) => ({
      ...{ shiftDay: shift_day, day, target, workType: work_type, trueUp: true_up },
    }));

/** What somebody decided of a person's shift days. */
export const loadSplits = (
  sql: Sql,
  technician: TechnicianId,
  first: LocalDay,
  last: LocalDay,
): readonly DecidedSplit[] =>
  sql
    .all<{ shift_day: LocalDay; straight: Seconds; overtime: Seconds; double: Seconds }>(
      `select "shift_day", "straight", "overtime", "double" from "pay_split"
       where "technician" = ? and "shift_day" between ? and ?`,
      [technician, first, last],
    )
    .map(({ shift_day, ...split }) => ({ day: shift_day, ...split }));

/** How ended shift days are paid, as they are kept, of everybody. */
export const loadPaidDays = (
  sql: Sql,
  first: LocalDay,
  last: LocalDay,
): readonly (PaidDay & { readonly technician: TechnicianId })[] =>
  sql
    .all<{
      technician: TechnicianId;
      shift_day: LocalDay;
      paid: Seconds;
      straight: Seconds;
      overtime: Seconds;
      double: Seconds;
      unallocated: Seconds;
      counted: Seconds;
      premium: Cents;
      split: PaidDay['split'];
    }>('select * from "pay_day" where "shift_day" between ? and ?', [first, last])
    .map(({ technician, shift_day, paid, unallocated, counted, ...day }) => ({
      technician,
      day: shift_day,
      paidSeconds: paid,
      unallocatedSeconds: unallocated,
      countedSeconds: counted,
      ...day,
    }));

/** The shift days of somebody, from one on, of which it is kept how they are paid. */
export const loadPaidFrom = (sql: Sql, technician: TechnicianId, from: LocalDay): readonly LocalDay[] =>
  sql
    .all<{ day: LocalDay }>(
      'select "shift_day" as "day" from "pay_day" where "technician" = ? and "shift_day" >= ?',
      [technician, from],
    )
    .map(({ day }) => day);

/** Splits that were decided for a time that their day no longer has. */
export const loadIdleSplits = (sql: Sql, first: LocalDay, last: LocalDay): readonly LooseEnd[] =>
  sql
    .all<{ technician: TechnicianId; day: LocalDay; seconds: Seconds }>(
      `select s."technician", s."shift_day" as "day", s."straight" + s."overtime" + s."double" as "seconds"
       from "pay_split" s left join "pay_day" d on d."technician" = s."technician" and d."shift_day" = s."shift_day"
       where s."shift_day" between ? and ? and (d."split" = 'changed' or d."split" is null)`,
      [first, last],
    )
    .map((each) => ({ kind: 'split-changed', entries: [], ...each }));
