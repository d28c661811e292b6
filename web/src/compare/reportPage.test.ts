/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { toCents } from '@wergon/core/money';
import { parseDay, toSeconds } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import ReportPage from './ReportPage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const parsed = parseDay('2026-03-03');
if (!parsed.ok) throw new Error('day');
const sums = { heads: 2, seconds: toSeconds(9000), cost: toCents(10_000) };
const REPORT = {
  number: '5001',
  title: 'Rewind',
  customer: 'Aker Dairy',
  costs: 'actual',
  total: sums,
  days: [
    {
      day: parsed.value,
      ...sums,
      tasks: [
        {
          id: 't1',
          position: 10,
          title: 'Strip',
          ...sums,
          pieces: { good: 3, scrap: 1 },
          people: [
            { technician: 'ada', name: 'Ada', seconds: toSeconds(5400) },
            { technician: null, name: '', seconds: toSeconds(3600) },
          ],
        },
      ],
      notes: [
        { text: 'Burnt through', who: 'Ada', isForCustomer: false },
        { text: 'New bearings', who: 'Ada', isForCustomer: true },
      ],
    },
  ],
};
async function open(report: object = {}) {
  signIn('work.see', 'rates.see');
  server.answer = () => ({ ...REPORT, ...report });
  const opened = await openPage(
    ReportPage,
    {
      order: '/order/:order',
      why: '/order/:order/why',
      'person-day': '/days/:technician/:day',
      day: '/reconcile/day/:technician/:day',
    },
    { order: 'w1' },
  );
  await flushPromises();
  return opened;
}

test('for inside each day has its people, pieces, cost and all notes', async () => {
  const { page, cells } = await open();
  expect(cells()[1]).toEqual([
    '10 Strip',
    'Ada 1:30, Others 1:00',
    '2',
    '2:30',
    '3 good, 1 scrap',
    '€100.00',
  ]);
  expect(page.text()).toContain('Burnt through');
});

test('for the customer no name, no cost, no scrap, and the notes alone that are meant for them', async () => {
  const { page, cells, press } = await open();
  await press('For the customer');
  expect(cells()[1]).toEqual(['10 Strip', '2', '2:30', '3 good']);
  expect(page.text()).toContain('New bearings');
  for (const hidden of ['Ada', 'Burnt', '€', 'scrap']) expect(page.text()).not.toContain(hidden);
  await press('For inside');
  expect(page.text()).toContain('€100.00');
});

test('an order on which nobody has worked says so', async () => {
  const { page } = await open({ days: [] });
  expect(page.text()).toContain('Nothing recorded yet.');
});
