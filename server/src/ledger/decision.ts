import { z } from 'zod';
import { day, entryId, instant, seconds, targetId, technicianId } from '@wergon/contract/wire';
import { toCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import { PAY_CLASSES } from '@wergon/core/pay';
import { WORK_TYPES } from '@wergon/core/work';

const said = { id: entryId, at: instant, by: z.string() };
const personDay = { technician: technicianId, day };
const cents = z.codec(z.number(), z.custom<Cents>(Number.isSafeInteger), {
  decode: toCents,
  encode: (cost) => cost,
});
const line = z.object({
  ...personDay,
  shiftDay: day,
  target: targetId,
  workType: z.enum(WORK_TYPES),
  /** Below zero in an adjustment that takes away. */
  seconds: z.number(),
  cost: cents.nullable(),
  premium: cents.optional(),
});
const classes = z.object({
  ...personDay,
  straight: z.number(),
  overtime: z.number(),
  double: z.number(),
  unallocated: z.number(),
});
const workedLine = z.object({
  technician: technicianId,
  shiftDay: day,
  target: targetId.optional(),
  workType: z.enum(WORK_TYPES).optional(),
  class: z.enum(PAY_CLASSES),
  seconds: z.number(),
});
const lineKey = { ...personDay, target: targetId, workType: z.enum(WORK_TYPES) };

/** A decision of the desk as it stands in the journal, and as the server knows it. */
const decisionSchema = z.discriminatedUnion('type', [
  /** A loose end is right as it is. It is named by its key, and by the facts that were seen. */
  z.object({ ...said, type: z.literal('accept'), key: z.string(), facts: z.string(), reason: z.string() }),
  z.object({ ...said, type: z.literal('withdraw'), accept: entryId }),
  /** A person's shift day is right as it is; said by whoever approves, or by that person. */
  z.object({ ...said, type: z.enum(['approve', 'confirm']), ...personDay, facts: z.string() }),
  z.object({ ...said, type: z.literal('unapprove'), ...personDay }),
  /** A pay period with the lines it keeps, and the adjustments to earlier ones that it pays. */
  z.object({
    ...said,
    type: z.literal('close'),
    firstDay: day,
    lastDay: day,
    lines: z.array(line).readonly(),
    adjustments: z.array(line).readonly(),
    /** What it pays of work, and what of earlier ones. */
    worked: z.array(workedLine).readonly().optional(),
    workedAdjustments: z.array(workedLine).readonly().optional(),
    /** Before that was kept by target it was kept by day; of periods closed before there were classes all was straight. */
    classes: z.array(classes).readonly().optional(),
    classAdjustments: z.array(classes).readonly().optional(),
    /** What it pays of time away. */
    away: z
      .array(z.object({ ...personDay, kind: z.string(), seconds }))
      .readonly()
      .default([]),
    /** Shift days up to its end that it did not pay as they are: nobody has approved them, or they still go on. Periods
     *  that were closed before this was kept say nothing of it; every day of theirs is looked at. */
    leftOut: z.array(z.object(personDay)).readonly().default([]),
    head: z.string(),
  }),
  /** What a labor line costs, whatever its rate says, as long as its time is what was seen; or by its rate again. */
  z.object({
    ...said,
    type: z.literal('set-cost'),
    ...lineKey,
    seconds: z.number(),
    cost: cents,
    reason: z.string(),
  }),
  z.object({ ...said, type: z.literal('reset-cost'), ...lineKey }),
  /** How a person's shift day is paid, in seconds by class, whatever the rule says, as long as they add up to it; or by the
   *  rule again. */
  z.object({
    ...said,
    type: z.literal('split'),
    ...personDay,
    straight: seconds,
    overtime: seconds,
    double: seconds,
    reason: z.string(),
  }),
  z.object({ ...said, type: z.literal('reset-split'), ...personDay }),
  /** A pay file of a closed period: what is in it to the byte, whom and which kinds of time it holds, and what was missing
   *  and put off. */
  z.object({
    ...said,
    type: z.literal('pay-file'),
    firstDay: day,
    layout: z.string(),
    separator: z.string(),
    group: z.string(),
    rows: z.number(),
    digest: z.string(),
    /** Not called a text: what somebody said of a decision is, and is told with it. */
    content: z.string(),
    sums: z.array(z.object({ code: z.string(), hundredths: z.number(), people: z.number() })),
    parts: z.array(z.object({ technician: technicianId, kind: z.string() })),
    putOff: z.array(z.string()),
  }),
  z.object({ ...said, type: z.literal('withdraw-pay-file'), file: entryId, reason: z.string() }),
  /** What payroll really paid people for closed periods, with what of it is no job's, and what the jobs' labor takes of what
   *  is beyond its cost. Of one person and period the last counts that was not taken back. */
  z.object({
    ...said,
    type: z.literal('payroll-paid'),
    name: z.string(),
    amounts: z.array(
      z.object({
        technician: technicianId,
        firstDay: day,
        lastDay: day,
        amount: cents,
        notJobs: cents,
        costed: cents,
        overhead: cents,
        lines: z
          .array(
            z.object({ shiftDay: day, day, target: targetId, workType: z.enum(WORK_TYPES), trueUp: cents }),
          )
          .readonly(),
      }),
    ),
  }),
  z.object({ ...said, type: z.literal('withdraw-payroll'), payroll: entryId, reason: z.string() }),
  z.object({ ...said, type: z.literal('reopen'), firstDay: day, reason: z.string() }),
]);
export type Decision = z.output<typeof decisionSchema>;
/** A person's shift day that no closed period has paid as it is. */
export type LeftOut = Extract<Decision, { type: 'close' }>['leftOut'][number];

export const readDecision = (body: string): Decision => decisionSchema.parse(JSON.parse(body));
export const writeDecisionBody = (decision: Decision): unknown => decisionSchema.encode(decision);
