import type { Instant, Zone } from '@wergon/core/time';

/** The wall clock of the shop, `6:58`. */
export function formatClock(zone: Zone, at: Instant): string {
  const minutes = Math.floor(zone.clockAt(at) / 60);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}
