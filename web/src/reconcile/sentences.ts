import type { LooseEndsJson } from '@wergon/contract/reconcile';
import type { LooseEndKind } from '@wergon/core/ledger';
import type { AnswerReason } from '@wergon/core/reconcile';

type LooseEnd = LooseEndsJson['looseEnds'][number];
type Words = {
  readonly clock: (instant: string | null) => string;
  readonly hours: (seconds: number) => string;
};

/** What is not right, in one sentence that says what to do. */
const SENTENCES: Readonly<Record<LooseEndKind, (end: LooseEnd, words: Words) => string>> = {
  'double-shift-in': ({ from }, { clock }) =>
    `signed in again at ${clock(from)} while signed in: see whether a shift out is missing before it.`,
  'shift-out-without-in': ({ from }, { clock }) =>
    `signed out at ${clock(from)} without having signed in: add when the shift began.`,
  'stop-without-start': ({ from }, { clock }) =>
    `stopped at ${clock(from)} what was not running: see whether a start is missing.`,
  'forgotten-shift-out': ({ from, to }, { clock }) =>
    `signed in at ${clock(from)} and never out; the rule ended the shift at ${clock(to)}: say when it really ended.`,
  'forgotten-stop': ({ from }, { clock }) =>
    `started at ${clock(from)} and never stopped; the rule cut it: say when it really ended.`,
  gap: ({ from, to, seconds }, { clock, hours }) =>
    `signed in but on nothing from ${clock(from)} to ${clock(to)}, ${hours(seconds ?? 0)}: say what was done.`,
  'work-outside-shift': ({ seconds }, { hours }) =>
    `worked ${hours(seconds ?? 0)} outside the shift: move the shift or the work.`,
  'long-break': ({ from, seconds }, { clock, hours }) =>
    `took a break of ${hours(seconds ?? 0)} from ${clock(from)}: see whether its end was forgotten.`,
  'no-rate': () => 'worked on a day without a cost rate: add one in Shop.',
  'not-released': ({ target, from }, { clock }) =>
    `worked on ${target ?? 'a task'} at ${clock(from)} while its order was not released: release it or move the work.`,
  'after-done': ({ target, from }, { clock }) =>
    `started ${target ?? 'a task'} at ${clock(from)} although it was finished: reopen it or move the work.`,
  'clock-jump': ({ seconds }, { hours }) =>
    `had its clock moved by ${hours(seconds ?? 0)}: look at what was scanned there around that time.`,
  'unknown-code': ({ about, times, to }, { clock }) =>
    `read ${about ?? ''}${times > 1 ? ` ${times} times` : ''}, last at ${clock(to)}, and it stands for nothing: see what it is.`,
  'refused-entry': ({ from }, { clock }) =>
    `sent something at ${clock(from)} that could not be recorded: see what was meant, and enter it on the tape.`,
  'badge-hop': ({ from, seconds, stations }, { clock }) =>
    `had a badge read at ${stations.join(' and ')} within ${seconds ?? 0} s at ${clock(from)}: see who had it.`,
  'badge-pair': ({ times }) =>
    `have badges that are only ever read together, ${times} times: see whether one hand holds both.`,
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
  'not-so': 'That scan does not count',
  'as-before': 'Went on as before',
  'as-after': 'Next work had begun',
  'was-break': 'It was a break',
  'take-up': 'It was taken up again',
};
export const sayAnswer = ({ reason, at }: LooseEnd['answers'][number], { clock }: Words): string =>
  at === null ? ANSWERS[reason] : `${ANSWERS[reason]} ${clock(at)}`;

/** The likeliest answer of ends that are alike, without the instants that differ. */
export const sayAlike = ([first]: readonly LooseEnd[]): string => {
  const reason = first?.answers[0]?.reason;
  return reason === undefined ? '' : ANSWERS[reason];
};
