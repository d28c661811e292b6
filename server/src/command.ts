import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { systemClock } from './app/clock.ts';
import { readConfig } from './app/config.ts';
import { findCut, headsPath, readHeads } from './backup/heads.ts';
import { listBackups, makeBackup } from './backup/backup.ts';
import { lockDatabase } from './backup/lock.ts';
import { restoreBackup } from './backup/restore.ts';
import { openDatabase } from './db/database.ts';
import { readSql } from './db/sql.ts';
import { rebuild } from './ledger/rebuild.ts';
import { verifyChain } from './ledger/verify.ts';
import { createFactsCache } from './shop/facts.ts';
import { settingsOf } from './shop/settings.ts';

const root = resolve(fileURLToPath(import.meta.url), '../../..');
const config = readConfig(process.env, root);
const folder = config.backupsPath ?? resolve(root, '.data/backups');
const say = (text: string) => process.stdout.write(`${text}\n`);
function fail(text: string, code = 1): void {
  process.stderr.write(`${text}\n`);
  process.exitCode = code;
}

async function withDatabase<T>(
  work: (database: Awaited<ReturnType<typeof openDatabase>>) => Promise<T>,
): Promise<T> {
  const database = await openDatabase(config.databasePath);
  try {
    return await work(database);
  } finally {
    await database.close();
  }
}

const COMMANDS: Readonly<Record<string, (argument: string | undefined) => Promise<void>>> = {
  rebuild: async () => {
    const lock = lockDatabase(config.databasePath, 'rebuild');
    try {
      const count = await withDatabase(async (database) =>
        rebuild(database, await createFactsCache(database).get(), systemClock.now()),
      );
      say(`Derived all projections anew from ${count} entries.`);
    } finally {
      lock.release();
    }
  },
  verify: () =>
    withDatabase(async (database) => {
      const { count, broken, why } = await verifyChain(database);
      if (broken !== undefined)
        return fail(`The chain breaks at entry ${broken} (${why ?? ''}); the ${count} before it hold.`);
      const heads = [...readHeads(headsPath(config.databasePath)), ...headsOfBackups()];
      const cut = await readSql(database, (sql) => findCut(sql, heads));
      if (cut)
        return fail(
          `The chain of ${count} entries holds, but entry ${cut.seq} was there on ${cut.at} (${cut.why}) and is missing or another one now.`,
        );
      say(`The chain of ${count} entries holds.`);
    }),
  backup: async () => {
    const keep = await withDatabase(async (database) => {
      const shop = (await createFactsCache(database).find())?.shop;
      return shop ? settingsOf(shop).backup.keep : 1;
    });
    const result = await makeBackup(config.databasePath, folder, keep);
    if (result.ok)
      say(`Backed up and checked: ${resolve(folder, result.backup.file)}, ${result.backup.entries} entries.`);
    else fail(`No backup: ${result.why}`);
  },
  restore: async (file) => {
    if (file === undefined) return fail('usage: npm run restore -- FILE', 2);
    const result = await restoreBackup(config.databasePath, folder, file);
    if (!result.ok) return fail(`Nothing was changed: ${result.why}`);
    say(`Restored ${result.entries} entries.`);
    if (result.saved) say(`What was there before is saved as ${result.saved}`);
  },
};

/** Backups were made of this very file unless one was restored since. */
function headsOfBackups() {
  const restoredAt =
    readHeads(headsPath(config.databasePath)).findLast(({ why }) => why === 'restore')?.at ?? '';
  return listBackups(folder)
    .filter(({ at }) => at > restoredAt)
    .map(({ at, entries, hash }) => ({ at, why: 'backup', seq: entries, hash }));
}

const command = COMMANDS[process.argv[2] ?? ''];
if (!command) fail('usage: npm run rebuild | verify | backup | restore -- FILE', 2);
else
  await command(process.argv[3]).catch((error: unknown) =>
    fail(error instanceof Error ? error.message : String(error)),
  );
