import { formatDecimalHours } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import { formatDay } from '@wergon/core/time';
import { estimateSeconds } from '@wergon/core/work';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { GuaranteeEntity } from './entities.ts';

/** Routes of the hours that people are paid at the least. Source: docs/pay.md, paid and not worked. */
export function mountGuarantees(
  mount: Mount,
  { database, facts, closedUntil, setupChanged }: LedgerContext,
): void {
  mount('guarantees', async ({ param }) => {
    const technician = param('technician');
    if (!(await facts.get()).technicians.has(technician)) return refuse('record.not_found');
    const rows = await database.em.fork().find(GuaranteeEntity, { technician }, { orderBy: { fromDay: 1 } });
    return ok({
      guarantees: rows.map(({ fromDay, seconds }) => ({ from: fromDay, hours: formatDecimalHours(seconds) })),
    });
  });

  mount('saveGuarantee', async ({ param, body: { from, hours } }) => {
    const technician = param('technician');
    if (!(await facts.get()).technicians.has(technician)) return refuse('record.not_found');
    const closed = await closedUntil();
    // What was paid stays: a closed period is not filled up afterwards.
    if (closed !== null && from <= closed)
      return refuse('approve.closed', [
        { field: 'from', message: `${formatDay(from)} lies in a closed pay period` },
      ]);
    const em = database.em.fork();
    const key = { technician, fromDay: from };
    if (hours === null) {
      const removed = await em.nativeDelete(GuaranteeEntity, key);
      if (removed === 0) return refuse('record.not_found');
    } else await em.upsert(GuaranteeEntity, { ...key, seconds: estimateSeconds({ runHours: hours }, 1) });
    setupChanged();
    return ok(null);
  });
}
