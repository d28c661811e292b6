import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { systemClock } from './app/clock.ts';
import { readConfig } from './app/config.ts';
import { openDatabase } from './db/index.ts';
import { rebuild } from './ledger/rebuild.ts';
import { verifyChain } from './ledger/verify.ts';
import { createFactsCache } from './shop/facts.ts';

const root = resolve(fileURLToPath(import.meta.url), '../../..');
const database = await openDatabase(readConfig(process.env, root).databasePath);
const command = process.argv[2];
if (command === 'rebuild') {
  const count = await rebuild(database, await createFactsCache(database).get(), systemClock.now());
  process.stdout.write(`Derived all projections anew from ${count} entries.\n`);
} else if (command === 'verify') {
  const { count, broken } = await verifyChain(database);
  if (broken === undefined) process.stdout.write(`The chain of ${count} entries holds.\n`);
  else {
    process.stdout.write(`The chain breaks at entry ${broken}; the ${count} before it hold.\n`);
    process.exitCode = 1;
  }
} else {
  process.stderr.write('usage: npm run rebuild | npm run verify\n');
  process.exitCode = 2;
}
await database.close();
