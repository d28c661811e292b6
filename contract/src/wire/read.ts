import { Defect } from '@wergon/core/result';
import { parseDay, parseInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';

/** Reads an instant that our own server wrote. Throws `Defect` on anything else. */
export function readInstant(text: string): Instant {
  const parsed = parseInstant(text);
  if (!parsed.ok) throw new Defect(`instant from the server: ${text}`);
  return parsed.value;
}

/** Reads a day that our own server wrote. Throws `Defect` on anything else. */
export function readDay(text: string): LocalDay {
  const parsed = parseDay(text);
  if (!parsed.ok) throw new Defect(`day from the server: ${text}`);
  return parsed.value;
}
