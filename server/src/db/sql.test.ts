import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ENTITIES } from '../app/entities.ts';
import { closeDatabase, openDatabase } from './database.ts';
import type { Database } from './database.ts';
import { readSql, writeSql } from './sql.ts';

let database: Database;
beforeAll(async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'wergon-')), 'rows.sqlite');
  database = await openDatabase(path, ENTITIES);
  await writeSql(database, (sql) => {
    sql.run('create table "part" ("name" text primary key, "count" integer, "note" text)');
    sql.insert('part', [
      { name: 'O’Hara’s "shim"', count: 3, note: '["a", {"b": 1}]' },
      { name: "'; drop table part; --", count: -1, note: null },
      { name: 'Schräglager\n⌀ 40', count: 9_007_199_254_740_991, note: '' },
      { name: '', count: 0, note: '\\ \u0001 \t' },
    ]);
  });
});
afterAll(() => closeDatabase(database));

type Part = { readonly name: string; readonly count: number; readonly note: string | null };
const COLUMNS: readonly (keyof Part)[] = ['name', 'count', 'note'];
const byName = (a: Part, b: Part) => (a.name < b.name ? -1 : 1);

test.each<[where: string, params: readonly (string | number)[], count: number]>([
  ['true', [], 4],
  ['"count" >= ?', [0], 3],
  ['"name" = ? and "count" < ?', ["'; drop table part; --", 0], 1],
  ['false', [], 0],
])('many rows at once where %s %j are those that come one by one', async (where, params, count) => {
  const { many, all } = await readSql(database, (sql) => ({
    many: sql.many<Part>(COLUMNS, 'part', where, params),
    all: sql.all<Part>(`select * from "part" where ${where}`, params),
  }));
  expect(many).toHaveLength(count);
  expect([...many].sort(byName)).toEqual(all.map((row) => ({ ...row })).sort(byName));
});

test('more rows than are joined at once are all there, each once', async () => {
  const rows = await writeSql(database, (sql) => {
    sql.run('create table "tick" ("at" integer primary key)');
    sql.run(
      'with recursive t(at) as (select 1 union all select at + 1 from t where at < 50000) insert into "tick" select at from t',
    );
    return sql.many<{ readonly at: number }>(['at'], 'tick', '"at" > ?', [7]);
  });
  expect(rows.map(({ at }) => at).sort((a, b) => a - b)).toEqual(
    Array.from({ length: 49_993 }, (_each, i) => i + 8),
  );
});
