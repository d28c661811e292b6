import { addDays, addMonths, formatDay, mondayOf, parseDay } from './day.ts';
import type { LocalDay } from './day.ts';
import { Defect } from '../result/index.ts';

/** Stretches of the calendar that figures are told of: a day, a week, eight weeks, a month, a quarter, a year. */
export const PERIODS = ['day', 'week', 'weeks', 'month', 'quarter', 'year'] as const;
export type PeriodKind = (typeof PERIODS)[number];

/** Days of a period; both belong to it. */
export type Days = { readonly firstDay: LocalDay; readonly lastDay: LocalDay };

const WEEK = 7;
/** So many weeks are told together, the one of the day the last. */
const WEEKS = 8;
const MONTHS: Partial<Record<PeriodKind, number>> = { month: 1, quarter: 3, year: 12 };

/** The first day of the calendar month that a day lies in. */
export function monthOf(day: LocalDay): LocalDay {
  const first = parseDay(`${formatDay(day).slice(0, 7)}-01`);
  if (!first.ok) throw new Defect(`the month of ${day}`);
  return first.value;
}

/** The period of a kind that a day lies in. Months, quarters and years are those of the calendar. */
export function periodAround(kind: PeriodKind, day: LocalDay): Days {
  if (kind === 'day') return { firstDay: day, lastDay: day };
  const months = MONTHS[kind];
  if (months === undefined) {
    const lastDay = addDays(mondayOf(day), WEEK - 1);
    return { firstDay: addDays(lastDay, 1 - WEEK * (kind === 'week' ? 1 : WEEKS)), lastDay };
  }
  const month = Number(formatDay(day).slice(5, 7)) - 1;
  const firstDay = addMonths(monthOf(day), -(month % months));
  return { firstDay, lastDay: addDays(addMonths(firstDay, months), -1) };
}

/** A day in the period so many of its kind later, or earlier: weeks are moved by one. */
export function movePeriod(kind: PeriodKind, day: LocalDay, by: number): LocalDay {
  const months = MONTHS[kind];
  if (months !== undefined) return addMonths(periodAround(kind, day).firstDay, by * months);
  return addDays(day, by * (kind === 'day' ? 1 : WEEK));
}
