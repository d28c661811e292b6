/** @jest-environment jsdom */
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query';
import { flushPromises, mount } from '@vue/test-utils';
import { toInstant } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import RequestLines from './RequestLines.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));

const NOW = Math.floor(Date.now() / 1000);
const request = (id: string, more: object = {}) => ({
  id,
  at: toInstant(NOW - 60),
  technician: 't1',
  name: 'Ada',
  what: 'part',
  target: '1001 Strip',
  text: 'bearing 6204',
  quantity: null,
  why: '',
  station: 'Winding 1',
  answer: null,
  ...more,
});
let client: QueryClient;
beforeEach(() => {
  client = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: Infinity } } });
  server.calls = [];
});
afterEach(() => client.clear());

async function open(
  requests: object[],
  mayAnswer = true,
  out: string[] = [],
  more: Parameters<typeof signIn> = [],
) {
  signIn(...(mayAnswer ? (['floor.answer'] as const) : []), ...more);
  server.answer = ({ name }) => (name === 'requests' ? { requests } : null);
  const page = mount(RequestLines, {
    props: { out: new Set(out) },
    global: { plugins: [[VueQueryPlugin, { queryClient: client }]] },
  });
  await flushPromises();
  return page;
}

test('what is answered, or older than a day, is not shown; nothing at all where nobody asks', async () => {
  const page = await open([
    request('r1'),
    request('r2', { answer: { by: 'Sol', at: toInstant(NOW), text: 'on my way', state: null } }),
    request('r3', { at: toInstant(NOW - 86_401) }),
  ]);
  expect(page.findAll('form')).toHaveLength(1);
  client.clear();
  expect((await open([])).find('section').exists()).toBe(false);
});

test('who is not signed in any more is said so', async () => {
  expect((await open([request('r1')], true, ['t1'])).text()).toContain('not signed in');
});

test('whoever may not answer sees what is asked, without a field', async () => {
  const page = await open([request('r1')], false);
  expect(page.text()).toContain('needs a part: bearing 6204');
  expect(page.find('input').exists()).toBe(false);
});

test('a reply goes without the space around it; blanks alone are none', async () => {
  const page = await open([request('r1', { what: 'help' })]);
  await page.get('input').setValue('   ');
  expect(page.get('button').attributes('disabled')).toBeDefined();
  await page.get('form').trigger('submit');
  await page.get('input').setValue('  it is in rack 4 ');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(bodies().filter(([name]) => name === 'answerRequest')).toEqual([
    ['answerRequest', { text: 'it is in rack 4', state: null, once: expect.any(String) as string }],
  ]);
  expect(page.get('input').element.value).toBe('');
});

test('a reply that is refused stays in its field, with why', async () => {
  const page = await open([request('r1', { what: 'help' })]);
  await page.get('input').setValue('on my way');
  server.answer = () => {
    throw new CallFailed({ title: 'Sent before' });
  };
  await page.get('form').trigger('submit');
  await flushPromises();
  expect([page.get('input').element.value, page.get('[role=alert]').text()]).toEqual([
    'on my way',
    'Sent before',
  ]);
});

test('of a part is said how many and why; it is ordered, and stays until it is here', async () => {
  const page = await open([
    request('r1', { quantity: 2, why: 'one is worn' }),
    request('r2', {
      text: 'slot paper',
      at: toInstant(NOW - 3 * 86_400),
      answer: { by: 'Sol', at: toInstant(NOW - 86_400), text: '', state: 'ordered' },
    }),
    request('r3', { answer: { by: 'Sol', at: toInstant(NOW), text: '', state: 'here' } }),
  ]);
  const [first, second] = page.findAll('form');
  expect(page.findAll('form')).toHaveLength(2);
  expect(first?.text()).toContain('2 × bearing 6204 (one is worn)');
  expect(second?.text()).toContain('ordered, Sol');
  const buttons = (of: typeof first) => of?.findAll('button').map((each) => each.text());
  expect([buttons(first), buttons(second)]).toEqual([
    ['Ordered', 'It is here', 'Not to be had'],
    ['It is here', 'Not to be had'],
  ]);
  await second?.get('button').trigger('click');
  await flushPromises();
  expect(bodies().filter(([name]) => name === 'answerRequest')).toMatchObject([
    ['answerRequest', { text: '', state: 'here' }],
  ]);
});

test('what is typed while a reply is on its way stays for the next one', async () => {
  let arrive: () => void = () => undefined;
  const page = await open([request('r1')]);
  server.answer = ({ name }) =>
    name === 'requests'
      ? { requests: [request('r1')] }
      : new Promise<null>((done) => {
          arrive = () => done(null);
        });
  await page.get('button').trigger('click');
  await page.get('input').setValue('rack 4');
  arrive();
  await flushPromises();
  expect(page.get('input').element.value).toBe('rack 4');
});

describe('time off', () => {
  const leave = {
    ...{ kind: 'holiday', from: 20_528, to: 20_530 },
    away: [{ name: 'Bo', days: 2 }],
    ...{ worked: [], closed: [20_530], seconds: null, standing: 'asked', balance: null },
  };
  const asks = (more: object = {}) =>
    request('r1', { what: 'time-off', target: null, text: 'a wedding', leave, ...more });
  const openAs = (requests: object[], ...rights: Parameters<typeof signIn>) =>
    open(requests, true, [], rights);
  const press = async (page: Awaited<ReturnType<typeof open>>, words: string) => {
    await page
      .findAll('button')
      .find((each) => each.text() === words)
      ?.trigger('click');
    await flushPromises();
  };
  const sent = () => bodies().flatMap(([name, body]) => (name === 'answerRequest' ? [body] : []));

  test('says when and why, who else is away, and what is closed anyway; it is granted as paid or not, with a word', async () => {
    const page = await openAs([asks({ at: toInstant(NOW - 10 * 86_400) })], 'time.approve');
    expect(page.text()).toContain('asks for time off: holiday, Mon 16 Mar to Wed 18 Mar: a wedding');
    expect(page.text()).toContain('Away then: Bo 2 days.');
    expect(page.text()).toContain('Closed anyway: Wed 18 Mar.');
    await page.get('input').setValue('enjoy it');
    await press(page, 'Grant, unpaid');
    expect(sent()).toMatchObject([{ text: 'enjoy it', state: 'granted', isPaid: false }]);
  });

  test('is not granted without a word too; unpaid leave is granted unpaid', async () => {
    const page = await openAs([asks({ leave: { ...leave, kind: 'unpaid leave' } })], 'people.change');
    expect(page.findAll('button').map((each) => each.text())).toEqual(['Grant, unpaid', 'Do not grant']);
    await press(page, 'Do not grant');
    expect(sent()).toMatchObject([{ text: '', state: 'refused' }]);
  });

  test('stays open when it was only talked about', async () => {
    const answer = { by: 'Sol', at: toInstant(NOW), text: 'let us talk', state: null };
    const page = await openAs([asks({ answer })], 'time.approve');
    expect(page.findAll('form')).toHaveLength(1);
  });

  test.each([
    [40, '40:00 of holiday left this year; this takes 24:00.'],
    [20, 'This takes 24:00 of holiday, and only 20:00 are left this year.'],
    [-8, 'This takes 24:00 of holiday, and only 0:00 are left this year.'],
  ])('of %s hours left it says so', async (left, words) => {
    const balance = { left: left * 3600, takes: 24 * 3600 };
    const page = await openAs([asks({ leave: { ...leave, balance } })], 'time.approve');
    expect(page.text()).toContain(words);
  });

  test('granted and not wanted after all, it is taken out of the plan, or stays', async () => {
    const page = await openAs(
      [asks({ leave: { ...leave, to: leave.from, seconds: 7200, standing: 'not-wanted' } })],
      'people.change',
    );
    expect(page.text()).toContain('no longer wants the time off: holiday, Mon 16 Mar, 2:00');
    expect(page.findAll('button').map((each) => each.text())).toEqual([
      'Take it out of the plan',
      'It stays',
    ]);
    await press(page, 'Take it out of the plan');
    expect(sent()).toMatchObject([{ state: 'taken-out' }]);
  });

  test('is only seen by whoever neither plans people nor approves time', async () => {
    const page = await openAs([asks()]);
    expect(page.text()).toContain('asks for time off');
    expect(page.findAll('button')).toHaveLength(0);
  });
});
