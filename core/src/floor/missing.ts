import type { Instant, Span } from '../time/index.ts';
import type { Presently } from './tape.ts';

/** What is planned of somebody for a day. */
export type PlannedDay = {
  /** Planned attendance; `null` on a day without any. */
  readonly planned: Span | null;
  /** On leave, or ill: nobody waits for them. */
  readonly isAway: boolean;
};

/** Whether somebody should be here at an instant and is not: planned, not away, and not signed in. At the planned
 *  beginning they are missing, at the planned end no more. */
export const isMissing = (presently: Presently, { planned, isAway }: PlannedDay, now: Instant): boolean =>
  presently === 'out' && !isAway && planned !== null && planned.from <= now && now < planned.to;
