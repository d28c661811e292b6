import { orderPieces, sumDifferences } from '@wergon/core/compare';
import type { Pieces } from '@wergon/core/compare';
import type { TargetId } from '@wergon/core/ledger';
import { sumCents } from '@wergon/core/money';
import { sumSeconds } from '@wergon/core/time';
import type { Days, Instant } from '@wergon/core/time';
import type { ShopFacts } from '../../catalog/index.ts';
import type { Sql } from '../../db/index.ts';
import { loadPieces, loadRunning } from '../../ledger/index.ts';
import type { Task } from '../../work/index.ts';
import { expectedOf } from '../taskLabor.ts';
import type { Costs } from '../taskLabor.ts';
import { loadTaskDifferences } from './finishedJobs.ts';
import type { LaborPiece } from './labor.ts';

type Group = { readonly pieces: readonly LaborPiece[] };

/** Gives what the tasks of a group were to take and why they differ; nothing for a group that has not all labor of its tasks,
 *  or that has labor on anything else. Source: docs/compare.md, section 6. */
export function loadWholeTasks(
  sql: Sql,
  facts: ShopFacts,
  groups: readonly Group[],
  days: Days,
  now: Instant,
  costs: Costs,
) {
  const all = new Set(groups.flatMap(({ pieces }) => pieces.map(({ target }) => target)));
  const outside = loadTargetsOutside(sql, facts, [...all], days, now);
  const tasks = new Map(
    [...all].flatMap((target) => {
      const task = outside.has(target) ? undefined : facts.tasks.get(target);
      return task ? [[target, task] as const] : [];
    }),
  );
  const differences = loadTaskDifferences(sql, facts, [...tasks.values()], now, costs);
  const counts = loadPieces(sql, [...tasks.keys()]);

  return ({ pieces }: Group) => {
    const own = tasksOf(pieces, tasks);
    if (!own) return null;
    const isOneOrder = own.every(({ order }) => order === own[0]?.order);
    const expected = own.map((task) => expectedOf(task, now));
    return {
      taskCount: own.length,
      estimatedSeconds: sumSeconds(expected.map(({ estimatedSeconds: seconds }) => ({ seconds }))),
      estimatedCost: sumCents(expected.map(({ estimatedCost: cost }) => ({ cost }))),
      difference: sumDifferences(own.flatMap(({ id }) => differences.get(id) ?? [])),
      // Pieces of several orders are not the same thing.
      pieces: isOneOrder ? piecesOf(own, counts) : null,
      runSeconds: sumSeconds(pieces.filter(({ workType }) => workType === 'run')),
    };
  };
}

function piecesOf(tasks: readonly Task[], counts: ReadonlyMap<TargetId, Pieces>) {
  const told = orderPieces(
    [...tasks]
      .sort((a, b) => a.position - b.position)
      .map(({ id, title }) => ({ title, pieces: counts.get(id) ?? null })),
  );
  return told && { good: told.good, scrap: told.scrap };
}

/** The tasks that pieces are on; absent where one of them is on something that is no whole task. */
function tasksOf(
  pieces: readonly LaborPiece[],
  whole: ReadonlyMap<TargetId, Task>,
): readonly Task[] | undefined {
  const own = new Map<TargetId, Task>();
  for (const { target } of pieces) {
    const task = whole.get(target);
    if (!task) return undefined;
    own.set(target, task);
  }
  return [...own.values()];
}

/** Which of these have labor on other days, settled or running, or of people of whom nothing is told. */
function loadTargetsOutside(
  sql: Sql,
  facts: ShopFacts,
  targets: readonly TargetId[],
  { firstDay, lastDay }: Days,
  now: Instant,
): ReadonlySet<TargetId> {
  const { hidden } = facts;
  const running = loadRunning(sql, facts, now).filter(
    ({ day, technician }) => day < firstDay || day > lastDay || hidden?.has(technician),
  );
  return new Set([
    ...running.map(({ target }) => target),
    ...sql
      .all<{ target: TargetId }>(
        `select distinct l."target" from json_each(?) t cross join "labor_line" l on l."target" = t."value"
         where l."day" < ? or l."day" > ? or l."technician" in (select "value" from json_each(?))`,
        [JSON.stringify(targets), firstDay, lastDay, JSON.stringify([...(hidden ?? [])])],
      )
      .map(({ target }) => target),
  ]);
}
