import { defineEntity, p } from '@mikro-orm/core';
import type { TechnicianId } from '@wergon/core/people';
import type { Instant, LocalDay } from '@wergon/core/time';

/** Projection of decisions: what was said of a person's shift day, and the facts it was said of. */
export const ApprovalEntity = defineEntity({
  name: 'ApprovalRow',
  tableName: 'approval',
  properties: {
    kind: p.string().$type<'approve' | 'confirm'>().primary(),
    technician: p.string().$type<TechnicianId>().primary(),
    shiftDay: p.integer().$type<LocalDay>().primary(),
    entry: p.string(),
    facts: p.text(),
    saidBy: p.string(),
    at: p.integer().$type<Instant>(),
  },
});

/** Projection of decisions: the pay periods that are closed. */
export const PayPeriodEntity = defineEntity({
  name: 'PayPeriodRow',
  tableName: 'pay_period',
  properties: {
    entry: p.string().primary(),
    firstDay: p.integer().$type<LocalDay>().unique(),
    lastDay: p.integer().$type<LocalDay>(),
    closedBy: p.string(),
    at: p.integer().$type<Instant>(),
    /** The hash of the journal's last entry before the closing. */
    head: p.string(),
  },
});

/** Projection of decisions: the lines that a closed period keeps, whatever derivation says later. */
export const ClosedLineEntity = defineEntity({
  name: 'ClosedLineRow',
  tableName: 'closed_line',
  indexes: [{ properties: ['technician', 'shiftDay'] }],
  properties: {
    period: p.integer().primary(),
    isAdjustment: p.boolean().primary(),
    technician: p.string().$type<TechnicianId>().primary(),
    shiftDay: p.integer().$type<LocalDay>().primary(),
    day: p.integer().$type<LocalDay>().primary(),
    target: p.string().primary(),
    workType: p.string().primary(),
    seconds: p.integer(),
    cost: p.integer().nullable(),
    premium: p.integer().default(0),
  },
});

/** Projection of decisions: what a closed period pays of work, by class and target; without a target it is on nothing. */
export const ClosedPayEntity = defineEntity({
  name: 'ClosedPayRow',
  tableName: 'closed_pay',
  indexes: [{ properties: ['technician', 'shiftDay'] }],
  properties: {
    period: p.integer().primary(),
    isAdjustment: p.boolean().primary(),
    technician: p.string().$type<TechnicianId>().primary(),
    shiftDay: p.integer().$type<LocalDay>().primary(),
    target: p.string().primary(),
    workType: p.string().primary(),
    class: p.string().primary(),
    seconds: p.integer(),
  },
});

/** Projection of decisions: what a closed period paid of time away. */
export const ClosedAwayEntity = defineEntity({
  name: 'ClosedAwayRow',
  tableName: 'closed_away',
  properties: {
    period: p.integer().primary(),
    technician: p.string().$type<TechnicianId>().primary(),
    day: p.integer().$type<LocalDay>().primary(),
    kind: p.string().primary(),
    seconds: p.integer(),
  },
});

/** Projection of decisions: labor lines whose cost was set by hand, and the seconds that were seen there. */
export const SetCostEntity = defineEntity({
  name: 'SetCostRow',
  tableName: 'set_cost',
  indexes: [{ properties: ['target'] }, { properties: ['day'] }],
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    day: p.integer().$type<LocalDay>().primary(),
    target: p.string().primary(),
    workType: p.string().primary(),
    seconds: p.integer(),
    cost: p.integer(),
    entry: p.string(),
    reason: p.text(),
    setBy: p.string(),
    at: p.integer().$type<Instant>(),
  },
});

/** Projection of decisions: shift days whose classes somebody has decided, in seconds. */
export const PaySplitEntity = defineEntity({
  name: 'PaySplitRow',
  tableName: 'pay_split',
  indexes: [{ properties: ['shiftDay'] }],
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    shiftDay: p.integer().$type<LocalDay>().primary(),
    straight: p.integer(),
    overtime: p.integer(),
    double: p.integer(),
    entry: p.string(),
    reason: p.text(),
    saidBy: p.string(),
    at: p.integer().$type<Instant>(),
  },
});

/** Projection of decisions: pay files that were made, to the byte. */
export const PayFileEntity = defineEntity({
  name: 'PayFileRow',
  tableName: 'pay_file',
  indexes: [{ properties: ['period'] }],
  properties: {
    entry: p.string().primary(),
    period: p.integer().$type<LocalDay>(),
    madeBy: p.string(),
    at: p.integer().$type<Instant>(),
    layout: p.string(),
    separator: p.string(),
    payGroup: p.string(),
    rows: p.integer(),
    digest: p.string(),
    text: p.text(),
    sums: p.text(),
    withdrawnBy: p.string().nullable(),
    withdrawnAt: p.integer().$type<Instant>().nullable(),
    reason: p.text().nullable(),
  },
});

/** Projection of decisions: which kinds of whose time stand in a pay file. */
export const PayFilePartEntity = defineEntity({
  name: 'PayFilePartRow',
  tableName: 'pay_file_part',
  properties: {
    entry: p.string().primary(),
    technician: p.string().$type<TechnicianId>().primary(),
    kind: p.string().primary(),
  },
});

/** Projection of decisions: what payroll really paid, as it came; whole imports are taken back. */
export const PayrollEntity = defineEntity({
  name: 'PayrollRow',
  tableName: 'payroll',
  properties: {
    entry: p.string().primary(),
    /** The order in which they came. */
    place: p.integer(),
    name: p.string(),
    takenBy: p.string(),
    at: p.integer().$type<Instant>(),
    withdrawnBy: p.string().nullable(),
    withdrawnAt: p.integer().$type<Instant>().nullable(),
    reason: p.text().nullable(),
  },
});

/** Projection of decisions: what payroll paid one person for a closed period, in cents. */
export const PayrollAmountEntity = defineEntity({
  name: 'PayrollAmountRow',
  tableName: 'payroll_amount',
  indexes: [{ properties: ['technician', 'period'] }],
  properties: {
    entry: p.string().primary(),
    technician: p.string().$type<TechnicianId>().primary(),
    period: p.integer().$type<LocalDay>().primary(),
    lastDay: p.integer().$type<LocalDay>(),
    amount: p.integer(),
    /** Of it time away, time on nothing, and overtime that no line bears. */
    notJobs: p.integer(),
    /** What the period's labor was costed at. */
    costed: p.integer(),
    /** What is beyond, where there is no labor to bear it. */
    overhead: p.integer(),
  },
});

const trueUpKey = {
  technician: p.string().$type<TechnicianId>().primary(),
  day: p.integer().$type<LocalDay>().primary(),
  shiftDay: p.integer().$type<LocalDay>().primary(),
  target: p.string().primary(),
  workType: p.string().primary(),
};
const trueUp = { period: p.integer().$type<LocalDay>(), trueUp: p.integer() };

/** Projection of decisions: what an import of what payroll paid puts on labor lines. */
export const PayrollLineEntity = defineEntity({
  name: 'PayrollLineRow',
  tableName: 'payroll_line',
  properties: { entry: p.string().primary(), ...trueUpKey, ...trueUp },
});

/** The same of the imports that count: of a person and period the last that was not taken back. */
export const LineTrueUpEntity = defineEntity({
  name: 'LineTrueUpRow',
  tableName: 'line_true_up',
  properties: { ...trueUpKey, ...trueUp },
});

/** Shift days of closed periods that may say something else than what was paid: nobody had approved them, or they were
 *  derived anew since. A day too many costs time, a day too few would cost somebody's pay. */
export const UnsettledDayEntity = defineEntity({
  name: 'UnsettledDayRow',
  tableName: 'unsettled_day',
  properties: {
    technician: p.string().$type<TechnicianId>().primary(),
    shiftDay: p.integer().$type<LocalDay>().primary(),
  },
});
