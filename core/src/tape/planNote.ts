import type { Stint, TargetId } from '../ledger/index.ts';
import type { Change } from '../loose-ends/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { addDays, toInstant } from '../time/index.ts';
import type { Instant, LocalDay, Zone } from '../time/index.ts';

/** Something to be said of a person's day, or of one thing that they worked on that day. */
export type DayNote = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
  readonly target: TargetId | null;
  readonly text: string;
};

type Days = Pick<Zone, 'startOf'>;

/** The last second of a day, as far as that has come: where what has no time of its own is put. */
export const lastOfDay = (zone: Days, day: LocalDay, asOf: Instant): Instant =>
  toInstant(Math.min(asOf, zone.startOf(addDays(day, 1)) - 1));

/** The entry that a note of the desk comes to. It stands at the last beginning of the work that it is about, within the
 *  day; of what has none, at the end of the day. `stints` are the person's of that day. Source: docs/reconcile.md. */
export function planNote(
  { technician, day, target, text }: DayNote,
  stints: readonly Pick<Stint, 'from' | 'running'>[],
  zone: Days,
  asOf: Instant,
): Change {
  const begun = stints.findLast(({ running }) => running.some((run) => run.target === target));
  const at = begun ? toInstant(Math.max(begun.from, zone.startOf(day))) : lastOfDay(zone, day, asOf);
  return { type: 'note', technician, at, text, ...(target === null ? {} : { targets: [target] }) };
}
