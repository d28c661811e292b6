import { readSql } from '../db/sql.ts';
import { newId, openTestShop } from './testShop.fixture.ts';
import type { TestShop } from './testShop.fixture.ts';

// Whoever sends twice, because they pressed twice or the answer was lost, has it recorded once.
let shop: TestShop;
beforeAll(async () => (shop = await openTestShop()));
afterAll(() => shop.close());

const PNG =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
const count = (table: string) =>
  readSql(
    shop.database,
    (sql) => sql.all<{ n: number }>(`select count(*) as "n" from "${table}"`)[0]?.n ?? 0,
  );

const CREATES: readonly [
  words: string,
  table: string,
  path: () => string,
  body: () => object,
  other: object,
][] = [
  ['a unit', 'unit', () => '/api/shop/units', () => ({ type: 'Pump' }), { type: 'Motor' }],
  ['a notice', 'notice', () => '/api/shop/notices', () => ({ text: 'Stocktaking' }), { text: 'Holiday' }],
  ['a badge', 'badge', () => `/api/people/${shop.ada}/badges`, () => ({}), {}],
  [
    'a paper of an order',
    'attachment',
    () => `/api/work/${shop.order}/attachments`,
    () => ({ name: 'drawing.png', base64: PNG }),
    { name: 'another.png' },
  ],
  [
    'a draft',
    'draft_row',
    () => '/api/reconcile/drafts',
    () => ({
      id: null,
      fields: {
        technician: '',
        target: '',
        personText: 'Ada',
        targetText: '',
        workType: 'run',
        day: '',
        hours: '',
      },
    }),
    {},
  ],
  [
    'hours written down',
    'journal',
    () => '/api/reconcile/hours',
    () => ({
      rows: [
        {
          entry: null,
          technician: shop.ada,
          target: shop.strip,
          workType: 'run',
          day: '2026-03-02',
          seconds: 3600,
        },
      ],
    }),
    {},
  ],
];

test.each(CREATES)(
  '%s sent eight times at once is there once, and every answer is the same',
  async (_w, table, path, body) => {
    const before = await count(table);
    const once = `once-${newId()}`;
    const answers = await Promise.all(
      Array.from({ length: 8 }, () => shop.post(path(), { ...body(), once })),
    );
    expect(answers.map(({ status, body: told }) => [status, told])).toEqual(
      Array.from({ length: 8 }, () => [200, answers[0]?.body]),
    );
    expect((await count(table)) - before).toBe(1);
    // And so it is much later.
    expect((await shop.post(path(), { ...body(), once })).body).toEqual(answers[0]?.body);
    expect((await count(table)) - before).toBe(1);
  },
);

test.each(CREATES.filter(([, , , , other]) => Object.keys(other).length > 0))(
  '%s with something else in it under the same id is refused',
  async (_words, table, path, body, other) => {
    const once = `once-${newId()}`;
    expect((await shop.post(path(), { ...body(), once })).status).toBe(200);
    const before = await count(table);
    const again = await shop.post(path(), { ...body(), ...other, once });
    expect([again.status, (again.body as { type: string }).type]).toEqual([
      409,
      'urn:wergon:record.sent_before',
    ]);
    expect(await count(table)).toBe(before);
  },
);

test('an answer to a request sent twice stands at the badge once', async () => {
  const id = newId();
  await shop.send({
    id,
    type: 'request',
    at: '2026-03-03T07:30:00Z',
    technician: shop.ada,
    what: 'part',
    target: null,
    text: 'wedges',
  });
  const once = `once-${newId()}`;
  for (let i = 0; i < 2; i += 1)
    expect((await shop.post(`/api/floor/requests/${id}/answer`, { text: 'on its way', once })).status).toBe(
      200,
    );
  const { people } = (await shop.get('/api/station/directory', shop.station)).body as {
    people: { technician: string; messages: unknown[] }[];
  };
  expect(people.find(({ technician }) => technician === shop.ada)?.messages).toHaveLength(1);
});

test('eight who add one user at once: one does, and seven are told which field is taken', async () => {
  const body = { name: 'Eve', userName: 'eve', password: 'long enough', roles: ['lead'], seesRates: false };
  const answers = await Promise.all(Array.from({ length: 8 }, () => shop.post('/api/users', body)));
  const statuses = answers.map(({ status }) => status).sort();
  expect(statuses).toEqual([200, ...Array.from({ length: 7 }, () => 409)]);
  for (const { status, body: told } of answers)
    if (status === 409) expect(told).toMatchObject({ errors: [{ field: 'userName' }] });
});

test('two who move one order at once: both moves stand, or the second is refused', async () => {
  const { id } = (await shop.post('/api/work', shop.newOrder('7100'))).body as { id: string };
  const move = (state: string) => shop.post(`/api/work/${id}/state`, { state });
  await move('released');
  const answers = await Promise.all([move('on-hold'), move('finished')]);
  const done = answers.filter(({ status }) => status === 200).length;
  const states = await readSql(shop.database, (sql) =>
    (
      JSON.parse(
        sql.all<{ states: string }>('select "states" from "work_order" where "id" = ?', [id])[0]?.states ??
          '[]',
      ) as {
        value: string;
      }[]
    ).map(({ value }) => value),
  );
  expect(states).toHaveLength(2 + done);
});
