/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { toInstant } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import WrittenPage from './WrittenPage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const written = (words: string, more: object = {}) => ({
  task: `t-${words}`,
  words,
  workCenter: 'Assembly',
  order: 'w1',
  number: '1002',
  said: '',
  at: toInstant(1_772_431_200),
  by: 'Ada',
  seconds: 2700,
  people: ['Ada', 'Bo'],
  ...more,
});
async function open(all: object[], ...rights: Parameters<typeof signIn>) {
  signIn(...rights);
  server.calls = [];
  server.answer = ({ name }) => (name === 'written' ? { written: all } : { entries: [] });
  return openPage(WrittenPage, { order: '/work/:order' });
}

test('each says what it is, who wrote it as what, how long and by whom', async () => {
  const { page } = await open([
    written('Loose fan', { said: 'Vik 7' }),
    written('Grease', { people: [], seconds: 0 }),
  ]);
  const rows = page.findAll('li').map((each) => each.text().replace(/\s+/g, ' '));
  expect(rows[0]).toContain('Loose fan · Assembly');
  expect(rows[0]).toContain('as order Vik 7');
  expect(rows[0]).toContain('0:45 by Ada and Bo');
  expect(rows[1]).toContain('without an order');
});

test.each<[rights: Parameters<typeof signIn>, words: string[]]>([
  [[], []],
  [['ledger.correct'], ['Tie to its task']],
  [['work.change'], ['Keep as a task']],
  [
    ['ledger.correct', 'work.change'],
    ['Tie to its task', 'Keep as a task'],
  ],
])('whoever may %j is offered %j', async (rights, words) => {
  const { page } = await open([written('Loose fan')], ...rights);
  expect(page.findAll('button').map((each) => each.text())).toEqual(words);
});

test('nothing waiting is said', async () => {
  const { page } = await open([]);
  expect(page.text()).toContain('Nothing waits here.');
});

test('it is kept by a press; before it is tied a task must be chosen', async () => {
  const { page, press } = await open([written('Loose fan')], 'ledger.correct', 'work.change');
  await press('Keep as a task');
  expect(bodies().map(([name]) => name)).toContain('keepWritten');
  await press('Tie to its task');
  await flushPromises();
  const form = page.get('form');
  expect(form.attributes('aria-label')).toBe('Tie “Loose fan” to its task');
  expect(form.get('button[type=submit]').attributes('disabled')).toBeDefined();
});
