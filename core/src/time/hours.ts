import { toSeconds } from './seconds.ts';
import type { Seconds } from './seconds.ts';

/** How a viewer wants to read lengths: `6:45:30`, `6:45`, or decimal `6.75`. */
export const HOURS_STYLES = ['h:mm', 'h:mm:ss', 'decimal'] as const;
export type HoursStyle = (typeof HOURS_STYLES)[number];

/** Whole hours, minutes and seconds of a length; its sign is dropped. */
export function splitHours(length: Seconds): { hours: number; minutes: number; seconds: number } {
  const whole = Math.abs(length);
  return { hours: Math.floor(whole / 3600), minutes: Math.floor(whole / 60) % 60, seconds: whole % 60 };
}

/** Writes a length for people. On a clock what does not fit is cut off, so a total never shows less than the rows
 *  above it; decimals are rounded to hundredths, half away from zero. Source: docs/ledger.md, section 6. */
export function formatHours(length: Seconds, style: HoursStyle): string {
  const sign = length < 0 ? '−' : '';
  const { hours, minutes, seconds } = splitHours(length);
  const two = (count: number) => String(count).padStart(2, '0');
  switch (style) {
    case 'h:mm:ss':
      return `${sign}${hours}:${two(minutes)}:${two(seconds)}`;
    case 'h:mm':
      return `${sign}${hours}:${two(minutes)}`;
    case 'decimal': {
      const hundredths = Math.floor((Math.abs(length) + 18) / 36);
      return `${sign}${Math.floor(hundredths / 100)}.${two(hundredths % 100)}`;
    }
  }
}

/** Writes what is left of an estimate. On a clock without seconds it is rounded up to the minute, so that used and left
 *  make the estimate again. Source: docs/ledger.md, section 6. */
export const formatLeft = (length: Seconds, style: HoursStyle): string =>
  formatHours(style === 'h:mm' ? toSeconds(Math.ceil(length / 60) * 60) : length, style);

/** Reads a length as a hand writes it: `1:30`, `1.5`, `1,5`, `2`, or `0:45:30`. Seconds, cut off; absent for anything
 *  else. A dot or comma is decimal, a colon parts hours from minutes. */
export function parseHours(text: string): Seconds | undefined {
  const clock = /^(\d{1,3}):([0-5]\d)(?::([0-5]\d))?$/.exec(text.trim());
  if (clock) return toSeconds(Number(clock[1]) * 3600 + Number(clock[2]) * 60 + Number(clock[3] ?? 0));
  const decimal = /^(\d{0,3})(?:[.,](\d{1,4}))?$/.exec(text.trim());
  if (!decimal || (decimal[1] === '' && decimal[2] === undefined)) return undefined;
  const [whole = '', part = ''] = decimal.slice(1);
  // Counted in ten-thousandths of an hour: floating point would turn 0.7 into a second less.
  const share = Number(whole || '0') * 10_000 + Number(part.padEnd(4, '0'));
  return toSeconds(Math.floor((share * 3600) / 10_000));
}

/** Less than a minute is said to be nothing: what is past an estimate or above attended time only by seconds is not past it.
 *  Source: docs/ledger.md, section 6. */
export const isSaidLength = (seconds: number): boolean => seconds >= 60;
