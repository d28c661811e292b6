import type { Mount } from '../http/index.ts';
import type { StationContext } from '../station/index.ts';
import { mountAccounted } from './accounted.ts';
import { mountCard } from './card.ts';
import { mountOwnTime } from './ownTime.ts';

export { ownId } from './ownTime.ts';

/** Routes of attended time: where it went, people's cards, and everybody's own. */
export function mountAttendance(mount: Mount, context: StationContext): void {
  mountAccounted(mount, context);
  mountCard(mount, context);
  mountOwnTime(mount, context);
}
