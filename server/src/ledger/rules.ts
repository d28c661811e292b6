import type { RulesEffect, RulesJson } from '@wergon/contract/ledger';
import { effectOfPolicy, withPolicyFrom, withoutPolicyFrom } from '@wergon/core/ledger';
import type { Policy, PolicyEffect } from '@wergon/core/ledger';
import { formatCents, toCents } from '@wergon/core/money';
import { findIn, ok } from '@wergon/core/result';
import { addDays, inForceAt, toSeconds } from '@wergon/core/time';
import type { Dated, Instant, LocalDay } from '@wergon/core/time';
import type { WorkOrderId } from '@wergon/core/work';
import { readSql, writeSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { StoredPolicy } from '../shop/index.ts';
import type { LedgerContext } from './context.ts';
import { findClosedUntil } from './decisionRows.ts';
import { countDue, deriveDue, markDue } from './dueDerivation.ts';
import { loadPast } from './personDays.ts';
import { readPolicies, writePolicies } from './storedPolicy.ts';

/** Rules may be said so many days ahead. */
const MOST_AHEAD = 366;

type Change = { readonly from: LocalDay; readonly rules: Policy | null };

/** The rules as they would be. */
const changed = ({ policy, zone }: ShopFacts, { from, rules }: Change): Dated<Policy> =>
  rules ? withPolicyFrom(policy, zone.startOf(from), rules) : withoutPolicyFrom(policy, zone.startOf(from));

/** Why rules cannot be changed so; nothing where they can. */
function refuseChange(facts: ShopFacts, { from, rules }: Change, today: LocalDay) {
  if (from > addDays(today, MOST_AHEAD))
    return refuse('input.invalid', [{ field: 'from', message: 'is more than a year later' }]);
  const isThere = facts.policy.some((each, i) => i > 0 && each.from === facts.zone.startOf(from));
  return rules === null && !isThere ? refuse('record.not_found') : undefined;
}

/** Routes of the shop's rules: they hold from a day on, and what they would do to days gone by is shown first. */
export function mountRules(mount: Mount, context: LedgerContext): void {
  const { database, clock, facts, log, setupChanged } = context;
  let deriving = Promise.resolve();
  /** Goes on in the background: whoever changed the rules sees how far it is. */
  const goOn = () => {
    deriving = deriving
      .then(() => deriveDue(database, facts))
      .then(() => setupChanged('shop'))
      .catch((error: unknown) => log.error({ error }, 'days could not be derived anew'));
  };

  mount('rules', async () => {
    const known = await facts.get();
    return ok(await readSql(database, (sql) => writeRules(sql, known)));
  });

  mount('rulesEffect', async ({ body, who }) => {
    const known = await facts.get();
    const now = clock.now();
    const refusal = refuseChange(known, body, known.zone.dayAt(now));
    if (refusal) return refusal;
    const seesRates = who.rights.has('rates.see');
    return ok(await readSql(database, (sql) => findEffect(sql, known, body, now, seesRates)));
  });

  mount('saveRules', async ({ body, who }) => {
    const known = await facts.get();
    const now = clock.now();
    const today = known.zone.dayAt(now);
    const refusal = refuseChange(known, body, today);
    if (refusal) return refusal;
    const isPast = body.from < today;
    if (isPast && !body.isPastAgreed) return refuse('rules.changes_past');
    await writeSql(database, (sql) => {
      const from = known.zone.startOf(body.from);
      const others = readPolicies(sql).filter((each, i) => i === 0 || each.from !== from);
      const own: StoredPolicy[] = body.rules ? [{ from, value: body.rules, by: who.user.name, at: now }] : [];
      writePolicies(
        sql,
        [...others, ...own].sort((a, b) => a.from - b.from),
      );
      if (body.from <= today) markDue(sql, known.technicians.keys(), body.from);
    });
    setupChanged('shop');
    goOn();
    return ok(null);
  });
}

function writeRules(sql: Sql, { zone, policy }: ShopFacts): RulesJson {
  const said = new Map(readPolicies(sql).map((each) => [each.from, each]));
  return {
    rules: policy.map(({ from, value }, i) => ({
      from: i === 0 ? null : zone.dayAt(from),
      rules: value,
      by: said.get(from)?.by ?? null,
      at: said.get(from)?.at ?? null,
    })),
    pending: countDue(sql),
  };
}

/** What other rules would make of everybody's days from theirs on. */
function findEffect(
  sql: Sql,
  facts: ShopFacts,
  change: Change,
  now: Instant,
  seesRates: boolean,
): RulesEffect {
  const today = facts.zone.dayAt(now);
  const policy = changed(facts, change);
  const closedUntil = findClosedUntil(sql) ?? -Infinity;
  const effects =
    change.from > today
      ? []
      : [...facts.technicians.keys()].map((technician) =>
          effectOfPolicy(loadPast(sql, facts, technician, change.from, now), facts, policy, now),
        );
  return {
    isPast: change.from < today,
    people: effects
      .filter(({ days }) => days.length > 0)
      .map(({ technician, days, charged, attended }) => ({
        technician,
        name: findIn(facts.technicians, technician)?.name ?? '',
        days: days.length,
        charged,
        attended,
      }))
      .sort((a, b) => (a.name < b.name ? -1 : 1)),
    orders: ordersOf(facts, effects, now, seesRates),
    looseEnds: sumLooseEnds(effects),
    closedDays: effects.reduce((sum, { days }) => sum + days.filter((day) => day <= closedUntil).length, 0),
  };
}

function ordersOf(
  facts: ShopFacts,
  effects: readonly PolicyEffect[],
  now: Instant,
  seesRates: boolean,
): RulesEffect['orders'] {
  const sums = new Map<WorkOrderId | undefined, { seconds: [number, number]; cost: [number, number] }>();
  for (const { target, seconds, cost } of effects.flatMap(({ targets }) => targets)) {
    const order = facts.tasks.get(target)?.order;
    const sum = sums.get(order) ?? { seconds: [0, 0], cost: [0, 0] };
    sums.set(order, {
      seconds: [sum.seconds[0] + seconds.before, sum.seconds[1] + seconds.after],
      cost: [sum.cost[0] + cost.before, sum.cost[1] + cost.after],
    });
  }
  const money = (amount: number) => formatCents(toCents(amount));
  return [...sums]
    .filter(([, { seconds, cost }]) => seconds[0] !== seconds[1] || (seesRates && cost[0] !== cost[1]))
    .map(([id, { seconds, cost }]) => {
      const order = id && facts.orders.get(id);
      const state = order && inForceAt(order.states, now);
      return {
        order: id ?? null,
        number: order?.number ?? '',
        title: order?.title ?? '',
        isOpen: state !== undefined && state !== 'finished' && state !== 'closed',
        seconds: { before: toSeconds(seconds[0]), after: toSeconds(seconds[1]) },
        cost: seesRates ? { before: money(cost[0]), after: money(cost[1]) } : null,
      };
    })
    .sort(
      (a, b) =>
        // What is open can still be acted on; indirect time is no job and comes last.
        Number(a.order === null) - Number(b.order === null) ||
        Number(b.isOpen) - Number(a.isOpen) ||
        (a.number < b.number ? -1 : 1),
    );
}

function sumLooseEnds(effects: readonly PolicyEffect[]): RulesEffect['looseEnds'] {
  const sums = new Map<PolicyEffect['looseEnds'][number]['kind'], { before: number; after: number }>();
  for (const { kind, count } of effects.flatMap(({ looseEnds }) => looseEnds)) {
    const sum = sums.get(kind) ?? { before: 0, after: 0 };
    sums.set(kind, { before: sum.before + count.before, after: sum.after + count.after });
  }
  return [...sums]
    .filter(([, { before, after }]) => before !== after)
    .map(([kind, count]) => ({ kind, count }));
}
