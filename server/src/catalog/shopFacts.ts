import type { StandardFacts } from '@wergon/core/compare';
import type { LedgerFacts, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { WorkOrderId } from '@wergon/core/work';
import type { Technician } from '../people/index.ts';
import type { OvertimeFacts } from './overtimeFacts.ts';
import type { Shop } from '../shop/index.ts';
import type { Task, WorkOrder } from '../work/index.ts';

/** Everything but the journal that the ledger reads, and the names that go with it. */
export type ShopFacts = LedgerFacts &
  StandardFacts & {
    readonly shop: Shop;
    readonly overtime: OvertimeFacts;
    /** Names of departments by their ids in the list. */
    readonly departments: ReadonlyMap<string, string>;
    /** Names of crews by their ids in the list. */
    readonly crews: ReadonlyMap<string, string>;
    /** Names of everything that a station can be set to, by id: departments, crews, work centers. */
    readonly groups: ReadonlyMap<string, string>;
    readonly technicians: ReadonlyMap<TechnicianId, Technician>;
    /** People of whom whoever these facts are for is told nothing; they are not among the technicians. */
    readonly hidden?: ReadonlySet<TechnicianId>;
    readonly orders: ReadonlyMap<WorkOrderId, WorkOrder>;
    readonly tasks: ReadonlyMap<TargetId, Task>;
    /** Tasks by their order, in their order. */
    readonly tasksByOrder: ReadonlyMap<WorkOrderId, Task[]>;
    /** Orders whose work is not behind them: neither finished nor closed. */
    readonly openOrders: ReadonlySet<WorkOrderId>;
    readonly activities: ReadonlyMap<
      TargetId,
      {
        readonly id: TargetId;
        readonly title: string;
        readonly code: string;
        readonly isOff: boolean;
        readonly isPaid: boolean;
      }
    >;
  };
