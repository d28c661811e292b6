import type { Entry, LaborEntry, LooseEnd, LooseEndKind, Policy, Stint } from '../ledger/index.ts';
import { toInstant } from '../time/index.ts';
import type { Instant } from '../time/index.ts';

/** An entry or a correction that is still to be made: without its id. */
export type Change = Entry extends infer E ? (E extends Entry ? Omit<E, 'id'> : never) : never;

/** Why an answer is likely; its words stand on the page. */
export const ANSWER_REASONS = [
  'own-word',
  'planned-end',
  'planned-start',
  'last-scan',
  'last-work',
  'first-work',
  'planned-break',
  'not-so',
  'as-before',
  'as-after',
  'was-break',
  'take-up',
] as const;
export type AnswerReason = (typeof ANSWER_REASONS)[number];

/** One way to put a loose end right: the smallest group of entries and corrections that does it, all or none. */
export type LikelyAnswer = {
  readonly reason: AnswerReason;
  /** The instant that it decides on, if it decides on one. */
  readonly at: Instant | null;
  readonly changes: readonly Change[];
};

/** What is known around a loose end of one person. */
export type Surroundings = {
  /** The rules in force when it began. */
  readonly policy: Policy;
  /** When it ended by the technician's own word. */
  readonly proposed: Instant | null;
  /** What was planned of the day on which it begins. */
  readonly plannedStart: Instant | null;
  readonly plannedEnd: Instant | null;
  readonly plannedBreakSeconds: number | null;
  /** The last scan of anybody on what ran. */
  readonly lastOnTask: Instant | null;
  /** When the task was said to be finished, by whomever. */
  readonly doneAt: Instant | null;
  /** Their own entries that count, by time, of the days around. */
  readonly own: readonly LaborEntry[];
  readonly stints: readonly Stint[];
};

type Timed = Exclude<LaborEntry, { type: 'hours' }>;
type Candidate = readonly [reason: AnswerReason, at: Instant | null | undefined];
type Finder = (end: LooseEnd, around: Surroundings) => readonly LikelyAnswer[];

const SECONDS_PER_HOUR = 3600;
/** As many as one glance takes in. */
const OFFERED = 3;

const timed = ({ own }: Surroundings): readonly Timed[] =>
  own.filter((entry): entry is Timed => entry.type !== 'hours');

/** Candidates that lie strictly inside a span, each instant once, the first reason for it first. */
function inside(from: Instant, to: Instant, candidates: readonly Candidate[]) {
  const seen = new Set<number>();
  return candidates.flatMap(([reason, at]) => {
    if (at === null || at === undefined || at <= from || at >= to || seen.has(at)) return [];
    seen.add(at);
    return [{ reason, at }];
  });
}

const voidOf = ({ entries: [entry] }: LooseEnd): readonly LikelyAnswer[] =>
  entry === undefined ? [] : [{ reason: 'not-so', at: null, changes: [{ type: 'void', target: entry }] }];

/** A stop that was forgotten: what was recorded as its end is moved, if it was a stop; else one is added. */
const forgottenStop: Finder = ({ technician, from, to, entries }, around) => {
  if (!technician || from === undefined || to === undefined) return [];
  // A stop after the instant at which the rule cut it would be as forgotten as before.
  const cut = around.stints.find(({ opened }) => opened === entries[0])?.to ?? to;
  const closing = timed(around).find(({ type, at }) => type === 'work-stop' && at === to);
  const signedOut = timed(around).find(({ type, at }) => type === 'shift-out' && at > from);
  return inside(from, toInstant(Math.min(to, cut + 1)), [
    ['own-word', around.proposed],
    ['planned-end', around.plannedEnd],
    ['last-scan', around.lastOnTask],
    ['last-work', signedOut?.at],
  ]).map(({ reason, at }) => ({
    reason,
    at,
    changes: [
      closing ? { type: 'amend', target: closing.id, set: { at } } : { type: 'work-stop', technician, at },
    ],
  }));
};

/** A shift end that was forgotten; never before something that they scanned in that shift. */
const forgottenShiftOut: Finder = ({ technician, from, to }, around) => {
  if (!technician || from === undefined || to === undefined) return [];
  const last = timed(around)
    .filter(({ at }) => at > from && at < to)
    .at(-1);
  return inside(from, to, [
    ['own-word', around.proposed],
    ['planned-end', around.plannedEnd],
    ['last-scan', last && toInstant(last.at + 1)],
  ])
    .filter(({ at }) => !last || at > last.at)
    .map(({ reason, at }) => ({ reason, at, changes: [{ type: 'shift-out', technician, at }] }));
};

/** Time on nothing: what they were on before went on, what came after had begun, or it was a break. */
const gap: Finder = ({ technician, from, to }, around) => {
  if (!technician || from === undefined || to === undefined) return [];
  const before = around.stints.find((stint) => stint.to === from);
  const after = around.stints.find((stint) => stint.from === to);
  const isEnded = timed(around).some(({ type, at }) => at === to && type !== 'count' && type !== 'note');
  const answers: LikelyAnswer[] = [];
  const wentOn: LikelyAnswer[] = [];
  const workType = before?.running[0]?.workType;
  // What the rule cut runs on as far as the journal goes: first somebody must say when it stopped.
  const isCut = before?.capped ?? false;
  if (before && !isCut && workType && before.running.every((each) => each.workType === workType))
    wentOn.push({
      reason: 'as-before',
      at: null,
      changes: [
        {
          type: 'work-start',
          technician,
          at: from,
          targets: before.running.map(({ target }) => target),
          ...(workType === 'run' ? {} : { workType }),
        },
        ...(isEnded ? [] : [{ type: 'work-stop' as const, technician, at: to }]),
      ],
    });
  const opening = after && timed(around).find(({ id, type }) => id === after.opened && type === 'work-start');
  if (opening)
    answers.push({
      reason: 'as-after',
      at: null,
      changes: [{ type: 'amend', target: opening.id, set: { at: from } }],
    });
  if (!isCut)
    answers.push({
      reason: 'was-break',
      at: null,
      changes: [
        { type: 'break-start', technician, at: from },
        ...(isEnded ? [] : [{ type: 'break-end' as const, technician, at: to }]),
      ],
    });
  // Work that was said to be finished has hardly gone on.
  const isDone = timed(around).some(({ id, type }) => id === before?.closed && type === 'task-done');
  return isDone ? [...answers, ...wentOn] : [...wentOn, ...answers];
};

const shiftOutWithoutIn: Finder = (end, around) => {
  const { technician, from } = end;
  if (!technician || from === undefined) return [];
  const earlier = timed(around).filter(({ at }) => at < from);
  const lastOut = earlier.findLast(({ type }) => type === 'shift-out')?.at;
  const first = earlier.find(({ at }) => lastOut === undefined || at > lastOut);
  // A longer shift would be ended by the rule before they went.
  const length = around.policy.maxShiftHours * SECONDS_PER_HOUR;
  const longest = toInstant(from - length - 1);
  // Nor can one begin while another goes on, which the rule has ended since.
  const lastIn = earlier.findLast(({ type }) => type === 'shift-in')?.at;
  const ruled = lastIn === undefined ? 0 : lastIn + length;
  const begin = toInstant(Math.max(lastOut ?? 0, longest, ruled));
  return [
    ...inside(begin, from, [
      ['planned-start', around.plannedStart],
      ['first-work', first?.at],
    ]).map(({ reason, at }) => ({
      reason,
      at,
      changes: [{ type: 'shift-in' as const, technician, at }],
    })),
    ...voidOf(end),
  ];
};

const doubleShiftIn: Finder = (end, around) => {
  const { technician, from } = end;
  if (!technician || from === undefined) return [];
  const before = timed(around).findLast(({ type, at }) => type === 'shift-in' && at < from);
  const last = around.stints.findLast((stint) => stint.to <= from && before && stint.to > before.at);
  return [
    ...voidOf(end),
    ...(before
      ? inside(before.at, from, [
          ['planned-end', around.plannedEnd],
          ['last-work', last?.to],
        ]).map(({ reason, at }) => ({
          reason,
          at,
          changes: [{ type: 'shift-out' as const, technician, at }],
        }))
      : []),
  ];
};

const longBreak: Finder = ({ technician, from, to }, around) => {
  if (!technician || from === undefined || to === undefined || around.plannedBreakSeconds === null) return [];
  const closing = timed(around).find(({ type, at }) => type === 'break-end' && at === to);
  return inside(from, to, [['planned-break', toInstant(from + around.plannedBreakSeconds)]]).map(
    ({ reason, at }) => ({
      reason,
      at,
      changes: [
        closing ? { type: 'amend', target: closing.id, set: { at } } : { type: 'break-end', technician, at },
      ],
    }),
  );
};

/** A start on a finished task: it was taken up again, in the second before. */
const afterDone: Finder = ({ technician, target, from }, { doneAt }) =>
  technician && target !== undefined && from !== undefined && doneAt !== null && doneAt < from
    ? [
        {
          reason: 'take-up',
          at: null,
          changes: [{ type: 'task-reopen', technician, at: toInstant(from - 1), targets: [target] }],
        },
      ]
    : [];

/** Kinds that no entry puts right: they are accepted, or something in the shop's book is. */
const nothing: Finder = () => [];

const FINDERS: Readonly<Record<LooseEndKind, Finder>> = {
  'forgotten-stop': forgottenStop,
  'forgotten-shift-out': forgottenShiftOut,
  gap,
  'shift-out-without-in': shiftOutWithoutIn,
  'double-shift-in': doubleShiftIn,
  'stop-without-start': voidOf,
  'long-break': longBreak,
  'after-done': afterDone,
  'work-outside-shift': nothing,
  'not-released': nothing,
  'no-rate': nothing,
  'cost-changed': nothing,
  'split-changed': nothing,
  clock: nothing,
  'clock-jump': nothing,
  'unknown-code': nothing,
  'refused-entry': nothing,
  'badge-hop': nothing,
  'badge-pair': nothing,
};

/** Whether any entry can put a loose end of a kind right. */
export const canBeAnswered = (kind: LooseEndKind): boolean => FINDERS[kind] !== nothing;

/** The two or three likely answers to a loose end, the likeliest first; none where only a person can say. They are
 *  offered, never taken by themselves. Source: docs/reconcile.md. */
export const findLikelyAnswers = (end: LooseEnd, around: Surroundings): readonly LikelyAnswer[] =>
  FINDERS[end.kind](end, around).slice(0, OFFERED);
