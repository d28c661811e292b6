import type { Sql } from '../db/index.ts';
import type { Decision } from './decision.ts';

/** Keeps a pay file to the byte, with whose time of which kinds stands in it. */
export function keepPayFile(sql: Sql, decision: Extract<Decision, { type: 'pay-file' }>): void {
  const { id, by, at, firstDay, layout, separator, group, rows, digest, content, sums, parts } = decision;
  sql.insert('pay_file', [
    {
      ...{ entry: id, period: firstDay, made_by: by, at, layout, separator, pay_group: group, rows },
      ...{ digest, text: content, sums: JSON.stringify(sums) },
      ...{ withdrawn_by: null, withdrawn_at: null, reason: null },
    },
  ]);
  sql.insert(
    'pay_file_part',
    parts.map((part) => ({ entry: id, ...part })),
  );
}

/** Takes a pay file back: what stood in it is in none again. */
export function withdrawPayFile(
  sql: Sql,
  { file, by, at, reason }: Extract<Decision, { type: 'withdraw-pay-file' }>,
): void {
  sql.run('update "pay_file" set "withdrawn_by" = ?, "withdrawn_at" = ?, "reason" = ? where "entry" = ?', [
    by,
    at,
    reason,
    file,
  ]);
  sql.run('delete from "pay_file_part" where "entry" = ?', [file]);
}
