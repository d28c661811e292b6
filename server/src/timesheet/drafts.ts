import { randomUUID } from 'node:crypto';
import { ok } from '@wergon/core/result';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { insertOnce } from '../db/index.ts';
import { DraftEntity } from './entities.ts';

/** Rows that still lack something, kept for whoever wrote them; outside the journal, counted nowhere. */
export function mountDrafts(mount: Mount, { database, clock }: LedgerContext): void {
  mount('drafts', async ({ who }) => {
    const rows = await database.em.fork().find(DraftEntity, { user: who.user.id }, { orderBy: { at: 1 } });
    return ok({
      drafts: rows.map(({ id, at, fields }) => ({
        id,
        at,
        by: who.user.name,
        fields,
      })),
    });
  });

  mount('saveDraft', async ({ body: { id, fields, once }, who }) => {
    const em = database.em.fork();
    if (id === null) {
      const made = once ?? randomUUID();
      const sent = { user: who.user.id, fields };
      const isKept = await insertOnce(em, DraftEntity, { id: made, at: clock.now(), ...sent }, sent);
      return isKept ? ok({ id: made }) : refuse('record.sent_before');
    }
    // The age of a draft is that of its first word.
    const kept = await em.nativeUpdate(DraftEntity, { id, user: who.user.id }, { fields });
    return kept === 0 ? refuse('record.not_found') : ok({ id });
  });

  mount('dropDraft', async ({ param, who }) => {
    const gone = await database.em
      .fork()
      .nativeDelete(DraftEntity, { id: param('draft'), user: who.user.id });
    return gone === 0 ? refuse('record.not_found') : ok(null);
  });
}
