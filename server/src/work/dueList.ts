import type { RecurrenceJson } from '@wergon/contract/work';
import { inForceAt } from '@wergon/core/time';
import type { Dated, Instant, LocalDay, Zone } from '@wergon/core/time';
import { isOver, lastDone, nextDue } from '@wergon/core/work';
import type { Cadence, OrderState, Reading, StandardId, WorkOrderId } from '@wergon/core/work';
import { readOwnJson } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { unitWords } from '../shop/index.ts';

type Row = {
  readonly id: string;
  readonly unit: string;
  readonly job: StandardId;
  readonly kind: Cadence['kind'];
  readonly every: number;
  readonly lastDay: LocalDay;
  readonly isOff: 0 | 1;
  readonly type: string;
  readonly maker: string;
  readonly serialNumber: string;
  readonly owner: string;
  readonly title: string;
  readonly order: WorkOrderId | null;
  readonly number: string | null;
  readonly states: string | null;
};

/** All work that comes back, or that of one unit: the soonest due first, what nobody can tell the day of last. Plain SQL:
 *  a shop can have ten thousand of them. */
export function loadDueList(sql: Sql, zone: Zone, now: Instant, unit?: string): RecurrenceJson[] {
  const readings = loadReadings(sql, unit);
  return sql
    .all<Row>(
      `select r."id", r."unit", r."job", r."kind", r."every", r."last_day" as "lastDay", r."is_off" as "isOff",
         u."type", u."maker", u."serial_number" as "serialNumber", u."owner", s."title",
         o."id" as "order", o."number", o."states"
       from "recurrence" r join "unit" u on u."id" = r."unit" join "standard" s on s."id" = r."job"
       left join "work_order" o on o."id" = r."work_order" where ?1 = '' or r."unit" = ?1`,
      [unit ?? ''],
    )
    .map((row) => writeRow(row, readings.get(row.unit) ?? [], zone, now))
    .sort(
      (a, b) =>
        Number(a.isOff) - Number(b.isOff) ||
        (a.due.day ?? Infinity) - (b.due.day ?? Infinity) ||
        (a.title < b.title ? -1 : 1),
    );
}

/** Hour meters of the units of which some work comes back by running hours. */
function loadReadings(sql: Sql, unit: string | undefined): ReadonlyMap<string, readonly Reading[]> {
  const readings = new Map<string, Reading[]>();
  for (const { of, day, hours } of sql.all<Reading & { readonly of: string }>(
    `select "unit" as "of", "day", "hours" from "unit_reading"
     where "unit" in (select "unit" from "recurrence" where "kind" = 'hours' and (?1 = '' or "unit" = ?1))`,
    [unit ?? ''],
  )) {
    const own = readings.get(of);
    if (own) own.push({ day, hours });
    else readings.set(of, [{ day, hours }]);
  }
  return readings;
}

function writeRow(row: Row, readings: readonly Reading[], zone: Zone, now: Instant): RecurrenceJson {
  const states = row.states === null ? undefined : readOwnJson<Dated<OrderState>>(row.states);
  const state = states && inForceAt(states, now);
  const lastDay = lastDone(row.lastDay, states, zone, now);
  const { id, unit, owner, job, title, kind, every, order, number } = row;
  return {
    id,
    unit,
    unitWords: unitWords(row),
    owner,
    job,
    title,
    kind,
    every,
    lastDay,
    isOff: row.isOff === 1,
    due: nextDue({ kind, every }, lastDay, readings),
    order: order !== null && number !== null && state && !isOver(state) ? { id: order, number, state } : null,
  };
}
