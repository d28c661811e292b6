import { z } from 'zod';
import { cents, day, instant, technicianId, workOrderId } from '../wire/index.ts';

const MOST_ROWS = 2_000;
const cell = z.string().trim().max(60);
/** A row of what payroll paid, as it came; what is wrong with one is told of that row. */
const row = z.strictObject({
  payrollNumber: cell,
  /** Any day of a closed period. */
  period: cell,
  /** The employer's whole cost. */
  amount: cell,
});
export type PayrollRow = z.output<typeof row>;
export const tryPayrollSchema = z.strictObject({ rows: z.array(row).min(1).max(MOST_ROWS) });
export const takePayrollSchema = z.strictObject({
  rows: z.array(row).min(1).max(MOST_ROWS),
  /** What the file is called. */
  name: z.string().trim().min(1).max(200),
  stamp: z.string().max(100),
});
export const withdrawPayrollSchema = z.strictObject({
  id: z.string().min(1).max(200),
  reason: z.string().trim().min(1, 'say why').max(200),
});

/** What taking the rows would do. Nothing is taken while any of them is wrong. */
export const triedPayrollSchema = z.object({
  problems: z.array(
    z.object({
      row: z.number(),
      field: z.enum(['payrollNumber', 'period', 'amount']),
      message: z.string(),
    }),
  ),
  people: z.array(
    z.object({
      technician: technicianId,
      name: z.string(),
      firstDay: day,
      lastDay: day,
      amount: cents,
      notJobs: cents,
      /** What the period's labor was costed at. */
      costed: cents,
      /** What is beyond that: on labor, and where there is none. */
      trueUp: cents,
      overhead: cents,
      /** Whether it takes the place of what was taken before. */
      isReplaced: z.boolean(),
    }),
  ),
  orders: z.array(
    z.object({ order: workOrderId.nullable(), number: z.string(), title: z.string(), trueUp: cents }),
  ),
  stamp: z.string(),
});
export type TriedPayroll = z.output<typeof triedPayrollSchema>;

/** What payroll really paid, import by import, the last first. */
export const payrollSchema = z.object({
  imports: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      by: z.string(),
      at: instant,
      people: z.number(),
      periods: z.array(z.object({ firstDay: day, lastDay: day })),
      amount: cents,
      notJobs: cents,
      costed: cents,
      withdrawnBy: z.string().nullable(),
      reason: z.string().nullable(),
    }),
  ),
});
export type PayrollJson = z.output<typeof payrollSchema>;
