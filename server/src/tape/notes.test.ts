import type { OrderJson } from '@wergon/contract/compare';
import type { PersonDayJson } from '@wergon/contract/tape';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeEach(async () => {
  shop = await openTestShop();
  await shop.send(
    shop.scan('shift-in', 0, shop.ada),
    shop.scan('work-start', 0, shop.ada, [shop.strip]),
    shop.scan('work-stop', 60, shop.ada),
  );
});
afterEach(() => shop.close());
const day = async () =>
  (await shop.get(`/api/reconcile/day?technician=${shop.ada}&day=2026-03-03`)).body as PersonDayJson;
const strip = async () =>
  ((await shop.get(`/api/work/${shop.order}`)).body as OrderJson).tasks.find(({ id }) => id === shop.strip);
const add = (more: object = {}) =>
  shop.post('/api/reconcile/notes', {
    technician: shop.ada,
    day: '2026-03-03',
    target: shop.strip,
    text: 'The shaft is worn',
    ...more,
  });
const added = async (more: object = {}) => (await add(more)).body as { entries: string[] };

test('a note stands with the day and with the task, at the beginning of the work that it is about', async () => {
  await added();
  const { notes, stints } = await day();
  expect(notes).toMatchObject([
    { text: 'The shaft is worn', title: '1001 Strip', by: 'Sol', isForCustomer: false, at: stints[0]?.from },
  ]);
  expect((await strip())?.notes).toMatchObject([
    { who: 'Ada', text: 'The shaft is worn', technician: shop.ada },
  ]);
});

test('what a station noted stands beside it; of no task it is the day’s alone', async () => {
  await shop.send({ ...shop.scan('note', 30, shop.ada, [shop.strip]), text: 'Two turns short' });
  await added({ target: null, text: 'Came from the dentist' });
  expect((await day()).notes.map(({ text, title }) => `${title}: ${text}`)).toEqual([
    '1001 Strip: Two turns short',
    ': Came from the dentist',
  ]);
  expect((await strip())?.notes).toHaveLength(1);
});

test('which of them the customer may read is said, and taken back', async () => {
  const { entries } = await added();
  const mark = (isForCustomer: boolean) =>
    shop.post(`/api/reconcile/notes/${entries[0] ?? ''}/customer`, { isForCustomer });
  await mark(true);
  await mark(true);
  expect([(await day()).notes[0]?.isForCustomer, (await strip())?.notes[0]?.isForCustomer]).toEqual([
    true,
    true,
  ]);
  await mark(false);
  expect((await day()).notes[0]?.isForCustomer).toBe(false);
});

test('a note is taken out, and comes back when that is undone', async () => {
  const { entries } = await added();
  const out = (await shop.post(`/api/reconcile/notes/${entries[0] ?? ''}/remove`, {})).body as typeof added;
  expect((await day()).notes).toEqual([]);
  await shop.post('/api/reconcile/undo', out);
  expect((await day()).notes).toHaveLength(1);
});

test('sent twice it is there once', async () => {
  const once = 'a'.repeat(32);
  const [first, second] = [await added({ once }), await added({ once })];
  expect(second).toEqual(first);
  expect((await day()).notes).toHaveLength(1);
});

test.each([
  [{ technician: 'nobody' }, 'technician'],
  [{ target: 'nothing' }, 'target'],
  [{ text: '  ' }, 'text'],
  [{ text: 'x'.repeat(1001) }, 'text'],
  [{ day: '2026-13-01' }, 'day'],
  [{ day: '2030-01-01' }, 'day'],
])('%j is refused by its field, and nothing is noted', async (more, field) => {
  const { status, body } = await add(more);
  expect(status).toBe(422);
  expect(body).toMatchObject({ errors: [{ field }] });
  expect((await day()).notes).toEqual([]);
});

test('what is no note is neither taken out nor marked', async () => {
  const { stints } = await day();
  const start = stints[0]?.opened.id ?? '';
  expect((await shop.post(`/api/reconcile/notes/${start}/remove`, {})).status).toBe(404);
  expect((await shop.post(`/api/reconcile/notes/${start}/customer`, { isForCustomer: true })).status).toBe(
    404,
  );
  expect((await day()).stints).toHaveLength(1);
});
