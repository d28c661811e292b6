import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import type { TechnicianId } from '@wergon/core/people';
import type { Code } from '@wergon/core/scan';
import { BadgeEntity, TechnicianEntity } from './entities.ts';

export type NewTechnician = {
  readonly id?: TechnicianId;
  readonly number: string;
  readonly name: string;
  readonly department: string;
  readonly badgeCode: Code;
};

/** Adds a technician with a first badge. */
export async function addTechnician(em: EntityManager, technician: NewTechnician): Promise<string> {
  const { id = randomUUID(), number, name, department, badgeCode } = technician;
  await em.insert(TechnicianEntity, { id, number, name, department, leftOn: null });
  await em.insert(BadgeEntity, { id: randomUUID(), technician: id, code: badgeCode, revokedAt: null });
  return id;
}
