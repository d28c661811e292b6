import { z } from 'zod';

/** What the live stream says of the journal: how far it has come, and whose days and which orders that has changed;
 *  `null` where there are too many to be named. Other events carry the sequence number alone. */
export const journalEventSchema = z.object({
  seq: z.number(),
  technicians: z.array(z.string()).nullable(),
  orders: z.array(z.string()).nullable(),
});
export type JournalEvent = z.output<typeof journalEventSchema>;
