import type { FloorJson } from '@wergon/contract/floor';
import type { Lane, Nearness } from '@wergon/core/floor';
import type { Instant } from '@wergon/core/time';
import { t } from '../words/index.ts';

/** So long before it begins overtime is told of, in seconds: there is still time to do something else. */
const TOLD_BEFORE = 3600;

/** That what somebody is on is paid beyond straight hours now, or will be soon; absent where neither is so. */
export function sayOvertime(
  stages: FloorJson['lanes'][number]['stages'],
  now: Instant,
  clock: (at: Instant) => string,
): { readonly words: string; readonly isReached: boolean } | undefined {
  const [reached, next] = [
    stages.findLast(({ at }) => at <= now),
    stages.find(({ at, class: of }) => of !== 'straight' && at > now && at - now <= TOLD_BEFORE),
  ];
  const stage = next ?? (reached?.class === 'straight' ? undefined : reached);
  if (!stage) return undefined;
  const words = { class: t(`payClasses.${stage.class}`), time: clock(stage.at) };
  return next
    ? { words: t('floor.paidFrom', words), isReached: false }
    : { words: t('floor.paidSince', words), isReached: true };
}

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
