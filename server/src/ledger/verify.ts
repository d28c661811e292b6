import { isRecord } from '@wergon/core/result';
import type { Database, Sql } from '../db/index.ts';
import { readSql } from '../db/index.ts';
import { GENESIS, chainHash } from './envelope.ts';
import type { JournalRow } from './journalRows.ts';

/** How far a chain was walked: `broken` is the first entry that does not fit, with what is wrong with it. */
export type Walked = {
  readonly count: number;
  readonly hash: string;
  readonly broken: number | undefined;
  readonly why?: string;
};

/** So many entries are walked at a time. */
const ROWS_AT_ONCE = 5_000;

/** Walks the chain from an entry and its hash on, a number of entries at the most; gives how far it came. */
export function verifyPart(sql: Sql, after: number, hash: string, most: number): Walked {
  let [count, previous] = [after, hash];
  const rows = sql.all<JournalRow>('select * from "journal" where "seq" > ? order by "seq" limit ?', [
    after,
    most,
  ]);
  for (const row of rows) {
    const why = findFault(row, count + 1, previous);
    if (why !== undefined) return { count, hash: previous, broken: row.seq, why };
    previous = row.hash;
    count += 1;
  }
  return { count, hash: previous, broken: undefined };
}

/** What is wrong with a row of the journal, if anything is: it is not what was recorded. */
function findFault(row: JournalRow, expected: number, previous: string): string | undefined {
  if (row.seq !== expected) return `entry ${expected} is missing`;
  const entry = readObject(row.body);
  const envelope = readObject(row.envelope);
  if (!entry) return 'its body is not JSON';
  if (!envelope) return 'its envelope is not JSON';
  // Halves of characters were let in once; the column holds what stands for them.
  const same = (text: unknown, column: string) => typeof text === 'string' && wellFormed(text) === column;
  if (!same(entry['id'], row.id)) return 'its id is another';
  if (entry['type'] !== row.type) return 'its type is another';
  if (envelope['seq'] !== row.seq) return 'its place is another';
  if (envelope['stream'] !== row.stream) return 'its stream is another';
  const isCorrection = row.stream === 'labor' && ['void', 'restore', 'amend'].includes(row.type);
  if (isCorrection ? !same(entry['target'], row.corrects ?? '') : row.corrects !== null)
    return 'what it corrects is another';
  return chainHash(row.body, row.envelope, previous) === row.hash ? undefined : 'its hash does not fit';
}

const wellFormed = (text: string) => text.replace(/\p{Cs}/gu, '\uFFFD');

function readObject(text: string): Readonly<Record<string, unknown>> | undefined {
  try {
    const value: unknown = JSON.parse(text);
    return isRecord(value) ? value : undefined;
  } catch {
    return undefined;
  }
}

/** Walks the whole chain of an open database. */
export function walkChain(sql: Sql): Walked {
  let walked: Walked = { count: 0, hash: GENESIS, broken: undefined };
  for (;;) {
    const next = verifyPart(sql, walked.count, walked.hash, ROWS_AT_ONCE);
    if (next.broken !== undefined || next.count === walked.count) return next;
    walked = next;
  }
}

/** Walks the whole chain; gives the number of entries, and the first one that does not fit, if there is one. */
export const verifyChain = (database: Database): Promise<Walked> => readSql(database, walkChain);
