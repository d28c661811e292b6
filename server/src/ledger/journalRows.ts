import type { Sql } from '../db/index.ts';
import type { Stream } from './envelope.ts';

const ROWS_AT_ONCE = 5_000;

export type JournalRow = {
  readonly seq: number;
  readonly id: string;
  readonly stream: Stream;
  readonly type: string;
  readonly corrects: string | null;
  readonly body: string;
  readonly envelope: string;
  readonly hash: string;
};

/** Most of a journal is labor: it is read from one end to the other, and not looked up row by row. */
const IN_ORDER: Partial<Record<Stream, string>> = { labor: '+' };

/** The rows of the journal in order, a page at a time. */
export function* journalRows(sql: Sql, stream?: Stream): Generator<JournalRow> {
  for (let after = 0; ;) {
    const rows = sql.all<JournalRow>(
      `select * from "journal" where "seq" > ? ${stream ? `and ${IN_ORDER[stream] ?? ''}"stream" = ?` : ''}
       order by "seq" limit ${ROWS_AT_ONCE}`,
      stream ? [after, stream] : [after],
    );
    yield* rows;
    const last = rows.at(-1);
    if (!last) return;
    after = last.seq;
  }
}
