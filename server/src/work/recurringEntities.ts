import { defineEntity, p } from '@mikro-orm/core';
import type { LocalDay } from '@wergon/core/time';
import type { Cadence, StandardId, WorkOrderId } from '@wergon/core/work';

/** Work on a unit that comes back, from a standard job. */
export const RecurrenceEntity = defineEntity({
  name: 'Recurrence',
  tableName: 'recurrence',
  properties: {
    id: p.string().primary(),
    unit: p.string().index(),
    job: p.string().$type<StandardId>(),
    kind: p.string().$type<Cadence['kind']>(),
    every: p.integer(),
    /** When it was done last, or when counting begins; an order that was made of it and is done counts more. */
    lastDay: p.integer().$type<LocalDay>(),
    isOff: p.boolean().default(false),
    /** The order that was made of it last, and the act that made it, so that one sent twice makes one. */
    order: p.string().$type<WorkOrderId>().fieldName('work_order').nullable(),
    madeBy: p.string().nullable(),
  },
});

/** The hour meter of a unit as it was read on a day. */
export const UnitReadingEntity = defineEntity({
  name: 'UnitReading',
  tableName: 'unit_reading',
  properties: {
    id: p.string().primary(),
    unit: p.string().index(),
    day: p.integer().$type<LocalDay>(),
    hours: p.integer(),
  },
});
