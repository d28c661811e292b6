import { earliestOf } from '../time/index.ts';
import type { PersonTimeline } from '../ledger/index.ts';
import type { Span } from '../time/index.ts';
import type { TapeGround } from './tapeEdit.ts';

/** Whether a second of a span lies on a closed day: its own, or that of the shift in which it lies. */
export function isClosed(
  { from, to }: Span,
  { closedUntil, facts }: TapeGround,
  timeline: PersonTimeline | undefined,
): boolean {
  if (closedUntil === null) return false;
  const shift = timeline?.shifts.find((each) => each.from < to && from < each.to);
  const day = facts.zone.dayAt(from);
  return (shift ? earliestOf([day, facts.zone.dayAt(shift.from)]) : day) <= closedUntil;
}
