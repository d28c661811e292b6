import { isCorrection, targetsOf } from '@wergon/core/ledger';
import type { Entry, TargetId } from '@wergon/core/ledger';
import type { Sql } from '../db/index.ts';
import { journalRows } from './journalRows.ts';
import { readEntry } from './stored.ts';

/** What an entry names, a correction what it puts in its place. */
export const namedBy = (entry: Entry): readonly TargetId[] =>
  !isCorrection(entry) ? targetsOf(entry) : entry.type === 'amend' ? (entry.set.targets ?? []) : [];

/** Keeps what an entry of labor names, for good: no correction unsays it. */
export function keepNamed(sql: Sql, entry: Entry): void {
  for (const target of namedBy(entry))
    sql.run('insert or ignore into "named_target" ("target") values (?)', [target]);
}

/** Whether the journal has ever named a task; such a task stays, so that no entry points nowhere. */
export const hasLabor = (sql: Sql, task: string): boolean =>
  sql.all('select 1 from "named_target" where "target" = ?', [task]).length > 0;

/** Derives what has ever been named from the journal alone. */
export function rebuildNamed(sql: Sql): void {
  const named = new Set<TargetId>();
  for (const { body } of journalRows(sql, 'labor'))
    for (const target of namedBy(readEntry(body))) named.add(target);
  insertNamed(sql, named);
}

export const insertNamed = (sql: Sql, named: ReadonlySet<TargetId>): void =>
  sql.insert(
    'named_target',
    [...named].map((target) => ({ target })),
  );

/** Whether labor is recorded of which it was never kept what it names: by an older version. */
export const lacksNamed = (sql: Sql): boolean =>
  sql.all(
    `select 1 from "journal" where "stream" = 'labor' and "type" in ('work-start', 'hours', 'task-done', 'count') limit 1`,
  ).length > 0 && sql.all('select 1 from "named_target" limit 1').length === 0;
