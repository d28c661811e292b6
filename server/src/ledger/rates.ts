import type { WorkType } from '@wergon/core/work';
import type { Cents } from '@wergon/core/money';
import { isPaidTarget, recost } from '@wergon/core/ledger';
import type { RateEffect } from '@wergon/contract/people';
import { formatCents, formatRate, sumCents } from '@wergon/core/money';
import { costRatesOf, explainRate, premiumRatesOf } from '@wergon/core/people';
import type { RateRecord, TechnicianId } from '@wergon/core/people';
import { groupBy, isRecord, ok } from '@wergon/core/result';
import { formatDay, inForceAt, earliestOf, sumSeconds } from '@wergon/core/time';
import type { Instant, LocalDay, Seconds } from '@wergon/core/time';
import type { TargetId } from '@wergon/core/ledger';
import type { LedgerContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql, writeSql } from '../db/index.ts';
import type { Database, Sql } from '../db/index.ts';
import { deriveLines, shiftDaysOf } from './laborLines.ts';
import { keepPay, premiumsWith } from './payDays.ts';
import { loadTrueUps } from './payRows.ts';
import { loadSetCosts } from './setCosts.ts';
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
  const lines = sql.all<{
    day: LocalDay;
    target: TargetId;
    workType: WorkType;
    seconds: Seconds;
    cost: Cents | null;
  }>(
    `select "day", "target", "work_type" as "workType", "measured_seconds" + "shared_seconds" + "entered_seconds" as "seconds", "cost"
     from "labor_line" where "technician" = ? and "day" >= ?`,
    [technician, from],
  );
  const setCosts = loadSetCosts(sql, from, facts.zone.dayAt(now), technician);
  const premiums = premiumsWith(
    sql,
    facts,
    technician,
    { first: from, last: facts.zone.dayAt(now) },
    (by) => ({
      ...by,
      premiumRates: premiumRatesOf(records),
    }),
  );
  const isPaid = (target: TargetId) => isPaidTarget(facts, target);
  const recosted = recost(lines, {
    rates: costRatesOf(records),
    setCosts,
    premiums,
    trueUps: loadTrueUps(sql, technician, from, facts.zone.dayAt(now)),
    isPaid,
  });
  return [...groupBy(recosted, ({ target }) => facts.tasks.get(target)?.order)]
    .map(([id, own]) => ({
      id,
      seconds: sumSeconds(own),
      before: sumCents(own),
      after: sumCents(own.map(({ after }) => ({ cost: after }))),
    }))
    .filter(({ before, after }) => before !== after)
    .map(({ id, seconds, before, after }) => {
      const order = id && facts.orders.get(id);
      const state = order && inForceAt(order.states, now);
      return {
        number: order?.number ?? '',
        title: order?.title ?? 'indirect time',
        isOpen: state !== undefined && state !== 'finished' && state !== 'closed',
        seconds,
        before: formatCents(before),
        after: formatCents(after),
      };
    })
    .sort((a, b) => Number(b.isOpen) - Number(a.isOpen) || (a.number < b.number ? -1 : 1));
}

/** Routes of cost rates; every one of them asks for the right to see rates. */
export function mountRates(mount: Mount, { database, clock, facts, live }: LedgerContext): void {
  mount('rates', async ({ param }) => {
    const known = await facts.get();
    if (!known.technicians.has(param('technician'))) return refuse('record.not_found');
    const rows = await loadRecords(database, param('technician'));
    return ok({ records: rows.map(({ record }) => explainStored(readStored(record))) });
  });

  mount('rateEffect', async ({ param, body }) => {
    const technician = param('technician');
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
    const technician = param('technician');
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
    const record = JSON.stringify(isRecord(req.body) ? req.body['record'] : null);
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
    const lineDays = new Set(days.map(({ day }) => day));
    keepPay(sql, fresh, technician, shiftDaysOf(lineDays), lineDays);
    deriveLines(sql, fresh, technician, lineDays);
  });
}
