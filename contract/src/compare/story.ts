import { z } from 'zod';
import { dayText } from '../wire/index.ts';

/** The story of one order, or of one day of the whole shop. */
export const storyQuery = z
  .strictObject({ order: z.string().max(200).exactOptional(), day: dayText.exactOptional() })
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
export const storySchema = z.strictObject({
  title: z.string(),
  days: z.array(
    z.strictObject({
      day: z.string(),
      events: z.array(
        z.strictObject({
          kind: z.enum(STORY_KINDS),
          /** `null` for what belongs to the whole day. */
          at: z.string().nullable(),
          who: z.string(),
          about: z.string(),
          text: z.string(),
          seconds: z.number().nullable(),
        }),
      ),
    }),
  ),
});
export type StoryJson = z.output<typeof storySchema>;
