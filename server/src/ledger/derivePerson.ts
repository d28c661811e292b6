import type { TechnicianId } from '@wergon/core/people';
import type { LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { deriveLines } from './laborLines.ts';
import { deriveDays } from './personDays.ts';

/** Derives all days of a technician anew, or those from a day on, and the lines that come of them; gives what the lines
 *  are on, and what they were on before. */
export function derivePersonAnew(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  from: LocalDay | typeof ALL_DAYS = ALL_DAYS,
): ReturnType<typeof deriveLines> {
  const days = sql.all<{ day: LocalDay; type: string }>(
    `select distinct "day", "type" = 'hours' as "type" from "effective_entry" where "technician" = ? and "day" >= ?`,
    [technician, from],
  );
  const timed = days.filter(({ type }) => Number(type) === 0).map(({ day }) => day);
  const lineDays = new Set(days.filter(({ type }) => Number(type) === 1).map(({ day }) => day));
  if (timed.length > 0) deriveDays(sql, facts, technician, new Set(timed), lineDays);
  return deriveLines(sql, facts, technician, lineDays);
}

/** Before any day that there is. */
const ALL_DAYS = Number.MIN_SAFE_INTEGER;
