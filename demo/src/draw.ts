import { CODE_ALPHABET, drawCode } from '@wergon/core/scan';
import type { CodeKind } from '@wergon/core/scan';
import { addDays, weekdayOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { Random } from './random.ts';

/** The days from Monday to Friday between two days. */
export function weekdays(first: LocalDay, last: LocalDay): LocalDay[] {
  const days: LocalDay[] = [];
  for (let day = first; day <= last; day = addDays(day, 1)) if (weekdayOf(day) <= 5) days.push(day);
  return days;
}

/** Ids of entries, each with its number in it. */
export const createIds = (prefix: string, random: Random) => {
  let count = 0;
  return () =>
    `${prefix}${(count += 1)}-${Math.floor(random.roll() * 2 ** 32).toString(36)}-${Math.floor(random.roll() * 2 ** 32).toString(36)}`;
};

export type Draw = ReturnType<typeof drawFrom>;
/** Draws codes of labels. */
export const drawFrom = (random: Random) => (kind: CodeKind) =>
  drawCode(kind, () => random.between(0, CODE_ALPHABET.length - 1));
