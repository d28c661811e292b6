import type { Instant, Zone } from '@wergon/core/time';
import { sayClock, sayDay } from '../kit/index.ts';

/** A day and a clock time in the shop's zone. */
export const sayWhen = (zone: Zone | undefined, at: Instant): string =>
  zone ? `${sayDay(zone.dayAt(at))} ${sayClock(zone, at)}` : '';
