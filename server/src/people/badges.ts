import type { TechnicianId } from '@wergon/core/people';
import { parseForeign } from '@wergon/core/scan';
import type { ForeignErrorCode } from '@wergon/core/scan';
import type { BadgeId } from '@wergon/core/station';
import { ok } from '@wergon/core/result';
import type { Context, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { insertOnce, newId } from '../db/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import { BadgeEntity, PersonLabelEntity, TechnicianEntity } from './entities.ts';

const BIND_WORDS: Readonly<Record<ForeignErrorCode, string>> = {
  'foreign.too_short': 'is too short to be a card',
  'foreign.too_long': 'is too long to be a card',
  'foreign.ours': 'is a code of our own labels; issue a badge instead',
};

/** Routes of badges: issued by us, bound from any card, revoked when lost. */
export function mountBadges(mount: Mount, { database, clock, setupChanged }: Context): void {
  const findTechnician = (id: TechnicianId) => database.em.fork().findOne(TechnicianEntity, { id });
  const changed = () => setupChanged('shop');

  mount('issueBadge', async ({ param, body: { once } }) => {
    const technician = await findTechnician(param('technician'));
    if (!technician) return refuse('record.not_found');
    const id = newId<BadgeId>(once);
    const sent = { technician: technician.id, isBound: false };
    const em = database.em.fork();
    const row = { id, code: drawRandomCode('badge'), ...sent, revokedAt: null };
    if (!(await insertOnce(em, BadgeEntity, row, sent))) return refuse('record.sent_before');
    changed();
    const { code } = await em.findOneOrFail(BadgeEntity, { id });
    return ok({ id, code });
  });

  mount('bindBadge', async ({ param, body }) => {
    const technician = await findTechnician(param('technician'));
    if (!technician) return refuse('record.not_found');
    const read = parseForeign(body.text);
    if (!read.ok) return refuse('input.invalid', [{ field: 'text', message: BIND_WORDS[read.code] }]);
    const code = read.value;
    const em = database.em.fork();
    const taken = await em.findOne(BadgeEntity, { code });
    if (taken && (taken.revokedAt === null || taken.technician !== technician.id)) {
      const owner = await em.findOne(TechnicianEntity, { id: taken.technician });
      const whose =
        taken.technician === technician.id
          ? 'this person’s badge already'
          : `${owner?.name ?? 'somebody'}’s badge`;
      const state = taken.revokedAt === null ? '' : ', revoked';
      return refuse('record.taken', [{ field: 'text', message: `is ${whose}${state}` }]);
    }
    // Their own card that was lost and found again is taken into use once more.
    if (taken) await em.nativeUpdate(BadgeEntity, { id: taken.id }, { revokedAt: null });
    const id = taken?.id ?? newId<BadgeId>();
    if (!taken)
      await em.insert(BadgeEntity, { id, code, technician: technician.id, revokedAt: null, isBound: true });
    changed();
    return ok({ id, code });
  });

  mount('revokeBadge', async ({ param, sees }) => {
    const em = database.em.fork();
    const badge = await em.findOne(BadgeEntity, { id: param('badge'), revokedAt: null });
    if (!badge || !sees(badge.technician)) return refuse('record.not_found');
    await em.nativeUpdate(BadgeEntity, { id: badge.id }, { revokedAt: clock.now() });
    changed();
    return ok(null);
  });

  mount('ownLabel', async ({ param, body: { action } }) => {
    const em = database.em.fork();
    const badge = await em.findOne(BadgeEntity, {
      technician: param('technician'),
      revokedAt: null,
    });
    if (!badge) return refuse('record.not_found');
    const known = await em.findOne(PersonLabelEntity, { badge: badge.id, action });
    if (known) return ok({ id: badge.id, code: known.code });
    // A label that stands for a badge is as unguessable as one.
    const code = drawRandomCode('badge');
    await em.insert(PersonLabelEntity, { code, badge: badge.id, action });
    changed();
    return ok({ id: badge.id, code });
  });
}
