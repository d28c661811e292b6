import { payRecordSchema } from '@wergon/contract/people';
import type { RateEffect, RatesJson } from '@wergon/contract/people';
import { formatCents, formatRate, laborCost, toCents } from '@wergon/core/money';
import { costRateOn, costRatesOf, explainRate } from '@wergon/core/people';
import type { RateRecord, TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { formatDay, inForceAt, toSeconds } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { TargetId } from '@wergon/core/ledger';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { refuse } from '../app/problem.ts';
import { readSql, writeSql } from '../db/sql.ts';
import type { Database } from '../db/database.ts';
import type { Sql } from '../db/sql.ts';
import { deriveLines } from '../ledger/projection.ts';
import type { FactsCache, ShopFacts } from '../shop/facts.ts';
import { CostRateEntity } from './entities.ts';

type StoredRecord = RatesJson['records'][number]['record'];

/** A rate as it is kept: the decimal strings that were entered, and the shop's names for its burden. */
export const readStored = (record: string): StoredRecord => {
  const { burden = [], ...rest } = JSON.parse(record) as StoredRecord;
  return { ...rest, burden: burden.map((item) => ({ ...item, name: item.name ?? '' })) };
};

const UNITS = { percent: '%', perHour: 'an hour', perYear: 'a year' } as const;

function explainStored(stored: StoredRecord): RatesJson['records'][number] {
  const record = payRecordSchema.parse(stored);
  const { base, burden, total } = explainRate(record);
  const per = stored.per === 'hour' ? 'an hour' : `a year over ${stored.hoursPerYear ?? ''} hours`;
  return {
    record: stored,
    lines: [
      { name: 'Base', amount: `${stored.base} ${per}`, perHour: formatRate(base) },
      ...stored.burden.map(({ name, kind, value }, i) => ({
        name: name || 'Burden',
        amount: `${value} ${UNITS[kind as keyof typeof UNITS]}`,
        perHour: formatRate(burden[i] ?? base),
      })),
    ],
    costPerHour: formatRate(total),
  };
}

const loadRecords = (database: Database, technician: string) =>
  database.em.fork().find(CostRateEntity, { technician }, { orderBy: { fromDay: -1 } });

/** What a set of records would make of the labor from a day on, by order; the journal and the hours stay as they are.
 *  Source: docs/ledger.md, section 9. */
function findEffect(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  records: readonly RateRecord[],
  from: LocalDay,
  now: number,
): RateEffect['orders'] {
  const rates = costRatesOf(records);
  const rows = sql.all<{ day: LocalDay; target: TargetId; seconds: number; cost: number | null }>(
    `select "day", "target", "measured_seconds" + "shared_seconds" + "entered_seconds" as "seconds", "cost"
     from "labor_line" where "technician" = ? and "day" >= ?`,
    [technician, from],
  );
  const sums = new Map<string, { seconds: number; before: number; after: number }>();
  for (const { day, target, seconds, cost } of rows) {
    const order = facts.tasks.get(target)?.order ?? '';
    const sum = sums.get(order) ?? { seconds: 0, before: 0, after: 0 };
    const rate = costRateOn(rates, day);
    sum.seconds += seconds;
    sum.before += cost ?? 0;
    sum.after += rate === undefined ? 0 : laborCost(toSeconds(seconds), rate);
    sums.set(order, sum);
  }
  return [...sums]
    .filter(([, { before, after }]) => before !== after)
    .map(([id, { seconds, before, after }]) => {
      const order = facts.orders.get(id);
      const state = order && inForceAt(order.states, now as never);
      return {
        number: order?.number ?? '',
        title: order?.title ?? 'indirect time',
        isOpen: state !== undefined && state !== 'finished' && state !== 'closed',
        seconds,
        before: formatCents(toCents(before)),
        after: formatCents(toCents(after)),
      };
    })
    .sort((a, b) => Number(b.isOpen) - Number(a.isOpen) || (a.number < b.number ? -1 : 1));
}

/** Routes of cost rates; every one of them asks for the right to see rates. */
export function mountRates(mount: Mount, { database, clock, facts, live }: Context): void {
  mount('rates', async ({ param }) => {
    const known = await facts.get();
    if (!known.technicians.has(param('technician') as TechnicianId)) return refuse('record.not_found');
    const rows = await loadRecords(database, param('technician'));
    return ok({ records: rows.map(({ record }) => explainStored(readStored(record))) });
  });

  /** The records as they would be with one more, or with one in the place of another. */
  const planRecords = async (technician: string, record: RateRecord, replaces: LocalDay | null) => {
    const rows = await loadRecords(database, technician);
    const kept = rows.filter(({ fromDay }) => fromDay !== replaces);
    const isTaken = kept.some(({ fromDay }) => fromDay === record.from);
    const isMissing = replaces !== null && kept.length === rows.length;
    return {
      isTaken,
      isMissing,
      records: [...kept.map((row) => payRecordSchema.parse(readStored(row.record))), record],
    };
  };

  mount('rateEffect', async ({ param, body }) => {
    const technician = param('technician') as TechnicianId;
    const known = await facts.get();
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    const { records } = await planRecords(technician, body.record, body.replaces);
    const from = Math.min(body.record.from, body.replaces ?? body.record.from) as LocalDay;
    const now = clock.now();
    const orders = await readSql(database, (sql) => findEffect(sql, known, technician, records, from, now));
    return ok({
      costPerHour: formatRate(explainRate(body.record).total),
      isPast: orders.length > 0 && from < known.zone.dayAt(now),
      orders,
    });
  });

  mount('addRate', async ({ param, body, req }) => {
    const technician = param('technician') as TechnicianId;
    const known = await facts.get();
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    const { isTaken, isMissing, records } = await planRecords(technician, body.record, body.replaces);
    if (isTaken)
      return refuse('record.taken', [{ field: 'record.from', message: 'there is a rate of this date' }]);
    if (isMissing) return refuse('record.not_found');
    const from = Math.min(body.record.from, body.replaces ?? body.record.from) as LocalDay;
    const isPast = from < known.zone.dayAt(clock.now());
    if (isPast && !body.isPastAgreed) {
      const orders = await readSql(database, (sql) =>
        findEffect(sql, known, technician, records, from, clock.now()),
      );
      if (orders.length > 0)
        return refuse('rate.changes_past', [
          { field: 'record.from', message: `changes the cost of days since ${formatDay(from)}` },
        ]);
    }
    // Kept as it was sent, in the decimal strings that the schema has just read.
    const record = JSON.stringify((req.body as { record: unknown }).record);
    await database.em.fork().transactional(async (em) => {
      if (body.replaces !== null)
        await em.nativeDelete(CostRateEntity, { technician, fromDay: body.replaces });
      await em.insert(CostRateEntity, { technician, fromDay: body.record.from, record });
    });
    // Before anything is costed anew: whoever records from here on goes by the new rates.
    facts.forget('shop');
    await costAnew(database, facts, technician, from);
    live.publishSetup();
    return ok(null);
  });
}

/** Costs a person's labor lines from a day on by the rates as they are now. */
export async function costAnew(
  database: Database,
  facts: FactsCache,
  technician: TechnicianId,
  from: LocalDay,
): Promise<void> {
  const fresh = await facts.get();
  await writeSql(database, (sql) => {
    const days = sql.all<{ day: LocalDay }>(
      'select distinct "day" from "labor_line" where "technician" = ? and "day" >= ?',
      [technician, from],
    );
    deriveLines(sql, fresh, technician, new Set(days.map(({ day }) => day)));
  });
}
