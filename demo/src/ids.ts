import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';

/** Ids of the sample shop are short words, so that whoever looks into the database can read them. */
export const technicianId = (id: string): TechnicianId => id as TechnicianId;
export const targetId = (id: string): TargetId => id as TargetId;
