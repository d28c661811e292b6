import type { FloorJson } from '@wergon/contract/floor';
import type { Lane, Nearness } from '@wergon/core/floor';
import type { Instant } from '@wergon/core/time';
import { t } from '../words/index.ts';

/** What is said of somebody who is not signed in: away, expected since, expected later, or gone after work. */
export function sayOut(
  lane: Pick<Lane, 'blocks'>,
  person: Pick<FloorJson['people'][number], 'planned' | 'isAway'> | undefined,
  now: Instant,
  clock: (at: Instant) => string,
): string {
  if (person?.isAway) return t('floor.absent');
  if (lane.blocks.length > 0) return t('floor.gone');
  if (!person?.planned || now >= person.planned.to) return t('floor.notHereNow');
  const from = person.planned.from;
  return now < from
    ? t('floor.expectedAt', { time: clock(from) })
    : t('floor.notHereExpectedAt', { time: clock(from) });
}

/** What is said of a task while it goes on near its estimate or past it, and since when, where that is known. */
export function sayNear({ isPast, since }: Nearness, clock: (at: Instant) => string): string {
  if (since === undefined) return t(isPast ? 'floor.past' : 'floor.near');
  return t(isPast ? 'floor.pastSince' : 'floor.nearSince', { time: clock(since) });
}
