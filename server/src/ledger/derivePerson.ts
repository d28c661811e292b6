import type { TechnicianId } from '@wergon/core/people';
import { toDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { deriveLines } from './laborLines.ts';
import { keepPay } from './payDays.ts';
import { loadPaidFrom } from './payRows.ts';
import { deriveDays } from './personDays.ts';

/** Derives all days of a technician anew, or those from a day on, and the lines that come of them; gives what the lines
 *  are on, and what they were on before. */
export function derivePersonAnew(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  from: LocalDay = ALL_DAYS,
): ReturnType<typeof deriveLines> {
  const days = sql.all<{ day: LocalDay; type: string }>(
    `select distinct "day", "type" = 'hours' as "type" from "effective_entry" where "technician" = ? and "day" >= ?`,
    [technician, from],
  );
  const timed = days.filter(({ type }) => Number(type) === 0).map(({ day }) => day);
  const written = days.filter(({ type }) => Number(type) === 1).map(({ day }) => day);
  const changed = { lines: new Set(written), shifts: new Set(written) };
  if (timed.length > 0) deriveDays(sql, facts, technician, new Set(timed), changed);
  // What was kept of how they are paid may hold no longer, even of days without labor.
  for (const day of loadPaidFrom(sql, technician, from)) changed.shifts.add(day);
  keepPay(sql, facts, technician, changed.shifts, changed.lines);
  return deriveLines(sql, facts, technician, changed.lines);
}

/** Before any day that there is. */
const ALL_DAYS = toDay(Number.MIN_SAFE_INTEGER);
