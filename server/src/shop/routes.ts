import { randomUUID } from 'node:crypto';
import { ok } from '@wergon/core/result';
import { EVER, formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
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
  const { database, setupChanged, deriveAnew, closedUntil, live } = context;
  mountFirstRun(mount, context);
  mountNotices(mount, context);

  mount('saveSettings', async ({ body: { name, ...settings } }) => {
    const em = database.em.fork();
    const { pay } = (await context.shop.get()).settings;
    const write = () => em.nativeUpdate(ShopEntity, { id: 1 }, { name, settings });
    if (pay.basis === settings.pay.basis) await write();
    else await deriveAnew(EVER, write);
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

  /** A closed day can be paid, and how work on it is paid can differ: in a closed period it stays as it was. */
  const refuseClosed = async (day: LocalDay) => {
    const closed = await closedUntil();
    return closed !== null && day <= closed
      ? refuse('approve.closed', [{ field: 'day', message: `${formatDay(day)} lies in a closed pay period` }])
      : undefined;
  };

  mount('addClosedDay', async ({ body }) => {
    const closed = await refuseClosed(body.day);
    if (closed) return closed;
    await deriveAnew(body.day, () => database.em.fork().upsert(ClosedDayEntity, body));
    return ok(null);
  });

  mount('removeClosedDay', async ({ body }) => {
    const closed = await refuseClosed(body.day);
    if (closed) return closed;
    const removed = await deriveAnew(body.day, () => database.em.fork().nativeDelete(ClosedDayEntity, body));
    return removed > 0 ? ok(null) : refuse('record.not_found');
  });
}
