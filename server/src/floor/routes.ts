import { randomUUID } from 'node:crypto';
import { settleAt } from '@wergon/core/ledger';
import type { EntryId } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import { formatInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { refuse } from '../app/problem.ts';
import { readSql } from '../db/sql.ts';
import type { Sql } from '../db/sql.ts';
import type { FloorAnswer } from '../ledger/incoming.ts';
import type { Journal } from '../ledger/journal.ts';
import { loadStates } from '../ledger/strands.ts';
import { findFloorEnds } from '../reconcile/floorEnds.ts';
import { findOpenLooseEnds, keepOpen } from '../reconcile/looseEnds.ts';
import { openPeriods } from '../pay/periods.ts';
import { StationEntity } from '../station/entities.ts';
import { loadFloor } from './board.ts';
import { loadNames } from '../ledger/scans.ts';
import { loadPlans } from '../people/planned.ts';
import { UnitEntity } from '../shop/entities.ts';
import type { ShopFacts } from '../shop/facts.ts';
import { loadLatest } from './latest.ts';
import { findRequest, loadRequests } from './requests.ts';

const hasEntry = (sql: Sql, id: string): boolean =>
  sql.all('select 1 from "journal" where "id" = ?', [id]).length > 0;

/** How far back the rail counts loose ends, in days. */
export const RECONCILE_DAYS = 14;

export function mountFloor(mount: Mount, { database, clock, facts, journal }: Context): void {
  mount('floor', async ({ query }) => {
    const known = await facts.get();
    const now = clock.now();
    const day = query.day ?? known.zone.dayAt(now);
    const em = database.em.fork();
    const plans = await loadPlans(em, day, day);
    const units = new Map(
      (await em.findAll(UnitEntity)).map(({ id, type, maker, serialNumber }) => [
        id,
        [maker, type, serialNumber].filter((part) => part !== '').join(' '),
      ]),
    );
    return ok(await readSql(database, (sql) => loadFloor(sql, known, day, now, plans, units)));
  });

  mount('latest', async () => {
    const known = await facts.get();
    const names = await loadNames(database);
    return ok({ latest: await readSql(database, (sql) => loadLatest(sql, known, names)) });
  });

  mount('requests', async () => {
    const known = await facts.get();
    const all = await database.em.fork().findAll(StationEntity);
    const stations = new Map(all.map(({ id, name }) => [id, name]));
    return ok({ requests: await readSql(database, (sql) => loadRequests(sql, known, stations)) });
  });

  mount('answerRequest', async ({ param, body, who }) => {
    const request = param('request') as EntryId;
    if (who.kind !== 'desk' || !(await readSql(database, (sql) => findRequest(sql, request))))
      return refuse('record.not_found');
    const at = clock.now();
    const id = (body.once ?? randomUUID()) as EntryId;
    const answer: FloorAnswer = { id, type: 'answer', at, request, text: body.text, by: who.user.name };
    const sent = { source: 'desk', via: [], action: id, deviceAt: at, clockOffset: 0 };
    const { outcomes } = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql) =>
      // Sent again it was answered the first time.
      hasEntry(sql, id)
        ? []
        : [{ kind: 'floor', id, body: { ...answer, at: formatInstant(at) }, entry: answer, sent }],
    );
    return outcomes.some(({ result }) => result === 'refused') ? refuse('record.sent_before') : ok(null);
  });

  const countLooseEnds = createLooseEndCount(journal);
  mount('rail', async () => {
    const known = await facts.get();
    const now = clock.now();
    const today = known.zone.dayAt(now);
    return readSql(database, (sql) => {
      const states = [...loadStates(sql)].map(([id, state]) => settleAt(id, state, now, known.policy).state);
      return ok({
        peopleIn: states.filter(({ shift, doing }) => shift || doing.status !== 'nothing').length,
        openOrders: [...known.openOrders].filter((id) => {
          const state = known.orders.get(id)?.states.at(-1)?.value;
          return state === 'released' || state === 'on-hold';
        }).length,
        looseEnds: countLooseEnds(sql, known, now),
        periodsOver: openPeriods(sql, known, now).filter(({ lastDay }) => lastDay < today).length,
      });
    });
  });
}

/** So long the count of loose ends stands at least while only stations write, in seconds: a big shop scans every few
 *  seconds, and to look through two weeks of it takes a while. */
const COUNT_STANDS = 20;
/** And so many times as long as it took: stations are not to wait for it more than a sixtieth of the time. */
const TIMES_AS_LONG = 60;

function createLooseEndCount(journal: Journal) {
  let kept:
    | {
        readonly facts: ShopFacts;
        readonly acts: number;
        readonly at: Instant;
        readonly stands: number;
        readonly count: number;
      }
    | undefined;
  return (sql: Sql, facts: ShopFacts, now: Instant): number => {
    const acts = journal.countDeskActs();
    const age = kept?.facts === facts && kept.acts === acts ? now - kept.at : Infinity;
    if (kept && age >= 0 && age < kept.stands) return kept.count;
    const from = performance.now();
    const today = facts.zone.dayAt(now);
    const firstDay = (today - RECONCILE_DAYS + 1) as typeof today;
    const count =
      findOpenLooseEnds(sql, facts, firstDay, today, now).length +
      keepOpen(sql, facts, findFloorEnds(sql, facts, firstDay, today)).length;
    const took = (performance.now() - from) / 1000;
    kept = { facts, acts, at: now, stands: Math.max(COUNT_STANDS, took * TIMES_AS_LONG), count };
    return count;
  };
}
