import { z } from 'zod';
import { rateRecordSchema } from '../ledger/index.ts';
import { dayText, rateText } from '../wire/index.ts';

const shortText = z.string().trim().min(1).max(80);

export const newTechnicianSchema = z.strictObject({
  number: z.string().trim().min(1).max(20),
  name: shortText,
  department: z.string().trim().max(80),
});

export const leaveSchema = z.strictObject({ leftOn: dayText.nullable() });

export const peopleSchema = z.strictObject({
  technicians: z.array(
    z.strictObject({
      id: z.string(),
      number: z.string(),
      name: z.string(),
      department: z.string(),
      leftOn: z.string().nullable(),
      badges: z.array(z.strictObject({ id: z.string(), code: z.string() })),
      /** Whether a cost rate holds today; the rate itself is not here. */
      hasRate: z.boolean(),
    }),
  ),
  grades: z.array(z.strictObject({ id: z.string(), name: z.string() })),
});

export const newRateSchema = z.strictObject({ record: rateRecordSchema });
export const newGradeSchema = z.strictObject({ name: shortText, standardRate: rateText });
export const createdSchema = z.strictObject({ id: z.string() });
