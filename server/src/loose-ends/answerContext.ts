import { inOrderOfTime } from '@wergon/core/ledger';
import type { EntryId, LaborEntry, LooseEnd, TargetId } from '@wergon/core/ledger';
import { plannedOn, plannedSpan } from '@wergon/core/people';
import type { TechnicianId, WorkPattern } from '@wergon/core/people';
import type { Surroundings } from '@wergon/core/loose-ends';
import { addDays, inForceAt, toDay, toInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import { loadPersonTimeline, readLaborEntry } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';

/** Days on both sides of a loose end that its answers may need to know. */
const DAYS_AROUND = 2;

/** What is planned, and what people have said: read once for all loose ends of a page. */
export type Plans = {
  readonly patterns: ReadonlyMap<string, readonly WorkPattern[]>;
  readonly proposals: ReadonlyMap<EntryId, Instant>;
};

type Timed = Exclude<LaborEntry, { type: 'hours' }>;

/** What a person did in some days: entries that count, by time, and stints. */
type Days = Pick<Surroundings, 'own' | 'stints'>;

/** Reads stretches of days of one person, each of them once: a bad day has many loose ends. */
export function readDaysOf(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  now: Instant,
): (first: LocalDay, last: LocalDay) => Days {
  const known = new Map<string, Days>();
  const read = (first: LocalDay, last: LocalDay): Days => {
    const own = sql
      .all<{ body: string }>(
        `select "body" from "effective_entry" where "technician" = ? and "day" between ? and ? order by "seq"`,
        [technician, first, last],
      )
      .map(({ body }) => readLaborEntry(body));
    const span = { from: facts.zone.startOf(first), to: facts.zone.startOf(addDays(last, 1)) };
    return {
      own: [
        ...inOrderOfTime(own.filter((entry): entry is Timed => entry.type !== 'hours')),
        ...own.filter(({ type }) => type === 'hours'),
      ],
      stints: loadPersonTimeline(sql, facts, technician, span, now).stints,
    };
  };
  return (first, last) => {
    const key = `${first} ${last}`;
    const days = known.get(key) ?? read(first, last);
    known.set(key, days);
    return days;
  };
}

/** Reads what is known around a loose end of a person. */
export function loadSurroundings(
  sql: Sql,
  facts: ShopFacts,
  { patterns, proposals }: Plans,
  end: LooseEnd & { readonly technician: TechnicianId },
  now: Instant,
  daysOf = readDaysOf(sql, facts, end.technician, now),
): Surroundings {
  const { zone } = facts;
  const from = end.from ?? now;
  const day = zone.dayAt(from);
  const first = addDays(day, -DAYS_AROUND);
  const last = addDays(zone.dayAt(end.to ?? from), DAYS_AROUND);
  const { own, stints } = daysOf(first, last);
  const planned = plannedOn(patterns.get(end.technician) ?? [], false, undefined, day);
  const plan = planned.kind === 'work' ? planned.plan : undefined;
  const span = plan && plannedSpan(zone, day, plan);
  const proposed = end.entries.map((id) => proposals.get(id)).find((ended) => ended !== undefined);
  return {
    policy: inForceAt(facts.policy, from),
    proposed: proposed ?? null,
    plannedStart: span?.from ?? null,
    plannedEnd: span?.to ?? null,
    plannedBreakSeconds: plan ? plan.breakMinutes * 60 : null,
    lastOnTask: end.kind === 'forgotten-stop' ? findLastOnTask(sql, end, stints) : null,
    doneAt: end.target === undefined ? null : findDoneAt(sql, end.target, from),
    own,
    stints,
  };
}

/** When anybody else last ended work on what ran, while it ran. */
function findLastOnTask(
  sql: Sql,
  { technician, from, to, entries }: LooseEnd,
  stints: Surroundings['stints'],
): Instant | null {
  const running = stints.find(({ opened }) => opened === entries[0])?.running ?? [];
  const instants = running.flatMap(({ target }) => {
    const [row] = sql.all<{ at: Instant | null }>(
      `select max("to_at") as "at" from "stint"
       where "to_at" > ? and "to_at" < ? and "technician" <> ? and "running" like ?`,
      [from ?? 0, to ?? 0, technician ?? '', `%"${target}"%`],
    );
    return row?.at ?? [];
  });
  return instants.length === 0 ? null : toInstant(Math.max(...instants));
}

/** When a task was last said to be finished before an instant. */
function findDoneAt(sql: Sql, target: TargetId, before: Instant): Instant | null {
  const [row] = sql.all<{ at: Instant | null }>(
    'select max("at") as "at" from "task_mark" where "target" = ? and "at" <= ? and "is_done"',
    [target, before],
  );
  return row?.at ?? null;
}

/** Patterns by technician, as they are kept. */
export const patternsOf = (
  rows: readonly {
    readonly technician: string;
    readonly fromDay: number;
    readonly weeks: WorkPattern['weeks'];
  }[],
): Plans['patterns'] => {
  const byTechnician = new Map<string, WorkPattern[]>();
  for (const { technician, fromDay, weeks } of rows)
    byTechnician.set(technician, [...(byTechnician.get(technician) ?? []), { from: toDay(fromDay), weeks }]);
  return byTechnician;
};
