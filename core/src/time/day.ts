import { Defect, fail, ok } from '../result/index.ts';
import type { Brand, Result } from '../result/index.ts';

/** A calendar day of the shop, counted from 1970-01-01 = 0, so that days compare and add as numbers. */
export type LocalDay = Brand<number, 'LocalDay'>;

const MS_PER_DAY = 86_400_000;

/** Brands a whole number as a day. Throws `Defect` on anything else. */
export function toDay(count: number): LocalDay {
  if (!Number.isSafeInteger(count)) throw new Defect(`not a whole day: ${count}`);
  return count as LocalDay;
}

/** Before any day on which somebody worked. */
export const EVER: LocalDay = toDay(-1_000_000);

const written = new Map<LocalDay, string>();

/** Writes a day as `2026-03-02`. */
export function formatDay(day: LocalDay): string {
  let text = written.get(day);
  if (text === undefined) {
    text = new Date(day * MS_PER_DAY).toISOString().slice(0, 10);
    written.set(day, text);
  }
  return text;
}

/** Reads `2026-03-02`; refuses days that do not exist. */
export function parseDay(text: string): Result<LocalDay, 'day.bad'> {
  const ms = /^\d{4}-\d{2}-\d{2}$/.test(text) ? Date.parse(`${text}T00:00:00Z`) : NaN;
  if (Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== text) return fail('day.bad', { text });
  return ok(toDay(ms / MS_PER_DAY));
}

/** The weekday as ISO 8601 counts it: 1 is Monday, 7 is Sunday. */
export const weekdayOf = (day: LocalDay): number => ((((day + 3) % 7) + 7) % 7) + 1;

/** The day so many days later, or earlier where `count` is below 0. */
export const addDays = (day: LocalDay, count: number): LocalDay => toDay(day + count);

/** So many days in a row, from `first` on. */
export const daysFrom = (first: LocalDay, count: number): readonly LocalDay[] =>
  Array.from({ length: count }, (_each, i) => addDays(first, i));

/** The first of some days. Throws `Defect` where there are none. */
export const earliestOf = (days: Iterable<LocalDay>): LocalDay => toDay(Math.min(...days));
/** The last of some days. Throws `Defect` where there are none. */
export const latestOf = (days: Iterable<LocalDay>): LocalDay => toDay(Math.max(...days));

/** The Monday on which the day's week begins, as ISO 8601 has it. */
export const mondayOf = (day: LocalDay): LocalDay => addDays(day, 1 - weekdayOf(day));

/** The ISO 8601 week that a day lies in: the first of a year is the one with its first Thursday. */
export function weekOf(day: LocalDay): number {
  const thursday = addDays(mondayOf(day), 3);
  const year = new Date(thursday * MS_PER_DAY).getUTCFullYear();
  return Math.floor((thursday - Date.UTC(year, 0, 1) / MS_PER_DAY) / 7) + 1;
}

/** The same day so many months later, or earlier; where that month has no such day, its last one. */
export function addMonths(day: LocalDay, count: number): LocalDay {
  const date = new Date(day * MS_PER_DAY);
  const [year, month] = [date.getUTCFullYear(), date.getUTCMonth() + count];
  const last = new Date(Date.UTC(year, month + 1, 0)).getUTCDate();
  return toDay(Date.UTC(year, month, Math.min(date.getUTCDate(), last)) / MS_PER_DAY);
}

/** The calendar year of a day. */
export const calendarYear = (day: LocalDay): number => Number(formatDay(day).slice(0, 4));

/** The first of January of a year. */
export const firstDayOfYear = (year: number): LocalDay =>
  toDay(Math.round(Date.UTC(year, 0, 1) / MS_PER_DAY));
