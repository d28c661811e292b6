import { formatDay, parseDay, addDays } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { readDateText } from '../kit/index.ts';

/** Months back in which a day of the month is looked for; every day of a month is in one of any two. */
const MONTHS = 2;

/** A day as a clerk writes it: a date as any other field reads it, the day of the month (the last such day that is not in the future), `0`
 *  for today or `-1` for yesterday. What is none of these stays as it was typed. */
export function readDayText(text: string, today: LocalDay): string {
  const typed = text.trim();
  if (!/^-?\d{1,2}$/.test(typed)) {
    const day = readDateText(typed, today);
    return day === undefined ? typed : formatDay(day);
  }
  const count = Number(typed);
  if (count <= 0) return formatDay(addDays(today, count));
  const [year = 0, month = 0] = formatDay(today).split('-').map(Number);
  for (let back = 0; back <= MONTHS; back += 1) {
    const first = new Date(Date.UTC(year, month - 1 - back, 1)).toISOString().slice(0, 8);
    const day = parseDay(`${first}${String(count).padStart(2, '0')}`);
    if (day.ok && day.value <= today) return formatDay(day.value);
  }
  return typed;
}
