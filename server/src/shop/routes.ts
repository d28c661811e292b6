import { randomUUID } from 'node:crypto';
import { ok } from '@wergon/core/result';
import type { Context, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { insertOnce } from '../db/index.ts';
import { ClosedDayEntity, ShopEntity, UnitEntity } from './entities.ts';
import { mountFirstRun } from './firstRun.ts';
import { ensureListItems } from './ensureListItems.ts';
import { takePhones } from './station.ts';
import { mountNotices } from './notices.ts';

/** Routes of what the shop says of itself: its settings, closed days, notices, customers' units. */
export function mountShop(mount: Mount, context: Context): void {
  const { database, setupChanged, live } = context;
  mountFirstRun(mount, context);
  mountNotices(mount, context);

  mount('saveSettings', async ({ body: { name, ...settings } }) => {
    const em = database.em.fork();
    await em.nativeUpdate(ShopEntity, { id: 1 }, { name, settings });
    if (!settings.work.ownPhones) await takePhones(em, live);
    setupChanged('shop', 'orders');
    return ok(null);
  });

  mount('addUnit', async ({ body: { once, ...body } }) => {
    const id = once ?? randomUUID();
    const isKept = await database.em.fork().transactional(async (em) => {
      await ensureListItems(em, { customer: [body.owner] });
      return insertOnce(em, UnitEntity, { id, ...body }, body);
    });
    setupChanged('shop', 'orders');
    return isKept ? ok({ id }) : refuse('record.sent_before');
  });

  mount('saveUnit', async ({ param, body }) => {
    const found = await database.em.fork().nativeUpdate(UnitEntity, { id: param('unit') }, body);
    setupChanged('shop', 'orders');
    return found > 0 ? ok(null) : refuse('record.not_found');
  });

  mount('addClosedDay', async ({ body }) => {
    await database.em.fork().upsert(ClosedDayEntity, body);
    setupChanged('shop', 'orders');
    return ok(null);
  });

  mount('removeClosedDay', async ({ body }) => {
    const removed = await database.em.fork().nativeDelete(ClosedDayEntity, body);
    setupChanged('shop', 'orders');
    return removed > 0 ? ok(null) : refuse('record.not_found');
  });
}
