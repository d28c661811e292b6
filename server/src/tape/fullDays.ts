import { chargeDays, secondsOfDay } from '@wergon/core/ledger';
import type { EntryId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { findFullDays } from '@wergon/core/timesheet';
import { addDays, formatDay } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { FieldProblem } from '@wergon/contract/wire';
import type { Sql } from '../db/index.ts';
import { loadHours, loadPersonTimeline } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';

/** A part of a row on one day, and the field that is wrong where there is too much of it. */
type Part = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
  readonly seconds: number;
  readonly field: string;
};

/** Parts that would make a day hold more than it has: stints and everything written down for it but `changed`. */
export function findFull(
  sql: Sql,
  facts: ShopFacts,
  parts: readonly Part[],
  changed: ReadonlySet<EntryId | undefined>,
  now: Instant,
): FieldProblem[] {
  const heldBefore = (technician: TechnicianId, day: LocalDay): number => {
    const span = { from: facts.zone.startOf(day), to: facts.zone.startOf(addDays(day, 1)) };
    const { stints } = loadPersonTimeline(sql, facts, technician, span, now);
    const entered = loadHours(sql, day, day).filter(
      (entry) => entry.technician === technician && !changed.has(entry.id),
    );
    return secondsOfDay(chargeDays(stints, entered, facts), day);
  };
  const lengthOf = (day: LocalDay) => facts.zone.startOf(addDays(day, 1)) - facts.zone.startOf(day);
  return findFullDays(parts, heldBefore, lengthOf).flatMap((place) => {
    const part = parts[place];
    return part
      ? {
          field: part.field,
          message: `${formatDay(part.day)} would hold more than ${lengthOf(part.day) / 3600} hours`,
        }
      : [];
  });
}
