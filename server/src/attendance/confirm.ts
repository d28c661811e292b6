import { ok } from '@wergon/core/result';
import type { TechnicianId } from '@wergon/core/people';
import { addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Clock } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import type { Sql } from '../db/index.ts';
import { loadShiftDays, writeDecision } from '../ledger/index.ts';
import type { Decide, ShiftDay } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { settingsOf } from '../shop/index.ts';

/** So far back a technician is asked about their own days. */
const DAYS_BACK = 14;

/** Shift days that a technician is asked to confirm, if the shop wants that: over, and not confirmed as they are. */
export function findToConfirm(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  now: Instant,
): ShiftDay[] {
  if (!settingsOf(facts.shop).pay.isConfirmed) return [];
  const today = facts.zone.dayAt(now);
  const asked = {
    firstDay: addDays(today, -DAYS_BACK),
    lastDay: addDays(today, -1),
    people: [technician],
  };
  return loadShiftDays(sql, facts, asked, now).filter(({ isOpen, isConfirmed }) => !isOpen && !isConfirmed);
}

/** What is told of such a day. */
export const writeToConfirm = ({ day, stamp, attendedSeconds, chargedSeconds }: ShiftDay) => ({
  day,
  stamp,
  attendedSeconds,
  chargedSeconds,
});

/** A technician says of their own days that they are right, as they saw them. */
export const confirmDays =
  (
    technician: TechnicianId,
    days: readonly { readonly day: LocalDay; readonly stamp: string }[],
    clock: Clock,
  ): Decide =>
  (sql, facts) => {
    const now = clock.now();
    const name = facts.technicians.get(technician)?.name;
    const waiting = findToConfirm(sql, facts, technician, now);
    const seen = days.map(({ day, stamp }) =>
      waiting.find((each) => each.day === day && each.stamp === stamp),
    );
    if (name === undefined || seen.some((day) => !day)) return refuse('approve.changed');
    return ok(
      seen.flatMap((each) =>
        each
          ? writeDecision({ type: 'confirm', technician, day: each.day, facts: each.facts, by: name }, now)
          : [],
      ),
    );
  };
