/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type * as Vue from 'vue';
import type { TimeOffJson } from '@wergon/contract/pay';
import { daysFrom, toDay, toSeconds } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import TimeOffPage from './TimeOffPage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
// The shop's today is Wednesday, 4 March 2026.
jest.mock('../kit/useToday.ts', () => ({
  useToday: () => jest.requireActual<typeof Vue>('vue').ref(20_516),
}));
enableAutoUnmount(afterEach);

const MONDAY = toDay(20_514);
type Day = TimeOffJson['people'][number]['days'][number];
const IN: Day = { kind: 'in', why: '', isPaid: null, seconds: null };
const person = (id: string, name: string, first: Day): TimeOffJson['people'][number] => ({
  ...{ technician: id as never, name, department: 'Winding' },
  days: [first, ...Array.from({ length: 27 }, () => IN)],
});

async function open(people: TimeOffJson['people']) {
  signIn('people.see', 'pay.see');
  server.calls = [];
  server.answer = ({ name }) =>
    name === 'timeOff' ? { days: daysFrom(MONDAY, 28), people } : { requests: [] };
  const ways = { pay: '/pay', 'pay-time-off': '/pay/time-off', 'pay-file': '/pay/file' };
  const opened = await openPage(TimeOffPage, {
    ...ways,
    ...{ 'pay-payroll': '/pay/payroll', 'pay-overtime': '/pay/overtime', person: '/p/:technician' },
  });
  await flushPromises();
  return opened;
}

test('four weeks from this Monday: who is away says why and whether it is paid, and how many are in', async () => {
  const { page } = await open([
    person('a', 'Ada', { kind: 'away', why: 'holiday', isPaid: true, seconds: null }),
    person('b', 'Bo', { kind: 'away', why: 'unpaid leave', isPaid: false, seconds: null }),
    person('c', 'Cy', IN),
    person('d', 'Di', { kind: 'closed', why: '', isPaid: null, seconds: null }),
    person('e', 'Em', { kind: 'in', why: 'holiday', isPaid: true, seconds: toSeconds(7200) }),
  ]);
  expect(server.calls.find(({ name }) => name === 'timeOff')?.options).toMatchObject({
    query: { from: '2026-03-02' },
  });
  const first = page.findAll('tbody tr').map((row) => row.findAll('td')[0]);
  expect(first.map((cell) => cell?.attributes('title'))).toEqual([
    'Ada, Mon 2 Mar: away: holiday',
    'Bo, Mon 2 Mar: away, unpaid: unpaid leave',
    'Cy, Mon 2 Mar: in',
    'Di, Mon 2 Mar: closed day',
    // Away for a part of the day they are in for the rest.
    'Em, Mon 2 Mar: away: holiday, 2:00 of the day',
  ]);
  const sums = page.findAll('tfoot tr').map((row) => row.findAll('td')[0]?.text());
  expect(sums).toEqual(['2', '2']);
  expect(page.text()).toContain('H holiday · U unpaid leave');
});

test('where nobody is, it says so', async () => {
  const { page } = await open([]);
  expect(page.text()).toContain('Nobody fits.');
});
