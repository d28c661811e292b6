import type { WeekJson } from '@wergon/contract/timesheet';
import { deriveAttendance, sumEntered } from '@wergon/core/ledger';
import { joinRows, secondsOfCell, secondsOfCells, weekRows } from '@wergon/core/timesheet';
import type { TechnicianId } from '@wergon/core/people';
import { itemAt, ok } from '@wergon/core/result';
import { mondayOf, addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { mayCorrect } from '../access/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import {
  findClosedUntil,
  loadPersonTimeline,
  loadHours,
  loadShiftDays,
  loadStages,
} from '../ledger/index.ts';
import { loadPlans } from '../people/index.ts';
import type { Plans } from '../people/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { titleOf } from '../catalog/index.ts';
import { sourceOfCells } from './sourceOfCells.ts';

const WEEK = 7;

/** A person's week, as it can be read and written at the desk. */
export function mountWeek(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('week', async ({ query: { technician, day }, who }) => {
    const known = await facts.get();
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    const monday = mondayOf(day);
    const plans = await loadPlans(database.em.fork(), monday, addDays(monday, WEEK - 1));
    const seesAbsences = who.rights.has('people.see');
    const week = await readSql(database, (sql) =>
      loadWeek(sql, known, plans, technician, monday, clock.now(), seesAbsences),
    );
    return ok({ ...week, mayCorrect: mayCorrect(who, known, technician) });
  });
}

/** Why somebody is away is for who may see absences; that the shop is closed, for everybody. */
const sayAbsence = (absence: string | undefined, isSeen: boolean): string | null =>
  absence === undefined ? null : isSeen || absence === 'closed' ? absence : 'away';

function loadWeek(
  sql: Sql,
  facts: ShopFacts,
  plans: Plans,
  technician: TechnicianId,
  monday: LocalDay,
  now: Instant,
  seesAbsences: boolean,
): Omit<WeekJson, 'mayCorrect'> {
  const days = Array.from({ length: WEEK }, (_, i) => addDays(monday, i));
  const sunday = addDays(monday, WEEK - 1);
  const span = { from: facts.zone.startOf(monday), to: facts.zone.startOf(addDays(sunday, 1)) };
  const { stints, shifts, breaks } = loadPersonTimeline(sql, facts, technician, span, now);
  const hours = loadHours(sql, monday, sunday).filter((entry) => entry.technician === technician);
  const attendance = deriveAttendance(
    { technician, stints, shifts, breaks, enteredByDay: sumEntered(hours) },
    facts,
  ).days;

  const withSource = sourceOfCells(sql, facts, monday);
  const rows = weekRows(monday, stints, hours, facts);
  const sums = joinRows(monday, rows);
  const today = facts.zone.dayAt(now);
  const closedUntil = findClosedUntil(sql);
  const states = loadShiftDays(sql, facts, { firstDay: monday, lastDay: sunday, people: [technician] }, now);
  const [last] = sql.all<{ day: LocalDay | null }>(
    'select max("day") as "day" from "effective_entry" where "technician" = ? and "day" < ?',
    [technician, monday],
  );
  return {
    asOf: now,
    technician,
    name: facts.technicians.get(technician)?.name ?? '',
    days: days.map((day, i) => {
      const { seconds, absence } = plans(technician, day);
      const shift = states.find((each) => each.day === day);
      return {
        day,
        plannedSeconds: seconds,
        attendedSeconds: attendance.find((each) => each.day === day)?.attendedSeconds ?? 0,
        absence: sayAbsence(absence, seesAbsences),
        isClosed: closedUntil !== null && day <= closedUntil,
        isFuture: day > today,
        totalSeconds: secondsOfCell(itemAt(sums, i)),
        overtimeSeconds: shift ? shift.classes.overtime + shift.classes.double : 0,
        state: shift?.state ?? 'open',
      };
    }),
    rows: rows.map(({ target, workType, cells }) => ({
      target,
      workType,
      title: titleOf(facts, target),
      isTask: facts.tasks.has(target),
      cells: cells.map(withSource),
      totalSeconds: secondsOfCells(cells),
    })),
    stages: days.includes(today) ? [...(loadStages(sql, facts, [technician]).get(technician) ?? [])] : [],
    lastDay: last?.day ?? null,
  };
}
