import { defineEntity, p } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';

export const TechnicianEntity = defineEntity({
  name: 'Technician',
  tableName: 'technician',
  properties: {
    id: p.string().primary(),
    number: p.string().unique(),
    name: p.string(),
    department: p.string(),
    leftOn: p.integer().nullable(),
  },
});
export type Technician = InferEntity<typeof TechnicianEntity>;

export const BadgeEntity = defineEntity({
  name: 'Badge',
  tableName: 'badge',
  properties: {
    id: p.string().primary(),
    technician: p.string().index(),
    code: p.string().unique(),
    revokedAt: p.integer().nullable(),
  },
});

/** One dated rate record, kept as the decimal strings it was entered with. */
export const CostRateEntity = defineEntity({
  name: 'CostRate',
  tableName: 'cost_rate',
  properties: {
    technician: p.string().primary(),
    fromDay: p.integer().primary(),
    record: p.text(),
  },
});

export const GradeEntity = defineEntity({
  name: 'Grade',
  tableName: 'grade',
  properties: {
    id: p.string().primary(),
    name: p.string().unique(),
    standardRate: p.integer(),
  },
});
