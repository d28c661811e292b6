import { randomUUID } from 'node:crypto';
import { ok } from '@wergon/core/result';
import { ACTIONS, codeOfAction } from '@wergon/core/scan';
import { dated, inForceAt } from '@wergon/core/time';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { drawRandomCode } from '../station/drawCode.ts';
import { ActivityEntity } from './entities.ts';

export function mountShop(mount: Mount, { database, clock, facts, live }: Context): void {
  mount('shop', async () => {
    const { shop } = await facts.get();
    const activities = await database.em.fork().findAll(ActivityEntity, { orderBy: { title: 1 } });
    return ok({
      name: shop.name,
      zone: shop.zone,
      currency: shop.currency,
      activities: activities.map(({ id, title, counts, code }) => ({
        id,
        title,
        counts: inForceAt(counts, clock.now()),
        code,
      })),
      actions: ACTIONS.map((action) => ({ action, code: codeOfAction(action) })),
    });
  });

  mount('addActivity', async ({ body: { title, counts } }) => {
    const id = randomUUID();
    const code = drawRandomCode('activity');
    await database.em.fork().insert(ActivityEntity, { id, title, counts: dated(counts), code });
    facts.forget();
    live.publishSetup();
    return ok({ id });
  });
}
