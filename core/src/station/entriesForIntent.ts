import { entryIdOf } from '../ledger/index.ts';
import type { Entry, EntryId, Running, TargetId } from '../ledger/index.ts';
import { stateAt } from '../floor/index.ts';
import { toInstant } from '../time/index.ts';
import type { LeaveAsked } from '../people/index.ts';
import type { Instant } from '../time/index.ts';
import type { Act, ActIntent, Intent, Person, Said, StationContext, WorkIntent } from './conversation.ts';
import { recordLocally } from './directory.ts';
import type { StationDirectory, TaskReport } from './directory.ts';
import type { FloorEntry } from './floorEntry.ts';
import { runningOf } from './checkIntent.ts';
import type { PersonAt } from './checkIntent.ts';
import type { Answer } from './question.ts';
import { othersOn } from './tasks.ts';

/** What an intent that lacks nothing comes to: entries of one act, and what the screen says of them. */
export type ActOutcome = {
  readonly entries: readonly (Entry | FloorEntry)[];
  readonly said: Said;
  /** What can still be said more of, if it was a start. */
  readonly work: WorkIntent | null;
};

const SECONDS_PER_MINUTE = 60;

/** Ids of the entries of one act: the first is the input's own, which also names the act. */
export const nthId = (first: EntryId, n: number): EntryId => (n === 0 ? first : entryIdOf(first, n));

/** The id of the act of one of a crew: apart from those of the entries that each act makes. */
export const memberId = (first: EntryId, k: number): EntryId => (k === 0 ? first : entryIdOf(first, `m${k}`));

type Made = Entry | FloorEntry;
type WithoutId = Made extends infer E ? (E extends Made ? Omit<E, 'id'> : never) : never;

const withIds = (first: EntryId, bodies: readonly WithoutId[]): Made[] =>
  // Each body is an entry but for its id.
  bodies.map((body, n) => ({ ...body, id: nthId(first, n) }));

/** A person at an instant, with a shift that nobody ended ended by the rule. */
export function personAtStation(
  directory: StationDirectory,
  { technician: id }: Person,
  at: Instant,
): PersonAt | undefined {
  const technician = directory.technicians.get(id);
  return technician && { technician, stands: stateAt(directory, technician, at), at };
}

const wholeLeave = ({ kind, from, to, seconds = null }: Partial<LeaveAsked> = {}): LeaveAsked | null =>
  kind === undefined || from === undefined || to === undefined ? null : { kind, from, to, seconds };

/** Makes the entries of an intent for which `findNeed` has nothing left to ask. Source: docs/station.md. */
export function entriesForIntent(
  intent: Intent,
  standing: PersonAt,
  entryId: EntryId,
  context: StationContext,
): ActOutcome | undefined {
  switch (intent.kind) {
    case 'work':
      return start(intent, standing, entryId, context);
    case 'action':
      return doAct(intent, standing, entryId, context);
    case 'request': {
      const technician = standing.technician.id;
      if (intent.withdraws !== undefined)
        return {
          entries: withIds(entryId, [
            { type: 'withdrawal', at: standing.at, technician, request: intent.withdraws },
          ]),
          said: { kind: 'withdrawn', technician },
          work: null,
        };
      const [only] = runningOf(standing.stands);
      return {
        entries: withIds(entryId, [
          {
            type: 'request',
            at: standing.at,
            technician,
            what: intent.what,
            target: only?.target ?? null,
            text: intent.text ?? '',
            quantity: intent.quantity ?? null,
            why: intent.why ?? '',
            ...(intent.what === 'time-off' ? { leave: wholeLeave(intent.leave) } : {}),
          },
        ]),
        said: { kind: 'requested', technician, what: intent.what },
        work: null,
      };
    }
    case 'note': {
      const technician = standing.technician.id;
      const running = runningOf(standing.stands);
      const [only] = running;
      // Of several tasks nobody can tell which one is meant; it stands with the person then.
      const targets = running.length === 1 && only ? { targets: [only.target] } : {};
      return {
        entries: withIds(entryId, [
          { type: 'note', at: standing.at, technician, ...targets, text: intent.text ?? '' },
        ]),
        said: { kind: 'noted', technician },
        work: null,
      };
    }
    case 'indirect':
    case 'find':
    case 'look':
      return undefined;
  }
}

function start(
  intent: WorkIntent,
  { technician: { id: technician }, stands, at: now }: PersonAt,
  entryId: EntryId,
  { directory, settings }: StationContext,
): ActOutcome | undefined {
  const { target, workType = 'run', isJoin = false, machine, override, reason } = intent;
  if (target === undefined) return undefined;
  const minutesBack = typeof intent.minutesBack === 'number' ? intent.minutesBack : 0;
  const at = toInstant(now - minutesBack * SECONDS_PER_MINUTE);
  const isSignedIn = settings.signsIn && !stands.shift;
  const known = directory.targets.get(target);
  const isFinished = known?.kind === 'task' && known.isFinished && (intent.isReopened || override);
  const left = runningOf(stands);
  const bodies: WithoutId[] = [
    ...(isSignedIn ? [{ type: 'shift-in' as const, at, technician }] : []),
    ...reported(
      intent.answers.filter((answer) => answer.target !== target),
      technician,
      at,
      directory,
    ),
    ...(isFinished ? [{ type: 'task-reopen' as const, at, technician, targets: [target] }] : []),
    {
      type: 'work-start',
      at,
      technician,
      targets: [target],
      ...(workType === 'run' ? {} : { workType }),
      ...(isJoin && left.length > 0 ? { join: true } : {}),
      ...(reason == null ? {} : { reason }),
      ...(machine === undefined ? {} : { machine }),
      ...(override === undefined ? {} : { override }),
    },
    ...reported(
      intent.answers.filter((answer) => answer.target === target),
      technician,
      at,
      directory,
    ),
  ];
  const said = {
    technician,
    target,
    workType,
    isOldTraveler: intent.isOldTraveler ?? false,
    minutesBack,
    isSignedIn,
  };
  const isBeside = isJoin && left.length > 0;
  return {
    entries: withIds(entryId, bodies),
    said: isBeside
      ? { kind: 'joined', ...said, beside: left.filter((each) => each.target !== target) }
      : left.length > 0
        ? { kind: 'switched', ...said, left }
        : { kind: 'started', ...said },
    work: intent,
  };
}

/** What was reported of tasks, as entries: counts and remarks of the labor stream, readings of the floor's. */
function reported(
  answers: readonly Answer[],
  technician: PersonAt['technician']['id'],
  at: Instant,
  { tasks }: StationDirectory,
): WithoutId[] {
  return answers.flatMap(({ target, index, value }): WithoutId[] => {
    const report: TaskReport | undefined = tasks.get(target)?.reports[index];
    const of = { at, technician };
    switch (value.kind) {
      case 'skipped':
        return [];
      case 'pieces': {
        const { good, scrap, reason } = value;
        return [{ ...of, type: 'count', targets: [target], good, scrap, ...(reason ? { reason } : {}) }];
      }
      case 'value': {
        const { label = '', unit = '', least = null, most = null } = report ?? {};
        return [{ ...of, type: 'reading', target, label, unit, least, most, value: value.value }];
      }
      case 'remark': {
        const text = report?.label ? `${report.label}: ${value.text}` : value.text;
        return [{ ...of, type: 'note', targets: [target], text }];
      }
    }
  });
}

function doAct(
  intent: ActIntent,
  { technician: { id: technician }, stands, at }: PersonAt,
  entryId: EntryId,
  { directory }: StationContext,
): ActOutcome | undefined {
  const running = runningOf(stands);
  const since = stands.doing.status === 'nothing' ? at : stands.doing.since;
  const reports = reported(intent.answers, technician, at, directory);
  const done = (said: Said, ...bodies: WithoutId[]): ActOutcome => ({
    entries: withIds(entryId, [...reports, ...bodies]),
    said,
    work: null,
  });
  const named = (targets: readonly TargetId[]): Running[] =>
    running.filter(({ target }) => targets.includes(target));
  const body = { at, technician };
  switch (intent.action) {
    case 'shift-in':
      return done({ kind: 'shift-in', technician, isRepeat: false }, { ...body, type: 'shift-in' });
    case 'shift-out':
      return done(
        { kind: 'shift-out', technician, isRepeat: false, left: running, since, at },
        { ...body, type: 'shift-out' },
      );
    case 'break':
      return stands.doing.status === 'break'
        ? done({ kind: 'break-over', technician }, { ...body, type: 'break-end' })
        : done({ kind: 'break', technician }, { ...body, type: 'break-start' });
    case 'off-task': {
      const left = named(intent.targets ?? []);
      const isAll = left.length === running.length;
      const targets = left.map(({ target }) => target);
      return done(
        { kind: 'stopped', technician, left, since, at },
        { ...body, type: 'work-stop', ...(isAll ? {} : { targets }) },
      );
    }
    case 'done': {
      const left = named(intent.targets ?? []);
      const targets = left.map(({ target }) => target);
      return done(
        { kind: 'done', technician, left, since, at, others: othersOn(directory, targets, technician) },
        { ...body, type: 'task-done', targets },
      );
    }
    case 'take-back':
      return undefined;
    default: {
      const targets = running.map(({ target }) => target);
      return done(
        { kind: 'work-type', technician, left: running, workType: intent.action },
        { ...body, type: 'work-start', targets, workType: intent.action },
      );
    }
  }
}

/** Takes an act back: what was recorded last is voided first. */
export const takeBack = ({ entries }: Act, entryId: EntryId, from = 0): Entry[] =>
  [...entries].reverse().map((target, n): Entry => ({ id: nthId(entryId, from + n), type: 'void', target }));

/** The directory as if an act had not been made. */
export const without = (directory: StationDirectory, voids: readonly Entry[]): StationDirectory =>
  voids.reduce<StationDirectory>(recordLocally, directory);
