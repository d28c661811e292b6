import type { TechnicianId } from '../people/index.ts';
import { toSeconds } from '../time/index.ts';
import type { Instant, LocalDay, Seconds } from '../time/index.ts';
import { deriveAttendance } from './attendance.ts';
import { effectiveEntries, inOrderOfTime } from './effective.ts';
import { deriveFinished, findNotReleased, isTaskEntry } from './finished.ts';
import { AT_REST, applyEntry, settleAt } from './fold.ts';
import { sumLines } from './lines.ts';
import { findIdleCosts } from './costing.ts';
import { allocateStint } from './allocate.ts';
import type { AttendanceDay } from './attendance.ts';
import type { Entry, HoursEntry, LaborEntry, TargetId } from './entries.ts';
import { isPaidTarget } from './facts.ts';
import type { LedgerFacts } from './facts.ts';
import type { TaskEntry } from './finished.ts';
import type { LaborState, Settled } from './fold.ts';
import type { LaborLine } from './lines.ts';
import type { SetCost } from './costing.ts';
import type { LooseEnd } from './looseEnd.ts';
import type { Allocation } from './allocate.ts';
import type { Presence, Stint } from './stint.ts';

/** Everything that the journal says at an instant. Source: docs/ledger.md. */
export type Ledger = {
  readonly stints: readonly Stint[];
  readonly shifts: readonly Presence[];
  readonly breaks: readonly Presence[];
  readonly lines: readonly LaborLine[];
  readonly attendance: readonly AttendanceDay[];
  readonly looseEnds: readonly LooseEnd[];
  /** The tasks that are finished, with the instant at which they were said to be. */
  readonly finished: ReadonlyMap<TargetId, Instant>;
};

type Timed = Exclude<LaborEntry, HoursEntry>;

/** What one technician's entries come to. */
export type PersonTimeline = {
  readonly stints: Stint[];
  readonly shifts: Presence[];
  readonly breaks: Presence[];
  readonly looseEnds: LooseEnd[];
};

/** Sorts settled things into their kinds. */
export function addSettled(timeline: PersonTimeline, settled: readonly Settled[]): void {
  for (const item of settled) {
    if (item.kind === 'stint') timeline.stints.push(item.stint);
    else if (item.kind === 'loose-end') timeline.looseEnds.push(item.looseEnd);
    else if (item.kind === 'shift') timeline.shifts.push(item.presence);
    else timeline.breaks.push(item.presence);
  }
}

/** A timeline with nothing on it yet. */
export const emptyTimeline = (): PersonTimeline => ({ stints: [], shifts: [], breaks: [], looseEnds: [] });

/** Folds one technician's entries, sorted by time, from a state on; gives the state after them and what they
 *  settled. Folding in two goes gives what folding in one gives. */
export function foldEntries(
  technician: TechnicianId,
  from: LaborState,
  entries: readonly LaborEntry[],
  facts: Pick<LedgerFacts, 'policy'>,
): { readonly state: LaborState; readonly timeline: PersonTimeline } {
  const timeline = emptyTimeline();
  let state = from;
  for (const entry of entries) {
    const step = applyEntry(technician, state, entry, facts.policy);
    state = step.state;
    if (step.settled.length > 0) addSettled(timeline, step.settled);
  }
  return { state, timeline };
}

/** Seconds of `hours` entries per local day. */
export function sumEntered(hours: readonly HoursEntry[]): Map<LocalDay, Seconds> {
  const sums = new Map<LocalDay, Seconds>();
  for (const { day, seconds } of hours) sums.set(day, toSeconds((sums.get(day) ?? 0) + seconds));
  return sums;
}

/** Days of lines without a cost rate, each once. */
export function findWithoutRate(lines: readonly LaborLine[]): LooseEnd[] {
  const first = new Map<string, LooseEnd>();
  for (const { cost, technician, day } of lines)
    if (cost === null) first.set(`${technician} ${day}`, { kind: 'no-rate', technician, entries: [], day });
  return [...first.values()];
}

/** What one technician recorded from some instant on, and where they stood there. */
export type PersonPast = {
  readonly technician: TechnicianId;
  readonly state: LaborState;
  /** Sorted by time. */
  readonly timed: readonly LaborEntry[];
  readonly hours: readonly HoursEntry[];
  /** What their lines were set to by hand. */
  readonly setCosts?: readonly SetCost[];
};

/** What that comes to; loose ends are all that come of one person's entries. */
export type PersonLedger = PersonTimeline & {
  readonly lines: readonly LaborLine[];
  readonly attendance: readonly AttendanceDay[];
};

/** Derives one technician's ledger from a state on, as of an instant. Source: docs/ledger.md, sections 4 to 7. */
export function derivePerson(
  { technician, state: from, timed, hours, setCosts = [] }: PersonPast,
  facts: LedgerFacts,
  asOf: Instant,
): PersonLedger {
  const { state, timeline } = foldEntries(technician, from, timed, facts);
  addSettled(timeline, settleAt(technician, state, asOf, facts.policy).settled);
  const pieces: Allocation[] = [];
  for (const stint of timeline.stints) append(pieces, allocateStint(stint, facts));
  const lines = sumLines(pieces, hours, {
    rates: facts.costRates.get(technician) ?? [],
    setCosts,
    isPaid: (target) => isPaidTarget(facts, target),
  });
  const { days, looseEnds } = deriveAttendance(
    { technician, ...timeline, enteredByDay: sumEntered(hours) },
    facts,
  );
  return {
    ...timeline,
    lines,
    attendance: days,
    looseEnds: [
      ...timeline.looseEnds,
      ...looseEnds,
      ...findWithoutRate(lines),
      ...findIdleCosts(technician, setCosts, lines),
      ...findNotReleased(timeline.stints, facts),
    ],
  };
}

/** `push(...more)` overflows the stack on a year of stints. */
function append<T>(to: T[], more: readonly T[]): void {
  for (const item of more) to.push(item);
}

/** The entries of a journal that count at an instant, as corrected, in the order of recording: later ones, and hours of later
 *  days, are left out. Source: docs/ledger.md, section 3. */
export function entriesAsOf(
  journal: readonly Entry[],
  { zone }: Pick<LedgerFacts, 'zone'>,
  asOf: Instant,
): readonly LaborEntry[] {
  const lastDay = zone.dayAt(asOf);
  return effectiveEntries(journal).filter((entry) =>
    entry.type === 'hours' ? entry.day <= lastDay : entry.at <= asOf,
  );
}

/** Derives the whole ledger of a journal, given in the order of recording, as of an instant: later entries, and
 *  hours of later days, are left out. Source: docs/ledger.md, sections 3 to 8. */
export function deriveLedger(journal: readonly Entry[], facts: LedgerFacts, asOf: Instant): Ledger {
  const byTechnician = new Map<TechnicianId, { timed: Timed[]; hours: HoursEntry[] }>();
  const taskEntries: TaskEntry[] = [];
  for (const entry of entriesAsOf(journal, facts, asOf)) {
    if (isTaskEntry(entry)) taskEntries.push(entry);
    if (entry.technician === undefined) continue;
    let own = byTechnician.get(entry.technician);
    if (!own) byTechnician.set(entry.technician, (own = { timed: [], hours: [] }));
    if (entry.type === 'hours') own.hours.push(entry);
    else own.timed.push(entry);
  }

  const { finished, looseEnds: afterDone } = deriveFinished(taskEntries, facts);
  const ledger = {
    ...emptyTimeline(),
    lines: new Array<LaborLine>(),
    attendance: new Array<AttendanceDay>(),
    finished,
  };
  append(ledger.looseEnds, afterDone);
  for (const [technician, { timed, hours }] of byTechnician) {
    const own = derivePerson({ technician, state: AT_REST, timed: inOrderOfTime(timed), hours }, facts, asOf);
    append(ledger.stints, own.stints);
    append(ledger.shifts, own.shifts);
    append(ledger.breaks, own.breaks);
    append(ledger.lines, own.lines);
    append(ledger.attendance, own.attendance);
    append(ledger.looseEnds, own.looseEnds);
  }
  return ledger;
}
