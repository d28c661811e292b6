/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { addDays, toDay } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import type * as Vue from 'vue';
import OwnTimeOff from './OwnTimeOff.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
// The shop's today is Wednesday, 4 March 2026.
jest.mock('../kit/useToday.ts', () => ({
  useToday: () => jest.requireActual<typeof Vue>('vue').ref(20_516),
}));
enableAutoUnmount(afterEach);

const TODAY = toDay(20_516);
const asked = (request: string, standing: string, ahead: number, more: object = {}) => ({
  ...{ request, at: 0, kind: 'holiday', seconds: null, standing, answer: null },
  ...{ from: addDays(TODAY, ahead), to: addDays(TODAY, ahead + 1), ...more },
});
async function open(requests: readonly object[]) {
  signIn('own.time');
  server.calls = [];
  server.answer = ({ name }) => (name === 'ownTimeOff' ? { year: 2026, balances: [], requests } : null);
  const opened = await openPage(OwnTimeOff);
  await flushPromises();
  return { ...opened, sent: () => bodies().filter(([name]) => name !== 'ownTimeOff') };
}

test('each request says how it stands and who answered; what is still to come can be taken back', async () => {
  const { page, press, sent } = await open([
    asked('a', 'asked', 5),
    asked('b', 'granted', 3, { answer: { by: 'Sol', text: 'enjoy' }, seconds: 7200 }),
    asked('c', 'granted', 0),
    asked('d', 'refused', 9, { answer: { by: 'Sol', text: '' } }),
    asked('e', 'not-wanted', 9),
  ]);
  expect(page.findAll('li').map((row) => row.findAll('span').map((each) => each.text()))).toEqual([
    ['Mon 9 Mar to Tue 10 Mar, holiday', 'not answered yet'],
    ['Sat 7 Mar to Sun 8 Mar, holiday, 2:00', 'granted · enjoy (Sol)'],
    ['Wed 4 Mar to Thu 5 Mar, holiday', 'granted'],
    ['Fri 13 Mar to Sat 14 Mar, holiday', 'not granted · Sol'],
    ['Fri 13 Mar to Sat 14 Mar, holiday', 'taken back; still in the plan until somebody takes it out'],
  ]);
  expect(page.findAll('li button')).toHaveLength(2);
  await press('Take back');
  expect(sent()).toMatchObject([['withdrawTimeOff', { request: 'a' }]]);
});

test('nothing was asked yet: it says so, and asking sends what was said', async () => {
  const { page, sent } = await open([]);
  expect(page.text()).toContain('You have not asked for any yet.');
  await page.get('input[aria-label="First day off"]').setValue('9 Mar 2026');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(sent()).toMatchObject([['askTimeOff', { kind: 'holiday', hours: null, text: '' }]]);
});
