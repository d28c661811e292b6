/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { h } from 'vue';
import { parseDay } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import NamedDays from './NamedDays.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const day = parseDay('2026-03-03');
const named = (name: string, stations: string[]) => ({
  technician: name.toLowerCase(),
  name,
  day: day.ok ? day.value : 0,
  times: stations.length,
  stations,
});
async function open(days: object[], search = '') {
  signIn('reconcile.see');
  server.answer = () => ({ days });
  const asked = { from: '2026-03-01', to: '2026-03-07' };
  const opened = await openPage(
    { render: () => h('div', [h(NamedDays, { asked, search })]) },
    { 'person-day': '/reconcile/day/:technician/:day' },
  );
  await flushPromises();
  return opened.page;
}

test('each day leads to its tape, and says how often and where', async () => {
  const page = await open([named('Ada', ['Gate', 'Bench 1'])]);
  const row = page.get('tbody tr');
  expect(row.text()).toContain('Ada');
  expect(row.text()).toContain('Gate and Bench 1');
  expect(row.get('a').attributes('href')).toContain('ada');
});

test('it is searched by person and station, and what hides all says so', async () => {
  const days = [named('Ada', ['Gate']), named('Bo', ['Bench 1'])];
  expect((await open(days, 'bench')).findAll('tbody tr')).toHaveLength(1);
  expect((await open(days, 'nobody')).get('[role=status]').text()).toBe('Nobody matches.');
});

test('where everybody showed a badge that is said', async () => {
  expect((await open([])).find('table').exists()).toBe(false);
});
