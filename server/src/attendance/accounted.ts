import type { AccountedJson } from '@wergon/contract/attendance';
import {
  deriveAttendance,
  allocateStint,
  shareAccounted,
  sumAccounted,
  sumEntered,
} from '@wergon/core/ledger';
import type { TargetId } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import { overlapSeconds, addDays } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { loadPersonTimeline, loadHours } from '../ledger/index.ts';
import { unapprovedByPerson } from '../approval/index.ts';
import { loadPlans } from '../people/index.ts';
import type { Plans } from '../people/index.ts';
import type { ShopFacts } from '../catalog/index.ts';

/** Days that are told when nobody says which. */
const DAYS = 7;

type Person = AccountedJson['people'][number];
type Parts = AccountedJson['total'];

/** Whether every paid minute has found its work. Source: docs/ledger.md, section 7. */
export function mountAttendance(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('accounted', async ({ query }) => {
    const known = await facts.get();
    const now = clock.now();
    const lastDay = query.to ?? known.zone.dayAt(now);
    const firstDay = query.from ?? addDays(lastDay, 1 - DAYS);
    const plans = await loadPlans(database.em.fork(), firstDay, lastDay);
    const people = await readSql(database, (sql) => loadPeople(sql, known, plans, firstDay, lastDay, now));
    const departments = [...new Set(people.map(({ department }) => department))].sort();
    return ok({
      asOf: now,
      firstDay,
      lastDay,
      total: sumParts(people),
      departments: departments.map((department) => ({
        department,
        ...sumParts(people.filter((person) => person.department === department)),
      })),
      people,
    });
  });
}

function loadPeople(
  sql: Sql,
  facts: ShopFacts,
  plans: Plans,
  firstDay: LocalDay,
  lastDay: LocalDay,
  now: Instant,
): Person[] {
  const span = { from: facts.zone.startOf(firstDay), to: facts.zone.startOf(addDays(lastDay, 1)) };
  const hours = loadHours(sql, firstDay, lastDay);
  const unapproved = unapprovedByPerson(sql, facts, firstDay, lastDay, now);
  return [...facts.technicians.values()].flatMap(({ id, name, department, billedSeconds }) => {
    const technician = id;
    const { stints, shifts, breaks } = loadPersonTimeline(sql, facts, technician, span, now);
    const own = hours.filter((entry) => entry.technician === technician);
    const days = deriveAttendance(
      { technician, stints, shifts, breaks, enteredByDay: sumEntered(own) },
      facts,
    ).days.filter(({ day }) => day >= firstDay && day <= lastDay);
    if (days.length === 0) return [];
    const jobsOn = new Map<LocalDay, number>();
    const activities = new Map<TargetId, number>();
    const charge = (day: LocalDay, target: TargetId, seconds: number) => {
      if (facts.tasks.has(target)) jobsOn.set(day, (jobsOn.get(day) ?? 0) + seconds);
      else activities.set(target, (activities.get(target) ?? 0) + seconds);
    };
    for (const stint of stints)
      for (const { day, target, seconds } of allocateStint(stint, facts))
        if (day >= firstDay && day <= lastDay) charge(day, target, seconds);
    for (const { day, targets, seconds } of own)
      if (targets[0] !== undefined) charge(day, targets[0], seconds);
    const accounted = sumAccounted(days);
    const jobSeconds = [...jobsOn.values()].reduce((total, seconds) => total + seconds, 0);
    const indirectSeconds = [...activities.values()].reduce((total, seconds) => total + seconds, 0);
    return {
      technician: id,
      name,
      department,
      ...accounted,
      jobSeconds,
      indirectSeconds,
      breakSeconds: breaks.reduce((total, each) => total + overlapSeconds(each, span), 0),
      enteredSeconds: days.reduce((total, day) => total + day.enteredSeconds, 0),
      unapprovedSeconds: unapproved.get(technician) ?? 0,
      activities: [...activities]
        .map(([target, seconds]) => ({ title: facts.activities.get(target)?.title ?? '', seconds }))
        .sort((a, b) => b.seconds - a.seconds),
      days: days.map((day) => ({
        day: day.day,
        attendedSeconds: day.attendedSeconds,
        chargedSeconds: day.chargedSeconds,
        jobSeconds: jobsOn.get(day.day) ?? 0,
        expectedSeconds: plans(id, day.day).plan ? (billedSeconds ?? 0) : 0,
        unaccountedSeconds: sumAccounted([day]).unaccountedSeconds,
      })),
    };
  });
}

function sumParts(people: readonly Person[]): Parts {
  const sum = (of: (person: Person) => number) => people.reduce((total, person) => total + of(person), 0);
  const attended = sum(({ attendedSeconds }) => attendedSeconds);
  const unaccounted = sum(({ unaccountedSeconds }) => unaccountedSeconds);
  return {
    attendedSeconds: attended,
    jobSeconds: sum(({ jobSeconds }) => jobSeconds),
    indirectSeconds: sum(({ indirectSeconds }) => indirectSeconds),
    breakSeconds: sum(({ breakSeconds }) => breakSeconds),
    enteredSeconds: sum(({ enteredSeconds }) => enteredSeconds),
    unaccountedSeconds: unaccounted,
    outsideSeconds: sum(({ outsideSeconds }) => outsideSeconds),
    unapprovedSeconds: sum(({ unapprovedSeconds }) => unapprovedSeconds),
    share: shareAccounted(attended, unaccounted),
  };
}
