import type { LaborState, LedgerFacts, TargetId, UsedByType } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { OrderState, WorkOrderId, WorkType } from '../work/index.ts';

export type BoardTechnician = {
  readonly id: TechnicianId;
  readonly name: string;
  readonly department: string;
  readonly hasLeft: boolean;
  readonly state: LaborState;
  /** Settled labor of one local day; open time comes on top. */
  readonly charged: { readonly day: LocalDay; readonly seconds: Seconds };
};

export type BoardOrder = {
  readonly id: WorkOrderId;
  readonly number: string;
  readonly title: string;
  readonly customer: string;
  readonly state: OrderState;
  readonly includes: ReadonlySet<WorkType>;
};

export type BoardTask = {
  readonly kind: 'task';
  readonly id: TargetId;
  readonly title: string;
  readonly order: WorkOrderId;
  /** `null` where nothing was estimated. */
  readonly estimatedSeconds: Seconds | null;
  /** Settled labor; what runs now comes on top. */
  readonly used: UsedByType;
  readonly isFinished: boolean;
};

export type BoardActivity = {
  readonly kind: 'activity';
  readonly id: TargetId;
  readonly title: string;
  /** Switched off: it still has a name, and is offered nowhere. */
  readonly isOff?: boolean;
};
export type BoardTarget = BoardTask | BoardActivity;

/** Who is on what, as of the last entry: everything the floor and a station need to tell time as it passes. */
export type Board = {
  readonly facts: LedgerFacts;
  readonly technicians: ReadonlyMap<TechnicianId, BoardTechnician>;
  readonly orders: ReadonlyMap<WorkOrderId, BoardOrder>;
  readonly targets: ReadonlyMap<TargetId, BoardTarget>;
};
