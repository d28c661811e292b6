import type { RateEffect } from '@wergon/contract/people';
import { formatCents, formatRate, laborCost, toCents } from '@wergon/core/money';
import { costRateOn, costRatesOf, explainRate } from '@wergon/core/people';
import type { RateRecord, TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { formatDay, inForceAt, toSeconds, earliestOf } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { TargetId } from '@wergon/core/ledger';
import type { LedgerContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql, writeSql } from '../db/index.ts';
import type { Database, Sql } from '../db/index.ts';
import { deriveLines } from './projection.ts';
import type { FactsCache, ShopFacts } from '../catalog/index.ts';
import { CostRateEntity, explainStored, loadRecords, planRecords, readStored } from '../people/index.ts';

/** What a set of records would make of the labor from a day on, by order; the journal and the hours stay as they are.
 *  Source: docs/ledger.md, section 9. */
function findEffect(
  sql: Sql,
  facts: ShopFacts,
  technician: TechnicianId,
  records: readonly RateRecord[],
  from: LocalDay,
  now: Instant,
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
      const state = order && inForceAt(order.states, now);
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
export function mountRates(mount: Mount, { database, clock, facts, live }: LedgerContext): void {
  mount('rates', async ({ param }) => {
    const known = await facts.get();
    if (!known.technicians.has(param('technician') as TechnicianId)) return refuse('record.not_found');
    const rows = await loadRecords(database, param('technician'));
    return ok({ records: rows.map(({ record }) => explainStored(readStored(record))) });
  });

  mount('rateEffect', async ({ param, body }) => {
    const technician = param('technician') as TechnicianId;
    const known = await facts.get();
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    const { records } = await planRecords(database, technician, body.record, body.replaces);
    const from = earliestOf([body.record.from, body.replaces ?? body.record.from]);
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
    const { isTaken, isMissing, records } = await planRecords(
      database,
      technician,
      body.record,
      body.replaces,
    );
    if (isTaken)
      return refuse('record.taken', [{ field: 'record.from', message: 'there is a rate of this date' }]);
    if (isMissing) return refuse('record.not_found');
    const from = earliestOf([body.record.from, body.replaces ?? body.record.from]);
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
