import type { EntityManager } from '@mikro-orm/libsql';
import type { TechnicianFields, TechnicianRow } from '@wergon/contract/people';
import { formatDecimalHours } from '@wergon/core/money';
import type { TechnicianId } from '@wergon/core/people';
import type { Code } from '@wergon/core/scan';
import { estimateSeconds } from '@wergon/core/work';
import { newId } from '../db/index.ts';
import { BadgeEntity, TechnicianEntity } from './entities.ts';
import type { Technician } from './entities.ts';

/** A technician's columns as their fields say. */
export const columnsOf = ({ billedHours, ...fields }: TechnicianFields) => ({
  ...fields,
  feedsPay: fields.feedsPay ?? fields.kind === 'own',
  billedSeconds: billedHours === null ? null : estimateSeconds({ runHours: billedHours }, 1),
});

/** Adds a technician with a first badge. */
export async function addTechnician(
  em: EntityManager,
  fields: TechnicianFields,
  badgeCode: Code,
  id: TechnicianId = newId(),
): Promise<TechnicianId> {
  await em.insert(TechnicianEntity, { id, ...columnsOf(fields), pinHash: null });
  await em.insert(BadgeEntity, {
    id: newId(),
    technician: id,
    code: badgeCode,
    revokedAt: null,
    isBound: false,
  });
  return id;
}

/** A technician as they are told, without their badges. */
export const writeTechnician = (technician: Technician): Omit<TechnicianRow, 'badges' | 'hasRate'> => ({
  id: technician.id,
  number: technician.number,
  name: technician.name,
  department: technician.department,
  crew: technician.crew,
  grade: technician.grade ?? null,
  kind: technician.kind,
  payrollNumber: technician.payrollNumber,
  feedsPay: technician.feedsPay,
  initials: technician.initials,
  isLead: technician.isLead,
  language: technician.language ?? null,
  hiredOn: technician.hiredOn ?? null,
  leftOn: technician.leftOn ?? null,
  billedHours: technician.billedSeconds == null ? null : formatDecimalHours(technician.billedSeconds),
  hasPin: technician.pinHash != null,
});
