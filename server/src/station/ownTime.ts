import type { OwnTimeJson } from '@wergon/contract/station';
import {
  addSettled,
  deriveAttendance,
  emptyTimeline,
  chargeDays,
  settleAt,
  sumEntered,
} from '@wergon/core/ledger';
import type { TargetId } from '@wergon/core/ledger';
import { ownWeek } from '@wergon/core/attendance';
import type { TechnicianId } from '@wergon/core/people';
import { mondayOf, addDays } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { ok } from '@wergon/core/result';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import type { StationContext } from './context.ts';
import { findToConfirm, writeToConfirm } from './confirm.ts';
import { loadHours, loadPresence, findState, loadStints } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';

const WEEK = 7;

/** One technician's own week up to now, day by day: attended, charged, and on what. */
function loadOwnTime(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  now: Instant,
): Omit<OwnTimeJson, 'toConfirm'> {
  const today = facts.zone.dayAt(now);
  const first = mondayOf(today);
  const asked = {
    technician,
    from: facts.zone.startOf(first),
    to: facts.zone.startOf(addDays(first, WEEK)),
  };
  const tail = emptyTimeline();
  const state = findState(sql, technician);
  if (state) addSettled(tail, settleAt(technician, state, now, facts.policy).settled);
  const stints = [...loadStints(sql, asked), ...tail.stints];
  const hours = loadHours(sql, first, today).filter((entry) => entry.technician === technician);
  const { days } = deriveAttendance(
    {
      technician,
      stints,
      shifts: [...loadPresence(sql, 'shift', asked), ...tail.shifts],
      breaks: [...loadPresence(sql, 'break', asked), ...tail.breaks],
      enteredByDay: sumEntered(hours),
    },
    facts,
  );
  const titleOf = (target: TargetId) => {
    const task = facts.tasks.get(target);
    const order = task && facts.orders.get(task.order);
    return { title: task?.title ?? facts.activities.get(target)?.title ?? '', order: order?.number ?? '' };
  };
  const week = ownWeek(today, days, chargeDays(stints, hours, facts)).map(({ lines, ...day }) => ({
    ...day,
    lines: lines.map(({ target, seconds }) => ({ ...titleOf(target), seconds })),
  }));
  return {
    weekAttendedSeconds: week.reduce((sum, { attendedSeconds }) => sum + attendedSeconds, 0),
    weekChargedSeconds: week.reduce((sum, { chargedSeconds }) => sum + chargedSeconds, 0),
    days: week,
  };
}

/** The route by which somebody who has proved at a station who they are sees their own week. */
export function mountOwnTime(mount: Mount, { database, clock, facts, proofs }: StationContext): void {
  mount('ownTime', async ({ body: { technician, proof }, who }) => {
    const known = await facts.get();
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    if (!proofs.holds(proof, who.station.id, technician)) return refuse('access.not_proved');
    const now = clock.now();
    return ok(
      await readSql(database, (sql) => ({
        ...loadOwnTime(sql, known, technician, now),
        toConfirm: findToConfirm(sql, known, technician, now).map(writeToConfirm),
      })),
    );
  });
}
