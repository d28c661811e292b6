import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { systemClock } from '../http/index.ts';
import { readConfig } from './config.ts';
import {
  findCut,
  headsPath,
  readHeads,
  listBackups,
  makeBackup,
  lockDatabase,
  restoreBackup,
} from '../backup/index.ts';
import { readSql } from '../db/index.ts';
import type { Database } from '../db/index.ts';
import { openShop } from './database.ts';
import { ENTITIES } from './entities.ts';
import { rebuild, verifyChain } from '../ledger/index.ts';
import { createFactsCache } from '../catalog/index.ts';
import { settingsOf } from '../shop/index.ts';

const root = resolve(fileURLToPath(import.meta.url), '../../../..');
const config = readConfig(process.env, root);
const folder = config.backupsPath ?? resolve(root, '.data/backups');
const place = { databasePath: config.databasePath, folder, entities: ENTITIES };
const say = (text: string) => process.stdout.write(`${text}\n`);
function fail(text: string, code = 1): void {
  process.stderr.write(`${text}\n`);
  process.exitCode = code;
}

async function withDatabase<T>(work: (database: Database) => Promise<T>): Promise<T> {
  const database = await openShop(config.databasePath);
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
    const result = await makeBackup(place, keep);
    if (result.ok)
      say(`Backed up and checked: ${resolve(folder, result.backup.file)}, ${result.backup.entries} entries.`);
    else fail(`No backup: ${result.why}`);
  },
  restore: async (file) => {
    if (file === undefined) return fail('usage: npm run restore -- FILE', 2);
    const result = await restoreBackup(place, file);
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
