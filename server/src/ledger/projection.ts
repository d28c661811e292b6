import type { Used } from './usedTime.ts';
import { keepUsed } from './usedTime.ts';
import { readEntry, readLaborEntry, readState, writeLaborEntry, writeRunning, writeState } from './stored.ts';
import { earliestOf, latestOf, addDays, toInstant } from '@wergon/core/time';
import {
  AT_REST,
  applyEntry,
  addSettled,
  correctedEntry,
  inOrderOfTime,
  isCorrection,
  emptyTimeline,
  allocateStint,
  sumLines,
  targetsOf,
} from '@wergon/core/ledger';
import type { Correction, Entry, LaborEntry, PersonTimeline, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import { Defect, itemAt } from '@wergon/core/result';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { findClosedUntil, markUnsettled } from './decisionRows.ts';
import { loadStints } from './timelineRows.ts';
import { dueOf, takeDue, waitForDue } from './waiting.ts';

/** Whom and what newly recorded entries have changed. */
export type Touched = { readonly technicians: Set<TechnicianId>; readonly targets: Set<TargetId> };

/** What newly recorded entries touch of one technician. */
type TouchedPerson = {
  readonly timed: Set<LocalDay>;
  readonly hours: Set<LocalDay>;
  /** Entries that have come, in the order of recording. */
  readonly added: TimedEntry[];
  /** Whether something that was there before has gone or changed. */
  isRewritten: boolean;
};
type TouchedDays = Map<TechnicianId, TouchedPerson>;
type TimedEntry = Extract<LaborEntry, { at: number }>;

/** Takes newly recorded entries into the projections, deriving anew only what they can touch: the days of the
 *  technicians they name, until a day ends as it ended before. Source: docs/architecture.md. */
export function project(
  sql: Sql,
  facts: ShopFacts,
  recorded: readonly { readonly entry: Entry; readonly seq: number }[],
  now: Instant,
  touched: Touched,
): void {
  const days: TouchedDays = new Map();
  const takeIn = (entry: LaborEntry, seq: number) => {
    if (dueOf(entry, facts.zone) > now) return waitForDue(sql, facts.zone, entry, seq);
    insertEffective(sql, facts, entry, seq);
    const person = touch(days, touched, facts, entry);
    if (entry.type !== 'hours') person?.added.push(entry);
  };
  for (const { entry, seq } of takeDue(sql, now)) takeIn(entry, seq);
  for (const { entry, seq } of recorded)
    if (isCorrection(entry))
      correctEffective(
        sql,
        facts,
        entry,
        (was) => {
          const person = touch(days, touched, facts, was);
          if (person) person.isRewritten = true;
        },
        takeIn,
      );
    else takeIn(entry, seq);
  for (const [technician, { timed, hours, added, isRewritten }] of days) {
    const lineDays = new Set(hours);
    const isGoneOn = !isRewritten && goOn(sql, facts, technician, added, lineDays);
    if (!isGoneOn && timed.size > 0) deriveDays(sql, facts, technician, timed, lineDays);
    const { before, after } = deriveLines(sql, facts, technician, lineDays);
    keepUsed(sql, before, after);
    for (const { target } of [...before, ...after]) touched.targets.add(target);
  }
}

const dayOf = (entry: LaborEntry, { zone }: ShopFacts): LocalDay =>
  entry.type === 'hours' ? entry.day : zone.dayAt(entry.at);

function touch(
  days: TouchedDays,
  touched: Touched,
  facts: ShopFacts,
  entry: LaborEntry,
): TouchedPerson | undefined {
  for (const target of targetsOf(entry)) touched.targets.add(target);
  if (entry.technician === undefined) return undefined;
  touched.technicians.add(entry.technician);
  const own = days.get(entry.technician) ?? {
    timed: new Set<LocalDay>(),
    hours: new Set<LocalDay>(),
    added: [],
    isRewritten: false,
  };
  (entry.type === 'hours' ? own.hours : own.timed).add(dayOf(entry, facts));
  days.set(entry.technician, own);
  return own;
}

/** The rows that an effective entry stands for. */
export function effectiveRows(facts: ShopFacts, entry: LaborEntry, seq: number) {
  const row = {
    id: entry.id,
    seq,
    type: entry.type,
    technician: entry.technician ?? null,
    day: dayOf(entry, facts),
    target:
      entry.type === 'note' || entry.type === 'count' || entry.type === 'hours'
        ? (entry.targets?.[0] ?? null)
        : null,
    body: writeLaborEntry(entry),
  };
  const marks =
    entry.type === 'task-done' || entry.type === 'task-reopen'
      ? targetsOf(entry).map((target) => ({
          entry: entry.id,
          target,
          at: entry.at,
          seq,
          is_done: entry.type === 'task-done',
        }))
      : [];
  return { row, marks };
}

function insertEffective(sql: Sql, facts: ShopFacts, entry: LaborEntry, seq: number): void {
  const { row, marks } = effectiveRows(facts, entry, seq);
  sql.insert('effective_entry', [row]);
  sql.insert('task_mark', marks);
  countPieces(sql, entry, 1);
}

/** Adds the pieces that an entry reports to its task's, or takes them away again. */
export function countPieces(sql: Sql, entry: LaborEntry, sign: 1 | -1): void {
  if (entry.type !== 'count') return;
  sql.run(
    `insert into "piece_count" ("target", "good", "scrap") values (?, ?, ?)
     on conflict ("target") do update set "good" = "good" + excluded."good", "scrap" = "scrap" + excluded."scrap"`,
    [entry.targets[0] ?? '', sign * entry.good, sign * entry.scrap],
  );
  sql.run('delete from "piece_count" where "target" = ? and "good" = 0 and "scrap" = 0', [
    entry.targets[0] ?? '',
  ]);
}

function correctEffective(
  sql: Sql,
  facts: ShopFacts,
  correction: Correction,
  touchBefore: (was: LaborEntry) => void,
  takeIn: (entry: LaborEntry, seq: number) => void,
): void {
  const id = correction.target;
  const [before] = sql.all<{ body: string }>('select "body" from "effective_entry" where "id" = ?', [id]);
  const rows = sql.all<{ seq: number; body: string }>(
    'select "seq", "body" from "journal" where "id" = ? or "corrects" = ? order by "seq"',
    [id, id],
  );
  const [original, ...corrections] = rows.map(({ body }) => readEntry(body));
  if (!original || isCorrection(original)) throw new Defect(`correction of ${id}, which is not recorded`);
  const after = correctedEntry(original, corrections.filter(isCorrection));
  if (before) {
    const was = readLaborEntry(before.body);
    touchBefore(was);
    countPieces(sql, was, -1);
    sql.run('delete from "effective_entry" where "id" = ?', [id]);
    sql.run('delete from "task_mark" where "entry" = ?', [id]);
  }
  sql.run('delete from "waiting_entry" where "id" = ?', [id]);
  if (after) takeIn(after, rows[0]?.seq ?? 0);
}

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

/** A day of a technician as it came out: where they stand at its end, when its last entry happened, what was settled. */
type DerivedDay = {
  readonly day: LocalDay;
  readonly state: string;
  readonly lastAt: Instant | null;
  readonly timeline: PersonTimeline;
};

/** Goes on from where a technician stood, where all entries that have come happened after every other of theirs: what was
 *  settled before stands, however full the day is. `false` where they did not, and their days must be derived anew. */
function goOn(
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
  const [earlier] = sql.all<{ state: string }>(
    'select "state" from "labor_state" where "technician" = ? and "day" < ? order by "day" desc limit 1',
    [technician, first],
  );
  let state = earlier ? readState(earlier.state) : AT_REST;
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

/** So many days before the calendar day of its labor a shift can have begun. */
export const SHIFT_BEGINS = [0, 1, 2];

/** Sums a technician's labor lines of some days anew, from ended stints and entered hours; gives what they are on, and
 *  what they were on before. */
export function deriveLines(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  days: ReadonlySet<LocalDay>,
): { readonly before: readonly Used[]; readonly after: readonly Used[] } {
  if (days.size === 0) return { before: [], after: [] };
  const first = earliestOf(days);
  const last = latestOf(days);
  const stints = loadStints(sql, {
    technician,
    from: facts.zone.startOf(first),
    to: facts.zone.startOf(addDays(last, 1)),
  });
  const pieces = stints.flatMap((stint) => allocateStint(stint, facts)).filter(({ day }) => days.has(day));
  const hours = sql
    .all<{ day: LocalDay; body: string }>(
      `select "day", "body" from "effective_entry" where "technician" = ? and "day" between ? and ? and "type" = 'hours' order by "seq"`,
      [technician, first, last],
    )
    .filter(({ day }) => days.has(day));
  const lines = sumLines(
    pieces,
    hours.map(({ body }) => readLaborEntry(body)).filter((entry) => entry.type === 'hours'),
    facts.costRates.get(technician) ?? [],
  );
  const before = [...days].flatMap((day) =>
    sql.all<Used>(
      `delete from "labor_line" where "technician" = ? and "day" = ? returning "target", "work_type",
         "measured_seconds" + "shared_seconds" + "entered_seconds" as "seconds"`,
      [technician, day],
    ),
  );
  const closedUntil = findClosedUntil(sql);
  if (closedUntil !== null) {
    const shiftDays = [...days].flatMap((day) => SHIFT_BEGINS.map((back) => addDays(day, -back)));
    markUnsettled(
      sql,
      shiftDays.filter((day) => day <= closedUntil).map((day) => ({ technician, day })),
    );
  }
  sql.insert(
    'labor_line',
    lines.map((line) => ({
      technician,
      day: line.day,
      target: line.target,
      work_type: line.workType,
      measured_seconds: line.measuredSeconds,
      shared_seconds: line.sharedSeconds,
      entered_seconds: line.enteredSeconds,
      cost: line.cost,
    })),
  );
  return {
    before,
    after: lines.map(({ target, workType, seconds }) => ({ target, work_type: workType, seconds })),
  };
}
