import type { LeaveAsked } from '../people/index.ts';
import { MOST_LEAVE_DAYS } from '../people/index.ts';
import { daysFrom, formatDay, parseDay, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { OwnLeave } from './directory.ts';
import type { Question } from './question.ts';

/** So many days stand there to be chosen; any other is keyed. */
const OFFERED_DAYS = 7;
const MONTHS = 12;
const DAY_SECONDS = 86_400;

/** What is still to be said of time off that somebody asks for: why, from when, until when, of one day how much of it,
 *  and a word to it. What they have asked for before, and is still to come, can be taken back instead. */
export function missingOfLeave(
  { kind, from, to, seconds }: Partial<LeaveAsked>,
  text: string | undefined,
  today: LocalDay,
  asked: readonly OwnLeave[],
): Question | undefined {
  if (kind === undefined)
    return { kind: 'leave-kind', asked: asked.filter(({ leave }) => leave.from > today) };
  if (from === undefined) return { kind: 'leave-from', choices: daysFrom(today, OFFERED_DAYS) };
  if (to === undefined) return { kind: 'leave-to', from, choices: daysFrom(from, OFFERED_DAYS) };
  if (seconds === undefined && from === to) return { kind: 'leave-hours' };
  return text === undefined ? { kind: 'leave-word' } : undefined;
}

/** The days of a question about time off that can be given: not before its first, and not more than a year on. */
export const isLeaveDay = (day: LocalDay, first: LocalDay): boolean =>
  day >= first && day < first + MOST_LEAVE_DAYS;

/** A day that was keyed, as in `14.12.` or `1412`: the next one of that day and month, from a day on. */
export function readLeaveDay(words: string, first: LocalDay): LocalDay | undefined {
  const [, day = '', month = ''] =
    /^(\d{1,2})[.,/ ](\d{1,2})\.?$/.exec(words) ?? /^(\d{2})(\d{2})$/.exec(words) ?? [];
  if (day === '' || Number(month) < 1 || Number(month) > MONTHS) return undefined;
  const year = Number(formatDay(first).slice(0, 4));
  for (const each of [year, year + 1]) {
    const read = parseDay(`${each}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`);
    if (read.ok && isLeaveDay(read.value, first)) return read.value;
  }
  return undefined;
}

/** Hours of a day that were keyed, as in `4`, `4,5` or `4:30`; at most a day. */
export function readLeaveHours(words: string): Seconds | undefined {
  const [, hours = '', tenths = '', minutes = ''] =
    /^(\d{1,2})(?:[.,](\d{1,2})|:([0-5]\d))?$/.exec(words) ?? [];
  const seconds = Number(hours) * 3600 + Number(`0.${tenths}`) * 3600 + Number(minutes) * 60;
  return hours !== '' && seconds > 0 && seconds <= DAY_SECONDS ? toSeconds(Math.round(seconds)) : undefined;
}
