import type { Instant } from '@wergon/core/time';
import type { LooseEndsJson } from '@wergon/contract/loose-ends';
import type { LooseEndKind } from '@wergon/core/ledger';
import type { AnswerReason } from '@wergon/core/loose-ends';
import { sayList, t } from '../words/index.ts';

type LooseEnd = LooseEndsJson['looseEnds'][number];
type Words = {
  readonly clock: (instant: Instant | null) => string;
  readonly hours: (seconds: number) => string;
};

/** What is not right, in one sentence that says what to do. */
const SENTENCES: Readonly<Record<LooseEndKind, (end: LooseEnd, words: Words) => string>> = {
  'double-shift-in': ({ from }, { clock }) =>
    t('looseEnds.signedInAgainAtWhileSignedIn', { time: clock(from) }),
  'shift-out-without-in': ({ from }, { clock }) =>
    t('looseEnds.signedOutAtWithoutHavingSigned', { time: clock(from) }),
  'stop-without-start': ({ from }, { clock }) =>
    t('looseEnds.stoppedAtButNothingWasRunning', { time: clock(from) }),
  'forgotten-shift-out': ({ from, to }, { clock }) =>
    t('looseEnds.signedInAtAndDidNotSignOutThe', { time: clock(from), time2: clock(to) }),
  'forgotten-stop': ({ from }, { clock }) =>
    t('looseEnds.startedAtAndNeverStoppedItWas', { time: clock(from) }),
  gap: ({ from, to, seconds }, { clock, hours }) =>
    t('looseEnds.signedInWithoutATaskFromToWhat', {
      time: clock(from),
      time2: clock(to),
      hours: hours(seconds ?? 0),
    }),
  'work-outside-shift': ({ seconds }, { hours }) =>
    t('looseEnds.hasOfWorkOutsideTheShiftCorrect', { hours: hours(seconds ?? 0) }),
  'long-break': ({ from, seconds }, { clock, hours }) =>
    t('looseEnds.tookABreakOfFromCheckWhether', { hours: hours(seconds ?? 0), time: clock(from) }),
  'cost-changed': ({ target, seconds }, { hours }) =>
    t('looseEnds.costWasSetForOtherTime', {
      hours: hours(seconds ?? 0),
      task: target ?? t('looseEnds.aTask'),
    }),
  'split-changed': ({ seconds }, { hours }) =>
    t('looseEnds.splitWasDecidedForOtherTime', { hours: hours(seconds ?? 0) }),
  'no-rate': () => t('looseEnds.workedOnADayWithoutACostRate'),
  'not-released': ({ target, from }, { clock }) =>
    t('looseEnds.workedOnAtWhileItsOrderWasNot', { task: target ?? t('looseEnds.aTask'), time: clock(from) }),
  'after-done': ({ target, from }, { clock }) =>
    t('looseEnds.startedAtAlthoughItWasFinished', {
      task: target ?? t('looseEnds.aTask'),
      time: clock(from),
    }),
  'clock-jump': ({ seconds }, { hours }) =>
    t('looseEnds.hadItsClockMovedByCheckWhat', { hours: hours(seconds ?? 0) }),
  'unknown-code': ({ about, times, to }, { clock }) => {
    const code = about ?? '';
    return times > 1
      ? t('looseEnds.scannedOftenLastAtAnUnknownCode', { code, times, time: clock(to) })
      : t('looseEnds.scannedAtAnUnknownCode', { code, time: clock(to) });
  },
  'refused-entry': ({ from }, { clock }) => t('looseEnds.sentSomethingAtThatCouldNot', { time: clock(from) }),
  'badge-hop': ({ from, seconds, stations }, { clock }) =>
    t('looseEnds.hadABadgeReadAtWithinSAtFind', {
      stations: sayList(stations),
      seconds: seconds ?? 0,
      time: clock(from),
    }),
  'badge-pair': ({ times }) => t('looseEnds.haveBadgesAlwaysScannedTogether', { times }),
  clock: ({ from, seconds }, { clock, hours }) =>
    t('looseEnds.wasScannedAtByAStationWhose', { time: clock(from), hours: hours(seconds ?? 0) }),
};

export const sayLooseEnd = (end: LooseEnd, words: Words): string => {
  const sentence = SENTENCES[end.kind](end, words);
  return end.proposed === null
    ? sentence
    : t('looseEnds.saidAtTheStationItEndedAt', { sentence, clock: words.clock(end.proposed) });
};

/** What a likely answer says, on its button. */
const ANSWERS: Readonly<Record<AnswerReason, string>> = {
  'own-word': t('looseEnds.asSaidAtTheStation'),
  'planned-end': t('looseEnds.plannedEnd'),
  'planned-start': t('looseEnds.plannedStart'),
  'last-scan': t('common.lastScan'),
  'last-work': t('looseEnds.lastWork'),
  'first-work': t('looseEnds.firstWork'),
  'planned-break': t('looseEnds.plannedBreakUntil'),
  'not-so': t('looseEnds.ignoreThatScan'),
  'as-before': t('looseEnds.theWorkBeforeWentOn'),
  'as-after': t('looseEnds.theNextWorkHadBegun'),
  'was-break': t('looseEnds.itWasABreak'),
  'take-up': t('looseEnds.theTaskWasReopened'),
};
export const sayAnswer = ({ reason, at }: LooseEnd['answers'][number], { clock }: Words): string =>
  at === null ? ANSWERS[reason] : `${ANSWERS[reason]} ${clock(at)}`;

/** What ends of one kind are, in words that say of what there are several. */
export const sayKinds = ([first]: readonly LooseEnd[]): string => {
  if (!first) return '';
  const reason = first.answers[0]?.reason;
  return `${t(`looseEndKinds.${first.kind}`)}${first.kind === 'gap' && reason === 'was-break' ? ` ${t('looseEnds.overABreak')}` : ''}`;
};

/** The likeliest answer of ends that are alike, without the instants that differ. */
export const sayAlike = ([first]: readonly LooseEnd[]): string => {
  const reason = first?.answers[0]?.reason;
  return reason === undefined ? '' : ANSWERS[reason];
};
