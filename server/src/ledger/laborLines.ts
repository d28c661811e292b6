import { allocateStint, sumLines } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { addDays, earliestOf, latestOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { findClosedUntil, markUnsettled } from './decisionRows.ts';
import { keepParts } from './lineParts.ts';
import { loadPremiumsOf, loadTrueUps } from './payRows.ts';
import { costingOf, loadSetCosts } from './setCosts.ts';
import { loadHoursOf, loadStints } from './timelineRows.ts';
import type { Used } from './usedTime.ts';

/** So many days before the calendar day of its labor a shift can have begun. */
export const SHIFT_BEGINS = [0, 1, 2];

/** The days whose shifts labor of some calendar days can belong to. */
export const shiftDaysOf = (days: Iterable<LocalDay>): ReadonlySet<LocalDay> =>
  new Set([...days].flatMap((day) => SHIFT_BEGINS.map((back) => addDays(day, -back))));

/** Sums a technician's labor lines of some days anew, from ended stints and entered hours; gives what they are on, and
 *  what they were on before. */
export function deriveLines(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  days: ReadonlySet<LocalDay>,
): { readonly before: readonly Used[]; readonly after: readonly Used[] } {
  if (days.size === 0) return { before: [], after: [] };
  const first = earliestOf(days);
  const last = latestOf(days);
  const stints = loadStints(sql, {
    technician,
    from: facts.zone.startOf(first),
    to: facts.zone.startOf(addDays(last, 1)),
  });
  const pieces = stints.flatMap((stint) => allocateStint(stint, facts)).filter(({ day }) => days.has(day));
  const hours = loadHoursOf(sql, technician, first, last).filter(({ day }) => days.has(day));
  const lines = sumLines(
    pieces,
    hours,
    costingOf(
      facts,
      technician,
      loadSetCosts(sql, first, last, technician),
      loadPremiumsOf(sql, technician, first, last),
      loadTrueUps(sql, technician, first, last),
    ),
  );
  const before = [...days].flatMap((day) =>
    sql.all<Used>(
      `delete from "labor_line" where "technician" = ? and "day" = ? returning "target", "work_type",
         "measured_seconds" + "shared_seconds" + "entered_seconds" as "seconds"`,
      [technician, day],
    ),
  );
  keepParts(sql, technician, days, pieces);
  const closedUntil = findClosedUntil(sql);
  if (closedUntil !== null) {
    markUnsettled(
      sql,
      [...shiftDaysOf(days)].filter((day) => day <= closedUntil).map((day) => ({ technician, day })),
    );
  }
  sql.insert(
    'labor_line',
    lines.map((line) => ({
      technician,
      day: line.day,
      target: line.target,
      work_type: line.workType,
      measured_seconds: line.measuredSeconds,
      shared_seconds: line.sharedSeconds,
      entered_seconds: line.enteredSeconds,
      cost: line.cost,
      premium: line.premium ?? 0,
      true_up: line.trueUp ?? 0,
    })),
  );
  return {
    before,
    after: lines.map(({ target, workType, seconds }) => ({ target, work_type: workType, seconds })),
  };
}
