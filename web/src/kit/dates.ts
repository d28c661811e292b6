import { formatDay, parseDay, toDay } from '@wergon/core/time';
import { currentLanguage, currentLocale } from '../words/index.ts';
import type { Instant, LocalDay, Zone } from '@wergon/core/time';

/** Days as they are written in the language of the page: no comma between weekday and day. */
function dayFormat(
  options: Intl.DateTimeFormatOptions,
  inGerman: Intl.DateTimeFormatOptions = {},
): (day: LocalDay) => string {
  const formats = new Map<string, Intl.DateTimeFormat>();
  return (day) => {
    const locale = currentLocale();
    const own = currentLanguage() === 'de' ? { ...options, ...inGerman } : options;
    const format = formats.get(locale) ?? new Intl.DateTimeFormat(locale, { ...own, timeZone: 'UTC' });
    formats.set(locale, format);
    return format.format(new Date(`${formatDay(day)}T00:00:00Z`)).replace(',', '');
  };
}

/** The name of a weekday, short. */
export const sayWeekday = dayFormat({ weekday: 'short' });

/** The name of a weekday by its number, 1 is Monday. */
export function sayWeekdayOf(number: number): string {
  // The first Monday of 1970.
  return longWeekday(toDay(number + 3));
}
const longWeekday = dayFormat({ weekday: 'long' });

/** A month of a year, by any of its days. */
export const sayMonth = dayFormat({ month: 'long', year: 'numeric' });

/** A day as people say it, `Tue 24 Nov`. */
export const sayDay = dayFormat({ weekday: 'short', day: 'numeric', month: 'short' });

/** A day without its weekday, `24 Nov`; in German `24.11.`, which is as short. */
export const sayMonthDay = dayFormat({ day: 'numeric', month: 'short' }, { month: 'numeric' });

/** A day with its year, `Tue 24 Nov 2026`, for what is printed. */
export const sayLongDay = dayFormat({ weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' });

/** A day that may be missing as people say it; empty for none. */
export const sayDate = (day: LocalDay | null): string => (day === null ? '' : sayDay(day));

/** A day as text of the wire or of a field, as people say it; empty where it is none. */
export function sayDateText(text: string): string {
  const day = parseDay(text);
  return day.ok ? sayDay(day.value) : '';
}

/** The year of a day, `2026`. */
export const yearOf = (day: LocalDay): string => formatDay(day).slice(0, 4);

/** The wall clock of the shop at an instant, `13:37`. */
export function sayClock(zone: Zone, at: Instant): string {
  const minutes = Math.floor(zone.clockAt(at) / 60);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}

/** A day and the wall clock to the second, `Tue 24 Nov 13:37:05`. */
export function sayInstant(zone: Zone, at: Instant): string {
  const seconds = String(zone.clockAt(at) % 60).padStart(2, '0');
  return `${sayDay(zone.dayAt(at))} ${sayClock(zone, at)}:${seconds}`;
}
