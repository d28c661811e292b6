import { appendFileSync, existsSync, readFileSync, writeFileSync } from 'node:fs';
import { z } from 'zod';
import type { Sql } from '../db/index.ts';
import { flush } from './file.ts';

/** How long the chain was at a moment and what its last hash was: kept outside the journal, so that an end that was cut
 *  off is found missing. */
const headSchema = z.object({ at: z.string(), why: z.string(), seq: z.number(), hash: z.string() });
export type KeptHead = Readonly<z.output<typeof headSchema>>;

/** Heads that are kept; far more than a shop makes between two looks at them. */
const MOST = 2_000;

export const headsPath = (databasePath: string): string => `${databasePath}.heads`;

/** The heads that were kept of a database, oldest first; lines that cannot be read say nothing. */
export function readHeads(path: string): readonly KeptHead[] {
  if (!existsSync(path)) return [];
  return readFileSync(path, 'utf8')
    .split('\n')
    .flatMap((line): KeptHead[] => {
      try {
        return [headSchema.parse(JSON.parse(line))];
      } catch {
        return [];
      }
    });
}

/** Writes a head down beside the database. */
export function keepHead(path: string, head: KeptHead): void {
  const kept = readHeads(path);
  const line = (each: KeptHead) => `${JSON.stringify(each)}\n`;
  if (kept.length >= MOST) writeFileSync(path, [...kept.slice(1 - MOST), head].map(line).join(''));
  else appendFileSync(path, line(head));
  flush(path);
}

/** What a journal lacks of the heads that were kept: the first entry that is missing or another, with when it was there. */
export function findCut(sql: Sql, heads: readonly KeptHead[]): KeptHead | undefined {
  return heads.find(
    ({ seq, hash }) =>
      seq > 0 &&
      sql.all<{ hash: string }>('select "hash" from "journal" where "seq" = ?', [seq])[0]?.hash !== hash,
  );
}
