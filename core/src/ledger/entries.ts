import type { TechnicianId } from '../people/index.ts';
import type { Brand } from '../result/index.ts';
import type { Instant, LocalDay, Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';

/** The id an entry got where it was made: 128 random bits, so that a resend is recognised. */
export type EntryId = Brand<string, 'EntryId'>;

/** The id of one of the entries of an act, or of the act of one of a crew: named by the act's own id and its place. */
export const entryIdOf = (act: string, place: number | string): EntryId => `${act}-${place}` as EntryId;

/** Whatever time can be charged to: a task or an indirect activity. */
export type TargetId = Brand<string, 'TargetId'>;

type Made<Type extends string> = { readonly id: EntryId; readonly type: Type };
type Happened<Type extends string> = Made<Type> & { readonly at: Instant };
type ByTechnician = { readonly technician: TechnicianId };
type Targets = { readonly targets: readonly TargetId[] };

export type ShiftEntry = Happened<'shift-in' | 'shift-out' | 'break-start' | 'break-end'> & ByTechnician;

export type WorkStartEntry = Happened<'work-start'> &
  ByTechnician &
  Targets & {
    readonly workType?: WorkType;
    readonly join?: boolean;
    readonly reason?: string;
    readonly machine?: string;
    readonly chargeRate?: string;
    readonly override?: string;
    readonly payClass?: string;
  };

export type WorkStopEntry = Happened<'work-stop'> & ByTechnician & Partial<Targets>;

type TaskState<Type extends string> = Happened<Type> & Partial<ByTechnician> & Targets;

/** Without a technician it comes from the desk and only finishes (or takes up again) the tasks. */
export type TaskDoneEntry = TaskState<'task-done'>;
export type TaskStateEntry = TaskDoneEntry | TaskState<'task-reopen'>;

/** Time written down without a start and an end; it counts from its day on. */
export type HoursEntry = Made<'hours'> &
  ByTechnician &
  Targets & {
    readonly workType?: WorkType;
    readonly day: LocalDay;
    readonly seconds: Seconds;
    readonly machine?: string;
    readonly chargeRate?: string;
    readonly payClass?: string;
  };

export type CountEntry = Happened<'count'> &
  ByTechnician &
  Targets & { readonly good: number; readonly scrap: number; readonly reason?: string };

export type NoteEntry = Happened<'note'> &
  Partial<ByTechnician> &
  Partial<Targets> & { readonly text: string };

/** An entry of the labor stream that is not a correction. Source: docs/ledger.md, section 3. */
export type LaborEntry =
  ShiftEntry | WorkStartEntry | WorkStopEntry | TaskStateEntry | HoursEntry | CountEntry | NoteEntry;

export type EntryType = LaborEntry['type'];

type Reasoned = { readonly by?: string; readonly why?: string };

/** Every field that an amendment can name; `null` makes an optional field absent. */
export type AmendSet = {
  readonly at?: Instant | null;
  readonly technician?: TechnicianId | null;
  readonly targets?: readonly TargetId[] | null;
  readonly workType?: WorkType | null;
  readonly join?: boolean | null;
  readonly reason?: string | null;
  readonly machine?: string | null;
  readonly chargeRate?: string | null;
  readonly override?: string | null;
  readonly payClass?: string | null;
  readonly day?: LocalDay | null;
  readonly seconds?: Seconds | null;
  readonly good?: number | null;
  readonly scrap?: number | null;
  readonly text?: string | null;
};

export type VoidEntry = Made<'void' | 'restore'> & Reasoned & { readonly target: EntryId };
export type AmendEntry = Made<'amend'> & Reasoned & { readonly target: EntryId; readonly set: AmendSet };

/** A correction names an entry recorded before it and takes effect in the order of recording. */
export type Correction = VoidEntry | AmendEntry;

export type Entry = LaborEntry | Correction;

/** Whether an entry corrects another one. */
export const isCorrection = (entry: Entry): entry is Correction =>
  entry.type === 'void' || entry.type === 'restore' || entry.type === 'amend';

/** The technician an entry is about, if it names one. */
export const technicianOf = (entry: LaborEntry): TechnicianId | undefined => entry.technician;

/** The targets an entry names, each once, in the order named; none when it names none. */
export function targetsOf(entry: LaborEntry): readonly TargetId[] {
  const named = 'targets' in entry ? (entry.targets ?? []) : [];
  return named.length < 2 ? named : [...new Set(named)];
}
