import { DEFAULT_POLICY } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import { createZone, dated } from '@wergon/core/time';
import { UserEntity, openSession, viewOfUser, addUser } from '../access/index.ts';
import type { Context, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { ShopEntity } from './entities.ts';
import { addStarterSet } from './starterSet.ts';

/** Sets the shop up, once, with its first administrator. */
export function mountFirstRun(mount: Mount, context: Context): void {
  const { database, setupChanged } = context;
  mount('firstRun', async ({ body, req, res }) => {
    if (!createZone(body.zone).ok)
      return refuse('input.invalid', [{ field: 'zone', message: 'no such time zone' }]);
    const user = await database.em.fork().transactional(async (em) => {
      if ((await em.count(UserEntity)) > 0) return undefined;
      const { shopName, zone, currency, ...person } = body;
      await em.insert(ShopEntity, {
        id: 1,
        name: shopName,
        zone,
        currency,
        policy: dated(DEFAULT_POLICY),
        settings: null,
      });
      await addStarterSet(em);
      return addUser(em, { ...person, roles: ['administrator'], seesRates: true });
    });
    if (!user) return refuse('access.already_set_up');
    setupChanged('shop', 'orders');
    await openSession(context, req, res, user, false);
    return ok(await viewOfUser(context, user, false));
  });
}
