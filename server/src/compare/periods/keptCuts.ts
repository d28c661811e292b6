import { randomUUID } from 'node:crypto';
import { defineEntity, p } from '@mikro-orm/core';
import type { CutSpec } from '@wergon/contract/compare';
import { ok } from '@wergon/core/result';
import { UserEntity, findRoles } from '../../access/index.ts';
import { refuse } from '../../http/index.ts';
import type { Mount } from '../../http/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';

/** A cut that somebody keeps under a name, for themselves or for everybody of a role. */
export const KeptCutEntity = defineEntity({
  name: 'KeptCut',
  tableName: 'kept_cut',
  properties: {
    id: p.string().primary(),
    name: p.string(),
    owner: p.string(),
    role: p.string().nullable(),
    body: p.json<CutSpec>().columnType('text'),
  },
});

/** Cuts that one person can keep. */
const MOST_KEPT = 100;

/** Cuts are kept by whoever made them; those of a role are looked at by all who have it, and changed by their owner alone. */
export function mountKeptCuts(mount: Mount, { database }: LedgerContext): void {
  mount('keptCuts', async ({ who }) => {
    const em = database.em.fork();
    const own = new Set(who.user.roles.map(({ id }) => id));
    const names = new Map((await em.findAll(UserEntity)).map(({ id, name }) => [id, name]));
    const cuts = (await em.findAll(KeptCutEntity)).filter(
      ({ owner, role }) => owner === who.user.id || (role !== null && role !== undefined && own.has(role)),
    );
    return ok({
      cuts: cuts
        .map(({ id, name, role, owner, body }) => ({
          id,
          name,
          role: role ?? null,
          isOwn: owner === who.user.id,
          owner: names.get(owner) ?? '',
          cut: body,
        }))
        .sort((a, b) => a.name.localeCompare(b.name)),
      roles: (await findRoles(em)).map(({ id, name }) => ({ id, name })),
    });
  });

  mount('keepCut', async ({ body: { id, name, role, cut }, who }) =>
    database.em.fork().transactional(async (em) => {
      if (role !== null && !(await findRoles(em)).some((each) => each.id === role))
        return refuse('input.invalid', [{ field: 'role', message: 'no such role' }]);
      const known = id === undefined ? null : await em.findOne(KeptCutEntity, { id });
      if (known && known.owner !== who.user.id) return refuse('access.not_allowed');
      if (!known && (await em.count(KeptCutEntity, { owner: who.user.id })) >= MOST_KEPT)
        return refuse('input.invalid', [
          { field: 'name', message: `nobody keeps more than ${MOST_KEPT} of them` },
        ]);
      const kept = { id: known?.id ?? id ?? randomUUID(), name, role, owner: who.user.id, body: cut };
      await em.upsert(KeptCutEntity, kept);
      return ok({ id: kept.id });
    }),
  );

  mount('dropCut', async ({ body: { id }, who }) =>
    database.em.fork().transactional(async (em) => {
      const known = await em.findOne(KeptCutEntity, { id });
      if (!known) return refuse('record.not_found');
      if (known.owner !== who.user.id) return refuse('access.not_allowed');
      await em.nativeDelete(KeptCutEntity, { id });
      return ok(null);
    }),
  );
}
