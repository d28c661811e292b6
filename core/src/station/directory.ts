import { addUsed, applyEntry, isCorrection, targetsOf } from '../ledger/index.ts';
import { allocationsIn } from '../floor/index.ts';
import type { Board, BoardTechnician } from '../floor/index.ts';
import type { Entry, EntryId, LaborEntry, Allocation, TargetId } from '../ledger/index.ts';
import type { LeaveAsked, TechnicianId } from '../people/index.ts';
import type { Brand } from '../result/index.ts';
import { toSeconds } from '../time/index.ts';
import type { Instant, LocalDay } from '../time/index.ts';
import type { ReasonKind, WorkOrderId, WorkType } from '../work/index.ts';
import type { PersonAct } from './personAct.ts';
import type { AnswerState, FloorEntry } from './floorEntry.ts';
import { isFloorEntry } from './floorEntry.ts';
import type { Language } from './settings.ts';

export type BadgeId = Brand<string, 'BadgeId'>;
export type ResourceId = Brand<string, 'ResourceId'>;

/** What a code on a label stands for at this station; action codes explain themselves. */
export type Meaning =
  | { readonly kind: 'badge'; readonly badge: BadgeId; readonly technician: TechnicianId }
  | { readonly kind: 'target'; readonly target: TargetId }
  | { readonly kind: 'order'; readonly order: WorkOrderId }
  | { readonly kind: 'resource'; readonly resource: ResourceId }
  /** A code of a traveler: a task, perhaps with its kind of work, on a paper that may be older than the order. */
  | {
      readonly kind: 'traveler';
      readonly target: TargetId;
      readonly workType?: WorkType;
      readonly isOld: boolean;
    }
  /** A person's own label: their badge and what they want in one. */
  | {
      readonly kind: 'person-act';
      readonly badge: BadgeId;
      readonly technician: TechnicianId;
      readonly action: PersonAct;
    };

/** What is asked of whoever works on a task: pieces, a measured value or a remark, at its start, end or when done. */
export type TaskReport = {
  readonly when: 'start' | 'end' | 'done';
  readonly kind: 'pieces' | 'value' | 'remark';
  readonly label: string;
  readonly unit: string;
  readonly least: number | null;
  readonly most: number | null;
  readonly maySkip: boolean;
};

/** What a station knows of a task beside how it stands. */
export type TaskBrief = {
  readonly workCenter: string;
  readonly position: number;
  /** What there is to say of it as a whole, before its steps. */
  readonly description: string;
  readonly instructions: readonly string[];
  readonly reports: readonly TaskReport[];
  readonly assigned: readonly { readonly kind: 'technician' | 'crew'; readonly id: string }[];
  readonly good: number;
  readonly scrap: number;
};

/** What a station knows of an indirect activity beside its name. */
export type ActivityBrief = {
  readonly description: string;
  /** Empty for all. */
  readonly division: string;
};

export type OrderBrief = {
  readonly quantity: number;
  readonly due: LocalDay | null;
  /** What it needs, by name; asked for where one is missing. */
  readonly parts: readonly string[];
};

/** An answer from the desk that waits for a technician. */
export type Message = {
  readonly at: Instant;
  readonly by: string;
  readonly text: string;
  /** The part or the time off that it is about, and how that stands; empty and `null` of anything else. */
  readonly part: string;
  readonly leave: LeaveAsked | null;
  readonly state: AnswerState | null;
};

/** Time off that somebody asked for. */
export type OwnLeave = { readonly request: EntryId; readonly leave: LeaveAsked; readonly isGranted: boolean };

export type PersonBrief = {
  /** Their worker number; empty for none. */
  readonly number: string;
  readonly crew: string;
  readonly isLead: boolean;
  readonly hasPin: boolean;
  readonly language: Language | null;
  /** Their last entry that moved them; no start may be set back before it. */
  readonly lastAt: Instant | null;
  /** When the shift that is open, or the work, was planned to end. */
  readonly plannedEnd: Instant | null;
  readonly messages: readonly Message[];
  /** What they have asked for, and neither was refused nor taken back. */
  readonly leave: readonly OwnLeave[];
};

export type Resource = {
  readonly kind: 'work-center' | 'machine';
  readonly name: string;
  readonly workCenter: string;
  /** Whether a start at this work center must say on which machine. */
  readonly asksMachine: boolean;
};

/** What can be taken back: how things stood before an entry of this station. */
type Remembered = {
  readonly entry: EntryId;
  readonly before: BoardTechnician;
  readonly lastAt: Instant | null;
  readonly pieces: readonly Allocation[];
  /** Whether the tasks that it finished or took up again were finished before. */
  readonly finished: readonly (readonly [TargetId, boolean])[];
  readonly counted: { readonly target: TargetId; readonly good: number; readonly scrap: number } | null;
};

/** Everything a station must know to answer without asking anybody. */
export type StationDirectory = Board & {
  /** By a whole code of ours, by a foreign code as `normalizeForeign` writes it, or by the keyed form of either that
   *  the page makes of what it hears: badges stand here by that form only. */
  readonly codes: ReadonlyMap<string, Meaning>;
  readonly tasks: ReadonlyMap<TargetId, TaskBrief>;
  readonly activities: ReadonlyMap<TargetId, ActivityBrief>;
  readonly jobs: ReadonlyMap<WorkOrderId, OrderBrief>;
  readonly people: ReadonlyMap<TechnicianId, PersonBrief>;
  readonly resources: ReadonlyMap<ResourceId, Resource>;
  /** Where time of a kind belongs that an order's estimate leaves out. */
  readonly belongs: ReadonlyMap<WorkType, TargetId>;
  /** Reasons to choose from, of what the shop wants to know the reason of. */
  readonly reasons: ReadonlyMap<ReasonKind, readonly string[]>;
  /** Whether a task that is assigned may be started by nobody else. */
  readonly isAssignedOnly: boolean;
  /** Whose own phone this is; nobody's where it is a station of the shop. */
  readonly owner: TechnicianId | null;
  /** Whether people may have a phone of their own as a station. */
  readonly offersPhones: boolean;
  /** Who may write down here what no task is there for. */
  readonly writesDown: 'nobody' | 'leads' | 'everybody';
  /** Entries whose forgotten end has been proposed here already. */
  readonly proposed: ReadonlySet<EntryId>;
  readonly remembered: readonly Remembered[];
};

/** Entries of one station that it may take back at any one time: far more than are made in 30 seconds. */
const REMEMBERED_ENTRIES = 60;

/** What stays known here of something said at the station. */
function recordSaid(directory: StationDirectory, entry: FloorEntry): StationDirectory {
  if (entry.type === 'proposal')
    return { ...directory, proposed: new Set(directory.proposed).add(entry.about) };
  if (entry.type === 'withdrawal')
    return withLeave(directory, entry.technician, (own) =>
      own.filter(({ request }) => request !== entry.request),
    );
  if (entry.type !== 'request' || entry.leave == null) return directory;
  const asked: OwnLeave = { request: entry.id, leave: entry.leave, isGranted: false };
  return withLeave(directory, entry.technician, (own) => [...own, asked]);
}

function withLeave(
  directory: StationDirectory,
  technician: TechnicianId,
  change: (own: readonly OwnLeave[]) => readonly OwnLeave[],
): StationDirectory {
  const person = directory.people.get(technician);
  if (!person) return directory;
  const people = new Map(directory.people).set(technician, { ...person, leave: change(person.leave) });
  return { ...directory, people };
}

/** The directory after an entry made here, before any server has heard of it: the same rules the ledger goes by, so
 *  what the station shows is what the server will say. Entries it knows nothing about change nothing. */
export function recordLocally(directory: StationDirectory, entry: Entry | FloorEntry): StationDirectory {
  if (isFloorEntry(entry)) return recordSaid(directory, entry);
  if (isCorrection(entry)) {
    const remembered = directory.remembered.find(({ entry: id }) => id === entry.target);
    return remembered && entry.type === 'void' ? takeBack(directory, remembered) : directory;
  }
  const technician = entry.technician && directory.technicians.get(entry.technician);
  if (!technician || entry.type === 'hours') return directory;
  const { facts } = directory;
  const { state, settled } = applyEntry(technician.id, technician.state, entry, facts.policy);
  const pieces = allocationsIn(settled, facts);
  const today = facts.zone.dayAt(entry.at);
  const chargedBefore = technician.charged.day === today ? technician.charged.seconds : 0;
  const chargedNow = pieces.reduce(
    (sum, { day, seconds }) => (day === today ? sum + seconds : sum),
    chargedBefore,
  );
  const person = directory.people.get(technician.id);
  const remembered: Remembered = {
    entry: entry.id,
    before: technician,
    lastAt: person?.lastAt ?? null,
    pieces,
    finished: finishedBefore(directory.targets, entry),
    counted:
      entry.type === 'count' && entry.targets[0] !== undefined
        ? { target: entry.targets[0], good: entry.good, scrap: entry.scrap }
        : null,
  };
  return {
    ...directory,
    technicians: new Map(directory.technicians).set(technician.id, {
      ...technician,
      state,
      charged: { day: today, seconds: toSeconds(chargedNow) },
    }),
    people: withLast(directory.people, technician.id, entry.at),
    targets: withFinished(withUsed(directory.targets, pieces, 1), marksOf(entry)),
    tasks: withCount(directory.tasks, remembered.counted, 1),
    remembered: [remembered, ...directory.remembered].slice(0, REMEMBERED_ENTRIES),
  };
}

/** As if an entry had not been made: its technician stands as before, and what it had settled is running again. */
const takeBack = (
  directory: StationDirectory,
  { before, pieces, finished, counted, lastAt }: Remembered,
): StationDirectory => ({
  ...directory,
  technicians: new Map(directory.technicians).set(before.id, before),
  people: withLast(directory.people, before.id, lastAt),
  targets: withFinished(withUsed(directory.targets, pieces, -1), finished),
  tasks: withCount(directory.tasks, counted, -1),
});

function withLast(people: StationDirectory['people'], id: TechnicianId, lastAt: Instant | null) {
  const person = people.get(id);
  return person ? new Map(people).set(id, { ...person, lastAt }) : people;
}

type Targets = StationDirectory['targets'];

function withUsed(targets: Targets, pieces: readonly Allocation[], sign: 1 | -1): Targets {
  if (pieces.length === 0) return targets;
  const next = new Map(targets);
  for (const { target, workType, seconds } of pieces) {
    const known = next.get(target);
    if (known?.kind !== 'task') continue;
    next.set(target, { ...known, used: addUsed(known.used, workType, sign * seconds) });
  }
  return next;
}

type Marks = readonly (readonly [TargetId, boolean])[];

const taskEntryTargets = (entry: LaborEntry): readonly TargetId[] =>
  entry.type === 'task-done' || entry.type === 'task-reopen' ? targetsOf(entry) : [];

const marksOf = (entry: LaborEntry): Marks =>
  taskEntryTargets(entry).map((id) => [id, entry.type === 'task-done'] as const);

const finishedBefore = (targets: Targets, entry: LaborEntry): Marks =>
  taskEntryTargets(entry).map((id) => {
    const known = targets.get(id);
    return [id, known?.kind === 'task' && known.isFinished] as const;
  });

function withFinished(targets: Targets, marks: Marks): Targets {
  if (marks.length === 0) return targets;
  const next = new Map(targets);
  for (const [id, isFinished] of marks) {
    const known = next.get(id);
    if (known?.kind === 'task') next.set(id, { ...known, isFinished });
  }
  return next;
}

function withCount(
  tasks: StationDirectory['tasks'],
  counted: Remembered['counted'],
  sign: 1 | -1,
): StationDirectory['tasks'] {
  const task = counted && tasks.get(counted.target);
  if (!task) return tasks;
  return new Map(tasks).set(counted.target, {
    ...task,
    good: task.good + sign * counted.good,
    scrap: task.scrap + sign * counted.scrap,
  });
}
