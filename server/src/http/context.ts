import type { TechnicianId } from '@wergon/core/people';
import type { WorkOrderId } from '@wergon/core/work';
import type { Logger } from 'pino';
import type { Settings } from '@wergon/contract/shop';
import type { LocalDay, Zone } from '@wergon/core/time';
import type { Database } from '../db/index.ts';
import type { Clock } from './clock.ts';
import type { Health } from './health.ts';
import type { Live } from './live.ts';

/** The shop itself, as any room may need to know it. */
export type ShopNow = {
  readonly name: string;
  readonly zone: Zone;
  readonly zoneName: string;
  readonly currency: string;
  readonly settings: Settings;
};

/** What a change of records makes stale: everything but orders, some orders with their tasks, or all of them. */
export type Stale = 'shop' | 'orders' | readonly WorkOrderId[];

/** What every route stands on; later rooms add what they keep. */
export type Context = {
  readonly database: Database;
  readonly clock: Clock;
  readonly live: Live;
  readonly health: Health;
  /** Absent before the first run. */
  readonly shop: { readonly find: () => Promise<ShopNow | undefined>; readonly get: () => Promise<ShopNow> };
  /** Says that records have changed: what was read of them is read anew, and every open page is told. */
  readonly setupChanged: (...stale: readonly Stale[]) => void;
  /** Changes records by which days gone by are derived, from a day on, and has everybody's, or some people's, derived anew
   *  in the background. */
  readonly deriveAnew: <T>(
    from: LocalDay,
    change: () => Promise<T>,
    people?: readonly TechnicianId[],
  ) => Promise<T>;
  /** The last day of the last closed pay period; nothing up to it is changed from the desk. */
  readonly closedUntil: () => Promise<LocalDay | null>;
  /** Keeps the chain's length and last hash outside the journal. */
  readonly keepHead: (why: string) => Promise<void>;
  readonly log: Logger;
  readonly isDemo: boolean;
};
