import type { ComparedPerson } from '@wergon/contract/compare';
import { earnedOf, efficiencyOf, expectedSeconds } from '@wergon/core/compare';
import type { Earned } from '@wergon/core/compare';
import { deriveAttendance, sumEntered } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { groupBy, ok } from '@wergon/core/result';
import { daysFrom, sumSeconds, toSeconds } from '@wergon/core/time';
import type { Days, Instant, LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../../catalog/index.ts';
import { readSql } from '../../db/index.ts';
import type { Sql } from '../../db/index.ts';
import type { Mount } from '../../http/index.ts';
import { loadHours, loadRunning, loadTimelines, loadUsedByPeople } from '../../ledger/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';
import { loadPlans } from '../../people/index.ts';
import type { Plans, Technician } from '../../people/index.ts';
import { loadFinishedTasks } from './finishedTasks.ts';
import { spanOf } from './jobs.ts';

/** What people did in a period, and what they earned. Source: docs/compare.md, section 4. */
export function mountComparedPeople(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('comparedPeople', async ({ query: { from, to, technician }, who }) => {
    const known = await facts.seenBy(who.user);
    const now = clock.now();
    const days = { firstDay: from, lastDay: to };
    const plans = await loadPlans(database.em.fork(), from, to);
    return readSql(database, (sql) => {
      const tasks = loadFinishedTasks(sql, known, days, now);
      const earned = byPerson(earnedOf(tasks));
      const asked = [...known.technicians.values()].filter(
        ({ id }) => technician === undefined || id === technician,
      );
      return ok({
        asOf: now,
        firstDay: from,
        lastDay: to,
        shop: efficiencyOf(tasks),
        people: loadPeople(sql, known, plans, days, now, asked, earned),
        // Of those alone who may be told of.
        tasks: (technician === undefined ? [] : asked)
          .flatMap(({ id }) => earned.get(id) ?? [])
          .flatMap((each) => writeTask(known, each)),
      });
    });
  });
}

/** Items by whose they are. */
const byPerson = <Item extends { readonly technician: TechnicianId }>(items: readonly Item[]) =>
  groupBy(items, ({ technician }) => technician);

function loadPeople(
  sql: Sql,
  facts: ShopFacts,
  plans: Plans,
  days: Days,
  now: Instant,
  asked: readonly Technician[],
  earnedBy: ReadonlyMap<TechnicianId, readonly Earned[]>,
): ComparedPerson[] {
  const span = spanOf(facts, days);
  const isAsked = (day: LocalDay) => day >= days.firstDay && day <= days.lastDay;
  const hours = byPerson(loadHours(sql, days.firstDay, days.lastDay));
  const used = byPerson([
    ...loadUsedByPeople(sql, days.firstDay, days.lastDay),
    ...loadRunning(sql, facts, now).filter(({ day }) => isAsked(day)),
  ]);
  const today = facts.zone.dayAt(now);
  const timelines = loadTimelines(sql, facts, span, now);
  return asked.flatMap((person) => {
    const { stints = [], shifts = [], breaks = [] } = timelines.get(person.id) ?? {};
    const own = used.get(person.id) ?? [];
    const earned = earnedBy.get(person.id) ?? [];
    if (stints.length + shifts.length + own.length + earned.length === 0) return [];
    const attended = deriveAttendance(
      {
        technician: person.id,
        stints,
        shifts,
        breaks,
        enteredByDay: sumEntered(hours.get(person.id) ?? []),
      },
      facts,
    ).days.filter(({ day }) => isAsked(day));
    return [
      {
        technician: person.id,
        name: person.name,
        department: person.department,
        crew: person.crew,
        attendedSeconds: sumSeconds(attended.map(({ attendedSeconds: seconds }) => ({ seconds }))),
        jobSeconds: sumSeconds(own.filter(({ target }) => facts.tasks.has(target))),
        indirectSeconds: sumSeconds(
          own.filter(({ target }) => facts.targets.get(target)?.kind === 'activity'),
        ),
        expectedSeconds: expectedSeconds(
          toSeconds(person.billedSeconds ?? 0),
          daysFrom(days.firstDay, days.lastDay - days.firstDay + 1),
          today,
          (day) => plans(person.id, day).plan !== undefined,
        ),
        ...sumEarned(earned),
      },
    ];
  });
}

const sumEarned = (earned: readonly Earned[]) => {
  const sum = (of: (each: Earned) => number) =>
    toSeconds(earned.reduce((total, each) => total + of(each), 0));
  return {
    earnedSeconds: sum(({ earnedSeconds }) => earnedSeconds),
    ownSeconds: sum(({ ownSeconds }) => ownSeconds),
    measuredSeconds: sum(({ measuredSeconds }) => measuredSeconds),
  };
};

function writeTask(facts: ShopFacts, { target, earnedSeconds, ownSeconds, measuredSeconds }: Earned) {
  const task = facts.tasks.get(target);
  const order = task && facts.orders.get(task.order);
  if (!order) return [];
  return [
    {
      target,
      title: task.title,
      order: order.id,
      orderNumber: order.number,
      estimatedSeconds: task.estimate.at(-1)?.value ?? toSeconds(0),
      earnedSeconds,
      ownSeconds,
      measuredSeconds,
    },
  ];
}
