import type { TechnicianId } from '../people/index.ts';
import { cutAtDays, inForceAt, lengthOf, merge, subtract, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds, Span, Zone } from '../time/index.ts';
import type { LedgerFacts } from './facts.ts';
import type { LooseEnd } from './looseEnd.ts';
import type { Stint } from './stint.ts';

/** One technician's day: how long they were there, and how much of that found its work.
 *  Source: docs/ledger.md, section 7. */
export type AttendanceDay = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
  readonly attendedSeconds: Seconds;
  readonly chargedSeconds: Seconds;
  readonly insideSeconds: Seconds;
  readonly enteredSeconds: Seconds;
};

/** What attendance is derived from, for one technician, each sorted by `from`; open stretches run to `asOf`. */
export type Attended = {
  readonly technician: TechnicianId;
  readonly shifts: readonly Span[];
  readonly breaks: readonly Span[];
  readonly stints: readonly (Span & Pick<Stint, 'running'>)[];
  readonly enteredByDay: ReadonlyMap<LocalDay, Seconds>;
};

const SECONDS_PER_MINUTE = 60;

function sumByDay(spans: readonly Span[], zone: Zone): Map<LocalDay, Seconds> {
  const sums = new Map<LocalDay, Seconds>();
  for (const span of spans)
    for (const { day, from, to } of cutAtDays(span, zone))
      sums.set(day, toSeconds((sums.get(day) ?? 0) + to - from));
  return sums;
}

/** Whether every target of a stint is an activity that does not count: then it is no attended time. */
export const isUncounted = (stint: Attended['stints'][number], facts: LedgerFacts): boolean =>
  stint.running.every(({ target }) => {
    const known = facts.targets.get(target);
    return known?.kind === 'activity' && !inForceAt(known.counts, stint.from);
  });

/** Accounted time as a share of attended time, from 0 to 1; `null` where nobody has attended.
 *  Source: docs/ledger.md, section 7. */
export const shareAccounted = (attended: number, unaccounted: number): number | null =>
  attended === 0 ? null : (attended - unaccounted) / attended;

/** Attended seconds of some days, and those of them that found nothing to be charged to; what was charged beyond attended
 *  time is outside, so that attended − unaccounted + outside is all that was charged. Of a day with more written
 *  down than it lacks, the rest explains no other day. `share` is accounted time from 0 to 1, `null` where nobody has
 *  attended. Source: docs/ledger.md, section 7. */
export function sumAccounted(days: readonly AttendanceDay[]): {
  readonly attendedSeconds: Seconds;
  readonly unaccountedSeconds: Seconds;
  readonly outsideSeconds: Seconds;
  readonly share: number | null;
} {
  let [attended, missing, charged] = [0, 0, 0];
  for (const { attendedSeconds, chargedSeconds, insideSeconds, enteredSeconds } of days) {
    attended += attendedSeconds;
    charged += chargedSeconds;
    missing += Math.max(0, attendedSeconds - insideSeconds - enteredSeconds);
  }
  return {
    attendedSeconds: toSeconds(attended),
    unaccountedSeconds: toSeconds(missing),
    outsideSeconds: toSeconds(charged - (attended - missing)),
    share: shareAccounted(attended, missing),
  };
}

/** Attended and charged time per local day, and the loose ends that come from holding them against each other:
 *  gaps and work outside a shift. Source: docs/ledger.md, section 7. */
export function deriveAttendance(
  { technician, shifts, breaks, stints, enteredByDay }: Attended,
  facts: LedgerFacts,
): { readonly days: AttendanceDay[]; readonly looseEnds: LooseEnd[] } {
  const { zone } = facts;
  const uncounted = stints.filter((stint) => isUncounted(stint, facts));
  const counted = uncounted.length === 0 ? stints : stints.filter((stint) => !isUncounted(stint, facts));
  const attended = subtract(subtract(shifts, breaks), uncounted);
  const uncovered = merge(subtract(attended, counted));

  const attendedByDay = sumByDay(attended, zone);
  const uncoveredByDay = sumByDay(uncovered, zone);
  const stintsByDay = sumByDay(stints, zone);
  const signedInByDay = sumByDay(shifts, zone);
  const at = (sums: ReadonlyMap<LocalDay, Seconds>, day: LocalDay) => sums.get(day) ?? toSeconds(0);

  const allDays = new Set([...attendedByDay.keys(), ...stintsByDay.keys(), ...enteredByDay.keys()]);
  const days = [...allDays]
    .sort((a, b) => a - b)
    .map((day): AttendanceDay => ({
      technician,
      day,
      attendedSeconds: at(attendedByDay, day),
      chargedSeconds: toSeconds(at(stintsByDay, day) + at(enteredByDay, day)),
      insideSeconds: toSeconds(at(attendedByDay, day) - at(uncoveredByDay, day)),
      enteredSeconds: at(enteredByDay, day),
    }));

  const looseEnds: LooseEnd[] = [];
  for (const gap of uncovered) {
    const seconds = lengthOf(gap);
    if (seconds < inForceAt(facts.policy, gap.from).gapMinutes * SECONDS_PER_MINUTE) continue;
    const day = zone.dayAt(gap.from);
    // Hours written down for the day explain its gaps; attended − inside is what stints left uncovered.
    if (at(enteredByDay, day) > 0 && at(enteredByDay, day) >= at(uncoveredByDay, day)) continue;
    looseEnds.push({ kind: 'gap', technician, entries: [], from: gap.from, to: gap.to, seconds });
  }
  for (const [day, seconds] of sumByDay(subtract(stints, shifts), zone))
    if (signedInByDay.has(day))
      looseEnds.push({ kind: 'work-outside-shift', technician, entries: [], day, seconds });
  return { days, looseEnds };
}
