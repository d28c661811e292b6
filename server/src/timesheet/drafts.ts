import { randomUUID } from 'node:crypto';
import { draftFieldsSchema } from '@wergon/contract/timesheet';
import { ok } from '@wergon/core/result';
import type { TechnicianId } from '@wergon/core/people';
import { UserEntity, covers } from '../access/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import type { DeskUser, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { insertOnce } from '../db/index.ts';
import type { Draft } from './entities.ts';
import { DraftEntity } from './entities.ts';

/** Rows of paper slips that still lack something, kept for whoever wrote them; outside the journal, counted nowhere.
 *  Whoever may record them sees those of others too, and takes over what its writer does not finish. */
export function mountDrafts(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('drafts', async ({ who }) => {
    const em = database.em.fork();
    const known = await facts.get();
    const rows = await em.find(DraftEntity, {}, { orderBy: { at: 1 } });
    const writers = await em.find(UserEntity, { id: { $in: [...new Set(rows.map(({ user }) => user))] } });
    const names = new Map(writers.map(({ id, name }) => [id, name]));
    return ok({
      drafts: rows
        .filter((row) => isSeenBy(who.user, row, known))
        .map(({ id, at, user, fields }) => ({
          id,
          at,
          by: names.get(user) ?? '',
          isOwn: user === who.user.id,
          fields: draftFieldsSchema.parse(fields),
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

  mount('takeDraft', async ({ param, who }) => {
    const em = database.em.fork();
    const row = await em.findOne(DraftEntity, { id: param('draft') });
    if (!row || !isSeenBy(who.user, row, await facts.get())) return refuse('record.not_found');
    await em.nativeUpdate(DraftEntity, { id: row.id }, { user: who.user.id });
    return ok(null);
  });

  mount('dropDraft', async ({ param, who }) => {
    const gone = await database.em
      .fork()
      .nativeDelete(DraftEntity, { id: param('draft'), user: who.user.id });
    return gone === 0 ? refuse('record.not_found') : ok(null);
  });
}

/** One's own rows, and those that are about nobody yet or about somebody whose time one may put right. */
const isSeenBy = (
  user: DeskUser,
  { user: writer, fields: { technician = '' } }: Draft,
  facts: ShopFacts,
): boolean => writer === user.id || technician === '' || covers(user, facts, technician as TechnicianId);
