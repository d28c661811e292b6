import { randomUUID } from 'node:crypto';
import { ok } from '@wergon/core/result';
import { toDay } from '@wergon/core/time';
import type { Context, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { insertOnce } from '../db/index.ts';
import { NoticeEntity } from './entities.ts';

/** Notices of the shop on the stations' idle screens. */
export function mountNotices(mount: Mount, { database, clock, live }: Context): void {
  mount('notices', async () => {
    const notices = await database.em.fork().findAll(NoticeEntity, { orderBy: { at: -1 } });
    return ok({
      notices: notices.map(({ id, at, by, text, untilDay }) => ({
        id,
        at,
        by,
        text,
        until: untilDay == null ? null : toDay(untilDay),
      })),
    });
  });

  mount('addNotice', async ({ body: { text, until, once }, who }) => {
    const id = once ?? randomUUID();
    const by = who.user.name;
    const sent = { by, text, untilDay: until };
    const isKept = await insertOnce(database.em.fork(), NoticeEntity, { id, at: clock.now(), ...sent }, sent);
    live.publishSetup();
    return isKept ? ok({ id }) : refuse('record.sent_before');
  });

  mount('removeNotice', async ({ param }) => {
    const removed = await database.em.fork().nativeDelete(NoticeEntity, { id: param('notice') });
    live.publishSetup();
    return removed > 0 ? ok(null) : refuse('record.not_found');
  });
}
