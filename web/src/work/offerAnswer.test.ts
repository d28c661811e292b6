/** @jest-environment jsdom */
import { enableAutoUnmount } from '@vue/test-utils';
import { h } from 'vue';
import type { OfferJson } from '@wergon/contract/work';
import { signIn } from '../kit/desk.fixture.ts';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import OfferAnswer from './OfferAnswer.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const line = (id: string, kind: 'task' | 'material', price: string | null) => ({
  id,
  kind,
  text: id,
  seconds: null,
  price,
});
const offer = {
  id: 'o1',
  lines: [line('Strip', 'task', '100.00'), line('Wire', 'material', '80.10'), line('Test', 'task', null)],
} as unknown as OfferJson;
async function open() {
  signIn('offers.ask');
  server.calls = [];
  server.answer = () => null;
  const order = { id: 'w1' } as never;
  const opened = await openPage({ render: () => h(OfferAnswer, { order, offer }) });
  const untick = async (...names: string[]) => {
    for (const box of opened.page.findAll('.form-check'))
      if (names.some((name) => box.text().startsWith(name))) await box.get('input').setValue(false);
  };
  const button = () => opened.page.get('button[type=submit]');
  return { ...opened, untick, button };
}

test.each<[dropped: string[], words: string, why: string]>([
  [[], 'Accepted, €180.10', 'all of it'],
  [['Wire'], 'Accepted in part, €100.00', 'without the material'],
  [['Strip'], 'Accepted in part, €80.10', 'what is included is work as well'],
])('without %j the button says “%s”: %s', async (dropped, words) => {
  const { untick, button } = await open();
  await untick(...dropped);
  expect([button().text(), button().attributes('disabled')]).toEqual([words, undefined]);
});

test('material alone is a no: it says so, and cannot be sent', async () => {
  const { page, untick, button } = await open();
  await untick('Strip', 'Test');
  expect(button().attributes('disabled')).toBeDefined();
  expect(page.text()).toContain('Without a task it is a no.');
});

test('what is ticked is sent; a refusal is said', async () => {
  const { page, untick } = await open();
  server.answer = () => {
    throw new CallFailed({ title: 'This is not offered, or was answered already' });
  };
  await untick('Wire');
  await page.get('form').trigger('submit');
  await new Promise((done) => setTimeout(done));
  expect(bodies()).toEqual([['answerOffer', { accepted: ['Strip', 'Test'] }]]);
  expect(page.get('[role=alert]').text()).toBe('This is not offered, or was answered already');
});
