import { createHash } from 'node:crypto';
import { closeDays, owedOf, periodToClose, periodsUpTo } from '@wergon/core/pay';
import type { ClosedLine, Owed, PayDay, PayPeriod, PayRule, WorkedLine } from '@wergon/core/pay';
import { Defect } from '@wergon/core/result';
import type { Cents } from '@wergon/core/money';
import { parseDay, earliestOf, latestOf } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { TechnicianId } from '@wergon/core/people';
import type { Sql } from '../db/index.ts';
import type { ShiftDay } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { settingsOf } from '../shop/index.ts';
import type { AwayDay } from './away.ts';
import { isPayable } from '../approval/index.ts';
import { loadShiftDays, loadWorked } from '../ledger/index.ts';
import type { TargetId } from '@wergon/core/ledger';
import type { WorkType } from '@wergon/core/work';

export type ClosedPeriod = PayPeriod & {
  readonly entry: string;
  readonly closedBy: string;
  readonly at: Instant;
  readonly head: string;
};

/** The shop's pay periods. */
export function payRuleOf({ shop }: ShopFacts): PayRule {
  const { period, anchor } = settingsOf(shop).pay;
  const day = parseDay(anchor);
  if (!day.ok) throw new Defect(`stored anchor: ${anchor}`);
  return { kind: period, anchor: day.value };
}

/** Closed periods, oldest first. */
export const loadClosedPeriods = (sql: Sql): ClosedPeriod[] =>
  sql
    .all<{
      first_day: LocalDay;
      last_day: LocalDay;
      entry: string;
      closed_by: string;
      at: Instant;
      head: string;
    }>('select * from "pay_period" order by "first_day"')
    .map(({ first_day, last_day, entry, closed_by, at, head }) => ({
      firstDay: first_day,
      lastDay: last_day,
      entry,
      closedBy: closed_by,
      at,
      head,
    }));

type ClosedRow = {
  period: LocalDay;
  is_adjustment: number;
  technician: ClosedLine['technician'];
  shift_day: LocalDay;
  day: LocalDay;
  target: ClosedLine['target'];
  work_type: ClosedLine['workType'];
  seconds: number;
  cost: ClosedLine['cost'];
  premium: Cents;
};

const readClosed = (row: ClosedRow): ClosedLine => ({
  technician: row.technician,
  shiftDay: row.shift_day,
  day: row.day,
  target: row.target,
  workType: row.work_type,
  seconds: row.seconds,
  cost: row.cost,
  ...(row.premium === 0 ? {} : { premium: row.premium }),
});

/** Lines that a closed period keeps: its own, and the adjustments that it paid. */
export function loadClosedLines(
  sql: Sql,
  period: LocalDay,
): { readonly own: ClosedLine[]; readonly adjustments: ClosedLine[] } {
  const rows = sql.all<ClosedRow>('select * from "closed_line" where "period" = ?', [period]);
  return {
    own: rows.filter((row) => !row.is_adjustment).map(readClosed),
    adjustments: rows.filter((row) => row.is_adjustment).map(readClosed),
  };
}

type WorkedRow = {
  is_adjustment: number;
  technician: WorkedLine['technician'];
  shift_day: LocalDay;
  target: TargetId | '';
  work_type: WorkType | '';
  class: WorkedLine['class'];
  seconds: number;
};
const readWorked = (row: WorkedRow): WorkedLine => ({
  technician: row.technician,
  shiftDay: row.shift_day,
  target: row.target === '' ? undefined : row.target,
  workType: row.work_type === '' ? undefined : row.work_type,
  class: row.class,
  seconds: row.seconds,
});

/** What a closed period pays of work on its days, and on earlier ones. */
export function loadClosedWorked(
  sql: Sql,
  period: LocalDay,
): { readonly own: readonly WorkedLine[]; readonly adjustments: readonly WorkedLine[] } {
  const rows = sql.all<WorkedRow>('select * from "closed_pay" where "period" = ?', [period]);
  return {
    own: rows.filter((row) => !row.is_adjustment).map(readWorked),
    adjustments: rows.filter((row) => row.is_adjustment).map(readWorked),
  };
}

/** What a closed period paid of time away. */
export const loadClosedAway = (sql: Sql, period: LocalDay): readonly AwayDay[] =>
  sql.all<AwayDay>('select "technician", "day", "kind", "seconds" from "closed_away" where "period" = ?', [
    period,
  ]);

export const NOTHING_OWED: Owed = { adjustments: [], workedAdjustments: [], waiting: [] };

/** Days of one person that lie nearer than this are derived together. */
const NEAR = 7;

/** What derivation says now beyond what closed periods have paid. Only days that can differ are looked at, so it takes
 *  no longer in a shop with many years behind it. */
export function findOwed(sql: Sql, facts: ShopFacts, now: Instant): Owed {
  const periods = loadClosedPeriods(sql);
  const [first, last] = [periods[0], periods.at(-1)];
  if (!first || !last) return NOTHING_OWED;
  const days: PayDay[] = [];
  const closed: ClosedLine[] = [];
  const worked: WorkedLine[] = [];
  for (const { technician, days: asked } of loadUnsettled(sql, first.firstDay, last.lastDay)) {
    const [firstDay, lastDay] = [earliestOf(asked), latestOf(asked)];
    const found = loadShiftDays(sql, facts, { firstDay, lastDay, people: [technician] }, now);
    const own = found.filter(({ day }) => asked.has(day));
    days.push(...payDays(sql, facts, own, now));
    worked.push(
      ...sql
        .all<WorkedRow>('select * from "closed_pay" where "technician" = ? and "shift_day" between ? and ?', [
          technician,
          firstDay,
          lastDay,
        ])
        .map(readWorked)
        .filter(({ shiftDay }) => asked.has(shiftDay)),
    );
    closed.push(
      ...sql
        .all<ClosedRow>(
          'select * from "closed_line" where "technician" = ? and "shift_day" between ? and ?',
          [technician, firstDay, lastDay],
        )
        .map(readClosed)
        .filter(({ shiftDay }) => asked.has(shiftDay)),
    );
  }
  return owedOf(days, closed, worked);
}

/** Shift days as a period sees them. */
function payDays(sql: Sql, facts: ShopFacts, days: readonly ShiftDay[], now: Instant): readonly PayDay[] {
  const workedOn = loadWorked(sql, facts, days, now);
  return days.map((each) => ({
    ...each,
    isPayable: isPayable(facts, each),
    worked: workedOn(each.technician, each.day),
  }));
}

/** Days of closed periods that may differ from what was paid, in runs of one person's days near each other. */
function loadUnsettled(
  sql: Sql,
  firstDay: LocalDay,
  lastDay: LocalDay,
): readonly { readonly technician: TechnicianId; readonly days: ReadonlySet<LocalDay> }[] {
  const rows = sql.all<{ technician: TechnicianId; shift_day: LocalDay }>(
    'select * from "unsettled_day" where "shift_day" between ? and ? order by "technician", "shift_day"',
    [firstDay, lastDay],
  );
  const runs: { technician: TechnicianId; days: Set<LocalDay>; end: number }[] = [];
  for (const { technician, shift_day } of rows) {
    const run = runs.at(-1);
    if (run?.technician === technician && shift_day - run.end <= NEAR) {
      run.days.add(shift_day);
      run.end = shift_day;
    } else runs.push({ technician, days: new Set([shift_day]), end: shift_day });
  }
  return runs;
}

/** The decision that closes a period: what it pays of its days, what it owed for earlier ones, and what it leaves out. */
export const closingOf = (
  sql: Sql,
  facts: ShopFacts,
  { firstDay, lastDay }: PayPeriod,
  days: readonly ShiftDay[],
  owed: Owed,
  away: readonly AwayDay[],
  now: Instant,
) => ({
  type: 'close' as const,
  ...{ firstDay, lastDay, away },
  ...closeDays(payDays(sql, facts, days, now), owed),
});

/** The period that closes next. */
export const nextPeriod = (sql: Sql, facts: ShopFacts, now: Instant): PayPeriod =>
  periodToClose(payRuleOf(facts), loadClosedPeriods(sql).at(-1), findFirstDay(sql) ?? facts.zone.dayAt(now));

/** The first day of which anything is known: a look into an index for each person, however long the history is. */
function findFirstDay(sql: Sql): LocalDay | undefined {
  const [row] = sql.all<{ day: LocalDay | null }>(
    `select min("day") as "day" from (
       select (select min("day") from "labor_state" where "technician" = t."id") as "day" from "technician" t
       union all select min("day") from "labor_line")`,
  );
  return row?.day ?? undefined;
}

/** The period that begins on a day, if one does: a closed one, or one that the shop's rule gives from there on. */
export function findPeriod(
  sql: Sql,
  facts: ShopFacts,
  firstDay: LocalDay,
  now: Instant,
): PayPeriod | undefined {
  const closed = loadClosedPeriods(sql).find((each) => each.firstDay === firstDay);
  if (closed) return closed;
  return periodsUpTo(nextPeriod(sql, facts, now), payRuleOf(facts), firstDay).find(
    (each) => each.firstDay === firstDay,
  );
}

/** Periods that are not closed, the oldest first, up to the one that runs. */
export const openPeriods = (sql: Sql, facts: ShopFacts, now: Instant): readonly PayPeriod[] =>
  periodsUpTo(nextPeriod(sql, facts, now), payRuleOf(facts), facts.zone.dayAt(now));

/** What a closing was seen to hold: the days with their stamps and states. */
export const stampOfPeriod = (
  days: readonly ShiftDay[],
  adjustments: readonly ClosedLine[],
  away: readonly AwayDay[],
): string =>
  createHash('sha256')
    .update(
      days.map(({ technician, day, stamp, state }) => `${technician} ${day} ${stamp} ${state}`).join('\n'),
    )
    .update(
      adjustments
        .map((each) => `${each.technician} ${each.shiftDay} ${each.target} ${each.seconds}`)
        .join('\n'),
    )
    .update(
      away.map(({ technician, day, kind, seconds }) => `${technician} ${day} ${kind} ${seconds}`).join('\n'),
    )
    .digest('base64url')
    .slice(0, 22);
