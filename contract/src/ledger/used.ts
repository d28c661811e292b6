import { z } from 'zod';
import { WORK_TYPES } from '@wergon/core/work';

/** Seconds of labor by the kind of work. */
export const usedSchema = z.partialRecord(z.enum(WORK_TYPES), z.number());
