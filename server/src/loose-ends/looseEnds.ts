import { addDays } from '@wergon/core/time';
import {
  deriveAttendance,
  deriveFinished,
  findNotReleased,
  findIdleCosts,
  findWithoutRate,
  allocateStint,
  sumEntered,
  isTaskEntry,
  sumLines,
} from '@wergon/core/ledger';
import type { EntryId, LooseEnd, LooseEndKind } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { isAnsweredByRule, withoutAccepted } from '@wergon/core/loose-ends';
import type { Instant, LocalDay, Seconds } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import {
  costingOf,
  loadIdleSplits,
  loadPersonTimeline,
  loadHours,
  loadSetCosts,
  acceptedFacts,
  loadAccepted,
  readLaborEntry,
} from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { settingsOf } from '../shop/index.ts';

/** How far back the queue goes unless somebody asks for more, in days; the rail counts as many. */
export const RECONCILE_DAYS = 14;

/** Days before the asked ones that are read along, so that what began earlier is seen whole. */
const DAYS_BEFORE = 3;

/** A loose end with the local day it belongs to. */
export type DatedLooseEnd = LooseEnd & { readonly day: LocalDay };

const dayOf = (end: LooseEnd, { zone }: ShopFacts): LocalDay | undefined =>
  end.day ?? (end.from === undefined ? undefined : zone.dayAt(end.from));

/** Everything that a person must decide on in a stretch of days, those born of passing time with it, newest first. */
export function findOpenLooseEnds(
  sql: Sql,
  facts: ShopFacts,
  firstDay: LocalDay,
  lastDay: LocalDay,
  now: Instant,
): DatedLooseEnd[] {
  return keepOpen(sql, facts, findLooseEnds(sql, facts, firstDay, lastDay, now));
}

/** Without those that were accepted as they are, and those that the shop's rule answers. */
export function keepOpen<End extends DatedLooseEnd>(sql: Sql, facts: ShopFacts, ends: readonly End[]): End[] {
  const shortest = settingsOf(facts.shop).reconcile.answeredGapMinutes * 60;
  return withoutAccepted(ends, acceptedFacts(loadAccepted(sql))).filter(
    (end) => !isAnsweredByRule(end, shortest),
  );
}

/** All loose ends of a stretch of days, those that were accepted as they are with them; of some people or of all. */
export function findLooseEnds(
  sql: Sql,
  facts: ShopFacts,
  firstDay: LocalDay,
  lastDay: LocalDay,
  now: Instant,
  of: Iterable<TechnicianId> = facts.technicians.keys(),
): DatedLooseEnd[] {
  const people = new Set(of);
  const found: LooseEnd[] = [
    ...loadStored(sql, firstDay, lastDay),
    ...findByTime(sql, facts, firstDay, lastDay, now, people),
    ...findAfterDone(sql, facts, firstDay, lastDay, people),
    ...loadIdleSplits(sql, firstDay, lastDay),
  ];
  const isAll = people.size === facts.technicians.size;
  return found
    .filter(({ technician }) => (technician === undefined ? isAll : people.has(technician)))
    .flatMap((end) => {
      const day = dayOf(end, facts);
      return day !== undefined && day >= firstDay && day <= lastDay ? [{ ...end, day }] : [];
    })
    .sort((a, b) => b.day - a.day || (b.from ?? 0) - (a.from ?? 0));
}

type StoredRow = {
  kind: LooseEndKind;
  entry: EntryId;
  from_at: Instant;
  technician: TechnicianId;
  to_at: Instant | null;
  seconds: Seconds | null;
  settled_day: LocalDay;
};

function loadStored(sql: Sql, firstDay: LocalDay, lastDay: LocalDay): LooseEnd[] {
  const rows = sql.all<StoredRow>(
    // What began in these days may have been settled by an entry of a later one.
    'select * from "loose_end" where "settled_day" >= ? and "from_at" < ?',
    [firstDay - 1, (lastDay + 2) * 86_400],
  );
  return rows.map(({ kind, entry, from_at, technician, to_at, seconds, settled_day }) => ({
    kind,
    ...(technician ? { technician } : {}),
    entries: [entry],
    // A clock that runs ahead is a matter of the day on which that was seen.
    ...(kind === 'clock' ? { day: settled_day } : {}),
    from: from_at,
    ...(to_at === null ? {} : { to: to_at }),
    ...(seconds === null ? {} : { seconds }),
  }));
}

function findByTime(
  sql: Sql,
  facts: ShopFacts,
  firstDay: LocalDay,
  lastDay: LocalDay,
  now: Instant,
  people: ReadonlySet<TechnicianId>,
): LooseEnd[] {
  const first = addDays(firstDay, -DAYS_BEFORE);
  const span = { from: facts.zone.startOf(first), to: facts.zone.startOf(addDays(lastDay, 1)) };
  const hours = loadHours(sql, first, lastDay);
  const setCosts = loadSetCosts(sql, firstDay, lastDay);
  const found: LooseEnd[] = [];
  for (const technician of people) {
    const timeline = loadPersonTimeline(sql, facts, technician, span, now);
    const ownHours = hours.filter((entry) => entry.technician === technician);
    const { looseEnds } = deriveAttendance(
      {
        technician,
        ...timeline,
        enteredByDay: sumEntered(ownHours),
      },
      facts,
    );
    const lines = sumLines(
      timeline.stints.flatMap((stint) => allocateStint(stint, facts)),
      ownHours,
      costingOf(facts, technician, setCosts),
    );
    found.push(
      ...timeline.looseEnds,
      ...looseEnds,
      ...findWithoutRate(lines),
      ...findIdleCosts(
        technician,
        setCosts.filter((each) => each.technician === technician),
        lines,
      ),
      ...findNotReleased(timeline.stints, facts),
    );
  }
  return found;
}

/** Labor that started on finished tasks: the whole story of the tasks that were started in these days. */
function findAfterDone(
  sql: Sql,
  facts: ShopFacts,
  firstDay: LocalDay,
  lastDay: LocalDay,
  people: ReadonlySet<TechnicianId>,
): LooseEnd[] {
  const starts = sql
    .all<{ seq: number; body: string }>(
      `select "seq", "body" from "effective_entry" where "type" = 'work-start' and "day" between ? and ?
       and "technician" in (select "value" from json_each(?))`,
      [firstDay, lastDay, JSON.stringify([...people])],
    )
    .flatMap(({ seq, body }) => {
      const entry = readLaborEntry(body);
      return isTaskEntry(entry) ? [{ seq, entry }] : [];
    });
  const started = new Set(starts.flatMap(({ entry }) => entry.targets));
  // What was said of those tasks alone: a shop finishes many over the years.
  const marks = sql
    .all<{ seq: number; body: string }>(
      `select distinct e."seq", e."body" from json_each(?) t
       join "task_mark" m on m."target" = t."value" join "effective_entry" e on e."id" = m."entry"`,
      [JSON.stringify([...started])],
    )
    .flatMap(({ seq, body }) => {
      const entry = readLaborEntry(body);
      return isTaskEntry(entry) ? [{ seq, entry }] : [];
    });
  const inOrder = [...starts, ...marks].sort((a, b) => a.seq - b.seq).map(({ entry }) => entry);
  return deriveFinished(inOrder, facts).looseEnds;
}
