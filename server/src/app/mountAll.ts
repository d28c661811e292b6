import { mountAccess } from '../access/routes.ts';
import { mountBackups } from '../backup/routes.ts';
import { mountExchange } from '../exchange/routes.ts';
import { mountFloor } from '../floor/routes.ts';
import { mountLedger } from '../ledger/routes.ts';
import { mountPay } from '../pay/routes.ts';
import { mountPeople } from '../people/routes.ts';
import { mountReconcile } from '../reconcile/routes.ts';
import { mountShop } from '../shop/routes.ts';
import { mountStation } from '../station/routes.ts';
import { mountWork } from '../work/routes.ts';
import type { Context } from './context.ts';
import type { Mount } from './mount.ts';

/** Mounts every route of the contract. */
export function mountAll(mount: Mount, context: Context): void {
  mountAccess(mount, context);
  mountFloor(mount, context);
  mountWork(mount, context);
  mountLedger(mount, context);
  mountReconcile(mount, context);
  mountPay(mount, context);
  mountPeople(mount, context);
  mountBackups(mount, context);
  mountShop(mount, context);
  mountExchange(mount, context);
  mountStation(mount, context);
}
