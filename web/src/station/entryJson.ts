import { entrySchema } from '@wergon/contract/ledger';
import { floorEntrySchema } from '@wergon/contract/station';
import { z } from 'zod';

/** What a station makes: entries of labor, and what is said on the floor. */
export const stationEntry = z.union([entrySchema, floorEntrySchema]);
