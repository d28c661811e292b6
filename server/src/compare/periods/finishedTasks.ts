import { estimateParts } from '@wergon/core/compare';
import type { FinishedTask } from '@wergon/core/compare';
import type { Days, Instant } from '@wergon/core/time';
import { withAlwaysIncluded } from '@wergon/core/work';
import type { ShopFacts } from '../../catalog/index.ts';
import type { Sql } from '../../db/index.ts';
import { loadFinished, loadMarkedIn } from '../../ledger/index.ts';
import { readHours } from '../../work/index.ts';
import { loadLabor } from '../taskLabor.ts';
import { spanOf } from './jobs.ts';

/** Tasks that were finished on some days, and still are. */
export function loadFinishedTasks(
  sql: Sql,
  facts: ShopFacts,
  days: Days,
  now: Instant,
): readonly FinishedTask[] {
  const span = spanOf(facts, days);
  const marked = loadMarkedIn(sql, span);
  const finished = loadFinished(sql, marked);
  const tasks = marked.flatMap((id) => {
    const at = finished.get(id);
    const task = facts.tasks.get(id);
    return task && at !== undefined && at >= span.from && at < span.to ? [task] : [];
  });
  return loadLabor(sql, facts, tasks, now, 'standard').map(({ task, lines, comparison }) => {
    const includes = withAlwaysIncluded(facts.orders.get(task.order)?.includes ?? []);
    return {
      target: task.id,
      estimatedSeconds: comparison.estimatedSeconds,
      setupSeconds: estimateParts(task.isAccepted ? readHours(task.hours) : {}, includes).setupSeconds,
      includes,
      lines,
    };
  });
}
