import type { FloorJson } from '@wergon/contract/floor';
import type { Lane } from '@wergon/core/floor';
import type { Instant } from '@wergon/core/time';

/** What is said of somebody who is not signed in: away, expected since, expected later, or gone after work. */
export function sayOut(
  lane: Pick<Lane, 'blocks'>,
  person: Pick<FloorJson['people'][number], 'planned' | 'isAway'> | undefined,
  now: Instant,
  clock: (at: Instant) => string,
): string {
  if (person?.isAway) return 'Absent';
  if (lane.blocks.length > 0) return 'Gone';
  if (!person?.planned || now >= person.planned.to) return 'Not here';
  const from = person.planned.from;
  return now < from ? `Expected at ${clock(from)}` : `Not here, expected at ${clock(from)}`;
}
