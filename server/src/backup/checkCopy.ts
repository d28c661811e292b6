import { copyFileSync, rmSync } from 'node:fs';
import { openDatabase, readSql } from '../db/index.ts';
import type { Database, Entities, Sql } from '../db/index.ts';
import { PROJECTIONS, catchUp, rebuild, walkChain } from '../ledger/index.ts';
import { createFactsCache } from '../catalog/index.ts';
import { toInstant } from '@wergon/core/time';
import { isRecord } from '@wergon/core/result';
import { openFile } from './file.ts';
import { findCut } from './heads.ts';
import type { KeptHead } from './heads.ts';

/** What a copy of a database holds, or what is wrong with it. */
export type Checked =
  | { readonly ok: true; readonly entries: number; readonly hash: string }
  | { readonly ok: false; readonly why: string };

const bad = (why: string): Checked => ({ ok: false, why });

/** Opens a copy as a server would and holds it to everything that must be so: its pages are whole, its chain holds and
 *  reaches as far as it is known to have reached, and everything derived is what a rebuild derives. The copy itself is
 *  not touched. */
export async function checkCopy(
  path: string,
  heads: readonly KeptHead[],
  scratchPath: string,
  entities: Entities,
): Promise<Checked> {
  const fault = findBrokenPages(path);
  if (fault) return bad(fault);
  copyFileSync(path, scratchPath);
  try {
    return await checkScratch(scratchPath, heads, entities);
  } catch (error) {
    return bad(error instanceof Error ? error.message : String(error));
  } finally {
    for (const end of ['', '-wal', '-shm']) rmSync(`${scratchPath}${end}`, { force: true });
  }
}

function findBrokenPages(path: string): string | undefined {
  const connection = openFile(path);
  try {
    const rows = connection.prepare('pragma integrity_check(5)').all();
    const words = rows.map((row) => (isRecord(row) ? String(row['integrity_check']) : '')).join('; ');
    return words === 'ok' ? undefined : `the file is damaged: ${words}`;
  } catch (error) {
    return `it is no database: ${error instanceof Error ? error.message : ''}`;
  } finally {
    connection.close();
  }
}

async function checkScratch(path: string, heads: readonly KeptHead[], entities: Entities): Promise<Checked> {
  const database = await openDatabase(path, entities);
  try {
    const { count, hash, broken, why } = await readSql(database, walkChain);
    if (broken !== undefined) return bad(`the chain breaks at entry ${broken}: ${why ?? ''}`);
    const cut = await readSql(database, (sql) => findCut(sql, heads));
    if (cut) return bad(`entry ${cut.seq} was there on ${cut.at} and is not`);
    const facts = await createFactsCache(database).find();
    if (!facts) return { ok: true, entries: count, hash };
    // A copy of an older version is made what this one would make of it.
    await catchUp(database, facts, await readSql(database, asOfStored));
    const differing = await findDerivedOtherwise(database, facts);
    return differing.length > 0
      ? bad(`a rebuild gives other rows in ${differing.join(', ')}`)
      : { ok: true, entries: count, hash };
  } finally {
    await database.close();
  }
}

type Facts = Parameters<typeof rebuild>[1];

/** The projections of which a rebuild gives other rows than are stored. */
async function findDerivedOtherwise(database: Database, facts: Facts): Promise<readonly string[]> {
  const now = await readSql(database, (sql) => {
    for (const table of PROJECTIONS) sql.run(`create temp table "was_${table}" as select * from "${table}"`);
    return asOfStored(sql);
  });
  await rebuild(database, facts, now);
  return readSql(database, (sql) =>
    PROJECTIONS.filter((table) => {
      const differs = (a: string, b: string) =>
        sql.all(`select 1 from (select * from ${a} except select * from ${b}) limit 1`).length > 0;
      return differs(`"was_${table}"`, `"${table}"`) || differs(`"${table}"`, `"was_${table}"`);
    }),
  );
}

/** A moment at which the stored rows were right: before the time of the first entry that still waits for its own. */
function asOfStored(sql: Sql) {
  const [row] = sql.all<{ due: number | null }>('select min("due") as "due" from "waiting_entry"');
  return toInstant((row?.due ?? Number.MAX_SAFE_INTEGER) - 1);
}
