import { mountAccess, mountRoles, mountUsers } from '../access/index.ts';
import { mountShop } from '../shop/index.ts';
import { mountPeople } from '../people/index.ts';
import { mountWork } from '../work/index.ts';
import { mountCatalog } from '../catalog/index.ts';
import { mountLedger } from '../ledger/index.ts';
import { mountCompare } from '../compare/index.ts';
import { mountFloor } from '../floor/index.ts';
import { mountStation } from '../station/index.ts';
import { mountLooseEnds } from '../loose-ends/index.ts';
import { mountTape } from '../tape/index.ts';
import { mountTimesheet } from '../timesheet/index.ts';
import { mountApproval } from '../approval/index.ts';
import { mountAttendance } from '../attendance/index.ts';
import { mountPay } from '../pay/index.ts';
import { mountExchange } from '../exchange/index.ts';
import { mountLabels } from '../labels/index.ts';
import { mountBackups } from '../backup/index.ts';
import type { Mount } from '../http/index.ts';
import type { Context } from './context.ts';
import { mountRail } from './rail.ts';

/** Mounts every route of the contract, room by room. */
export function mountAll(mount: Mount, context: Context): void {
  mountAccess(mount, context);
  mountUsers(mount, context);
  mountRoles(mount, context);
  mountShop(mount, context);
  mountPeople(mount, context);
  mountWork(mount, context);
  mountCatalog(mount, context);
  mountLedger(mount, context);
  mountCompare(mount, context);
  mountFloor(mount, context);
  mountStation(mount, context);
  mountLooseEnds(mount, context);
  mountTape(mount, context);
  mountTimesheet(mount, context);
  mountApproval(mount, context);
  mountAttendance(mount, context);
  mountPay(mount, context);
  mountExchange(mount, context);
  mountLabels(mount, context);
  mountBackups(mount, context);
  mountRail(mount, context);
}
