import { defineEntity, p } from '@mikro-orm/core';
import type { TargetId } from '@wergon/core/ledger';
import type { Cents, Rate } from '@wergon/core/money';
import type { InferEntity } from '@mikro-orm/core';
import type { StandardJobJson, StandardTaskJson } from '@wergon/contract/work';
import type { TaskRow } from '@wergon/contract/compare';
import type { Charge } from '@wergon/contract/shop';
import type { Dated, Seconds, Instant, LocalDay } from '@wergon/core/time';
import type { FieldChange, OrderState, StandardId, WorkOrderId, WorkType } from '@wergon/core/work';

export const OrderEntity = defineEntity({
  name: 'WorkOrder',
  tableName: 'work_order',
  properties: {
    id: p.string().$type<WorkOrderId>().primary(),
    number: p.string().unique(),
    title: p.string(),
    customer: p.string(),
    quantity: p.integer(),
    dueDay: p.integer().$type<LocalDay>().nullable(),
    /** Every state it has been in; the last is the present one. */
    states: p.json<Dated<OrderState>>(),
    includes: p.json<WorkType[]>(),
    code: p.string().unique(),
    division: p.string().default(''),
    jobType: p.string().default(''),
    item: p.string().default(''),
    unit: p.string().nullable(),
    /** In cents. */
    price: p.integer().$type<Cents>().nullable(),
    notes: p.text().default(''),
    parts: p.json<{ readonly name: string; readonly quantity: number }[]>().nullable(),
    charge: p.json<Charge>().nullable(),
    /** Goes up whenever something that stands on its papers changes. */
    version: p.integer().default(1),
  },
});
export type WorkOrder = InferEntity<typeof OrderEntity>;

/** Hours as they were entered, decimal strings; absent where nothing was. */
export type HoursText = Pick<TaskRow, 'setupHours' | 'runHours' | 'runHoursPerPiece'>;

/** Of a task that was written down at a station: by whom, when, and what was given as its order. */
export type WrittenDown = { readonly at: Instant; readonly by: string; readonly said: string };

export const TaskEntity = defineEntity({
  name: 'Task',
  tableName: 'task',
  properties: {
    id: p.string().$type<TargetId>().primary(),
    order: p.string().$type<WorkOrderId>().fieldName('work_order').index(),
    position: p.integer(),
    title: p.string(),
    workCenter: p.string(),
    grade: p.string(),
    code: p.string().unique(),
    hasEstimate: p.boolean(),
    estimate: p.json<Dated<Seconds>>(),
    /** The grade's standard rate it was estimated with, in 1/10,000 per hour, and what that came to in cents. */
    standardRate: p.integer().$type<Rate>(),
    estimatedCost: p.integer().$type<Cents>(),
    /** What the first estimate came to; absent where there has been no other. */
    originalCost: p.integer().$type<Cents>().nullable(),
    hours: p.json<HoursText>().nullable(),
    description: p.text().default(''),
    instructions: p.json<TaskRow['instructions']>().nullable(),
    reports: p.json<TaskRow['reports']>().nullable(),
    price: p.integer().$type<Cents>().nullable(),
    isOptional: p.boolean().default(false),
    isAccepted: p.boolean().default(true),
    costCode: p.string().default(''),
    charge: p.json<Charge>().nullable(),
    assigned: p.json<{ kind: 'technician' | 'crew'; id: string }[]>().nullable(),
    origin: p.json<NonNullable<TaskRow['origin']>>().nullable(),
    /** Who wrote it down at a station; absent of a task of the desk. */
    written: p.json<WrittenDown>().nullable(),
    /** Whether it waits to be tied to a real task, is tied, or is kept as it is. */
    writtenState: p.string().$type<'waiting' | 'tied' | 'kept'>().nullable().index(),
    /** The act by which it was written down, so that one that is sent twice is there once. */
    writtenBy: p.string().nullable().unique(),
  },
});
export type Task = InferEntity<typeof TaskEntity>;

type StandardBody = {
  readonly task?: Omit<StandardTaskJson, 'id' | 'version' | 'isOff' | 'savedAt' | 'savedBy' | 'usedBy'>;
  readonly job?: Pick<StandardJobJson, 'title' | 'scope' | 'steps'>;
};

/** A standard task or job as it is now. */
export const StandardEntity = defineEntity({
  name: 'Standard',
  tableName: 'standard',
  properties: {
    id: p.string().$type<StandardId>().primary(),
    kind: p.string().$type<'task' | 'job'>(),
    title: p.string(),
    version: p.integer(),
    isOff: p.boolean(),
    body: p.json<StandardBody>(),
  },
});
export type Standard = InferEntity<typeof StandardEntity>;

/** Every version a standard has had; orders keep the number of theirs. */
export const StandardVersionEntity = defineEntity({
  name: 'StandardVersion',
  tableName: 'standard_version',
  properties: {
    standard: p.string().$type<StandardId>().primary(),
    version: p.integer().primary(),
    body: p.json<StandardBody>(),
    savedAt: p.integer().$type<Instant>(),
    savedBy: p.string(),
  },
});

/** What somebody changed of an order, in words. Rows are only added. */
export const OrderChangeEntity = defineEntity({
  name: 'OrderChange',
  tableName: 'order_change',
  properties: {
    id: p.integer().primary().autoincrement(),
    order: p.string().$type<WorkOrderId>().fieldName('work_order').index(),
    at: p.integer().$type<Instant>(),
    by: p.string().fieldName('changed_by'),
    changes: p.json<FieldChange[]>(),
  },
});

export const AttachmentEntity = defineEntity({
  name: 'Attachment',
  tableName: 'attachment',
  properties: {
    id: p.string().primary(),
    order: p.string().$type<WorkOrderId>().fieldName('work_order').index(),
    name: p.string(),
    type: p.string().$type<'image/png' | 'image/jpeg' | 'image/webp' | 'application/pdf'>(),
    size: p.integer(),
    addedAt: p.integer().$type<Instant>(),
    addedBy: p.string(),
    bytes: p.blob(),
  },
});

/** A code of one print of a traveler: its task, perhaps a kind of work, and the version of the order on the paper. */
export const TravelerCodeEntity = defineEntity({
  name: 'TravelerCode',
  tableName: 'traveler_code',
  uniques: [{ properties: ['task', 'workType', 'version'] }],
  properties: {
    code: p.string().primary(),
    task: p.string().$type<TargetId>(),
    /** Empty for the task's own code. */
    workType: p.string().$type<WorkType | ''>(),
    version: p.integer(),
  },
});
