/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type { EstimateJson } from '@wergon/contract/work';
import { parseDay, toInstant } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import EstimatesLine from './EstimatesLine.vue';
import EstimatesPage from './EstimatesPage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const day = (text: string) => {
  const read = parseDay(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};
const estimate = (number: string, state: EstimateJson['state'], more: object = {}) => ({
  order: `w${number}`,
  number,
  title: `Rewind ${number}`,
  customer: 'Harbour works',
  state,
  askedAt: toInstant(1_772_431_200),
  askedBy: 'Berit',
  until: null,
  offer: null,
  ...more,
});
const OTHERS = { order: '/work/:order', mails: '/work/mails', work: '/work', estimates: '/work/estimates' };
async function open(estimates: object[], ...rights: Parameters<typeof signIn>) {
  const desk = signIn(...rights);
  if (desk.session) desk.session.makesOffers = true;
  server.calls = [];
  server.answer = ({ name }) => (name === 'estimates' ? { estimates } : { id: 'w9' });
  return openPage(EstimatesPage, OTHERS);
}
const sections = (page: Awaited<ReturnType<typeof open>>['page']) =>
  page.findAll('section').map((each) => [each.attributes('aria-label'), each.findAll('tbody tr').length]);

test('asked, offered and answered stand apart; a part without any is left out', async () => {
  const { page } = await open([
    estimate('1', 'asked'),
    estimate('2', 'asked'),
    estimate('3', 'offered', {
      offer: { number: '3-1', at: toInstant(1_772_431_200), total: '900.00', holdsUntil: null },
    }),
  ]);
  expect(sections(page)).toEqual([
    ['Asked for', 2],
    ['Offered: the customer has not answered', 1],
  ]);
  expect(page.text()).toContain('€900.00');
});

test('what should have been offered by now is seen', async () => {
  const { page } = await open([
    estimate('1', 'asked', { until: day('2020-01-01') }),
    estimate('2', 'asked', { until: day('2090-01-01') }),
    estimate('3', 'accepted', { until: day('2020-01-01') }),
  ]);
  expect(page.findAll('td.attention')).toHaveLength(1);
});

test('nothing asked for is said; who may not ask is offered no form', async () => {
  const { page } = await open([]);
  expect(page.text()).toContain('No estimate is asked for.');
  expect(page.findAll('button')).toHaveLength(0);
});

test('an estimate is asked for with what is typed, and its order is gone to', async () => {
  const { page, router, press, field } = await open([], 'offers.ask');
  await press('Ask for an estimate');
  await field('What is to be done').setValue('Rewind crane');
  await field('For whom').setValue('Harbour works');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(bodies().find(([name]) => name === 'askEstimate')?.[1]).toMatchObject({
    title: 'Rewind crane',
    customer: 'Harbour works',
    until: null,
  });
  expect(router.currentRoute.value.path).toBe('/work/w9');
});

test('what is left empty is told at its field', async () => {
  const { page, press, field } = await open([], 'offers.ask');
  await press('Ask for an estimate');
  await field('What is to be done').trigger('focusout');
  await flushPromises();
  expect(page.get('form').text()).toContain('is empty');
});

test.each<[estimates: object[], words: string]>([
  [[], 'Estimates'],
  [[estimate('1', 'asked')], '1 estimate asked for'],
  [[estimate('1', 'offered'), estimate('2', 'lost')], '1 offer out'],
  [
    [estimate('1', 'asked'), estimate('2', 'asked'), estimate('3', 'offered')],
    '2 estimates asked for, 1 offer out',
  ],
])('with %# the work list says “%s”', async (estimates, words) => {
  const desk = signIn();
  if (desk.session) desk.session.makesOffers = true;
  server.answer = () => ({ estimates });
  const { page } = await openPage(EstimatesLine, OTHERS);
  expect(page.text()).toBe(words);
});

test('a shop that makes no offers neither says nor asks anything', async () => {
  signIn();
  server.calls = [];
  const { page } = await openPage(EstimatesLine, OTHERS);
  expect([page.text(), server.calls]).toEqual(['', []]);
});
