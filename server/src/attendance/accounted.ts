import type { AccountedJson } from '@wergon/contract/attendance';
import { accountPerson, sumPeople } from '@wergon/core/attendance';
import { chargeDays, deriveAttendance, sumAccounted, sumEntered } from '@wergon/core/ledger';
import { groupBy, ok } from '@wergon/core/result';
import { addDays, sumSeconds, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { loadHours, loadTimelines } from '../ledger/index.ts';
import { unapprovedByPerson } from '../approval/index.ts';
import { loadPlans } from '../people/index.ts';
import type { Plans } from '../people/index.ts';
import type { ShopFacts } from '../catalog/index.ts';

/** Days that are told when nobody says which. */
const DAYS = 7;

type Person = AccountedJson['people'][number];
type Parts = AccountedJson['total'];

/** Whether every paid minute has found its work. Source: docs/ledger.md, section 7. */
export function mountAccounted(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('accounted', async ({ query, who }) => {
    const known = await facts.seenBy(who.user);
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
  const hours = groupBy(loadHours(sql, firstDay, lastDay), (entry) => entry.technician);
  const timelines = loadTimelines(sql, facts, span, now);
  const unapproved = unapprovedByPerson(sql, facts, firstDay, lastDay, now);
  return [...facts.technicians.values()].flatMap(({ id, name, department, billedSeconds }) => {
    const technician = id;
    const { stints = [], shifts = [], breaks = [] } = timelines.get(technician) ?? {};
    const own = hours.get(technician) ?? [];
    const days = deriveAttendance(
      { technician, stints, shifts, breaks, enteredByDay: sumEntered(own) },
      facts,
    ).days.filter(({ day }) => day >= firstDay && day <= lastDay);
    if (days.length === 0) return [];
    const parts = accountPerson(days, chargeDays(stints, own, facts), { breaks, span }, (target) =>
      facts.tasks.has(target),
    );
    const { activities, jobSecondsOn, ...accounted } = parts;
    return {
      technician: id,
      name,
      department,
      ...accounted,
      unapprovedSeconds: toSeconds(unapproved.get(technician) ?? 0),
      activities: activities.map(({ target, seconds }) => ({
        title: facts.activities.get(target)?.title ?? '',
        seconds,
      })),
      days: days.map((day) => ({
        day: day.day,
        attendedSeconds: day.attendedSeconds,
        chargedSeconds: day.chargedSeconds,
        jobSeconds: jobSecondsOn.get(day.day) ?? toSeconds(0),
        expectedSeconds: plans(id, day.day).plan ? toSeconds(billedSeconds ?? 0) : toSeconds(0),
        unaccountedSeconds: sumAccounted([day]).unaccountedSeconds,
      })),
    };
  });
}

const sumParts = (people: readonly Person[]): Parts => ({
  ...sumPeople(people),
  unapprovedSeconds: sumSeconds(people.map(({ unapprovedSeconds: seconds }) => ({ seconds }))),
});
