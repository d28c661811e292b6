import { toSeconds } from './seconds.ts';
import type { Seconds } from './seconds.ts';

/** How a viewer wants to read lengths: `6:45:30`, `6:45`, or decimal `6.75`. */
export type HoursStyle = 'h:mm:ss' | 'h:mm' | 'decimal';

/** Whole hours, minutes and seconds of a length; its sign is dropped. */
export function splitHours(length: Seconds): { hours: number; minutes: number; seconds: number } {
  const whole = Math.abs(length);
  return { hours: Math.floor(whole / 3600), minutes: Math.floor(whole / 60) % 60, seconds: whole % 60 };
}

/** Writes a length for people. What does not fit is cut off, never rounded, so a total never shows less than
 *  the rows above it. Source: docs/ledger.md, section 6, display. */
export function formatHours(length: Seconds, style: HoursStyle): string {
  const sign = length < 0 ? '−' : '';
  const { hours, minutes, seconds } = splitHours(length);
  const two = (count: number) => String(count).padStart(2, '0');
  switch (style) {
    case 'h:mm:ss':
      return `${sign}${hours}:${two(minutes)}:${two(seconds)}`;
    case 'h:mm':
      return `${sign}${hours}:${two(minutes)}`;
    case 'decimal':
      return `${sign}${hours}.${two(Math.floor(((minutes * 60 + seconds) * 100) / 3600))}`;
  }
}

/** Whole hours as a length. */
export const secondsOfHours = (hours: number): Seconds => toSeconds(hours * 3600);
