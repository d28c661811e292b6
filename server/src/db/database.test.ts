import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase } from './database.ts';

test('migrations give just the schema that the entities want, and can be run again', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'schema.sqlite');
  await (await openDatabase(path)).close();
  const database = await openDatabase(path);
  const missing = await database.schema.getUpdateSchemaSQL({ dropTables: false });
  expect(missing.trim()).toBe('');
  await database.close();
});

test('every connection writes through to the disk before it says so', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'durable.sqlite');
  const database = await openDatabase(path);
  const pragma = async (name: string) => (await database.em.fork().execute(`pragma ${name}`)) as unknown;
  expect(await pragma('journal_mode')).toEqual([{ journal_mode: 'wal' }]);
  expect(await pragma('synchronous')).toEqual([{ synchronous: 2 }]);
  await database.close();
});
