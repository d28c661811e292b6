import type { RulesEffect, RulesJson } from '@wergon/contract/ledger';
import { effectOfPolicy, sumPolicyEffects } from '@wergon/core/ledger';
import type { Policy } from '@wergon/core/ledger';
import { formatCents, toCents } from '@wergon/core/money';
import { findIn, ok } from '@wergon/core/result';
import { addDays, inForceAt, withChange, withoutChange } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { WorkOrderId } from '@wergon/core/work';
import { readSql, writeSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import type { StoredPolicy } from '../shop/index.ts';
import type { LedgerContext } from './context.ts';
import { findClosedUntil } from './decisionRows.ts';
import { countDue } from './dueDerivation.ts';
import { loadPast } from './personDays.ts';
import { readPolicies, writePolicies } from './storedPolicy.ts';

/** Rules may be said so many days ahead. */
const MOST_AHEAD = 366;

type Change = { readonly from: LocalDay; readonly rules: Policy | null };

/** Dated rules as they would be with a change. */
const changed = <Item extends { readonly from: Instant }>(
  items: readonly Item[],
  from: Instant,
  item: Item | undefined,
): readonly Item[] => (item ? withChange(items, item) : withoutChange(items, from));

/** Why rules cannot be changed so; nothing where they can. */
function refuseChange(facts: ShopFacts, { from, rules }: Change, today: LocalDay) {
  if (from > addDays(today, MOST_AHEAD))
    return refuse('input.invalid', [{ field: 'from', message: 'is more than a year later' }]);
  const isThere = facts.policy.some((each, i) => i > 0 && each.from === facts.zone.startOf(from));
  return rules === null && !isThere ? refuse('record.not_found') : undefined;
}

/** Routes of the shop's rules: they hold from a day on, and what they would do to days gone by is shown first. */
export function mountRules(mount: Mount, context: LedgerContext): void {
  const { database, clock, facts, deriveAnew, setupChanged } = context;

  mount('rules', async () => {
    const known = await facts.get();
    return ok(await readSql(database, (sql) => writeRules(sql, known)));
  });

  mount('rulesEffect', async ({ body, who }) => {
    const known = await facts.seenBy(who.user);
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
    const write = () =>
      writeSql(database, (sql) => {
        const from = known.zone.startOf(body.from);
        const own = body.rules ? { from, value: body.rules, by: who.user.name, at: now } : undefined;
        writePolicies(sql, changed<StoredPolicy>(readPolicies(sql), from, own));
      });
    if (body.from <= today) await deriveAnew(body.from, write);
    else await write();
    setupChanged('shop');
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
  const from = facts.zone.startOf(change.from);
  const policy = changed(facts.policy, from, change.rules ? { from, value: change.rules } : undefined);
  const closedUntil = findClosedUntil(sql) ?? -Infinity;
  const effects =
    change.from > today
      ? []
      : [...facts.technicians.keys()].map((technician) =>
          effectOfPolicy(loadPast(sql, facts, technician, change.from, now), facts, policy, now),
        );
  const { groups, looseEnds } = sumPolicyEffects(effects, (target) => facts.tasks.get(target)?.order);
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
    orders: writeOrders(facts, groups, now, seesRates),
    looseEnds: [...looseEnds],
    closedDays: effects.reduce((sum, { days }) => sum + days.filter((day) => day <= closedUntil).length, 0),
  };
}

/** Orders whose hours would differ, and to whoever may see rates those whose cost would. */
function writeOrders(
  facts: ShopFacts,
  groups: ReturnType<typeof sumPolicyEffects<WorkOrderId | undefined>>['groups'],
  now: Instant,
  seesRates: boolean,
): RulesEffect['orders'] {
  const money = (amount: number) => formatCents(toCents(amount));
  return groups
    .filter(({ seconds }) => seesRates || seconds.before !== seconds.after)
    .map(({ group, seconds, cost }) => {
      const order = group && facts.orders.get(group);
      const state = order && inForceAt(order.states, now);
      return {
        order: group ?? null,
        number: order?.number ?? '',
        title: order?.title ?? '',
        isOpen: state !== undefined && state !== 'finished' && state !== 'closed',
        seconds,
        cost: seesRates ? { before: money(cost.before), after: money(cost.after) } : null,
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
