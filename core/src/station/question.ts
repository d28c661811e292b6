import type { EntryId, TargetId } from '../ledger/index.ts';
import { ABSENCE_KINDS } from '../people/index.ts';
import type { AbsenceKind } from '../people/index.ts';
import type { Instant, LocalDay } from '../time/index.ts';
import type { ReasonKind, WorkType } from '../work/index.ts';
import type { StationRefusal } from './conversation.ts';
import type { OwnLeave, ResourceId, StationDirectory, TaskReport } from './directory.ts';
import type { RequestKind } from './floorEntry.ts';

/** What a report came to. */
export type ReportValue =
  | { readonly kind: 'skipped' }
  | { readonly kind: 'pieces'; readonly good: number; readonly scrap: number; readonly reason?: string }
  | { readonly kind: 'value'; readonly value: number }
  | { readonly kind: 'remark'; readonly text: string };

/** The answer to one report that a task asks for, by its place among the task's reports. */
export type Answer = { readonly target: TargetId; readonly index: number; readonly value: ReportValue };

/** Pieces are asked for one figure after the other; a value outside its limits is asked for twice. */
export type HalfReport = { readonly good?: number; readonly scrap?: number; readonly outside?: number };

/** What the station must know before it can do what somebody wants. */
export type Question =
  | { readonly kind: 'which-task'; readonly choices: readonly TargetId[] }
  /** Which of several running ones to leave or finish. */
  | { readonly kind: 'which-running'; readonly choices: readonly TargetId[] }
  | { readonly kind: 'which-activity'; readonly choices: readonly TargetId[] }
  | { readonly kind: 'which-machine'; readonly choices: readonly ResourceId[] }
  | { readonly kind: 'reopen'; readonly target: TargetId }
  | { readonly kind: 'confirm-stop'; readonly targets: readonly TargetId[] }
  /** The order's estimate leaves this kind of work out; `activity` is where such time belongs, if the shop has said. */
  | {
      readonly kind: 'outside';
      readonly workType: WorkType;
      readonly target: TargetId;
      readonly activity: TargetId | null;
    }
  /** Refused, but a lead may let it through with their badge. */
  | { readonly kind: 'override'; readonly code: StationRefusal; readonly text: string }
  /** Why work stands still, or is done once more. */
  | { readonly kind: 'why'; readonly why: 'down' | 'rework' }
  | { readonly kind: 'earlier'; readonly most: number }
  | {
      readonly kind: 'report';
      readonly target: TargetId;
      readonly index: number;
      readonly report: TaskReport;
      readonly half: HalfReport;
    }
  | {
      readonly kind: 'forgot';
      readonly forgotten: 'forgotten-stop' | 'forgotten-shift-out';
      readonly about: EntryId;
      readonly from: Instant;
      readonly to: Instant;
      readonly choices: readonly Instant[];
    }
  | { readonly kind: 'pin'; readonly isChecking: boolean }
  /** Of a part: one of the order's own, or another in words. */
  | {
      readonly kind: 'request';
      readonly what: Exclude<RequestKind, 'time-off'>;
      readonly parts: readonly string[];
    }
  | { readonly kind: 'how-many' | 'why-part'; readonly part: string }
  /** Of time off: why, or what of what was asked for before is taken back; the first day and the last, how many hours of
   *  one day, and a word to it. */
  | { readonly kind: 'leave-kind'; readonly asked: readonly OwnLeave[] }
  | { readonly kind: 'leave-hours' | 'leave-word' }
  | { readonly kind: 'leave-from'; readonly choices: readonly LocalDay[] }
  | { readonly kind: 'leave-to'; readonly from: LocalDay; readonly choices: readonly LocalDay[] }
  | { readonly kind: 'note' }
  | { readonly kind: 'find' };

/** One offered answer. */
export type Option =
  | { readonly kind: 'target'; readonly target: TargetId }
  | { readonly kind: 'machine'; readonly machine: ResourceId }
  | { readonly kind: 'minutes'; readonly minutes: number }
  | { readonly kind: 'instant'; readonly at: Instant }
  | { readonly kind: 'reason'; readonly reason: string }
  | { readonly kind: 'part'; readonly part: string }
  | { readonly kind: 'leave'; readonly leave: AbsenceKind }
  | { readonly kind: 'take-back'; readonly asked: OwnLeave }
  | { readonly kind: 'day'; readonly day: LocalDay }
  | {
      readonly kind: 'word';
      readonly word: 'yes' | 'no' | 'all' | 'skip' | 'beside-the-job' | 'send' | 'not-now' | 'whole-day';
    };

const word = (name: Extract<Option, { kind: 'word' }>['word']): Option => ({ kind: 'word', word: name });
const targets = (ids: readonly TargetId[]) => ids.map((target): Option => ({ kind: 'target', target }));
const MINUTES_BACK = [5, 10, 15] as const;

/** Which part of a report is asked for now. */
export const partOf = ({
  report,
  half,
}: Extract<Question, { kind: 'report' }>): 'good' | 'scrap' | 'reason' | 'value' | 'remark' => {
  if (report.kind !== 'pieces') return report.kind;
  if (half.good === undefined) return 'good';
  return half.scrap === undefined ? 'scrap' : 'reason';
};

/** The answers that a question offers, in the order of their number keys. */
export function optionsOf(
  question: Question,
  { reasons }: Pick<StationDirectory, 'reasons'>,
): readonly Option[] {
  const offered = (kind: ReasonKind) =>
    (reasons.get(kind) ?? []).map((reason): Option => ({ kind: 'reason', reason }));
  switch (question.kind) {
    case 'which-task':
    case 'which-activity':
      return targets(question.choices);
    case 'which-running':
      return [...targets(question.choices), word('all')];
    case 'which-machine':
      return question.choices.map((machine): Option => ({ kind: 'machine', machine }));
    case 'reopen':
    case 'confirm-stop':
      return [word('yes'), word('no')];
    case 'outside':
      return question.activity
        ? [...targets([question.activity]), word('beside-the-job')]
        : [word('beside-the-job'), word('no')];
    case 'override':
      return [word('no')];
    case 'why':
      return [...offered(question.why), word('skip')];
    case 'earlier':
      return MINUTES_BACK.filter((minutes) => minutes <= question.most).map((minutes): Option => ({
        kind: 'minutes',
        minutes,
      }));
    case 'report': {
      // A reason can always be left out: the pieces that were counted must not be lost for want of a word.
      if (partOf(question) === 'reason') return [...offered('scrap'), word('skip')];
      return question.report.maySkip ? [word('skip')] : [];
    }
    case 'forgot':
      return [...question.choices.map((at): Option => ({ kind: 'instant', at })), word('not-now')];
    case 'pin':
    case 'note':
    case 'find':
      return [];
    case 'request':
      return question.what === 'correction'
        ? []
        : [...question.parts.map((part): Option => ({ kind: 'part', part })), word('send')];
    case 'how-many':
      return [word('skip')];
    case 'why-part':
    case 'leave-word':
      return [word('send')];
    case 'leave-kind':
      return [
        ...ABSENCE_KINDS.map((leave): Option => ({ kind: 'leave', leave })),
        ...question.asked.map((asked): Option => ({ kind: 'take-back', asked })),
      ];
    case 'leave-hours':
      return [word('whole-day')];
    case 'leave-from':
    case 'leave-to':
      return question.choices.map((day): Option => ({ kind: 'day', day }));
  }
}

/** Whether a question takes figures, words or a clock time beside its offered answers. */
export function takesOf(question: Question): 'figures' | 'words' | 'clock' | 'nothing' {
  switch (question.kind) {
    case 'earlier':
    case 'how-many':
    case 'pin':
    case 'leave-from':
    case 'leave-to':
    case 'leave-hours':
      return 'figures';
    case 'forgot':
      return 'clock';
    case 'request':
    case 'why-part':
    case 'leave-word':
    case 'note':
    case 'find':
      return 'words';
    case 'report': {
      const part = partOf(question);
      return part === 'remark' ? 'words' : part === 'reason' ? 'nothing' : 'figures';
    }
    default:
      return 'nothing';
  }
}
