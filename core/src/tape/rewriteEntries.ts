import { applyEntry, AT_REST, entryIdOf, inOrderOfTime, isSameItem, ridesAlongOf } from '../ledger/index.ts';
import type { LaborState, LooseEnd, Running } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { inForceAt, toInstant } from '../time/index.ts';
import type { Instant, Span } from '../time/index.ts';
import type { Change } from '../loose-ends/index.ts';
import { isSameRunning, runningAt } from './timeline.ts';
import type { Stretch } from './timeline.ts';
import type { TapeGround, TimedEntry } from './tapeEdit.ts';

const SECONDS_PER_HOUR = 3600;

export type Restated = {
  readonly technician: TechnicianId;
  /** What the person's tape is to be. */
  readonly stretches: readonly Stretch[];
  /** The breaks, which stay as they are. */
  readonly breaks: readonly Span[];
  /** What was wrong before; a stop that was pointless before may stay so. */
  readonly looseEnds: readonly LooseEnd[];
  /** The first instant at which something changes. */
  readonly from: Instant;
};

/** One way to treat the entries of an instant: what is changed about them, and the state they then lead to. */
type Way = { readonly changes: readonly Change[]; readonly state: LaborState };

/** Walks along a person's entries and, wherever they would lead to something else than the wanted tape, takes the
 *  offending ones out or says what runs from there. Entries that still fit stay as they are, so work that is resumed
 *  after a break, or that begins after the edited stretch, is met as it was. */
export function rewriteEntries(
  { technician, stretches, breaks, looseEnds, from }: Restated,
  { entries, states, facts, asOf }: TapeGround,
): readonly Change[] {
  const own = inOrderOfTime(entries.filter((entry) => entry.technician === technician && entry.at <= asOf));
  const wasPointless = new Set(
    looseEnds.filter(({ kind }) => kind === 'stop-without-start').flatMap((end) => end.entries),
  );
  const edges = stretches.flatMap((stretch) => [stretch.from, ...(stretch.to < asOf ? [stretch.to] : [])]);
  const instants = [...new Set([...own.map(({ at }) => at), ...edges.filter((at) => at >= from)])];
  const changes: Change[] = [];
  let state = states.get(technician) ?? AT_REST;

  /** What shows as running from an instant on: work that the rule has cut shows no more. */
  const showsAt = ({ doing }: LaborState, at: Instant): readonly Running[] | 'break' => {
    if (doing.status === 'break') return 'break';
    if (doing.status === 'nothing') return [];
    const longest = inForceAt(facts.policy, doing.since).maxStintHours * SECONDS_PER_HOUR;
    return at >= doing.since + longest ? [] : doing.running;
  };
  const apply = (start: LaborState, list: readonly TimedEntry[]): Way => {
    let next = start;
    const made: Change[] = [];
    for (const entry of list) {
      const step = applyEntry(technician, next, entry, facts.policy);
      next = step.state;
      const isPointless = step.settled.some(
        (each) => each.kind === 'loose-end' && each.looseEnd.kind === 'stop-without-start',
      );
      if (isPointless && !wasPointless.has(entry.id)) made.push(withoutEffect(entry));
    }
    return { changes: made, state: next };
  };

  for (const at of instants.sort((a, b) => a - b)) {
    const here = own.filter((entry) => entry.at === at);
    if (at < from) {
      state = apply(state, here).state;
      continue;
    }
    const wanted = runningAt(stretches, at);
    const isOnBreak = breaks.some((each) => each.from <= at && at < each.to);
    const fits = (way: Way) => {
      const shown = showsAt(way.state, at);
      return shown === 'break' ? isOnBreak : isSameRunning(shown, wanted);
    };
    const asTheyAre = apply(state, here);
    const movers = here.filter(isMover);
    const without = apply(
      state,
      here.filter((entry) => !isMover(entry)),
    );
    const emptied: Way = { ...without, changes: [...movers.map(withoutEffect), ...without.changes] };
    const chosen = [asTheyAre, emptied].find(fits) ?? said(asTheyAre, wanted, at);
    changes.push(...chosen.changes);
    state = chosen.state;
  }
  return changes;

  /** A way with what is wanted said behind it. */
  function said(way: Way, wanted: readonly Running[], at: Instant): Way {
    // The start that ended a break is gone or comes later: somebody must say that the break was over.
    const isStuck = way.state.doing.status === 'break' && wanted.length === 0;
    const rested: Change[] = isStuck ? [{ type: 'break-end', technician, at }] : [];
    const awake = apply(way.state, asEntries(rested)).state;
    const shown = showsAt(awake, at);
    const added = [
      ...rested,
      ...(isStuck && shown !== 'break' && isSameRunning(shown, wanted)
        ? []
        : say(awake, technician, wanted, at)),
    ];
    return { changes: [...way.changes, ...added], state: apply(way.state, asEntries(added)).state };
  }
}

const asEntries = (changes: readonly Change[]): readonly TimedEntry[] =>
  changes.flatMap((change, i) =>
    'target' in change || change.type === 'hours' ? [] : [{ ...change, id: entryIdOf('said', i) }],
  );

/** Entries that begin or end work. */
const isMover = ({ type }: TimedEntry): boolean =>
  type === 'work-start' || type === 'work-stop' || type === 'task-done';

/** An entry is taken out; one that finished a task goes on saying so, of nobody's time. */
const withoutEffect = (entry: TimedEntry): Change =>
  entry.type === 'task-done'
    ? { type: 'amend', target: entry.id, set: { technician: null } }
    : { type: 'void', target: entry.id };

/** Says what runs from an instant on: a stop, or a start for each kind of work, machine and rate in the order of the list. */
function say(
  { doing }: LaborState,
  technician: TechnicianId,
  wanted: readonly Running[],
  at: Instant,
): readonly Change[] {
  const stop: Change = { type: 'work-stop', technician, at };
  if (wanted.length === 0) return [stop];
  const groups: Running[][] = [];
  for (const run of wanted) {
    const last = groups.at(-1);
    if (last?.[0] && isSameItem({ ...run, target: last[0].target }, last[0])) last.push(run);
    else groups.push([run]);
  }
  const starts = groups.map((group, i): Change => ({
    type: 'work-start',
    technician,
    at: toInstant(at),
    targets: group.map(({ target }) => target),
    ...(group[0]?.workType === 'run' || group[0] === undefined ? {} : { workType: group[0].workType }),
    ...(group[0] ? ridesAlongOf(group[0]) : {}),
    ...(i === 0 ? {} : { join: true }),
  }));
  // A start of the very same work would change nothing; only a stop before it parts the two.
  const first = groups[0] ?? [];
  const isSameSet =
    doing.status === 'work' &&
    doing.running.length === first.length &&
    doing.running.every((run) => first.some((each) => isSameItem(each, run)));
  return isSameSet ? [stop, ...starts] : starts;
}
