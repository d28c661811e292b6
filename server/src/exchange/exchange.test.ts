import { COLUMNS } from '@wergon/contract/exchange';
import type { ExchangeKind, ImportAnswer } from '@wergon/contract/exchange';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
beforeAll(async () => (shop = await openTestShop()));
afterAll(() => shop.close());

type Row = Record<string, string>;
const step = async (kind: ExchangeKind, body: object) => shop.post(`/api/exchange/${kind}`, body);
const bring = async (kind: ExchangeKind, rows: readonly Row[], mode: 'all' | 'good' = 'all') => {
  const { import: id } = (await step(kind, { step: 'rows', import: null, rows })).body as ImportAnswer;
  const checked = (await step(kind, { step: 'check', import: id })).body as ImportAnswer;
  return { checked, stored: await step(kind, { step: 'store', import: id, mode }) };
};
const take = async (kind: ExchangeKind): Promise<Row[]> => {
  const { rows } = (await shop.get(`/api/exchange/${kind}`)).body as { rows: string[][] };
  return rows.map((row) => Object.fromEntries(COLUMNS[kind].map(({ field }, i) => [field, row[i] ?? ''])));
};

const ORDER = {
  number: '9001',
  title: 'Rewind',
  customer: 'Aker',
  quantity: '2',
  grade: 'winder',
  taskTitle: 'Strip',
};
/** Hours are recorded, and have a test of their own. */
type StoredKind = Exclude<ExchangeKind, 'hours'>;
const SAMPLES: Record<StoredKind, Row[]> = {
  orders: [
    { ...ORDER, due: '2.4.2026', price: '1.250,00', runHours: '1,5' },
    {
      ...ORDER,
      due: '2026-04-02',
      price: '1250',
      taskTitle: 'Winding',
      setupHours: '0.25',
      runHoursPerPiece: '2',
    },
    { ...ORDER, number: '9002', quantity: '', taskTitle: 'Test' },
  ],
  people: [
    {
      number: '70',
      name: 'Eva',
      department: 'Test',
      crew: 'Red',
      grade: 'Winder',
      kind: 'sub',
      hiredOn: '1.2.2026',
    },
    { number: '71', name: 'Finn', department: 'Test' },
  ],
  rates: [
    {
      number: '1',
      from: '1.4.2026',
      per: 'hour',
      base: '27,40',
      burden: 'Pension 12,4 %; Tools 3.20 per hour',
    },
    { number: '2', from: '2026-04-01', per: 'year', base: '68.000', hoursPerYear: '1950', burden: '' },
  ],
  standards: [
    {
      job: 'Rewind small',
      title: 'Strip it',
      grade: 'Winder',
      runHours: '1',
      instructions: 'Take photos | Tag leads',
    },
    {
      job: 'Rewind small',
      title: 'Paint it',
      isRequired: 'no',
      grade: 'Winder',
      runHours: '0,5',
      price: '40',
    },
    { title: 'Single step', grade: 'Winder' },
  ],
};
const kinds = Object.keys(SAMPLES) as StoredKind[];

describe.each(kinds)('%s', (kind) => {
  test('come in, and the same file again changes nothing and says so', async () => {
    const rows = SAMPLES[kind];
    const first = await bring(kind, rows);
    expect(first.checked.problems).toEqual([]);
    expect(first.stored.body).toMatchObject({ isStored: true, counts: { new: rows.length, wrong: 0 } });
    const taken = await take(kind);
    const again = await bring(kind, rows);
    expect(again.checked.counts).toEqual({ new: 0, changed: 0, same: rows.length, wrong: 0 });
    expect(await take(kind)).toEqual(taken);
  });

  test('go out in the columns they came in, and that file brought in changes nothing', async () => {
    const rows = await take(kind);
    expect(rows.length).toBeGreaterThanOrEqual(SAMPLES[kind].length);
    const { checked } = await bring(kind, rows);
    expect([checked.problems, checked.counts?.same]).toEqual([[], rows.length]);
  });
});

test.each<[ExchangeKind, Row, string, string]>([
  ['orders', { ...ORDER, number: '9100', grade: 'Wizard' }, 'grade', 'no grade is called “Wizard”'],
  ['orders', { ...ORDER, number: '9100', runHours: '-3' }, 'runHours', 'expected hours such as 1.25'],
  ['orders', { ...ORDER, number: '9100', runHours: '20000' }, 'runHours', 'must not be above 10000 hours'],
  [
    'orders',
    { ...ORDER, number: '9100', due: '3/4/2026' },
    'due',
    'expected a calendar day such as 2026-03-02',
  ],
  ['orders', { ...ORDER, number: '' }, 'number', 'is empty'],
  ['orders', { ...ORDER, number: '1001' }, 'number', 'there is another order of this number'],
  ['people', { number: '80', name: '' }, 'name', 'is empty'],
  ['people', { number: '80', name: 'X', kind: 'robot' }, 'kind', 'is none of own, subcontractor'],
  ['rates', { number: '404', from: '2026-04-01', base: '20' }, 'number', 'nobody has this number'],
  ['rates', { number: '1', from: '2026-01-01', base: '99' }, 'from', 'there is another rate of this date'],
  [
    'rates',
    { number: '1', from: '2026-05-01', base: '20', burden: 'a lot' },
    'burden',
    'expected items such as "Pension 12.4 %; Tools 3.20 per hour"',
  ],
  [
    'rates',
    { number: '1', from: '2026-05-01', per: 'year', base: '20' },
    'hoursPerYear',
    'required with a yearly amount',
  ],
  [
    'standards',
    { title: 'Z', grade: 'Winder', price: '1.005' },
    'price',
    'must be an amount with at most two decimals',
  ],
])('%s with %j: the row names %s, %s', async (kind, row, field, message) => {
  const { checked, stored } = await bring(kind, [row]);
  expect(checked.problems).toEqual([{ row: 1, field, message }]);
  expect(stored.status).toBe(422);
});

test.each<[ExchangeKind, Row[], string]>([
  [
    'orders',
    [
      { ...ORDER, number: '9200' },
      { ...ORDER, number: '9200', customer: 'Other' },
    ],
    'two customers of one order',
  ],
  [
    'people',
    [
      { number: '90', name: 'A' },
      { number: '90', name: 'B' },
    ],
    'one number twice',
  ],
  [
    'rates',
    [
      { number: '1', from: '2026-06-01', base: '1' },
      { number: '1', from: '1.6.2026', base: '2' },
    ],
    'two rates of one date',
  ],
  [
    'standards',
    [
      { title: 'Q', grade: 'Winder' },
      { title: 'Q', grade: 'Winder', runHours: '1' },
    ],
    'one task in two ways',
  ],
])('%s that contradict each other are named: %s', async (kind, rows) => {
  const { checked } = await bring(kind, rows);
  expect(checked.problems.at(-1)?.row).toBe(2);
});

test('good rows only: the good ones are stored, the others are not', async () => {
  const rows = [
    { number: '95', name: 'Good' },
    { number: '96', name: '' },
    { number: '97', name: 'Also good' },
  ];
  const all = await bring('people', rows);
  expect(all.stored.body).toMatchObject({ status: 422, type: 'urn:wergon:import.rows_wrong' });
  expect((await take('people')).some(({ number }) => number === '95')).toBe(false);
  await bring('people', rows, 'good');
  expect((await take('people')).filter(({ number }) => Number(number) >= 95).map(({ name }) => name)).toEqual(
    ['Good', 'Also good'],
  );
});

test('of an order with one row that is not right no row is stored', async () => {
  const rows = [
    { ...ORDER, number: '9300' },
    { ...ORDER, number: '9300', taskTitle: 'Turn', runHours: '-1' },
    { ...ORDER, number: '9301' },
  ];
  const { checked } = await bring('orders', rows, 'good');
  expect(checked.problems.map(({ row, message }) => [row, message])).toEqual([
    [1, 'another row that goes with it is not right'],
    [2, 'expected hours such as 1.25'],
  ]);
  expect(
    (await take('orders')).map(({ number }) => number).filter((number) => Number(number) >= 9300),
  ).toEqual(['9301']);
});

test('a dropped import is gone, and nothing of it was stored', async () => {
  const { import: id } = (
    await step('people', { step: 'rows', import: null, rows: [{ number: '99', name: 'Z' }] })
  ).body as ImportAnswer;
  await step('people', { step: 'drop', import: id });
  expect((await step('people', { step: 'store', import: id, mode: 'all' })).body).toMatchObject({
    type: 'urn:wergon:import.unknown',
  });
  expect((await take('people')).some(({ number }) => number === '99')).toBe(false);
});

test('a rate that comes in for days gone by costs them anew', async () => {
  await shop.send(shop.scan('work-start', 0, shop.bo, [shop.winding]), shop.scan('work-stop', 60, shop.bo));
  await bring('rates', [{ number: '2', from: '2026-02-01', base: '50' }]);
  const { order } = (await shop.get(`/api/work/${shop.order}`)).body as {
    order: { comparison: { actualCost: string } };
  };
  expect(order.comparison.actualCost).toBe('50.00');
});
