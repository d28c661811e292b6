import { newId } from '@wergon/server/db';
import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';

/** Ids of the sample shop are short words, so that whoever looks into the database can read them. */
export const sampleId = <Id extends string>(id: string): Id => newId<Id>(id);
export const technicianId = (id: string): TechnicianId => sampleId(id);
export const targetId = (id: string): TargetId => sampleId(id);
