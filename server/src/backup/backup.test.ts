import { existsSync, mkdirSync, mkdtempSync, readdirSync, utimesSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createZone } from '@wergon/core/time';
import { openShop } from '../app/database.ts';
import { ENTITIES } from '../app/entities.ts';
import { readSql } from '../db/sql.ts';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';
import { verifyChain } from '../ledger/verify.ts';
import { listBackups, lastFailure, makeBackup } from './backup.ts';
import { openFile } from './file.ts';
import { findCut, headsPath, readHeads } from './heads.ts';
import { lockDatabase } from './lock.ts';
import { restoreBackup } from './restore.ts';
import { createBackups, lastDue } from './schedule.ts';

let shop: TestShop;
let path: string;
let folder: string;
beforeEach(async () => {
  shop = await openTestShop();
  path = String(shop.database.config.get('dbName'));
  folder = join(mkdtempSync(join(tmpdir(), 'wergon-backups-')), 'deep', 'down');
  await shop.send(shop.scan('shift-in', 0, shop.ada), shop.scan('work-start', 5, shop.ada, [shop.strip]));
});
afterEach(() => shop.close().catch(() => undefined));

const minute = (n: number) => new Date(Date.UTC(2026, 2, 3, 12, n));

test('a backup is a whole copy, taken while the shop works, and found good', async () => {
  // Nothing of it has left the write-ahead log yet.
  const [result] = await Promise.all([
    makeBackup({ databasePath: path, folder, entities: ENTITIES }, 3, minute(0)),
    shop.send(shop.scan('work-stop', 50, shop.ada)),
  ]);
  if (!result.ok) throw new Error(result.why);
  const copy = await openShop(join(folder, result.backup.file));
  expect((await verifyChain(copy)).count).toBe(result.backup.entries);
  await copy.close();
  expect(readHeads(headsPath(path)).at(-1)).toMatchObject({ why: 'backup', seq: result.backup.entries });
  expect(readdirSync(folder).filter((name) => /part|check/.test(name))).toEqual([]);
});

test('only as many are kept as were asked for, the newest', async () => {
  for (const n of [0, 1, 2, 3])
    await makeBackup({ databasePath: path, folder, entities: ENTITIES }, 2, minute(n));
  expect(listBackups(folder).map(({ at }) => at)).toEqual(
    [minute(3), minute(2)].map((at) => at.toISOString()),
  );
});

test('what a backup that was killed left half done goes with a later one', async () => {
  mkdirSync(folder, { recursive: true });
  const left = [
    'wergon-a.sqlite.part',
    'wergon-a.sqlite.check',
    'wergon-a.sqlite.check-wal',
    'restore-b.check',
  ];
  const others = ['wergon-now.sqlite.part', 'before-restore-c.sqlite', 'notes.txt'];
  for (const name of [...left, ...others]) writeFileSync(join(folder, name), 'x');
  // Whoever works there at this time began less than a day ago.
  for (const name of [...left, 'notes.txt']) utimesSync(join(folder, name), 0, Date.now() / 1000 - 90_000);
  expect((await makeBackup({ databasePath: path, folder, entities: ENTITIES }, 2)).ok).toBe(true);
  const names = readdirSync(folder);
  expect(names.filter((name) => left.includes(name))).toEqual([]);
  expect(names).toEqual(expect.arrayContaining(others));
});

test('one that ends without a word is tried again in an hour, not at every look', async () => {
  let tries = 0;
  const backups = createBackups({ databasePath: path, folder, command: '' }, shop.context.shop, () => {
    tries += 1;
    return Promise.resolve();
  });
  const now = Number(shop.clock.now());
  for (const later of [0, 60, 120, 3_599, 3_601]) await backups.runIfDue(now + later);
  expect(tries).toBe(2);
});

test.each<[string, (file: ReturnType<typeof openFile>) => void, RegExp]>([
  [
    'a chain that was tampered with',
    (file) => {
      file.exec('drop trigger "journal_no_update"');
      file.exec(`update "journal" set "body" = replace("body", 'ada', 'bob') || ' ' where "seq" = 1`);
    },
    /chain breaks at entry 1/,
  ],
  [
    'a projection that is not what a rebuild gives',
    (file) => file.exec(`delete from "labor_state"`),
    /labor_state/,
  ],
])('a copy with %s is no backup, and that is kept to be said', async (_words, spoil, why) => {
  const file = openFile(path);
  spoil(file);
  file.close();
  const result = await makeBackup({ databasePath: path, folder, entities: ENTITIES }, 3, minute(0));
  expect(result).toMatchObject({ ok: false, why: expect.stringMatching(why) as string });
  expect(listBackups(folder)).toEqual([]);
  expect(lastFailure(folder)?.why).toMatch(why);
});

test('a backup is brought back, what is there is saved first, and nothing replaces a server that runs', async () => {
  const made = await makeBackup({ databasePath: path, folder, entities: ENTITIES }, 3, minute(0));
  if (!made.ok) throw new Error(made.why);
  await shop.send(shop.scan('work-stop', 50, shop.ada));
  const lock = lockDatabase(path, 'server');
  await expect(
    restoreBackup({ databasePath: path, folder, entities: ENTITIES }, made.backup.file),
  ).rejects.toThrow(/in use: server, process \d+/);
  lock.release();
  await shop.close();
  const restored = await restoreBackup(
    { databasePath: path, folder, entities: ENTITIES },
    made.backup.file,
    minute(5),
  );
  expect(restored).toMatchObject({ ok: true, entries: 2 });
  const count = async (file: string) => {
    const database = await openShop(file);
    const { count: entries } = await verifyChain(database);
    await database.close();
    return entries;
  };
  expect([await count(path), await count((restored as { saved: string }).saved)]).toEqual([2, 3]);
  const database = await openShop(path);
  expect(await readSql(database, (sql) => findCut(sql, readHeads(headsPath(path))))).toBeUndefined();
  await database.close();
});

test('what is no good backup replaces nothing', async () => {
  await shop.close();
  const rubbish = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'rubbish.sqlite');
  writeFileSync(rubbish, 'x'.repeat(10_000));
  expect(await restoreBackup({ databasePath: path, folder, entities: ENTITIES }, rubbish)).toMatchObject({
    ok: false,
    why: expect.stringMatching(/not good/) as string,
  });
  expect(await restoreBackup({ databasePath: path, folder, entities: ENTITIES }, '/nowhere')).toMatchObject({
    ok: false,
  });
  expect(existsSync(path)).toBe(true);
});

test('a backup that an older version made, which derived less, is brought back all the same', async () => {
  const place = { databasePath: path, folder, entities: ENTITIES };
  const made = await makeBackup(place, 3, minute(0));
  if (!made.ok) throw new Error(made.why);
  const file = openFile(join(folder, made.backup.file));
  file.exec('delete from "entry_index"');
  file.close();
  await shop.close();
  expect(await restoreBackup(place, made.backup.file, minute(5))).toMatchObject({ ok: true, entries: 2 });
});

test('an end that was cut off the chain is found missing', async () => {
  await makeBackup({ databasePath: path, folder, entities: ENTITIES }, 3, minute(0));
  const file = openFile(path);
  file.exec('drop trigger "journal_no_delete"');
  file.exec('delete from "journal" where "seq" = 2');
  file.close();
  expect((await verifyChain(shop.database)).broken).toBeUndefined();
  const cut = await readSql(shop.database, (sql) => findCut(sql, readHeads(headsPath(path))));
  expect(cut).toMatchObject({ seq: 2, why: 'backup' });
});

test.each([
  ['update "journal" set "stream" = \'floor\' where "seq" = 1', /stream/],
  ['update "journal" set "corrects" = \'x\' where "seq" = 2', /corrects/],
  ['update "journal" set "body" = \'{not json\' where "seq" = 2', /body is not JSON/],
  ['update "journal" set "envelope" = \'[\' where "seq" = 1', /envelope is not JSON/],
  ['delete from "journal" where "seq" = 1', /entry 1 is missing/],
])('%s: the row is named, with what is wrong with it', async (statement, why) => {
  const file = openFile(path);
  for (const trigger of ['update', 'delete']) file.exec(`drop trigger "journal_no_${trigger}"`);
  file.exec(statement);
  file.close();
  const { broken, why: told } = await verifyChain(shop.database);
  expect(broken).toBe(/= 2/.test(statement) || /delete/.test(statement) ? 2 : 1);
  expect(told).toMatch(why);
});

describe('a lock', () => {
  test('says who has the file, and is given back', () => {
    const lock = lockDatabase(path, 'server');
    expect(() => lockDatabase(path, 'another server')).toThrow(
      /in use: server, process \d+ on .+, since \d{4}/,
    );
    lock.release();
    lockDatabase(path, 'another server').release();
  });

  test('ends with its holder, however that ends', () => {
    const library = require.resolve('libsql');
    const script = `const D = require(${JSON.stringify(library)}); const d = new D(${JSON.stringify(`${path}.lock`)});
      d.exec('begin exclusive'); process.kill(process.pid, 'SIGKILL');`;
    spawnSync(process.execPath, ['-e', script]);
    lockDatabase(path, 'server').release();
  });
});

test.each([
  ['2026-03-03T01:59:00+02:00', '2026-03-02T02:00:00+02:00', 'before the hour: that of yesterday'],
  ['2026-03-03T02:00:00+02:00', '2026-03-03T02:00:00+02:00', 'on the hour'],
  ['2026-03-29T12:00:00+03:00', '2026-03-29T02:00:00+02:00', 'on the day on which clocks go forward'],
])('at %s a backup was due at %s: %s', (now, due) => {
  const zone = createZone('Europe/Helsinki');
  if (!zone.ok) throw new Error('zone');
  expect(lastDue(zone.value, 2, Date.parse(now) / 1000)).toBe(Date.parse(due) / 1000);
});
