import type { DeepReadonly } from '../wire/index.ts';
import { z } from 'zod';
import { instant, entryId } from '../wire/index.ts';

/** How somebody is known at a station: by a badge of ours, a card of their own that was bound, a badge with its PIN or with
 *  one that could not be looked at, by their name alone, or by their number, typed. */
export const KNOWN_BY = [
  'badge',
  'card',
  'badge-and-pin',
  'pin-unchecked',
  'name',
  'number',
  'number-and-pin',
] as const;
export type KnownBy = (typeof KNOWN_BY)[number];

/** An entry as it stands now, with who made it, where, and every correction of it with what it changed. */
export const scanSchema = z.object({
  id: entryId,
  seq: z.number(),
  type: z.string(),
  at: instant.nullable(),
  recordedAt: instant,
  source: z.string(),
  author: z.string(),
  /** `null` where nobody had to be known. */
  knownBy: z.enum(KNOWN_BY).nullable(),
  /** Why work stood still or was done once more, and on which machine it was, by its name. */
  reason: z.string().nullable(),
  machine: z.string().nullable(),
  /** The lead whose badge let it through. */
  letThroughBy: z.string().nullable(),
  corrections: z.array(
    z.object({
      type: z.string(),
      author: z.string(),
      recordedAt: instant,
      why: z.string().nullable(),
      changes: z.array(z.object({ field: z.string(), before: z.string(), after: z.string() })),
    }),
  ),
});
export type ScanJson = DeepReadonly<z.output<typeof scanSchema>>;
