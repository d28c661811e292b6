import { addUsed, piecesIn } from '../floor/index.ts';
import type { Board, BoardTechnician } from '../floor/index.ts';
import { applyEntry, isCorrection, targetsOf } from '../ledger/index.ts';
import type { Entry, EntryId, LaborEntry, Piece, TargetId } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type { Brand } from '../result/index.ts';
import type { Action } from '../scan/index.ts';
import { toSeconds } from '../time/index.ts';
import type { WorkOrderId, WorkType } from '../work/index.ts';

export type BadgeId = Brand<string, 'BadgeId'>;

/** What a code on a label stands for at this station; action codes explain themselves. */
export type Meaning =
  | { readonly kind: 'badge'; readonly badge: BadgeId; readonly technician: TechnicianId }
  | { readonly kind: 'target'; readonly target: TargetId }
  | { readonly kind: 'order'; readonly order: WorkOrderId }
  /** A code of a traveler: a task, perhaps with its kind of work, on a paper that may be older than the order. */
  | {
      readonly kind: 'traveler';
      readonly target: TargetId;
      readonly workType?: WorkType;
      readonly isOld: boolean;
    }
  /** A person's own label: his badge and what he wants in one. */
  | {
      readonly kind: 'person-act';
      readonly badge: BadgeId;
      readonly technician: TechnicianId;
      readonly action: Action;
    };

/** What can be taken back: how things stood before an entry of this station. */
type Remembered = {
  readonly entry: EntryId;
  readonly before: BoardTechnician;
  readonly pieces: readonly Piece[];
};

/** Everything a station must know to answer without asking anybody. */
export type StationDirectory = Board & {
  /** By a whole code of ours, or by a foreign code as `normalizeForeign` writes it. */
  readonly codes: ReadonlyMap<string, Meaning>;
  readonly remembered: readonly Remembered[];
};

/** Entries of one station that it may take back at any one time: far more than are made in 30 seconds. */
const REMEMBERED_ENTRIES = 20;

/** The directory after an entry made here, before any server has heard of it: the same rules the ledger goes by, so
 *  what the station shows is what the server will say. Entries it knows nothing about change nothing. */
export function recordLocally(directory: StationDirectory, entry: Entry): StationDirectory {
  if (isCorrection(entry)) {
    const remembered = directory.remembered.find(({ entry: id }) => id === entry.target);
    return remembered && entry.type === 'void' ? takeBack(directory, remembered) : directory;
  }
  const technician = entry.technician && directory.technicians.get(entry.technician);
  if (!technician || entry.type === 'hours') return directory;
  const { facts } = directory;
  const { state, settled } = applyEntry(technician.id, technician.state, entry, facts.policy);
  const pieces = piecesIn(settled, facts);
  const today = facts.zone.dayAt(entry.at);
  const chargedBefore = technician.charged.day === today ? technician.charged.seconds : 0;
  const chargedNow = pieces.reduce(
    (sum, { day, seconds }) => (day === today ? sum + seconds : sum),
    chargedBefore,
  );
  const { technicians, targets } = directory;
  return {
    ...directory,
    technicians: new Map(technicians).set(technician.id, {
      ...technician,
      state,
      charged: { day: today, seconds: toSeconds(chargedNow) },
    }),
    targets: withFinished(withUsed(targets, pieces, 1), entry),
    remembered: [{ entry: entry.id, before: technician, pieces }, ...directory.remembered].slice(
      0,
      REMEMBERED_ENTRIES,
    ),
  };
}

/** As if an entry had not been made: its technician stands as before, and what it had settled is running again. */
const takeBack = (directory: StationDirectory, { before, pieces }: Remembered): StationDirectory => ({
  ...directory,
  technicians: new Map(directory.technicians).set(before.id, before),
  targets: withUsed(directory.targets, pieces, -1),
});

type Targets = StationDirectory['targets'];

function withUsed(targets: Targets, pieces: readonly Piece[], sign: 1 | -1): Targets {
  if (pieces.length === 0) return targets;
  const next = new Map(targets);
  for (const { target, workType, seconds } of pieces) {
    const known = next.get(target);
    if (known?.kind !== 'task') continue;
    next.set(target, { ...known, used: addUsed(known.used, workType, sign * seconds) });
  }
  return next;
}

function withFinished(targets: Targets, entry: LaborEntry): Targets {
  if (entry.type !== 'task-done' && entry.type !== 'task-reopen') return targets;
  const next = new Map(targets);
  for (const id of targetsOf(entry)) {
    const known = next.get(id);
    if (known?.kind === 'task') next.set(id, { ...known, isFinished: entry.type === 'task-done' });
  }
  return next;
}
