import type { Pieces } from '@wergon/core/compare';
import type { TargetId } from '@wergon/core/ledger';
import type { Sql } from '../db/index.ts';

/** What was reported of some tasks; of a task that is missing, nothing. */
export const loadPieces = (sql: Sql, tasks: readonly TargetId[]): ReadonlyMap<TargetId, Pieces> =>
  new Map(
    sql
      .all<Pieces & { readonly target: TargetId }>(
        'select "target", "good", "scrap" from "piece_count" where "target" in (select "value" from json_each(?))',
        [JSON.stringify(tasks)],
      )
      .map(({ target, ...pieces }) => [target, pieces]),
  );
