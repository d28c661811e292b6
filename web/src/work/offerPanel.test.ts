/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { h } from 'vue';
import type { OrderJson } from '@wergon/contract/compare';
import { toInstant } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import MailsPage from './MailsPage.vue';
import OfferPanel from './OfferPanel.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const at = toInstant(1_772_431_200);
const TOLD = {
  ask: { by: 'Berit', at, words: 'It hums.', until: null, contact: 'Unni' },
  draft: { materials: [], words: '', holdsUntil: null },
  lines: [{ id: 'a', kind: 'task', text: 'Strip', seconds: 10_800, price: '240.00' }],
  total: '240.00',
  offers: [],
};
const OFFER = { id: 'f1', number: '24801-1', at, by: 'Mikko', total: '240.00', mails: [], answer: null };
async function open(told: object | null, state: string, ...rights: Parameters<typeof signIn>) {
  const desk = signIn(...rights);
  if (desk.session) desk.session.makesOffers = true;
  server.calls = [];
  server.answer = ({ name }) => (name === 'orderOffers' ? told : null);
  const order = { id: 'w1', number: '24801', state } as unknown as OrderJson['order'];
  const opened = await openPage(
    { render: () => h(OfferPanel, { order }) },
    { offer: '/work/:order/offer/:offer' },
  );
  await flushPromises();
  return opened;
}
const called = () => server.calls.map(({ name }) => name).filter((name) => name !== 'orderOffers');

test('what was asked stands first; whoever may not change orders is offered no draft', async () => {
  const { page } = await open(TOLD, 'asked');
  expect(page.text()).toContain('It hums.');
  expect(page.find('form').exists()).toBe(false);
});

test('an offer takes along what was typed and not yet kept', async () => {
  const { page, press } = await open(TOLD, 'asked', 'work.change');
  await press('Add material');
  await page.get('.line input').setValue('Copper wire');
  await press('Make the offer');
  await flushPromises();
  expect(called()).toEqual(['saveOfferDraft', 'makeOffer']);
  expect(bodies().find(([name]) => name === 'saveOfferDraft')?.[1]).toMatchObject({
    materials: [{ text: 'Copper wire', price: null }],
  });
});

test('a draft that was kept is not sent again with the offer', async () => {
  const { press } = await open(TOLD, 'asked', 'work.change');
  await press('Make the offer');
  await flushPromises();
  expect(called()).toEqual(['makeOffer']);
});

test('what was offered stands under its number; whoever may enters the answer', async () => {
  const told = { ...TOLD, offers: [OFFER] };
  const seen = await open(told, 'offered');
  expect(seen.page.text()).toContain('24801-1');
  expect(seen.page.find('form').exists()).toBe(false);
});

test('an order that nobody asked an estimate for shows nothing of it', async () => {
  expect((await open(null, 'draft')).page.text()).toBe('');
});

test('the demo’s mail box shows what would have left, or that nothing has', async () => {
  signIn();
  const openMails = async (mails: object[]) => {
    server.answer = () => ({ mails });
    const { page } = await openPage(MailsPage, { offer: '/work/:order/offer/:offer' });
    await flushPromises();
    return page;
  };
  const mail = {
    id: 'm1',
    at,
    to: 'a@b.example',
    subject: 'Offer 24801-1',
    text: 'Dear',
    order: 'w1',
    offer: 'f1',
  };
  expect((await openMails([mail])).get('li').text()).toContain('Offer 24801-1');
  expect((await openMails([])).findAll('li')).toHaveLength(0);
});
