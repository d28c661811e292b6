import { ok } from '@wergon/core/result';
import { inForceAt } from '@wergon/core/time';
import { settleAt } from '@wergon/core/ledger';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { readSql } from '../db/index.ts';
import { loadStates } from '../ledger/strands.ts';
import { findLooseEnds } from '../reconcile/looseEnds.ts';
import { loadFloor } from './board.ts';

/** How far back the rail counts loose ends, in days. */
export const RECONCILE_DAYS = 14;

export function mountFloor(mount: Mount, { database, clock, facts }: Context): void {
  mount('floor', async ({ query }) => {
    const known = await facts.get();
    const now = clock.now();
    const day = query.day ?? known.zone.dayAt(now);
    return ok(await readSql(database, (sql) => loadFloor(sql, known, day, now)));
  });

  mount('rail', async () => {
    const known = await facts.get();
    const now = clock.now();
    const today = known.zone.dayAt(now);
    const firstDay = (today - RECONCILE_DAYS + 1) as typeof today;
    const orders = [...known.orders.values()].map(({ states }) => inForceAt(states, now));
    return readSql(database, (sql) => {
      const states = [...loadStates(sql)].map(([id, state]) => settleAt(id, state, now, known.policy).state);
      return ok({
        peopleIn: states.filter(({ shift, doing }) => shift || doing.status !== 'nothing').length,
        openOrders: orders.filter((state) => state === 'released' || state === 'on-hold').length,
        looseEnds: findLooseEnds(sql, known, firstDay, today, now).length,
      });
    });
  });
}
