import { setImmediate } from 'node:timers/promises';
import { readSql } from '../db/index.ts';
import type { Database, Sql } from '../db/index.ts';
import type { Changes, Live } from '../http/index.ts';
import { loadSeq } from './timelineRows.ts';

/** Reads what has changed since a place in the journal: what changed, and how it is now, are of one moment, so that whoever
 *  goes on from there has missed nothing. `null` where that is not known any more and the whole must be asked for. */
export async function readChanges<T>(
  database: Database,
  live: Live,
  after: number,
  work: (sql: Sql, changes: Changes) => T,
): Promise<T | null> {
  const read = () =>
    readSql(database, (sql) => {
      const changes = live.changesSince(after, loadSeq(sql));
      return changes ? work(sql, changes) : null;
    });
  const found = await read();
  if (found !== null) return found;
  // What was committed just now is told of within this turn.
  await setImmediate();
  return read();
}
