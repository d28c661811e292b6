import { readLaborEntry, readRunning, readState } from './stored.ts';
import type {
  EntryId,
  HoursEntry,
  LaborLine,
  LaborState,
  Policy,
  Presence,
  Stint,
  TargetId,
} from '@wergon/core/ledger';
import type { Cents } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import { toDay, toSeconds } from '@wergon/core/time';
import type { Dated, Instant, LocalDay, Seconds, Span } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import type { Sql } from '../db/index.ts';

// Rows read here were written by the projection from parsed values, so their brands hold.

type StretchRow = {
  technician: TechnicianId;
  from_at: Instant;
  to_at: Instant;
  capped: number;
  opened: EntryId;
  closed: EntryId | null;
};

const readStretch = ({ technician, from_at, to_at, capped, opened, closed }: StretchRow): Presence => ({
  technician,
  from: from_at,
  to: to_at,
  capped: capped !== 0,
  open: false,
  opened,
  ...(closed === null ? {} : { closed }),
});

/** Nothing that is stored is longer than this, in seconds: how far back what reaches into a span can begin. */
const LONGEST = 40 * 86_400;

/** The longest stint that the shop's rules have ever allowed, in seconds. */
export const longestStint = (policy: Dated<Policy>): number =>
  Math.max(...policy.map(({ value }) => value.maxStintHours)) * 3600;

export type Asked = Span & {
  readonly technician?: TechnicianId;
  /** How long a stretch can be, where that is known better: what began earlier is not looked at. */
  readonly longest?: number;
};

const where = ({ technician, from, to, longest = LONGEST }: Asked) => ({
  clause: `${technician === undefined ? '' : '"technician" = ? and '}"to_at" > ? and "to_at" < ? and "from_at" < ? and "from_at" >= ?`,
  // Bounded on both sides, whichever end SQLite goes by.
  params: [...(technician === undefined ? [] : [technician]), from, to + longest, to, from - longest],
});

/** By technician and time. Sorted here, because to be asked for that order tempts SQLite to walk the whole table. */
const inOrder = <Row extends StretchRow>(rows: Row[]): Row[] =>
  rows.sort((a, b) =>
    a.technician === b.technician ? a.from_at - b.from_at : a.technician < b.technician ? -1 : 1,
  );

type StintRow = StretchRow & {
  readonly running: string;
  readonly shift_since: Instant | null;
  readonly reason: string | null;
};

const readStint = (row: StintRow): Stint => ({
  ...readStretch(row),
  running: readRunning(row.running),
  ...(row.shift_since === null ? {} : { shiftSince: row.shift_since }),
  ...(row.reason === null ? {} : { reason: row.reason }),
});

const STRETCH_COLUMNS = ['technician', 'from_at', 'to_at', 'capped', 'opened', 'closed'] as const;
const STINT_COLUMNS = [...STRETCH_COLUMNS, 'running', 'shift_since', 'reason'] as const;

/** Of one person from so many seconds on there are enough stints to be read many at once. */
const MANY_SECONDS = 90 * 86_400;

/** Ended stints that reach into a span, by technician and time. */
export function loadStints(sql: Sql, asked: Asked): Stint[] {
  const { clause, params } = where(asked);
  const isMany = asked.technician === undefined || asked.to - asked.from > MANY_SECONDS;
  const rows = isMany
    ? sql.many<StintRow>(STINT_COLUMNS, 'stint', clause, params)
    : sql.all<StintRow>(`select * from "stint" where ${clause}`, params);
  return inOrder(rows).map(readStint);
}

/** Ended stints with a machine that reach into a span, of some people. */
export function loadMachineStints(sql: Sql, asked: Asked): Stint[] {
  const { clause, params } = where(asked);
  return inOrder(
    sql.all<StintRow>(`select * from "stint" where ${clause} and "running" like '%"machine":%'`, params),
  ).map(readStint);
}

/** Ended shifts or breaks that reach into a span, by technician and time. */
export function loadPresence(sql: Sql, kind: 'shift' | 'break', asked: Asked): Presence[] {
  const { clause, params } = where(asked);
  const [ofKind, all] = [`"kind" = ? and ${clause}`, [kind, ...params]];
  const rows =
    asked.technician === undefined
      ? sql.many<StretchRow>(STRETCH_COLUMNS, 'presence', ofKind, all)
      : sql.all<StretchRow>(`select * from "presence" where ${ofKind}`, all);
  return inOrder(rows).map(readStretch);
}

/** Where every technician stands after their last entry. */
export function loadStates(sql: Sql): ReadonlyMap<TechnicianId, LaborState> {
  // One look into the index for each person, however long the history is.
  const rows = sql
    .all<{ technician: TechnicianId; state: string | null }>(
      `select t."id" as "technician", (select "state" from "labor_state" where "technician" = t."id"
         order by "day" desc limit 1) as "state" from "technician" t`,
    )
    .flatMap(({ technician, state }) => (state === null ? [] : { technician, state }));
  return new Map(rows.map(({ technician, state }) => [technician, readState(state)]));
}

/** Where a technician stands after their last entry; absent where there is none. */
export const findState = (sql: Sql, technician: TechnicianId): LaborState | undefined =>
  findStateBefore(sql, technician, FAR_DAY);

/** Where a technician stood after their last entry before a day; absent where there was none. */
export function findStateBefore(sql: Sql, technician: TechnicianId, day: LocalDay): LaborState | undefined {
  const [row] = sql.all<{ state: string }>(
    'select "state" from "labor_state" where "technician" = ? and "day" < ? order by "day" desc limit 1',
    [technician, day],
  );
  return row && readState(row.state);
}

/** Later than any day. */
const FAR_DAY = toDay(10_000_000);

type LineRow = {
  technician: TechnicianId;
  day: LocalDay;
  target: TargetId;
  work_type: WorkType;
  measured_seconds: number;
  shared_seconds: number;
  entered_seconds: number;
  cost: Cents | null;
  premium: Cents;
  true_up: Cents;
};

const readLine = (row: LineRow): LaborLine => ({
  technician: row.technician,
  day: row.day,
  target: row.target,
  workType: row.work_type,
  measuredSeconds: toSeconds(row.measured_seconds),
  sharedSeconds: toSeconds(row.shared_seconds),
  enteredSeconds: toSeconds(row.entered_seconds),
  seconds: toSeconds(row.measured_seconds + row.shared_seconds + row.entered_seconds),
  cost: row.cost,
  ...(row.premium === 0 ? {} : { premium: row.premium }),
  ...(row.true_up === 0 ? {} : { trueUp: row.true_up }),
});

const TARGETS_PER_QUERY = 500;

/** The settled labor lines of some targets. */
export function loadLinesOf(sql: Sql, targets: readonly TargetId[]): LaborLine[] {
  const lines: LaborLine[] = [];
  for (let i = 0; i < targets.length; i += TARGETS_PER_QUERY) {
    const part = targets.slice(i, i + TARGETS_PER_QUERY);
    const places = part.map(() => '?').join(', ');
    const rows = sql.all<LineRow>(`select * from "labor_line" where "target" in (${places})`, part);
    for (const row of rows) lines.push(readLine(row));
  }
  return lines;
}

/** The settled labor lines of one local day. */
export const loadLinesOn = (sql: Sql, day: LocalDay): LaborLine[] =>
  sql.all<LineRow>('select * from "labor_line" where "day" = ?', [day]).map(readLine);

/** Whose labor, and on what; all of it where neither is said. */
export type OfLabor = { readonly technician?: string; readonly targets?: readonly string[] };

/** The settled labor lines of some local days. */
export function loadLinesBetween(
  sql: Sql,
  first: LocalDay,
  last: LocalDay,
  { technician, targets }: OfLabor = {},
): LaborLine[] {
  const days = '"day" between ? and ?';
  const rows =
    targets !== undefined
      ? sql.all<LineRow>(
          `select l.* from json_each(?) t cross join "labor_line" l on l."target" = t."value" where ${days}`,
          [JSON.stringify(targets), first, last],
        )
      : technician !== undefined
        ? sql.all<LineRow>(`select * from "labor_line" where "technician" = ? and ${days}`, [
            technician,
            first,
            last,
          ])
        : sql.many<LineRow>(LINE_COLUMNS, 'labor_line', days, [first, last]);
  return rows.map(readLine);
}

const LINE_COLUMNS: readonly (keyof LineRow)[] = [
  'technician',
  'day',
  'target',
  'work_type',
  'measured_seconds',
  'shared_seconds',
  'entered_seconds',
  'cost',
  'premium',
  'true_up',
];

/** Settled seconds of each technician on one local day; summed where they are kept. */
export const loadChargedOn = (
  sql: Sql,
  day: LocalDay,
  people: readonly TechnicianId[],
): ReadonlyMap<TechnicianId, Seconds> =>
  new Map(
    sql
      .all<{ technician: TechnicianId; seconds: Seconds }>(
        `select "technician", sum("measured_seconds" + "shared_seconds" + "entered_seconds") as "seconds"
         from "labor_line" where "technician" in (select "value" from json_each(?)) and "day" = ?
         group by "technician"`,
        [JSON.stringify(people), day],
      )
      .map(({ technician, seconds }) => [technician, seconds]),
  );

/** Hours that one person wrote down for some days, in the order of recording. */
export const loadHoursOf = (
  sql: Sql,
  technician: TechnicianId,
  first: LocalDay,
  last: LocalDay,
): HoursEntry[] =>
  sql
    .all<{ body: string }>(
      `select "body" from "effective_entry" where "technician" = ? and "day" between ? and ? and "type" = 'hours'
       order by "seq"`,
      [technician, first, last],
    )
    .map(({ body }) => readLaborEntry(body))
    .filter((entry) => entry.type === 'hours');

/** Hours written down for some days. */
export const loadHours = (sql: Sql, first: LocalDay, last: LocalDay): HoursEntry[] =>
  sql
    .all<{ body: string }>(
      `select "body" from "effective_entry" where "type" = 'hours' and "day" between ? and ? order by "seq"`,
      [first, last],
    )
    .map(({ body }) => readLaborEntry(body))
    .filter((entry) => entry.type === 'hours');

/** Hours of some days that came in from elsewhere. */
export const loadElsewhere = (sql: Sql, first: LocalDay, last: LocalDay): ReadonlySet<EntryId> =>
  new Set(
    sql
      .all<{ id: EntryId }>(
        `select j."id" from "entry_index" i join "journal" j on j."seq" = i."seq"
         where i."stream" = 'labor' and i."type" = 'hours' and i."day" between ? and ? and i."author_kind" = 'import'`,
        [first, last],
      )
      .map(({ id }) => id),
  );

/** Which of these tasks are finished, by what was said of them last, and since when. */
export function loadFinished(sql: Sql, tasks: readonly string[]): ReadonlyMap<TargetId, Instant> {
  const rows = sql.all<{ target: TargetId; at: Instant; is_done: number }>(
    `select m."target", m."at", m."is_done" from json_each(?) t join "task_mark" m on m."target" = t."value"
     order by m."at", m."seq"`,
    [JSON.stringify(tasks)],
  );
  const finished = new Map<TargetId, Instant>();
  for (const { target, at, is_done } of rows)
    if (is_done) finished.set(target, at);
    else finished.delete(target);
  return finished;
}

/** Tasks of which something was said to be finished in a span; whether they still are, `loadFinished` knows. */
export const loadMarkedIn = (sql: Sql, { from, to }: Span): readonly TargetId[] =>
  sql
    .all<{ target: TargetId }>(
      'select distinct "target" from "task_mark" where "at" >= ? and "at" < ? and "is_done"',
      [from, to],
    )
    .map(({ target }) => target);

/** The sequence number of the last entry of the journal; 0 while it is empty. */
export const loadSeq = (sql: Sql): number =>
  sql.all<{ seq: number | null }>('select max("seq") as "seq" from "journal"')[0]?.seq ?? 0;
