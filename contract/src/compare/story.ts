import type { DeepReadonly } from '../wire/index.ts';
import { z } from 'zod';
import { day, dayText, idText, instant, technicianId } from '../wire/index.ts';

/** The story of one order, or of one day of the whole shop. */
export const storyQuery = z
  .strictObject({ order: idText<'WorkOrderId'>().exactOptional(), day: dayText.exactOptional() })
  .refine(({ order, day }) => (order === undefined) !== (day === undefined), 'name an order or a day');

export const STORY_KINDS = [
  'labor',
  'note',
  'pieces',
  'reading',
  'request',
  'done',
  'reopened',
  'order',
] as const;

/** What happened, day by day, as it can be read to somebody: who did what, and what was found. */
export const storySchema = z.object({
  title: z.string(),
  days: z.array(
    z.object({
      day,
      events: z.array(
        z.object({
          kind: z.enum(STORY_KINDS),
          /** `null` for what belongs to the whole day. */
          at: instant.nullable(),
          /** Empty for the desk; `null` for somebody of whom whoever asks is told nothing. */
          who: z.string().nullable(),
          /** Whose time it is, of labor. */
          technician: technicianId.nullable(),
          about: z.string(),
          text: z.string(),
          seconds: z.number().nullable(),
        }),
      ),
    }),
  ),
});
export type StoryJson = DeepReadonly<z.output<typeof storySchema>>;
