/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { signIn } from '../kit/desk.fixture.ts';
import { server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import UnitPage from './UnitPage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const HISTORY = {
  unit: {
    id: 'u1',
    type: 'Fan',
    maker: 'Tarn',
    serialNumber: 'T-7',
    nameplate: '400 V',
    owner: 'Aker Dairy',
  },
  readings: [],
  orderCount: 1,
  years: [
    { year: 2026, orders: 1, usedSeconds: 5400, cost: '60.00', costs: 'actual' },
    { year: 2025, orders: 2, usedSeconds: 36_000, cost: '400.00', costs: 'actual' },
  ],
  orders: [
    {
      id: 'w1',
      number: '5001',
      title: 'Fan service',
      state: 'closed',
      due: null,
      comparison: { actualSeconds: 3600, outsideSeconds: 1800 },
    },
  ],
};
async function open(history: object, ...rights: Parameters<typeof signIn>) {
  signIn(...rights);
  server.answer = ({ name }) =>
    name === 'unitHistory' ? history : { recurring: [], total: 0, jobs: [], tasks: [] };
  const { page, press } = await openPage(UnitPage, {
    order: '/work/:order',
    recurring: '/work/due',
    unit: '/work/unit/:unit',
    units: '/shop/units',
  });
  await flushPromises();
  return { page, press };
}

test('a unit over the years: each with its orders, hours and cost, and its orders behind it', async () => {
  const { page } = await open(HISTORY, 'rates.see');
  expect(page.findAll('.years tbody tr').map((each) => each.text())).toEqual([
    '202611:30€60.00',
    '2025210:00€400.00',
  ]);
  expect(page.text()).toContain('T-7 · Aker Dairy · 400 V');
  const orders = page.get('section[aria-label="Orders"] tbody tr');
  expect(orders.text()).toContain('5001Fan service');
  expect(orders.text()).toContain('1:30');
});

test('of many orders the last ones are shown, and it says so', async () => {
  expect((await open({ ...HISTORY, orderCount: 412 })).page.text()).toContain('The last 1 are shown');
  expect((await open(HISTORY)).page.text()).not.toContain('are shown');
});

test('to what nothing was done yet says so; who may not change it is offered nothing to write', async () => {
  const { page } = await open({ ...HISTORY, years: [], orders: [] });
  expect(page.text()).toContain('Nothing has been done to it yet.');
  expect(page.findAll('form, button')).toHaveLength(0);
});

test('work is let come back in a form that opens on its own', async () => {
  const { page, press } = await open(HISTORY, 'work.change');
  await press('Let work come back');
  expect(page.find('form.recurrence').exists()).toBe(true);
  await press('Leave it as it is');
  expect(page.find('form.recurrence').exists()).toBe(false);
});
