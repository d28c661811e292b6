import { AT_REST, addSettled, applyEntry, emptyTimeline, inOrderOfTime } from '@wergon/core/ledger';
import type { LaborEntry, LaborState, PersonPast, PersonTimeline } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { itemAt } from '@wergon/core/result';
import { addDays, earliestOf, latestOf, toInstant } from '@wergon/core/time';
import type { Instant, LocalDay, Span } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { dayOf } from './effectiveEntries.ts';
import { SHIFT_BEGINS } from './laborLines.ts';
import { loadSetCosts } from './setCosts.ts';
import { loadHoursOf } from './timelineRows.ts';
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
  return {
    technician,
    state: stateBefore(sql, technician, from),
    timed: inOrderOfTime(timed.filter(({ at }) => at <= now)),
    hours: loadHoursOf(sql, technician, from, facts.zone.dayAt(now)),
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

/** Days of somebody on which something came out otherwise: those in which their labor lies, and those whose shifts it
 *  belongs to. */
export type ChangedDays = { readonly lines: Set<LocalDay>; readonly shifts: Set<LocalDay> };

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
  changed: ChangedDays,
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
  addDaysOf(sql, facts, technician, [...derived.values()], changed);
  return true;
}

/** Derives a technician's days anew from the first touched one on. Each day starts from the state in which the last
 *  one before it ended; once an untouched day ends as it did before, the days after it stand. */
export function deriveDays(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  touched: ReadonlySet<LocalDay>,
  changed: ChangedDays,
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
  replaceDays(sql, facts, technician, first, stop, derived, changed);
}

function replaceDays(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  first: LocalDay,
  stop: LocalDay,
  derived: readonly DerivedDay[],
  changed: ChangedDays,
): void {
  const range = [technician, first, stop];
  const within = '"technician" = ? and "settled_day" between ? and ?';
  for (const { from_at, to_at, shift_since } of sql.all<{
    from_at: Instant;
    to_at: Instant;
    shift_since: Instant | null;
  }>(`select "from_at", "to_at", "shift_since" from "stint" where ${within}`, range))
    markStint(changed, facts, { from: from_at, to: to_at, shiftSince: shift_since ?? undefined });
  if (facts.overtime.basis === 'attended')
    for (const { from_at } of sql.all<{ from_at: Instant }>(
      `select "from_at" from "presence" where ${within}`,
      range,
    ))
      markPresence(changed, facts, from_at);
  for (const table of ['stint', 'presence']) sql.run(`delete from "${table}" where ${within}`, range);
  sql.run(`delete from "loose_end" where ${within} and "kind" <> 'clock'`, range);
  sql.run('delete from "labor_state" where "technician" = ? and "day" between ? and ?', range);
  addDaysOf(sql, facts, technician, derived, changed);
}

/** Marks the days that a stint lies in, and those whose shifts it belongs to. */
function markStint(
  { lines, shifts }: ChangedDays,
  { zone }: ShopFacts,
  { from, to, shiftSince }: Span & { readonly shiftSince?: Instant | undefined },
): void {
  const lastDay = zone.dayAt(toInstant(to - 1));
  const shiftDay = shiftSince === undefined ? undefined : zone.dayAt(shiftSince);
  for (let day = zone.dayAt(from); day <= lastDay; day = addDays(day, 1)) {
    lines.add(day);
    shifts.add(shiftDay !== undefined && day > shiftDay ? shiftDay : day);
  }
}

/** Marks the days whose shifts a shift or a break can belong to. */
function markPresence({ shifts }: ChangedDays, { zone }: ShopFacts, from: Instant): void {
  for (const back of SHIFT_BEGINS) shifts.add(addDays(zone.dayAt(from), -back));
}

/** Adds what some days of a technician have settled, and where they stand after them. */
function addDaysOf(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  derived: readonly DerivedDay[],
  changed: ChangedDays,
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
  for (const { item } of stints) markStint(changed, facts, item);
  if (facts.overtime.basis === 'attended')
    for (const { timeline } of derived)
      for (const { from } of [...timeline.shifts, ...timeline.breaks]) markPresence(changed, facts, from);
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
