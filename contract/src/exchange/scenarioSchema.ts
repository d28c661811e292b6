import { z } from 'zod';
import { ROUND_UP_MINUTES } from '@wergon/core/bill';
import { isKeepable } from '@wergon/core/people';
import type { RateRecord } from '@wergon/core/people';
import { PAY_BASES, PAY_CLASSES, PREMIUM_ON, USUAL_MULTIPLIERS } from '@wergon/core/pay';
import { createZone, toSeconds } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import { entrySchema } from '../ledger/index.ts';
import { overHours } from '../pay/index.ts';
import { amountText, dayText, hoursText, idText, instantText, rateText, wholeNumber } from '../wire/index.ts';

// A document of version 1 has what stands in `first`, one of version 2 all of it; what is left out of it is nothing, or
// what docs/scenario-format.md says.

const technicianId = idText<'TechnicianId'>();
const targetId = idText<'TargetId'>();
const gradeId = idText<'GradeId'>();
const name = z.string().min(1).max(200);
const atLeastOne = z.int().min(1);
const positiveHours = hoursText.refine((hours) => hours.numerator > 0n, 'must be above zero');
/** What is longer than a year, or dearer than anything, is a slip of the hand; and sums would no longer be exact. */
const MOST_SECONDS = 366 * 86_400;
const MOST_AMOUNT = 1_000_000_000;
const MOST_TIMES = 100;
const length = wholeNumber.max(MOST_SECONDS).transform(toSeconds);
const atMost = (most: number) =>
  amountText.refine(
    ({ numerator, denominator }) => numerator <= denominator * BigInt(most),
    `must not be above ${most}`,
  );
const amount = atMost(MOST_AMOUNT);
const times = atMost(MOST_TIMES);

const policy = z.strictObject({
  split: z.enum(['estimate', 'equal']).exactOptional(),
  maxStintHours: atLeastOne.exactOptional(),
  maxShiftHours: atLeastOne.exactOptional(),
  gapMinutes: wholeNumber.exactOptional(),
  maxBreakMinutes: wholeNumber.exactOptional(),
});

const firstBurden = { kind: z.enum(['percent', 'perHour', 'perYear']), value: amountText };
const firstRate = {
  from: dayText,
  per: z.enum(['hour', 'year']),
  base: amountText,
  hoursPerYear: positiveHours.exactOptional(),
};

/** Whatever is per year needs to know of how many hours, and an hour must not cost more than anybody's can. */
function checkRate({ value, issues }: z.core.ParsePayload<RateRecord>) {
  const refuse = (field: string, message: string) =>
    issues.push({ code: 'custom', path: [field], message, input: value });
  const isNeeded = value.per === 'year' || value.burden.some(({ kind }) => kind === 'perYear');
  if (isNeeded && !value.hoursPerYear) refuse('hoursPerYear', 'required with a yearly amount');
  else if (!isKeepable(value)) refuse('base', 'comes with its burden to more than 1000000 an hour');
}

const firstTask = {
  id: targetId,
  grade: gradeId,
  estimate: z.strictObject({
    setupHours: hoursText.exactOptional(),
    runHours: hoursText.exactOptional(),
    runHoursPerPiece: hoursText.exactOptional(),
  }),
};
const firstOrder = {
  id: idText<'WorkOrderId'>(),
  quantity: wholeNumber,
  estimateIncludes: z.array(z.enum(WORK_TYPES)).exactOptional(),
};
const firstActivity = { id: targetId, counts: z.boolean().exactOptional() };
const first = {
  zone: z.string().refine((zone) => createZone(zone).ok, 'expected an IANA time zone'),
  asOf: instantText,
  policy: policy.exactOptional(),
  grades: z.array(z.strictObject({ id: gradeId, standardRate: rateText })),
  events: z.array(entrySchema),
};

/** A document of version 1. Everything in it stands in one of version 2 as well. */
export const scenarioOne = z.strictObject({
  format: z.literal('wergon-scenario/1'),
  ...first,
  technicians: z.array(
    z.strictObject({
      id: technicianId,
      rates: z
        .array(
          z
            .strictObject({ ...firstRate, burden: z.array(z.strictObject(firstBurden)).default([]) })
            .check(checkRate),
        )
        .default([]),
    }),
  ),
  indirect: z.array(z.strictObject(firstActivity)).default([]),
  workOrders: z.array(z.strictObject({ ...firstOrder, tasks: z.array(z.strictObject(firstTask)) })),
});

const payClass = z.enum(PAY_CLASSES);
const tiers = z.array(z.strictObject({ over: overHours, class: payClass })).default([]);
const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const;
const weekday = z.enum(WEEKDAYS).transform((day) => WEEKDAYS.indexOf(day) + 1);

const multipliers = z
  .strictObject({
    overtime: times.default(USUAL_MULTIPLIERS.overtime),
    double: times.default(USUAL_MULTIPLIERS.double),
  })
  .default(USUAL_MULTIPLIERS);

const payRule = z.strictObject({
  from: dayText,
  group: name.exactOptional(),
  weekStart: weekday,
  premiumOn: z.enum(PREMIUM_ON).default('worked'),
  multipliers,
  day: tiers,
  week: tiers,
  special: z
    .array(z.strictObject({ on: z.union([z.literal('closed'), weekday]), class: payClass }))
    .default([]),
});

const technician = z.strictObject({
  id: technicianId,
  payGroup: name.exactOptional(),
  /** Monday to Sunday. */
  plan: z.array(length).length(7).exactOptional(),
  guarantee: z.array(z.strictObject({ from: dayText, hours: hoursText })).default([]),
  absences: z
    .array(
      z.strictObject({
        day: dayText,
        kind: name,
        paid: z.boolean().default(false),
        seconds: length.exactOptional(),
      }),
    )
    .default([]),
  rates: z
    .array(
      z
        .strictObject({
          ...firstRate,
          grade: gradeId.exactOptional(),
          overtimePaid: z.boolean().exactOptional(),
          burden: z
            .array(z.strictObject({ ...firstBurden, onPremium: z.boolean().exactOptional() }))
            .default([]),
        })
        .check(checkRate),
    )
    .default([]),
});

const workOrder = z.strictObject({
  ...firstOrder,
  rates: z.array(z.strictObject({ id: name, per: z.enum(['hour', 'flat']), amount })).default([]),
  tasks: z.array(
    z.strictObject({
      ...firstTask,
      billing: z.enum(['hourly', 'fixed', 'none']).default('none'),
      price: amount.exactOptional(),
    }),
  ),
});

/** A document of version 2: also how work is paid, and what is charged. */
export const scenarioTwo = z.strictObject({
  format: z
    .string()
    .refine((said) => said === 'wergon-scenario/2', 'expected wergon-scenario/1 or wergon-scenario/2'),
  ...first,
  technicians: z.array(technician),
  indirect: z.array(z.strictObject({ ...firstActivity, paid: z.boolean().exactOptional() })).default([]),
  workOrders: z.array(workOrder),
  payBasis: z.enum(PAY_BASES).default('labor'),
  payRules: z.array(payRule).default([]),
  closedDays: z.array(z.strictObject({ day: dayText, paid: z.boolean().default(false) })).default([]),
  splits: z
    .array(
      z.strictObject({
        technician: technicianId,
        day: dayText,
        straight: length,
        overtime: length,
        double: length,
      }),
    )
    .default([]),
  billing: z
    .strictObject({
      neverBilled: z.array(z.enum(WORK_TYPES)).exactOptional(),
      roundUpMinutes: z.literal(ROUND_UP_MINUTES).exactOptional(),
    })
    .default({}),
  billable: z
    .array(
      z.strictObject({
        technician: technicianId,
        target: targetId,
        workType: z.enum(WORK_TYPES).default('run'),
        day: dayText,
        chargeRate: name.exactOptional(),
        seconds: length,
      }),
    )
    .default([]),
});

/** What a document says, its events as they were sent. */
export type ScenarioDocument = Omit<z.output<typeof scenarioTwo>, 'format'> & {
  /** The version it was written in. */
  readonly version: 1 | 2;
};
