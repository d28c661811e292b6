import { AT_REST, addSettled, applyEntry, emptyTimeline, inOrderOfTime } from '@wergon/core/ledger';
import type { LaborEntry, LaborState, PersonPast, PersonTimeline } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { itemAt } from '@wergon/core/result';
import { addDays, earliestOf, latestOf, toInstant } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { dayOf } from './effectiveEntries.ts';
import { loadSetCosts } from './setCosts.ts';
import { readLaborEntry, readState, writeRunning, writeState } from './stored.ts';

export type TimedEntry = Extract<LaborEntry, { at: number }>;
type DayEntries = ReadonlyMap<LocalDay, readonly TimedEntry[]>;

function loadEntriesByDay(sql: Sql, technician: TechnicianId, from: LocalDay): DayEntries {
  const rows = sql.all<{ day: LocalDay; body: string }>(
    `select "day", "body" from "effective_entry" where "technician" = ? and "day" >= ? and "type" <> 'hours' order by "day", "seq"`,
    [technician, from],
  );
  const days = new Map<LocalDay, TimedEntry[]>();
  for (const row of rows) {
    const entry = readLaborEntry(row.body);
    if (entry.type === 'hours') continue;
    const own = days.get(row.day);
    if (own) own.push(entry);
    else days.set(row.day, [entry]);
  }
  return days;
}

/** What somebody recorded from a day on up to now, and where they stood as it began. */
export function loadPast(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  from: LocalDay,
  now: Instant,
): PersonPast {
  const timed = [...loadEntriesByDay(sql, technician, from).values()].flat();
  const hours = sql.all<{ body: string }>(
    `select "body" from "effective_entry" where "technician" = ? and "day" between ? and ? and "type" = 'hours' order by "seq"`,
    [technician, from, facts.zone.dayAt(now)],
  );
  return {
    technician,
    state: stateBefore(sql, technician, from),
    timed: inOrderOfTime(timed.filter(({ at }) => at <= now)),
    hours: hours.map(({ body }) => readLaborEntry(body)).filter((entry) => entry.type === 'hours'),
    setCosts: loadSetCosts(sql, from, facts.zone.dayAt(now), technician),
  };
}

/** Where somebody stood as a day began. */
function stateBefore(sql: Sql, technician: TechnicianId, day: LocalDay): LaborState {
  const [earlier] = sql.all<{ state: string }>(
    'select "state" from "labor_state" where "technician" = ? and "day" < ? order by "day" desc limit 1',
    [technician, day],
  );
  return earlier ? readState(earlier.state) : AT_REST;
}

/** A day of a technician as it came out: where they stand at its end, when its last entry happened, what was settled. */
type DerivedDay = {
  readonly day: LocalDay;
  readonly state: string;
  readonly lastAt: Instant | null;
  readonly timeline: PersonTimeline;
};

/** Goes on from where a technician stood, where all entries that have come happened after every other of theirs: what was
 *  settled before stands, however full the day is. `false` where they did not, and their days must be derived anew. */
export function goOn(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  added: readonly TimedEntry[],
  lineDays: Set<LocalDay>,
): boolean {
  const [last] = sql.all<{ state: string; last_at: Instant | null }>(
    'select "state", "last_at" from "labor_state" where "technician" = ? order by "day" desc limit 1',
    [technician],
  );
  // Written by an older version, which did not keep it.
  if (last?.last_at === null) return false;
  const entries = inOrderOfTime(added);
  const isLater = entries.every(
    ({ at }, i) => at > (i === 0 ? (last?.last_at ?? -Infinity) : itemAt(entries, i - 1).at),
  );
  if (!isLater) return false;
  let state = last ? readState(last.state) : AT_REST;
  const derived = new Map<LocalDay, DerivedDay>();
  for (const entry of entries) {
    const step = applyEntry(technician, state, entry, facts.policy);
    state = step.state;
    const day = dayOf(entry, facts);
    const timeline = derived.get(day)?.timeline ?? emptyTimeline();
    addSettled(timeline, step.settled);
    derived.set(day, { day, state: writeState(state), lastAt: entry.at, timeline });
  }
  addDaysOf(sql, facts, technician, [...derived.values()], lineDays);
  return true;
}

/** Derives a technician's days anew from the first touched one on. Each day starts from the state in which the last
 *  one before it ended; once an untouched day ends as it did before, the days after it stand. */
export function deriveDays(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  touched: ReadonlySet<LocalDay>,
  lineDays: Set<LocalDay>,
): void {
  const first = earliestOf(touched);
  const last = latestOf(touched);
  const entriesByDay = loadEntriesByDay(sql, technician, first);
  const before = new Map(
    sql
      .all<{ day: LocalDay; state: string }>(
        'select "day", "state" from "labor_state" where "technician" = ? and "day" >= ?',
        [technician, first],
      )
      .map(({ day, state }) => [day, state]),
  );
  let state = stateBefore(sql, technician, first);
  const derived: DerivedDay[] = [];
  const days = [...new Set([...entriesByDay.keys(), ...before.keys()])].sort((a, b) => a - b);
  let stop = last;
  for (const day of days) {
    const timeline = emptyTimeline();
    const entries = inOrderOfTime(entriesByDay.get(day) ?? []);
    for (const entry of entries) {
      const step = applyEntry(technician, state, entry, facts.policy);
      state = step.state;
      addSettled(timeline, step.settled);
    }
    stop = day > stop ? day : stop;
    const text = writeState(state);
    if (entriesByDay.has(day))
      derived.push({ day, state: text, lastAt: entries.at(-1)?.at ?? null, timeline });
    if (day >= last && before.get(day) === text) break;
  }
  replaceDays(sql, facts, technician, first, stop, derived, lineDays);
}

function replaceDays(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  first: LocalDay,
  stop: LocalDay,
  derived: readonly DerivedDay[],
  lineDays: Set<LocalDay>,
): void {
  const range = [technician, first, stop];
  for (const { from_at, to_at } of sql.all<{ from_at: Instant; to_at: Instant }>(
    'select "from_at", "to_at" from "stint" where "technician" = ? and "settled_day" between ? and ?',
    range,
  ))
    markDays(lineDays, facts, from_at, to_at);
  for (const table of ['stint', 'presence'])
    sql.run(`delete from "${table}" where "technician" = ? and "settled_day" between ? and ?`, range);
  sql.run(
    `delete from "loose_end" where "technician" = ? and "settled_day" between ? and ? and "kind" <> 'clock'`,
    range,
  );
  sql.run('delete from "labor_state" where "technician" = ? and "day" between ? and ?', range);
  addDaysOf(sql, facts, technician, derived, lineDays);
}

/** Marks the days that a stretch lies in. */
function markDays(lineDays: Set<LocalDay>, { zone }: ShopFacts, from: Instant, to: Instant): void {
  const lastDay = zone.dayAt(toInstant(to - 1));
  for (let day = zone.dayAt(from); day <= lastDay; day = addDays(day, 1)) lineDays.add(day);
}

/** Adds what some days of a technician have settled, and where they stand after them. */
function addDaysOf(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  derived: readonly DerivedDay[],
  lineDays: Set<LocalDay>,
): void {
  const stretch = ({
    from,
    to,
    capped,
    opened,
    closed,
  }: PersonTimeline['shifts'][number] | PersonTimeline['stints'][number]) => ({
    technician,
    from_at: from,
    to_at: to,
    capped,
    opened,
    closed: closed ?? null,
  });
  const withDay = <T>(pick: (timeline: PersonTimeline) => readonly T[]) =>
    derived.flatMap(({ day, timeline }) => pick(timeline).map((item) => ({ day, item })));
  const stints = withDay(({ stints }) => stints);
  for (const { item } of stints) markDays(lineDays, facts, item.from, item.to);
  for (const { day, state, lastAt } of derived)
    sql.run(
      `insert into "labor_state" ("technician", "day", "state", "last_at") values (?, ?, ?, ?)
       on conflict ("technician", "day") do update set "state" = excluded."state", "last_at" = excluded."last_at"`,
      [technician, day, state, lastAt],
    );
  sql.insert(
    'stint',
    stints.map(({ day, item }) => ({
      ...stretch(item),
      settled_day: day,
      running: writeRunning(item.running),
      shift_since: item.shiftSince ?? null,
      reason: item.reason ?? null,
    })),
  );
  const presence = (kind: 'shift' | 'break', pick: (timeline: PersonTimeline) => PersonTimeline['shifts']) =>
    withDay(pick).map(({ day, item }) => ({ kind, ...stretch(item), settled_day: day }));
  sql.insert('presence', [
    ...presence('shift', ({ shifts }) => shifts),
    ...presence('break', ({ breaks }) => breaks),
  ]);
  sql.insert(
    'loose_end',
    withDay(({ looseEnds }) => looseEnds).map(({ day, item: { kind, entries, from, to, seconds } }) => ({
      kind,
      entry: entries[0] ?? '',
      from_at: from ?? 0,
      technician,
      to_at: to ?? null,
      seconds: seconds ?? null,
      settled_day: day,
    })),
  );
}
