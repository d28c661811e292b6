import { z } from 'zod';
import { centsOf } from '@wergon/core/money';
import { WORK_TYPES } from '@wergon/core/work';
import { dayText, idText } from '../wire/index.ts';
import { priceText } from '../work/index.ts';

/** No line of labor costs more: beyond it somebody has mistyped. */
const MOST = 10_000_000_00;

const line = {
  technician: idText<'TechnicianId'>(),
  target: idText<'TargetId'>(),
  workType: z.enum(WORK_TYPES),
  day: dayText,
};

/** What a labor line is to cost, whatever its rate says, and its seconds as they were seen. */
export const setCostSchema = z.strictObject({
  ...line,
  seconds: z.int().min(1),
  amount: priceText.refine((amount) => centsOf(amount) <= MOST, 'is more than a line of labor can cost'),
  reason: z.string().trim().min(1, 'say why').max(200),
});

/** The labor line that is to cost what its rate says again. */
export const resetCostSchema = z.strictObject(line);
