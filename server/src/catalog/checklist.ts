import type { Checklist } from '@wergon/contract/shop';
import { ok } from '@wergon/core/result';
import { costRateOn } from '@wergon/core/people';
import type { CatalogContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import { BadgeEntity, GradeEntity, PatternEntity } from '../people/index.ts';
import { StationEntity } from '../shop/index.ts';

/** How many are named of each kind. */
const MOST_NAMES = 12;

/** What is still missing before the shop can rely on its numbers. */
export function mountChecklist(mount: Mount, { database, clock, facts }: CatalogContext): void {
  mount('checklist', async ({ who }) => {
    const known = await facts.seenBy(who.user);
    const em = database.em.fork();
    const now = clock.now();
    const today = known.zone.dayAt(now);
    const present = [...known.technicians.values()].filter(({ leftOn }) => leftOn == null || leftOn >= today);
    const badged = new Set(
      (await em.find(BadgeEntity, { revokedAt: null })).map(({ technician }) => technician),
    );
    const planned = new Set((await em.findAll(PatternEntity)).map(({ technician }) => technician));
    const unestimated = [...known.openOrders]
      .flatMap((order) => known.tasksByOrder.get(order) ?? [])
      .filter(({ hasEstimate, isAccepted }) => isAccepted && !hasEstimate);
    const stations = (await em.findAll(StationEntity)).filter(({ isRevoked }) => !isRevoked);
    const hasScans = await readSql(
      database,
      (sql) => sql.all('select 1 from "effective_entry" limit 1').length > 0,
    );

    const items: Checklist['items'] = [];
    const say = (kind: Checklist['items'][number]['kind'], names: readonly string[]) => {
      if (names.length > 0) items.push({ kind, names: names.slice(0, MOST_NAMES), count: names.length });
    };
    const lacks = (kind: Checklist['items'][number]['kind'], isMissing: boolean) => {
      if (isMissing) items.push({ kind, names: [], count: 0 });
    };
    lacks('no-people', present.length === 0);
    say(
      'no-badge',
      present.filter(({ id }) => !badged.has(id)).map(({ name }) => name),
    );
    say(
      'no-rate',
      present
        .filter(({ id }) => costRateOn(known.costRates.get(id) ?? [], today) === undefined)
        .map(({ name }) => name),
    );
    say(
      'no-pattern',
      present.filter(({ id }) => !planned.has(id)).map(({ name }) => name),
    );
    lacks('no-grade', (await em.count(GradeEntity)) === 0);
    lacks('no-order', known.orders.size === 0);
    say(
      'no-estimate',
      unestimated.map(({ order, title }) => `${known.orders.get(order)?.number ?? ''} ${title}`),
    );
    lacks('no-station', stations.length === 0);
    say(
      'station-untested',
      stations.filter(({ lastScanAt }) => lastScanAt == null).map(({ name }) => name),
    );
    return ok({ items, hasScans });
  });
}
