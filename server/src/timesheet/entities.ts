import { defineEntity, p } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';
import type { Instant } from '@wergon/core/time';
import type { DraftFields } from '@wergon/contract/timesheet';

/** A row of a paper slip that still lacks something: outside the journal, counted nowhere. */
export const DraftEntity = defineEntity({
  name: 'Draft',
  tableName: 'draft_row',
  properties: {
    id: p.string().primary(),
    user: p.string().index(),
    at: p.integer().$type<Instant>(),
    /** Of an older version not all of them. */
    fields: p.json<Partial<DraftFields>>(),
  },
});
export type Draft = InferEntity<typeof DraftEntity>;
