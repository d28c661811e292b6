import type { LeaveAsked } from '@wergon/core/people';
import type { Names } from './words/speech.ts';
import type { Words } from './words/index.ts';

/** Time off in a few words: why, when, and of a day how much of it, where that was said. */
export function sayLeave({ kind, from, to, seconds }: LeaveAsked, names: Names, words: Words): string {
  const days = from === to ? names.day(from) : `${names.day(from)} – ${names.day(to)}`;
  return [words.leave[kind], days, seconds == null ? '' : words.length(seconds)].filter(Boolean).join(', ');
}
