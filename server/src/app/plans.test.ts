import Libsql from 'libsql';
import { openTestShop } from './testShop.fixture.ts';
import type { TestShop } from './testShop.fixture.ts';

// What a page or a scan costs must not grow with the shop's age: no statement walks through a table of its history.
const HISTORY = ['journal', 'entry_index', 'effective_entry', 'stint', 'presence', 'labor_line', 'task_mark'];

/** What a plan calls the tables of history in a statement: by their names, or by those that it gives them. */
const namesOf = (text: string): string[] =>
  HISTORY.flatMap((table) => [
    table,
    ...[...text.matchAll(new RegExp(`"${table}" (?:as )?"?([a-z_]+)"?`, 'g'))].flatMap(
      ([, name]) => name ?? [],
    ),
  ]);

const asked = new Set<string>();
let shop: TestShop;
beforeAll(async () => {
  const prepare = jest.spyOn(Libsql.prototype as { prepare: (text: string) => unknown }, 'prepare');
  shop = await openTestShop();
  const { ada, bo, strip, winding, scan } = shop;
  prepare.mockClear();
  await shop.send(
    scan('shift-in', 0, ada),
    scan('work-start', 0, ada, [strip]),
    scan('work-start', 60, ada, [winding]),
    scan('shift-in', 0, bo),
  );
  const day = '2026-03-03';
  const paths = [
    `/api/floor?day=${day}`,
    '/api/floor/latest',
    '/api/floor/requests',
    '/api/rail',
    '/api/work',
    '/api/work/past',
    `/api/work/${shop.order}`,
    `/api/work/${shop.order}/unapproved`,
    `/api/story?day=${day}`,
    `/api/story?order=${shop.order}`,
    `/api/reconcile?from=${day}&to=${day}`,
    `/api/reconcile/day?technician=${ada}&day=${day}`,
    `/api/reconcile/week?technician=${ada}&day=${day}`,
    `/api/reconcile/accounted?from=${day}&to=${day}`,
    `/api/reconcile/approvals?from=${day}&to=${day}`,
    `/api/ledger/line?technician=${ada}&target=${strip}&workType=run&day=${day}`,
    '/api/ledger/trail',
    '/api/pay/periods',
  ];
  for (const path of paths) {
    const { status } = await shop.get(path);
    if (status !== 200) throw new Error(`${path}: ${status}`);
  }
  await shop.get('/api/station/directory', shop.station);
  await shop.get('/api/station/directory/changes?after=1', shop.station);
  for (const [text] of prepare.mock.calls) asked.add(text);
  prepare.mockRestore();
});
afterAll(() => shop.close());

test('no statement of a page, a station or a scan walks through the history', () => {
  const connection = new Libsql(shop.path);
  const planOf = (text: string) =>
    connection.prepare(`explain query plan ${text}`).all() as { detail: string }[];
  const walking = [...asked]
    .filter((text) => /^\s*(select|delete|update|with)/i.test(text))
    .flatMap((text) => {
      const names = namesOf(text).filter((name) => text.includes(`"${name}"`) || text.includes(` ${name} `));
      // The newest few of something are found from its end, where nothing has to be sorted first.
      const isOfNewest = /\blimit\b/i.test(text);
      const isWalk = ({ detail }: { detail: string }) =>
        isOfNewest
          ? names.length > 0 && detail === 'USE TEMP B-TREE FOR ORDER BY'
          : names.some((name) => new RegExp(`^SCAN ${name}\\b`).test(detail));
      return planOf(text)
        .filter(isWalk)
        .map(({ detail }) => `${detail}: ${text.replace(/\s+/g, ' ')}`);
    });
  const walks = connection.prepare('explain query plan select * from "journal" j where j."body" = ?').all();
  expect(walks).toMatchObject([{ detail: expect.stringMatching(/^SCAN j\b/) as string }]);
  connection.close();
  expect(asked.size).toBeGreaterThan(60);
  expect(walking).toEqual([]);
});
