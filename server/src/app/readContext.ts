import { Defect } from '@wergon/core/result';
import { readSql } from '../db/index.ts';
import type { Database } from '../db/index.ts';
import type { ShopNow } from '../http/index.ts';
import { findClosedUntil, hasLabor } from '../ledger/index.ts';
import { settingsOf } from '../shop/index.ts';
import type { FactsCache } from '../catalog/index.ts';
import type { Context } from './context.ts';

/** The part of what routes stand on that only reads: the server has it, and so have the processes that read for it. */
export function readContext(
  database: Database,
  facts: FactsCache,
): Pick<Context, 'database' | 'facts' | 'shop' | 'hasLabor' | 'closedUntil'> {
  const find = async (): Promise<ShopNow | undefined> => {
    const known = await facts.find();
    if (!known) return undefined;
    const { shop, zone } = known;
    return {
      name: shop.name,
      zone,
      zoneName: shop.zone,
      currency: shop.currency,
      settings: settingsOf(shop),
    };
  };
  const get = async () => {
    const shop = await find();
    if (!shop) throw new Defect('the shop is not set up yet');
    return shop;
  };
  return {
    database,
    facts,
    shop: { find, get },
    hasLabor: (task) => readSql(database, (sql) => hasLabor(sql, task)),
    closedUntil: () => readSql(database, findClosedUntil),
  };
}
