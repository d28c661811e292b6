import { Defect } from '@wergon/core/result';
import { parseDay, parseInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';

/** Reads an instant of stored JSON, which this server wrote. Throws `Defect` on anything else. */
export function readInstant(text: string): Instant {
  const parsed = parseInstant(text);
  if (!parsed.ok) throw new Defect(`stored instant: ${text}`);
  return parsed.value;
}

/** Reads a day of stored JSON, which this server wrote. Throws `Defect` on anything else. */
export function readDay(text: string): LocalDay {
  const parsed = parseDay(text);
  if (!parsed.ok) throw new Defect(`stored day: ${text}`);
  return parsed.value;
}
