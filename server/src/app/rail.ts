import type { Right } from '@wergon/contract/access';
import { addDays } from '@wergon/core/time';
import { settleAt } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import type { Instant, LocalDay } from '@wergon/core/time';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import type { Journal } from '../ledger/index.ts';
import { loadStates } from '../ledger/index.ts';
import { loadWaitingLeave } from '../floor/index.ts';
import { openPeriods } from '../pay/index.ts';
import { findNear } from '../compare/index.ts';
import { findFloorEnds, RECONCILE_DAYS, findOpenLooseEnds, keepOpen } from '../loose-ends/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { Context } from './context.ts';
import type { Mount } from '../http/index.ts';

/** The live figures beside the places of the rail. */
export function mountRail(mount: Mount, { database, clock, facts, journal }: Context): void {
  const countLooseEnds = createLooseEndCount(journal);
  mount('rail', async ({ who }) => {
    const known = await facts.seenBy(who.user);
    const now = clock.now();
    const today = known.zone.dayAt(now);
    const shown = (right: Right, count: () => number) => (who.rights.has(right) ? count() : null);
    return readSql(database, (sql) =>
      ok({
        peopleIn: shown('floor.see', () => countPeopleIn(sql, known, now)),
        openOrders: shown('work.see', () => countOpenOrders(known)),
        nearTasks: shown('work.see', () => findNear(sql, known, now).length),
        looseEnds: shown('reconcile.see', () => countLooseEnds(sql, known, now)),
        timeOff: shown('people.see', () => countWaitingLeave(sql, known, today)),
        periodsOver: shown(
          'pay.see',
          () => openPeriods(sql, known, now).filter(({ lastDay }) => lastDay < today).length,
        ),
      }),
    );
  });
}

const countPeopleIn = (sql: Sql, { policy, hidden }: ShopFacts, now: Instant): number =>
  [...loadStates(sql)]
    .filter(([id]) => !hidden?.has(id))
    .map(([id, state]) => settleAt(id, state, now, policy).state)
    .filter(({ shift, doing }) => shift || doing.status !== 'nothing').length;

const countWaitingLeave = (sql: Sql, { hidden }: ShopFacts, today: LocalDay): number =>
  loadWaitingLeave(sql, today).filter(({ technician }) => !hidden?.has(technician)).length;

const countOpenOrders = ({ openOrders, orders }: ShopFacts): number =>
  [...openOrders].filter((id) => {
    const state = orders.get(id)?.states.at(-1)?.value;
    return state === 'released' || state === 'on-hold';
  }).length;

/** For how many seconds at least the count of loose ends is kept while only stations write: to go through two weeks of a big
 *  shop takes a while, and it scans every few seconds. */
const COUNT_STANDS = 20;
/** And this many times as long as counting took, so that it takes no more than a sixtieth of the time. */
const TIMES_AS_LONG = 60;

function createLooseEndCount(journal: Journal) {
  type Kept = Readonly<Record<'acts' | 'stands' | 'count', number>> & { readonly at: Instant };
  /** By the facts that it was counted from: they are others where anything of them has changed, or other people are seen. */
  const counts = new WeakMap<ShopFacts, Kept>();
  return (sql: Sql, facts: ShopFacts, now: Instant): number => {
    const acts = journal.countDeskActs();
    const kept = counts.get(facts);
    const age = kept?.acts === acts ? now - kept.at : Infinity;
    if (kept && age >= 0 && age < kept.stands) return kept.count;
    const from = performance.now();
    const today = facts.zone.dayAt(now);
    const firstDay = addDays(today, 1 - RECONCILE_DAYS);
    const count =
      findOpenLooseEnds(sql, facts, firstDay, today, now).length +
      keepOpen(sql, facts, findFloorEnds(sql, facts, firstDay, today)).length;
    const took = (performance.now() - from) / 1000;
    counts.set(facts, { acts, at: now, stands: Math.max(COUNT_STANDS, took * TIMES_AS_LONG), count });
    return count;
  };
}
