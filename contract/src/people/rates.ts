import { z } from 'zod';
import { isKeepable } from '@wergon/core/people';
import { amountText, dayText, hoursText } from '../wire/index.ts';

const positiveHours = hoursText.refine((hours) => hours.numerator > 0n, 'must be above zero');

/** A dated rate with the shop's own names for its burden. */
export const payRecordSchema = z
  .strictObject({
    from: dayText,
    per: z.enum(['hour', 'year']),
    base: amountText,
    hoursPerYear: positiveHours.exactOptional(),
    burden: z
      .array(
        z.strictObject({
          name: z.string().trim().max(60).default(''),
          kind: z.enum(['percent', 'perHour', 'perYear']),
          value: amountText,
          /** Whether it is paid on what overtime adds, too; only a percentage can be. */
          onPremium: z.boolean().exactOptional(),
        }),
      )
      .max(30)
      .default([]),
    /** Whether somebody with a yearly salary is paid overtime. */
    overtimePaid: z.boolean().exactOptional(),
    /** The grade at whose standard rate their work is shown to whoever may not see rates. */
    grade: z.string().min(1).max(200).nullable().exactOptional(),
  })
  .superRefine((record, context) => {
    const { per, hoursPerYear, burden } = record;
    const isNeeded = per === 'year' || burden.some(({ kind }) => kind === 'perYear');
    if (isNeeded && !hoursPerYear)
      context.addIssue({ code: 'custom', path: ['hoursPerYear'], message: 'required with a yearly amount' });
    else if (!isKeepable(record))
      context.addIssue({
        code: 'custom',
        path: ['base'],
        message: 'comes with its burden to more than 1000000 an hour',
      });
  });
export type PayRecord = z.input<typeof payRecordSchema>;

/** A rate that changes the cost of days gone by is stored only with `isPastAgreed`, given after its effect was seen. */
export const newRateSchema = z.strictObject({
  record: payRecordSchema,
  /** The record of the same date that this one takes the place of, if there is one. */
  replaces: dayText.nullable().default(null),
  isPastAgreed: z.boolean().default(false),
});

const line = z.object({ name: z.string(), amount: z.string(), perHour: z.string() });

export const ratesSchema = z.object({
  records: z.array(
    z.object({
      /** As it was entered. */
      record: z.object({
        from: z.string(),
        per: z.enum(['hour', 'year']),
        base: z.string(),
        hoursPerYear: z.string().exactOptional(),
        burden: z.array(
          z.object({
            name: z.string(),
            kind: z.enum(['percent', 'perHour', 'perYear']),
            value: z.string(),
            onPremium: z.boolean().exactOptional(),
          }),
        ),
        overtimePaid: z.boolean().exactOptional(),
        grade: z.string().nullable().exactOptional(),
      }),
      /** How the cost of an hour comes about; the lines add up to the total. */
      lines: z.array(line),
      costPerHour: z.string(),
    }),
  ),
});
export type RatesJson = z.output<typeof ratesSchema>;

/** What a rate would do to the labor cost of orders, and of indirect time, from its day on. */
export const rateEffectSchema = z.object({
  costPerHour: z.string(),
  isPast: z.boolean(),
  orders: z.array(
    z.object({
      number: z.string(),
      title: z.string(),
      isOpen: z.boolean(),
      seconds: z.number(),
      before: z.string(),
      after: z.string(),
    }),
  ),
});
export type RateEffect = z.output<typeof rateEffectSchema>;
