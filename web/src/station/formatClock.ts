import type { Instant, Zone } from '@wergon/core/time';

/** The wall clock of the shop, `13:37`. */
export function formatClock(zone: Zone, at: Instant): string {
  const minutes = Math.floor(zone.clockAt(at) / 60);
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}
