import { COLUMNS } from '@wergon/contract/exchange';
import type { ExchangeKind } from '@wergon/contract/exchange';
import { ok } from '@wergon/core/result';
import { toDay } from '@wergon/core/time';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount, Sees } from '../http/index.ts';
import { TechnicianEntity } from '../people/index.ts';
import { costAnew } from '../ledger/index.ts';
import { createHours } from './hours.ts';
import { importRoute } from './importRoute.ts';
import type { StoredList } from './list.ts';
import { ORDERS } from './orders.ts';
import { PEOPLE } from './people.ts';
import { RATES } from './rates.ts';
import { createStaging } from './staging.ts';
import { createStandards } from './standards.ts';

/** Routes by which lists come in and go out. */
export function mountExchange(mount: Mount, context: LedgerContext): void {
  const { database, clock, facts } = context;
  const staging = createStaging(clock.now);
  const standards = createStandards(clock.now);
  mount('importOrders', importRoute(context, staging, ORDERS));
  mount('importPeople', importRoute(context, staging, PEOPLE));
  mount('importStandards', importRoute(context, staging, standards));
  mount('importHours', importRoute(context, staging, createHours(context)));
  mount(
    'importRates',
    importRoute(context, staging, RATES, async (rows) => {
      // Costs of days gone by follow their new rates.
      const technicians = await database.em.fork().findAll(TechnicianEntity);
      const earliest = new Map<string, number>();
      for (const { number, record } of rows)
        earliest.set(number, Math.min(record.from, earliest.get(number) ?? record.from));
      for (const { id, number } of technicians) {
        const from = earliest.get(number);
        if (from !== undefined) await costAnew(database, facts, id, toDay(from));
      }
    }),
  );

  const exportRoute =
    <Row>(kind: ExchangeKind, list: StoredList<Row>) =>
    async ({ sees }: { readonly sees: Sees }) =>
      ok({
        columns: COLUMNS[kind].map(({ heading }) => heading),
        rows: await list.write(database.em.fork(), sees),
      });
  mount('exportOrders', exportRoute('orders', ORDERS));
  mount('exportPeople', exportRoute('people', PEOPLE));
  mount('exportRates', exportRoute('rates', RATES));
  mount('exportStandards', exportRoute('standards', standards));
}
