import { toInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';

const MINUTE = 60;

/** Where an edge that is drawn comes to lie: at a neighbour's edge if one is near enough, else at a whole minute.
 *  `reach` is the distance in seconds within which a neighbour draws it. */
export function snapEdge(drawn: Instant, neighbours: readonly Instant[], reach: number): Instant {
  const nearest = [...neighbours].sort((a, b) => Math.abs(a - drawn) - Math.abs(b - drawn))[0];
  if (nearest !== undefined && Math.abs(nearest - drawn) <= reach) return nearest;
  return toInstant(Math.round(drawn / MINUTE) * MINUTE);
}
