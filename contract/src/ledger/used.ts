import { z } from 'zod';
import { WORK_TYPES } from '@wergon/core/work';
import { seconds } from '../wire/index.ts';

/** Seconds of labor by the kind of work. */
export const usedSchema = z.partialRecord(z.enum(WORK_TYPES), seconds);
