import type { NearTask } from '@wergon/contract/compare';
import { isLow, isPastEstimate, nearFrom, reachedAt } from '@wergon/core/compare';
import type { Allocation } from '@wergon/core/ledger';
import { addUsed, allocateStint } from '@wergon/core/ledger';
import { groupBy, ok } from '@wergon/core/result';
import { addDays, inForceAt, sumSeconds, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay, Seconds } from '@wergon/core/time';
import { WORK_TYPES, isWorkable, withAlwaysIncluded } from '@wergon/core/work';
import type { ShopFacts } from '../../catalog/index.ts';
import { readSql } from '../../db/index.ts';
import type { Sql } from '../../db/index.ts';
import type { Mount } from '../../http/index.ts';
import { loadFinished, loadLinesOf, loadRunning, loadStints, loadUsedOf } from '../../ledger/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';
import type { Task } from '../../work/index.ts';
import { warnAtOf } from '../taskLabor.ts';

/** Tasks that are near their estimate or past it while they go on. Source: docs/compare.md, section 7. */
export function mountNear(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('near', async ({ who }) => {
    const known = await facts.seenBy(who.user);
    const now = clock.now();
    return readSql(database, (sql) => {
      const near = findNear(sql, known, now);
      const since = createSince(sql, known, near, now);
      return ok({
        asOf: now,
        warnAt: warnAtOf(known, now),
        tasks: near.flatMap((each) => writeNear(known, each, since(each))),
      });
    });
  });
}

export type Near = {
  readonly task: Task;
  readonly used: Seconds;
  readonly estimated: Seconds;
  readonly isPast: boolean;
  readonly running: readonly Allocation[];
  readonly orderLeft: Seconds;
};

/** Tasks on the floor that run low or are past their estimate; those past it first, most over first. What was used is kept in
 *  sums: this costs the same in an old shop. */
export function findNear(sql: Sql, facts: ShopFacts, now: Instant): readonly Near[] {
  const tasks = [...facts.openOrders].flatMap((id) => {
    const state = facts.orders.get(id)?.states.at(-1)?.value;
    return state && isWorkable(state) ? (facts.tasksByOrder.get(id) ?? []) : [];
  });
  const ids = tasks.map(({ id }) => id);
  const finished = loadFinished(sql, ids);
  const settled = loadUsedOf(sql, ids);
  const running = groupBy(loadRunning(sql, facts, now), ({ target }) => target);
  const warnAt = warnAtOf(facts, now);
  const figures = tasks
    .filter(({ id, hasEstimate, isAccepted }) => hasEstimate && isAccepted && !finished.has(id))
    .map((task) => {
      const includes = withAlwaysIncluded(facts.orders.get(task.order)?.includes ?? []);
      const own = running.get(task.id) ?? [];
      const sums = own.reduce(
        (all, { workType, seconds }) => addUsed(all, workType, seconds),
        settled.get(task.id) ?? {},
      );
      const used = sumSeconds(
        WORK_TYPES.filter((type) => includes.has(type)).map((type) => ({
          seconds: sums[type] ?? toSeconds(0),
        })),
      );
      const estimated = inForceAt(task.estimate, now);
      return { task, used, estimated, running: own, left: toSeconds(Math.max(0, estimated - used)) };
    });
  const leftOf = new Map<string, number>();
  for (const { task, left } of figures) leftOf.set(task.order, (leftOf.get(task.order) ?? 0) + left);
  return figures
    .flatMap(({ task, used, estimated, running: own, left }) => {
      const over = toSeconds(Math.max(0, used - estimated));
      const isPast = isPastEstimate(over);
      if (!isPast && !isLow({ used, left, over }, warnAt)) return [];
      return [
        { task, used, estimated, isPast, running: own, orderLeft: toSeconds(leftOf.get(task.order) ?? 0) },
      ];
    })
    .sort((a, b) => b.used - b.estimated - (a.used - a.estimated));
}

/** Says since when a task is near or past: the day on which its labor came to that, and in that day the instant. */
function createSince(
  sql: Sql,
  facts: ShopFacts,
  near: readonly Near[],
  now: Instant,
): (of: Near) => Instant | null {
  const ids = near.map(({ task }) => task.id);
  const lines = groupBy(loadLinesOf(sql, ids), ({ target }) => target);
  const days = new Map<LocalDay, readonly Allocation[]>();
  const piecesOn = (day: LocalDay) => {
    const known =
      days.get(day) ??
      loadStints(sql, { from: facts.zone.startOf(day), to: facts.zone.startOf(addDays(day, 1)) })
        .flatMap((stint) => allocateStint(stint, facts))
        .filter((piece) => piece.day === day);
    days.set(day, known);
    return known;
  };
  return ({ task, estimated, isPast, running }) => {
    const includes = withAlwaysIncluded(facts.orders.get(task.order)?.includes ?? []);
    const wanted = nearFrom(estimated, warnAtOf(facts, now), isPast);
    const own = (lines.get(task.id) ?? []).filter(({ workType }) => includes.has(workType));
    const open = running.filter(({ workType }) => includes.has(workType));
    let before = 0;
    for (const day of [...new Set([...own, ...open].map((each) => each.day))].sort((a, b) => a - b)) {
      const settled = own.filter((line) => line.day === day);
      const added = sumSeconds([...settled, ...open.filter((piece) => piece.day === day)]);
      if (before + added >= wanted) {
        // What was written down has no hour: it counts from the day's beginning on.
        const entered = settled.reduce((sum, { enteredSeconds }) => sum + enteredSeconds, 0);
        const pieces = piecesOn(day).filter(
          ({ target, workType }) => target === task.id && includes.has(workType),
        );
        return reachedAt(wanted, before + entered, [...pieces, ...open.filter((piece) => piece.day === day)]);
      }
      before += added;
    }
    return null;
  };
}

function writeNear(
  facts: ShopFacts,
  { task, used, estimated, isPast, running, orderLeft }: Near,
  since: Instant | null,
): NearTask[] {
  const order = facts.orders.get(task.order);
  if (!order) return [];
  const people = new Set(running.map(({ technician }) => technician));
  return [
    {
      task: task.id,
      title: task.title,
      workCenter: task.workCenter,
      order: order.id,
      orderNumber: order.number,
      orderTitle: order.title,
      customer: order.customer,
      usedSeconds: used,
      estimatedSeconds: estimated,
      isPast,
      since,
      peopleOn: [...people].flatMap((id) => facts.technicians.get(id)?.name ?? []),
      orderLeftSeconds: orderLeft,
    },
  ];
}
