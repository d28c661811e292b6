import { Defect } from '@wergon/core/result';
import { correctedEntry, isCorrection, targetsOf } from '@wergon/core/ledger';
import type { Correction, LaborEntry } from '@wergon/core/ledger';
import type { LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import type { Sql } from '../db/index.ts';
import { readEntry, readLaborEntry, writeLaborEntry } from './stored.ts';

/** The day that an entry counts for. */
export const dayOf = (entry: LaborEntry, { zone }: ShopFacts): LocalDay =>
  entry.type === 'hours' ? entry.day : zone.dayAt(entry.at);

/** The rows that an effective entry stands for. */
export function effectiveRows(facts: ShopFacts, entry: LaborEntry, seq: number) {
  const row = {
    id: entry.id,
    seq,
    type: entry.type,
    technician: entry.technician ?? null,
    day: dayOf(entry, facts),
    target:
      entry.type === 'note' || entry.type === 'count' || entry.type === 'hours'
        ? (entry.targets?.[0] ?? null)
        : null,
    body: writeLaborEntry(entry),
  };
  const marks =
    entry.type === 'task-done' || entry.type === 'task-reopen'
      ? targetsOf(entry).map((target) => ({
          entry: entry.id,
          target,
          at: entry.at,
          seq,
          is_done: entry.type === 'task-done',
        }))
      : [];
  return { row, marks };
}

/** Keeps an entry as it counts now. */
export function insertEffective(sql: Sql, facts: ShopFacts, entry: LaborEntry, seq: number): void {
  const { row, marks } = effectiveRows(facts, entry, seq);
  sql.insert('effective_entry', [row]);
  sql.insert('task_mark', marks);
  countPieces(sql, entry, 1);
}

/** Adds the pieces that an entry reports to its task's, or takes them away again. */
export function countPieces(sql: Sql, entry: LaborEntry, sign: 1 | -1): void {
  if (entry.type !== 'count') return;
  sql.run(
    `insert into "piece_count" ("target", "good", "scrap") values (?, ?, ?)
     on conflict ("target") do update set "good" = "good" + excluded."good", "scrap" = "scrap" + excluded."scrap"`,
    [entry.targets[0] ?? '', sign * entry.good, sign * entry.scrap],
  );
  sql.run('delete from "piece_count" where "target" = ? and "good" = 0 and "scrap" = 0', [
    entry.targets[0] ?? '',
  ]);
}

/** Puts what a correction makes of an entry in its place. */
export function correctEffective(
  sql: Sql,
  facts: ShopFacts,
  correction: Correction,
  touchBefore: (was: LaborEntry) => void,
  takeIn: (entry: LaborEntry, seq: number) => void,
): void {
  const id = correction.target;
  const [before] = sql.all<{ body: string }>('select "body" from "effective_entry" where "id" = ?', [id]);
  const rows = sql.all<{ seq: number; body: string }>(
    'select "seq", "body" from "journal" where "id" = ? or "corrects" = ? order by "seq"',
    [id, id],
  );
  const [original, ...corrections] = rows.map(({ body }) => readEntry(body));
  if (!original || isCorrection(original)) throw new Defect(`correction of ${id}, which is not recorded`);
  const after = correctedEntry(original, corrections.filter(isCorrection));
  if (before) {
    const was = readLaborEntry(before.body);
    touchBefore(was);
    countPieces(sql, was, -1);
    sql.run('delete from "effective_entry" where "id" = ?', [id]);
    sql.run('delete from "task_mark" where "entry" = ?', [id]);
  }
  sql.run('delete from "waiting_entry" where "id" = ?', [id]);
  if (after) takeIn(after, rows[0]?.seq ?? 0);
}
