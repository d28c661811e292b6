import { formatDay, parseDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';

/** How each month begins, in every language that Wergon speaks. */
const MONTHS = [
  ['jan'],
  ['feb'],
  ['mar', 'mär'],
  ['apr'],
  ['may', 'mai'],
  ['jun'],
  ['jul'],
  ['aug'],
  ['sep'],
  ['oct', 'okt'],
  ['nov'],
  ['dec', 'dez'],
];
const two = (count: number) => String(count).padStart(2, '0');

/** Reads a day as people type it: `24 Nov 2026`, `Tue 24 Nov`, `24.11.2026`, `24/11` or `2026-11-24`; day before month. Without
 *  a year it is the one nearest to today. Absent for anything else, and for days that no calendar has. */
export function readDateText(text: string, today: LocalDay): LocalDay | undefined {
  const typed = text
    .trim()
    .toLowerCase()
    .replace(/^[a-z]{2,}\.?,?\s+(?=\d)/, '');
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(typed);
  if (iso) return dayOf(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const figures = /^(\d{1,2})[./](\d{1,2})[./]?(\d{4})?$/.exec(typed);
  if (figures) return nearest(Number(figures[1]), Number(figures[2]), figures[3], today);
  const words = /^(\d{1,2})\.?\s+([a-zä]{3})[a-z]*\.?,?(?:\s+(\d{4}))?$/.exec(typed);
  const month = words ? MONTHS.findIndex((names) => names.includes(words[2] ?? '')) + 1 : 0;
  return words && month > 0 ? nearest(Number(words[1]), month, words[3], today) : undefined;
}

/** The day of a calendar date; absent for one that no calendar has. Months count from 1. */
export function dayOf(year: number, month: number, day: number): LocalDay | undefined {
  const read = parseDay(`${year}-${two(month)}-${two(day)}`);
  return read.ok ? read.value : undefined;
}

function nearest(
  day: number,
  month: number,
  year: string | undefined,
  today: LocalDay,
): LocalDay | undefined {
  if (year !== undefined) return dayOf(Number(year), month, day);
  const thisYear = Number(formatDay(today).slice(0, 4));
  return [thisYear - 1, thisYear, thisYear + 1]
    .flatMap((each) => dayOf(each, month, day) ?? [])
    .sort((a, b) => Math.abs(a - today) - Math.abs(b - today))[0];
}
