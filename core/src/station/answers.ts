import type { TargetId } from '../ledger/index.ts';
import { atWallClock, parseClock, toInstant, addDays } from '../time/index.ts';
import type { LeaveAsked } from '../people/index.ts';
import type { Instant, LocalDay, Zone } from '../time/index.ts';
import { readLeaveDay, readLeaveHours } from './askLeave.ts';
import type { ActIntent, Intent, RequestIntent, StationRefusal, WorkIntent } from './conversation.ts';
import type { ResourceId } from './directory.ts';
import { partOf } from './question.ts';
import type { Answer, Option, Question, ReportValue } from './question.ts';

/** What an answer comes to. */
export type Answered =
  /** The intent with the answer in it; perhaps something else is still missing. */
  | { readonly kind: 'go'; readonly intent: Intent }
  /** Only half of it: the same report goes on with its next figure. */
  | {
      readonly kind: 'ask';
      readonly question: Question;
      readonly because?: StationRefusal;
      readonly text?: string;
    }
  | { readonly kind: 'refuse'; readonly code: StationRefusal; readonly text: string }
  /** The question is dropped; what was asked for is not done. */
  | { readonly kind: 'drop' }
  | { readonly kind: 'propose'; readonly ended: Instant }
  | { readonly kind: 'check-pin'; readonly pin: string };

type ReportQuestion = Extract<Question, { kind: 'report' }>;

const refuse = (code: StationRefusal, text = ''): Answered => ({ kind: 'refuse', code, text });
const work = (intent: Intent, more: Partial<WorkIntent>): Answered =>
  intent.kind === 'work' ? { kind: 'go', intent: { ...intent, ...more } } : { kind: 'drop' };
const act = (intent: Intent, more: Partial<ActIntent>): Answered =>
  intent.kind === 'action' ? { kind: 'go', intent: { ...intent, ...more } } : { kind: 'drop' };

const request = (intent: Intent, more: Partial<RequestIntent>): Answered =>
  intent.kind === 'request' ? { kind: 'go', intent: { ...intent, ...more } } : { kind: 'drop' };
const leave = (intent: Intent, more: Partial<LeaveAsked>): Answered =>
  intent.kind === 'request' ? request(intent, { leave: { ...intent.leave, ...more } }) : { kind: 'drop' };
const answerLeaveDay = (intent: Intent, question: Question, day: LocalDay): Answered =>
  leave(intent, question.kind === 'leave-to' ? { to: day } : { from: day });
/** More of one part than any job needs. */
const MOST_PARTS = 100_000;
const MOST_WORDS = 500;

/** Takes in one of the offered answers. */
export function answerOption(intent: Intent, question: Question, option: Option): Answered {
  switch (option.kind) {
    case 'target':
      return answerTarget(intent, question, option.target);
    case 'machine':
      return work(intent, { machine: option.machine });
    case 'minutes':
      return work(intent, { minutesBack: option.minutes });
    case 'instant':
      return { kind: 'propose', ended: option.at };
    case 'reason':
      if (question.kind === 'why') return work(intent, { reason: option.reason });
      return question.kind === 'report'
        ? report(intent, question, {
            kind: 'pieces',
            good: question.half.good ?? 0,
            scrap: question.half.scrap ?? 0,
            reason: option.reason,
          })
        : { kind: 'drop' };
    case 'part':
      return request(intent, { text: option.part });
    case 'leave':
      return leave(intent, { kind: option.leave });
    case 'take-back':
      return request(intent, { withdraws: option.asked.request });
    case 'day':
      return answerLeaveDay(intent, question, option.day);
    case 'word':
      return answerWord(intent, question, option.word);
  }
}

function answerTarget(intent: Intent, question: Question, target: TargetId): Answered {
  if (question.kind === 'which-running') return act(intent, { targets: [target] });
  if (question.kind === 'which-activity')
    return { kind: 'go', intent: { kind: 'work', target, answers: [] } };
  if (question.kind !== 'outside') return work(intent, { target });
  // Time of this kind belongs to an activity; there it is plain work.
  return {
    kind: 'go',
    intent: { kind: 'work', target, answers: intent.kind === 'work' ? intent.answers : [] },
  };
}

function answerWord(
  intent: Intent,
  question: Question,
  word: Extract<Option, { kind: 'word' }>['word'],
): Answered {
  switch (word) {
    case 'yes':
      return question.kind === 'reopen'
        ? work(intent, { isReopened: true })
        : act(intent, { isConfirmed: true });
    case 'all':
      return question.kind === 'which-running'
        ? act(intent, { targets: question.choices })
        : { kind: 'drop' };
    case 'beside-the-job':
      return work(intent, { isOutside: true });
    case 'skip':
      // The time counts all the same: a reason can always be left out.
      if (question.kind === 'why') return work(intent, { reason: null });
      if (question.kind === 'how-many') return request(intent, { quantity: null });
      return question.kind === 'report' ? skip(intent, question) : { kind: 'drop' };
    case 'whole-day':
      return leave(intent, { seconds: null });
    case 'send':
      return request(intent, question.kind === 'why-part' ? { why: '' } : { text: '' });
    case 'no':
    case 'not-now':
      return { kind: 'drop' };
  }
}

/** Leaves a report out, where that is allowed; a reason is left out without what was counted being lost. */
export function skip(intent: Intent, question: ReportQuestion): Answered {
  const { half } = question;
  if (partOf(question) === 'reason' && half.good !== undefined && half.scrap !== undefined)
    return report(intent, question, { kind: 'pieces', good: half.good, scrap: half.scrap });
  return question.report.maySkip
    ? report(intent, question, { kind: 'skipped' })
    : refuse('station.answer_needed');
}

/** Takes in figures or words for the open question. */
export function answerText(intent: Intent, question: Question, text: string, zone: Zone): Answered {
  const words = text.trim();
  switch (question.kind) {
    case 'pin':
      return /^\d{4,8}$/.test(words) ? { kind: 'check-pin', pin: words } : refuse('station.bad_answer');
    case 'earlier': {
      const minutes = Number(words);
      const isWhole = /^\d{1,4}$/.test(words) && minutes > 0;
      return isWhole && minutes <= question.most
        ? work(intent, { minutesBack: minutes })
        : refuse('station.too_early', String(question.most));
    }
    case 'forgot':
      return answerClock(question, words, zone);
    case 'request':
      return words === ''
        ? refuse('station.bad_answer', words)
        : request(intent, { text: words.slice(0, MOST_WORDS) });
    case 'how-many': {
      const quantity = Number(words);
      return /^\d{1,6}$/.test(words) && quantity >= 1 && quantity <= MOST_PARTS
        ? request(intent, { quantity })
        : refuse('station.bad_answer', words);
    }
    case 'why-part':
      return request(intent, { why: words.slice(0, MOST_WORDS) });
    case 'leave-word':
      return request(intent, { text: words.slice(0, MOST_WORDS) });
    case 'leave-from':
    case 'leave-to': {
      const [first] = question.choices;
      const day = first === undefined ? undefined : readLeaveDay(words, first);
      return day === undefined ? refuse('station.bad_answer', words) : answerLeaveDay(intent, question, day);
    }
    case 'leave-hours': {
      const seconds = readLeaveHours(words);
      return seconds === undefined ? refuse('station.bad_answer', words) : leave(intent, { seconds });
    }
    case 'note':
      return words === ''
        ? refuse('station.bad_answer', words)
        : { kind: 'go', intent: { kind: 'note', text: words.slice(0, 1000) } };
    case 'report':
      return answerReport(intent, question, words);
    default:
      return refuse('station.bad_answer', words);
  }
}

function answerClock(
  { from, to }: Extract<Question, { kind: 'forgot' }>,
  words: string,
  zone: Zone,
): Answered {
  const clock = parseClock(words);
  if (clock === undefined) return refuse('station.bad_answer', words);
  const first = zone.dayAt(from);
  for (const day of [first, addDays(first, 1)]) {
    const ended = atWallClock(zone, day, clock);
    if (ended > from && ended <= to) return { kind: 'propose', ended: toInstant(ended) };
  }
  return refuse('station.bad_answer', words);
}

const MOST_PIECES = 1_000_000;

function answerReport(intent: Intent, question: ReportQuestion, words: string): Answered {
  const part = partOf(question);
  const { half } = question;
  if (part === 'remark')
    return words === ''
      ? refuse('station.bad_answer', words)
      : report(intent, question, { kind: 'remark', text: words.slice(0, 1000) });
  if (part === 'reason') return refuse('station.bad_answer', words);
  if (part === 'value') return answerValue(intent, question, words);
  const figure = Number(words);
  if (!/^\d{1,7}$/.test(words) || figure > MOST_PIECES) return refuse('station.bad_answer', words);
  if (part === 'good') return { kind: 'ask', question: { ...question, half: { good: figure } } };
  const { good = 0 } = half;
  return figure === 0
    ? report(intent, question, { kind: 'pieces', good, scrap: 0 })
    : { kind: 'ask', question: { ...question, half: { good, scrap: figure } } };
}

function answerValue(intent: Intent, question: ReportQuestion, words: string): Answered {
  const { least, most } = question.report;
  const value = Number(words.replace(',', '.'));
  if (!/^-?\d{1,9}([.,]\d{1,6})?$/.test(words)) return refuse('station.bad_answer', words);
  const isOutside = (least !== null && value < least) || (most !== null && value > most);
  if (isOutside && question.half.outside !== value)
    return {
      kind: 'ask',
      question: { ...question, half: { outside: value } },
      because: 'station.value_outside',
      text: words,
    };
  return report(intent, question, { kind: 'value', value });
}

function report(intent: Intent, { target, index }: ReportQuestion, value: ReportValue): Answered {
  const answer: Answer = { target, index, value };
  if (intent.kind === 'work') return work(intent, { answers: [...intent.answers, answer] });
  if (intent.kind === 'action') return act(intent, { answers: [...intent.answers, answer] });
  return { kind: 'drop' };
}

/** A machine that was scanned while a machine is asked for, or a task while a task is: the same as choosing it. */
export const matchOption = (
  options: readonly Option[],
  scanned: { readonly target?: TargetId; readonly machine?: ResourceId },
): Option | undefined =>
  options.find(
    (option) =>
      (option.kind === 'target' && option.target === scanned.target) ||
      (option.kind === 'machine' && option.machine === scanned.machine),
  );
