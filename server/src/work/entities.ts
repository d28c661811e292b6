import { defineEntity, p } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import type { Dated, Seconds } from '@wergon/core/time';
import type { OrderState, WorkType } from '@wergon/core/work';

export const OrderEntity = defineEntity({
  name: 'WorkOrder',
  tableName: 'work_order',
  properties: {
    id: p.string().primary(),
    number: p.string().unique(),
    title: p.string(),
    customer: p.string(),
    quantity: p.integer(),
    dueDay: p.integer().nullable(),
    /** Every state it has been in; the last is the present one. */
    states: p.json<Dated<OrderState>>(),
    includes: p.json<WorkType[]>(),
    code: p.string().unique(),
  },
});
export type WorkOrder = InferEntity<typeof OrderEntity>;

export const TaskEntity = defineEntity({
  name: 'Task',
  tableName: 'task',
  properties: {
    id: p.string().primary(),
    order: p.string().fieldName('work_order').index(),
    position: p.integer(),
    title: p.string(),
    workCenter: p.string(),
    grade: p.string(),
    code: p.string().unique(),
    hasEstimate: p.boolean(),
    estimate: p.json<Dated<Seconds>>(),
    /** The grade's standard rate it was estimated with, in 1/10,000 per hour, and what that came to in cents. */
    standardRate: p.integer(),
    estimatedCost: p.integer(),
  },
});
export type Task = InferEntity<typeof TaskEntity>;
