import { yearsOfWork } from '@wergon/core/compare';
import { formatCents } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import { readSql } from '../db/index.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { UnitEntity } from '../shop/index.ts';
import { UnitReadingEntity } from '../work/index.ts';
import type { WorkOrder } from '../work/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { costsFor, loadLabor } from './taskLabor.ts';
import type { Costs } from './taskLabor.ts';
import type { OrderRow } from '@wergon/contract/compare';

/** Orders of a unit that are told one by one, the last ones; the years count all of them. */
const MOST_ORDERS = 200;

type LoadRows = (
  known: ShopFacts,
  orders: readonly WorkOrder[],
  costs: Costs,
) => Promise<{ readonly orders: readonly OrderRow[] }>;

/** A unit over the years. */
export function mountUnit(mount: Mount, { database, facts, clock }: LedgerContext, loadRows: LoadRows): void {
  mount('unitHistory', async ({ param, who }) => {
    const em = database.em.fork();
    const unit = await em.findOne(UnitEntity, { id: param('unit') });
    if (!unit) return refuse('record.not_found');
    const known = await facts.seenBy(who.user);
    const costs = costsFor(who);
    const since = ({ states }: WorkOrder) => states.at(-1)?.from ?? 0;
    const orders = [...known.orders.values()]
      .filter((order) => order.unit === unit.id)
      .sort((a, b) => since(b) - since(a) || (a.number < b.number ? 1 : -1));
    const tasks = orders.flatMap(({ id }) => known.tasksByOrder.get(id) ?? []);
    const labor = await readSql(database, (sql) => loadLabor(sql, known, tasks, clock.now(), costs));
    const byOrder = orders.map(({ id }) => ({
      lines: labor.filter(({ task }) => task.order === id).flatMap(({ lines }) => lines),
    }));
    const readings = await em.find(UnitReadingEntity, { unit: unit.id }, { orderBy: { day: -1, hours: -1 } });
    const { orders: rows } = await loadRows(known, orders.slice(0, MOST_ORDERS), costs);
    const { id, type, maker, serialNumber, nameplate, owner } = unit;
    return ok({
      unit: { id, type, maker, serialNumber, nameplate, owner },
      readings: readings.map(({ id: reading, day, hours }) => ({ id: reading, day, hours })),
      years: yearsOfWork(byOrder).map(({ cost, ...year }) => ({ ...year, cost: formatCents(cost), costs })),
      orders: [...rows],
      orderCount: orders.length,
    });
  });
}
