import { z } from 'zod';
import { day, dayText, hoursText } from '../wire/index.ts';

/** Hours of a week that somebody is paid at the least, by the day from which they are; the earliest first. */
export const guaranteesSchema = z.object({
  guarantees: z.array(z.object({ from: day, hours: z.string() })),
});
/** `null` takes out what was said for that day. */
export const saveGuaranteeSchema = z.strictObject({
  from: dayText,
  hours: hoursText
    .refine(({ numerator, denominator }) => numerator <= 168n * denominator, 'must not be above 168')
    .nullable(),
});
