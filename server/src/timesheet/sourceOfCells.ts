import type { WeekCell } from '@wergon/core/timesheet';
import { addDays } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { loadElsewhere } from '../ledger/index.ts';
import { entersElsewhere } from '../shop/index.ts';

const LAST = 6;

/** Says of the cells of a week whether hours in them are entered elsewhere: those are put right there alone. */
export function sourceOfCells(sql: Sql, { shop }: ShopFacts, monday: LocalDay) {
  const elsewhere = entersElsewhere(shop) ? loadElsewhere(sql, monday, addDays(monday, LAST)) : undefined;
  return ({ entered, ...cell }: WeekCell) => ({
    ...cell,
    entered: [...entered],
    isElsewhere: elsewhere !== undefined && entered.some(({ id }) => elsewhere.has(id)),
  });
}
