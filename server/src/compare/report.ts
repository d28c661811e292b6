import { orderDays } from '@wergon/core/compare';
import type { DayCount, OrderDay } from '@wergon/core/compare';
import { joinLines } from '@wergon/core/ledger';
import type { ToldLine } from '@wergon/core/ledger';
import { sumCents } from '@wergon/core/money';
import { findIn, ok } from '@wergon/core/result';
import { sumSeconds } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import { readSql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import { loadCounts, loadNotesOf } from '../ledger/index.ts';
import type { KeptNote, LedgerContext } from '../ledger/index.ts';
import { costsFor, loadLabor } from './taskLabor.ts';

/** An order day by day: tasks, heads, man-hours, pieces, notes. Source: docs/compare.md, section 8. */
export function mountReport(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('report', async ({ param, who }) => {
    const known = await facts.seenBy(who.user);
    const order = known.orders.get(param('order'));
    if (!order) return refuse('record.not_found');
    const [now, costs] = [clock.now(), costsFor(who)];
    const tasks = known.tasksByOrder.get(order.id) ?? [];
    const ids = tasks.map(({ id }) => id);
    const { labor, counts, notes } = await readSql(database, (sql) => ({
      labor: loadLabor(sql, known, tasks, now, costs),
      counts: loadCounts(sql, ids).flatMap(({ entry: { targets, good, scrap }, day }): DayCount[] =>
        targets.map((target) => ({ target, day, good, scrap })),
      ),
      notes: loadNotesOf(sql, ids),
    }));
    const lines = joinLines(
      labor.flatMap((each) => each.lines),
      (id) => known.hidden?.has(id) === true,
    );
    const days = orderDays(ids, lines, counts);
    return ok({
      asOf: now,
      id: order.id,
      number: order.number,
      title: order.title,
      customer: order.customer,
      costs,
      total: {
        heads: new Set(lines.map(({ technician }) => technician)).size,
        seconds: sumSeconds(lines),
        cost: sumCents(lines),
      },
      days: days.map((each) => writeDay(known, each, notes)),
    });
  });
}

function writeDay(
  facts: ShopFacts,
  { day, heads, seconds, cost, tasks }: OrderDay<ToldLine>,
  notes: readonly KeptNote[],
) {
  return {
    day,
    heads,
    seconds,
    cost,
    tasks: tasks.map((each) => {
      const task = facts.tasks.get(each.target);
      return {
        id: each.target,
        position: task?.position ?? 0,
        title: task?.title ?? '',
        heads: each.heads,
        seconds: each.seconds,
        cost: each.cost,
        pieces: each.pieces,
        people: peopleOf(facts, each.lines),
      };
    }),
    notes: notes
      .filter(({ entry }) => facts.zone.dayAt(entry.at) === day)
      .map(({ entry, isForCustomer }) => ({
        text: entry.text,
        who: findIn(facts.technicians, entry.technician ?? '')?.name ?? '',
        isForCustomer,
      })),
  };
}

/** By name, and those who are not told of last: lines are kept in no order, and theirs must tell nothing of what changed. */
const peopleOf = (facts: ShopFacts, lines: readonly ToldLine[]) =>
  [...new Set(lines.map(({ technician }) => technician))]
    .map((technician) => ({
      technician,
      name: technician === null ? '' : (facts.technicians.get(technician)?.name ?? ''),
      seconds: sumSeconds(lines.filter((line) => line.technician === technician)),
    }))
    .sort(
      (a, b) => Number(a.technician === null) - Number(b.technician === null) || a.name.localeCompare(b.name),
    );
