import type { TechnicianId } from '../people/index.ts';
import { inForceAt, toInstant, toSeconds } from '../time/index.ts';
import type { Dated, Instant } from '../time/index.ts';
import { targetsOf } from './entries.ts';
import type {
  EntryId,
  LaborEntry,
  ShiftEntry,
  TargetId,
  TaskDoneEntry,
  WorkStartEntry,
  WorkStopEntry,
} from './entries.ts';
import type { Policy } from './facts.ts';
import type { LooseEnd } from './looseEnd.ts';
import { isSameItem, ridesAlongOf } from './stint.ts';
import type { Presence, Running, Stint } from './stint.ts';

type Since = { readonly since: Instant; readonly entry: EntryId };

/** The reason that the last start named, of what it left running. */
type Why = { readonly reason?: string };

/** What a technician is doing: nothing, working on an ordered list of targets, or on a break that suspended one. */
export type Doing =
  | { readonly status: 'nothing' }
  | (Since & Why & { readonly status: 'work'; readonly running: readonly Running[] })
  | (Since & Why & { readonly status: 'break'; readonly suspended: readonly Running[] });

/** Where one technician stands after an entry; plain data, so it can be stored and taken up again.
 *  Source: docs/ledger.md, section 4. */
export type LaborState = { readonly shift: Since | null; readonly doing: Doing };

/** The state before a technician's first entry: no shift, no work, no break. */
export const AT_REST: LaborState = { shift: null, doing: { status: 'nothing' } };

/** What an entry brought to its end, and what about it a person must decide on. */
export type Settled =
  | { readonly kind: 'stint'; readonly stint: Stint }
  | { readonly kind: 'shift' | 'break'; readonly presence: Presence }
  | { readonly kind: 'loose-end'; readonly looseEnd: LooseEnd };

export type Step = { readonly state: LaborState; readonly settled: readonly Settled[] };

/** How a stretch ends: by an entry, by the rule for forgotten shift ends, or not yet. */
type End = { readonly at: Instant; readonly by: EntryId | 'rule' | 'not-yet' };

const NOTHING: Doing = { status: 'nothing' };
const NOTHING_SETTLED: readonly Settled[] = [];
const SECONDS_PER_HOUR = 3600;
const SECONDS_PER_MINUTE = 60;

/** The entry that ended a stretch, if one did. */
const closedBy = ({ by }: End): EntryId | undefined => (by === 'rule' || by === 'not-yet' ? undefined : by);

/** Ends whatever a technician is doing at an instant and says what that settles. A station whose clock runs ahead can
 *  have entries later than the instant asked for; they settle nothing yet. */
function settleDoing(
  technician: TechnicianId,
  { shift, doing }: LaborState,
  end: End,
  policies: Dated<Policy>,
): Settled[] {
  if (doing.status === 'nothing' || end.at <= doing.since) return [];
  const policy = inForceAt(policies, doing.since);
  const { since: from, entry: opened } = doing;
  const open = end.by === 'not-yet';
  if (doing.status === 'break') {
    const presence = {
      technician,
      from,
      to: end.at,
      opened,
      closed: closedBy(end),
      open,
      capped: end.by === 'rule',
    };
    const isLong = end.at - from > policy.maxBreakMinutes * SECONDS_PER_MINUTE;
    const settled: Settled[] = [{ kind: 'break', presence }];
    return isLong ? [...settled, looseEnd('long-break', technician, opened, from, end.at)] : settled;
  }
  const latest = toInstant(from + policy.maxStintHours * SECONDS_PER_HOUR);
  const isForgotten = end.at > latest;
  // Written out with every field, in one order: a year of stints is made here, and one shape of object is quick.
  const stint: Stint = {
    technician,
    from,
    to: isForgotten ? latest : end.at,
    opened,
    closed: isForgotten ? undefined : closedBy(end),
    running: doing.running,
    open,
    capped: isForgotten || end.by === 'rule',
    shiftSince: shift?.since,
    reason: doing.reason,
  };
  const settled: Settled[] = [{ kind: 'stint', stint }];
  return isForgotten ? [...settled, looseEnd('forgotten-stop', technician, opened, from, end.at)] : settled;
}

const looseEnd = (
  kind: LooseEnd['kind'],
  technician: TechnicianId,
  entry: EntryId,
  from: Instant,
  to: Instant,
): Settled => ({
  kind: 'loose-end',
  looseEnd: { kind, technician, entries: [entry], from, to, seconds: toSeconds(to - from) },
});

function settleShift(technician: TechnicianId, shift: Since, end: End): Settled[] {
  const settled: Settled[] = [];
  if (end.at > shift.since) {
    const presence: Presence = {
      technician,
      from: shift.since,
      to: end.at,
      opened: shift.entry,
      closed: closedBy(end),
      open: end.by === 'not-yet',
      capped: end.by === 'rule',
    };
    settled.push({ kind: 'shift', presence });
  }
  if (end.by === 'rule')
    settled.push(looseEnd('forgotten-shift-out', technician, shift.entry, shift.since, end.at));
  return settled;
}

/** Ends a shift that nobody ended, if `now` lies beyond the longest a shift can be. */
function endOverdueShift(
  technician: TechnicianId,
  state: LaborState,
  now: Instant,
  policies: Dated<Policy>,
): Step {
  if (!state.shift) return { state, settled: NOTHING_SETTLED };
  const hours = inForceAt(policies, state.shift.since).maxShiftHours;
  const latest = toInstant(state.shift.since + hours * SECONDS_PER_HOUR);
  if (now <= latest) return { state, settled: NOTHING_SETTLED };
  const end: End = { at: latest, by: 'rule' };
  return {
    state: AT_REST,
    settled: [...settleDoing(technician, state, end, policies), ...settleShift(technician, state.shift, end)],
  };
}

/** Takes one technician's state over one of their entries; entries come sorted by (`at`, order of recording).
 *  Entries that move nobody (hours, counts, notes, reopenings) change nothing.
 *  Source: docs/ledger.md, section 4. */
export function applyEntry(
  technician: TechnicianId,
  before: LaborState,
  entry: LaborEntry,
  policies: Dated<Policy>,
): Step {
  if (
    entry.type === 'hours' ||
    entry.type === 'count' ||
    entry.type === 'note' ||
    entry.type === 'task-reopen'
  )
    return { state: before, settled: NOTHING_SETTLED };
  const overdue = endOverdueShift(technician, before, entry.at, policies);
  const step = applyToCurrent(technician, overdue.state, entry, policies);
  return overdue.settled.length > 0
    ? { state: step.state, settled: [...overdue.settled, ...step.settled] }
    : step;
}

type MovingEntry = ShiftEntry | WorkStartEntry | WorkStopEntry | TaskDoneEntry;

const refused = (
  kind: LooseEnd['kind'],
  technician: TechnicianId,
  { id, at }: MovingEntry,
): readonly Settled[] => [{ kind: 'loose-end', looseEnd: { kind, technician, entries: [id], from: at } }];

const workingFrom = (
  { at, id }: MovingEntry,
  running: readonly Running[],
  reason: string | undefined,
): Doing =>
  running.length > 0 ? { status: 'work', since: at, entry: id, running, ...because(reason) } : NOTHING;

const because = (reason: string | undefined): Why => (reason === undefined ? {} : { reason });
const reasonOf = (doing: Doing): string | undefined =>
  doing.status === 'nothing' ? undefined : doing.reason;

/** As `applyEntry`, for a state whose overdue shift has been ended. */
function applyToCurrent(
  technician: TechnicianId,
  state: LaborState,
  entry: MovingEntry,
  policies: Dated<Policy>,
): Step {
  const { shift, doing } = state;
  const end: End = { at: entry.at, by: entry.id };
  switch (entry.type) {
    case 'shift-in':
      return shift
        ? { state, settled: refused('double-shift-in', technician, entry) }
        : { state: { shift: { since: entry.at, entry: entry.id }, doing }, settled: NOTHING_SETTLED };
    case 'shift-out': {
      const ended = settleDoing(technician, state, end, policies);
      const signedOut = shift
        ? settleShift(technician, shift, end)
        : refused('shift-out-without-in', technician, entry);
      return { state: AT_REST, settled: [...ended, ...signedOut] };
    }
    case 'break-start': {
      if (doing.status === 'break') return { state, settled: NOTHING_SETTLED };
      const suspended = doing.status === 'work' ? doing.running : [];
      const onBreak: Doing = {
        status: 'break',
        since: entry.at,
        entry: entry.id,
        suspended,
        ...because(reasonOf(doing)),
      };
      return { state: { shift, doing: onBreak }, settled: settleDoing(technician, state, end, policies) };
    }
    case 'break-end':
      if (doing.status !== 'break') return { state, settled: NOTHING_SETTLED };
      return {
        state: { shift, doing: workingFrom(entry, doing.suspended, doing.reason) },
        settled: settleDoing(technician, state, end, policies),
      };
    case 'work-start': {
      const running = runningAfter(doing, entry);
      if (doing.status === 'work' && isSameWork(doing.running, running, entry.join ?? false))
        return { state, settled: NOTHING_SETTLED };
      return {
        state: {
          shift,
          doing: workingFrom(entry, running, entry.reason ?? (entry.join ? reasonOf(doing) : undefined)),
        },
        settled: settleDoing(technician, state, end, policies),
      };
    }
    case 'work-stop':
    case 'task-done': {
      const list = listOf(doing);
      const named: readonly TargetId[] | undefined = entry.targets && targetsOf(entry);
      const left = named ? list.filter(({ target }) => !named.includes(target)) : [];
      if (left.length === list.length)
        return { state, settled: refused('stop-without-start', technician, entry) };
      if (doing.status === 'break')
        return { state: { shift, doing: { ...doing, suspended: left } }, settled: NOTHING_SETTLED };
      return {
        state: { shift, doing: workingFrom(entry, left, reasonOf(doing)) },
        settled: settleDoing(technician, state, end, policies),
      };
    }
  }
}

const listOf = (doing: Doing): readonly Running[] => {
  switch (doing.status) {
    case 'nothing':
      return [];
    case 'work':
      return doing.running;
    case 'break':
      return doing.suspended;
  }
};

/** The running list after a start: the named targets, or with `join` what ran or was suspended with them; one that ran
 *  already becomes what the start says of it, in its place. */
function runningAfter(doing: Doing, entry: WorkStartEntry): readonly Running[] {
  const { workType = 'run' } = entry;
  const named = targetsOf(entry).map((target): Running => ({ target, workType, ...ridesAlongOf(entry) }));
  if (!entry.join) return named;
  const before = listOf(doing);
  const kept = before.map((run) => named.find(({ target }) => target === run.target) ?? run);
  return [...kept, ...named.filter(({ target }) => !before.some((run) => run.target === target))];
}

/** Whether a start changes nothing: without `join` the same work in any order. */
function isSameWork(running: readonly Running[], next: readonly Running[], isJoin: boolean): boolean {
  if (running.length !== next.length) return false;
  return isJoin
    ? running.every((run, i) => isSameItem(run, next[i]))
    : running.every((run) => next.some((other) => isSameItem(run, other)));
}

/** What is settled or still open at `asOf`, for one technician whose entries up to then are all applied. The state
 *  itself stays as it is, so that later entries can be applied to it. Source: docs/ledger.md, section 4. */
export function settleAt(
  technician: TechnicianId,
  state: LaborState,
  asOf: Instant,
  policies: Dated<Policy>,
): Step {
  const overdue = endOverdueShift(technician, state, asOf, policies);
  const end: End = { at: asOf, by: 'not-yet' };
  return {
    state: overdue.state,
    settled: [
      ...overdue.settled,
      ...settleDoing(technician, overdue.state, end, policies),
      ...(overdue.state.shift ? settleShift(technician, overdue.state.shift, end) : []),
    ],
  };
}
