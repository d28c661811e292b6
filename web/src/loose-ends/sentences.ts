import type { Instant } from '@wergon/core/time';
import type { LooseEndsJson } from '@wergon/contract/loose-ends';
import type { LooseEndKind } from '@wergon/core/ledger';
import type { AnswerReason } from '@wergon/core/loose-ends';

type LooseEnd = LooseEndsJson['looseEnds'][number];
type Words = {
  readonly clock: (instant: Instant | null) => string;
  readonly hours: (seconds: number) => string;
};

/** What is not right, in one sentence that says what to do. */
const SENTENCES: Readonly<Record<LooseEndKind, (end: LooseEnd, words: Words) => string>> = {
  'double-shift-in': ({ from }, { clock }) =>
    `signed in again at ${clock(from)} while signed in: check whether a sign-out is missing before it.`,
  'shift-out-without-in': ({ from }, { clock }) =>
    `signed out at ${clock(from)} without having signed in: add when the shift began.`,
  'stop-without-start': ({ from }, { clock }) =>
    `stopped at ${clock(from)}, but nothing was running: check whether a start is missing.`,
  'forgotten-shift-out': ({ from, to }, { clock }) =>
    `signed in at ${clock(from)} and did not sign out; the shift was ended automatically at ${clock(to)}: when did it really end?`,
  'forgotten-stop': ({ from }, { clock }) =>
    `started at ${clock(from)} and never stopped; it was cut off automatically: when did it really end?`,
  gap: ({ from, to, seconds }, { clock, hours }) =>
    `signed in without a task from ${clock(from)} to ${clock(to)}, ${hours(seconds ?? 0)}: what was done?`,
  'work-outside-shift': ({ seconds }, { hours }) =>
    `has ${hours(seconds ?? 0)} of work outside the shift: correct one of them.`,
  'long-break': ({ from, seconds }, { clock, hours }) =>
    `took a break of ${hours(seconds ?? 0)} from ${clock(from)}: check whether its end was forgotten.`,
  'no-rate': () => 'worked on a day without a cost rate: add one in Shop.',
  'not-released': ({ target, from }, { clock }) =>
    `worked on ${target ?? 'a task'} at ${clock(from)} while its order was not released: release it or move the work.`,
  'after-done': ({ target, from }, { clock }) =>
    `started ${target ?? 'a task'} at ${clock(from)} although it was finished: reopen it or move the work.`,
  'clock-jump': ({ seconds }, { hours }) =>
    `had its clock moved by ${hours(seconds ?? 0)}: check what was scanned there around that time.`,
  'unknown-code': ({ about, times, to }, { clock }) =>
    `scanned ${about ?? ''}${times > 1 ? ` ${times} times` : ''}, last at ${clock(to)}, an unknown code: find out what was scanned.`,
  'refused-entry': ({ from }, { clock }) =>
    `sent something at ${clock(from)} that could not be recorded: find out what was meant and enter it on the tape.`,
  'badge-hop': ({ from, seconds, stations }, { clock }) =>
    `had a badge read at ${stations.join(' and ')} within ${seconds ?? 0} s at ${clock(from)}: find out who had it.`,
  'badge-pair': ({ times }) =>
    `have badges always scanned together (${times} times): check whether one person uses both.`,
  clock: ({ from, seconds }, { clock, hours }) =>
    `was scanned at ${clock(from)} by a station whose clock is ${hours(seconds ?? 0)} ahead: set that clock.`,
};

export const sayLooseEnd = (end: LooseEnd, words: Words): string => {
  const sentence = SENTENCES[end.kind](end, words);
  return end.proposed === null
    ? sentence
    : `${sentence} Said at the station: it ended at ${words.clock(end.proposed)}.`;
};

/** What a likely answer says, on its button. */
const ANSWERS: Readonly<Record<AnswerReason, string>> = {
  'own-word': 'As said at the station,',
  'planned-end': 'Planned end',
  'planned-start': 'Planned start',
  'last-scan': 'Last scan',
  'last-work': 'Last work',
  'first-work': 'First work',
  'planned-break': 'Planned break, until',
  'not-so': 'Ignore that scan',
  'as-before': 'The work before went on',
  'as-after': 'The next work had begun',
  'was-break': 'It was a break',
  'take-up': 'The task was reopened',
};
export const sayAnswer = ({ reason, at }: LooseEnd['answers'][number], { clock }: Words): string =>
  at === null ? ANSWERS[reason] : `${ANSWERS[reason]} ${clock(at)}`;

/** What several loose ends of one kind are called. */
const KINDS: Readonly<Record<LooseEndKind, string>> = {
  'double-shift-in': 'second sign-ins',
  'shift-out-without-in': 'sign-outs without a sign-in',
  'stop-without-start': 'stops without a start',
  'forgotten-shift-out': 'missing sign-outs',
  'forgotten-stop': 'missing stops',
  gap: 'gaps',
  'work-outside-shift': 'days with work outside the shift',
  'long-break': 'long breaks',
  'no-rate': 'days without a rate',
  'not-released': 'starts on orders that were not released',
  'after-done': 'starts on finished tasks',
  'clock-jump': 'moved clocks',
  'unknown-code': 'unknown codes',
  'refused-entry': 'refused entries',
  'badge-hop': 'badges in two places',
  'badge-pair': 'badges always scanned together',
  clock: 'scans with a clock ahead',
};

/** What ends of one kind are, in words that say of what there are several. */
export const sayKinds = ([first]: readonly LooseEnd[]): string => {
  if (!first) return '';
  const reason = first.answers[0]?.reason;
  return `${KINDS[first.kind]}${first.kind === 'gap' && reason === 'was-break' ? ' over a break' : ''}`;
};

/** The likeliest answer of ends that are alike, without the instants that differ. */
export const sayAlike = ([first]: readonly LooseEnd[]): string => {
  const reason = first?.answers[0]?.reason;
  return reason === undefined ? '' : ANSWERS[reason];
};
