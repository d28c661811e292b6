import { FLOOR_END_KINDS } from '@wergon/core/ledger';
import { looseEndFacts, looseEndKey } from '@wergon/core/loose-ends';
import { ok } from '@wergon/core/result';
import type { Instant } from '@wergon/core/time';
import { covers } from '../access/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { loadAccepted, writeDecision } from '../ledger/index.ts';
import { findFloorEnds } from './floorEnds.ts';
import { findLooseEnds } from './looseEnds.ts';
import type { DatedLooseEnd } from './looseEnds.ts';

/** Loose ends that are accepted as they are, with a reason, until their facts change. */
export function mountAcceptance(mount: Mount, { database, clock, journal }: LedgerContext): void {
  mount('acceptLooseEnd', async ({ body, who }) => {
    const { user } = who;
    const done = await journal.appendAll({ kind: 'desk', id: user.id }, (sql, known) => {
      const now = clock.now();
      const found = findByKeys(sql, known, body, now);
      if (found.length < body.ends.length) return refuse('reconcile.changed');
      if (found.some(({ technician }) => technician !== undefined && !covers(user, known, technician)))
        return refuse('reconcile.other_people');
      return ok(
        found.map((end) =>
          writeDecision(
            {
              type: 'accept',
              key: looseEndKey(end),
              facts: looseEndFacts(end),
              reason: body.reason,
              by: user.name,
            },
            now,
          ),
        ),
      );
    });
    return done.ok ? ok(null) : done;
  });

  mount('withdrawAcceptance', async ({ body, who }) => {
    const accepted = await readSql(database, loadAccepted);
    if (![...accepted.values()].some(({ id }) => id === body.id)) return refuse('record.not_found');
    const decision = { type: 'withdraw', accept: body.id, by: who.user.name } as const;
    await journal.appendAll({ kind: 'desk', id: who.user.id }, [writeDecision(decision, clock.now())]);
    return ok(null);
  });
}

type Body = Call<'acceptLooseEnd'>['body'];
type Key = Body['ends'][number];

const isFromFloor = ({ kind }: Key): boolean => FLOOR_END_KINDS.some((each) => each === kind);

/** The loose ends of these keys as they are now; those that are no more are left out. */
function findByKeys(sql: Sql, facts: ShopFacts, { ends, seen }: Body, now: Instant): DatedLooseEnd[] {
  const floor = ends.some(isFromFloor) ? findFloorEnds(sql, facts, seen.from, seen.to) : [];
  return ends.flatMap((key) => {
    const people = key.technician === null ? undefined : [key.technician];
    const among = isFromFloor(key) ? floor : findLooseEnds(sql, facts, key.day, key.day, now, people);
    return among.find((end) => isOfKey(end, key)) ?? [];
  });
}

const isOfKey = (end: DatedLooseEnd, key: Key): boolean =>
  end.kind === key.kind &&
  end.day === key.day &&
  (end.technician ?? null) === key.technician &&
  (end.target ?? null) === key.target &&
  (end.about ?? null) === key.about &&
  (end.from ?? null) === key.from;
