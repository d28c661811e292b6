import { QueryClient } from '@tanstack/vue-query';
import { effectScope, nextTick, ref } from 'vue';
import type { EffectScope } from 'vue';
import { server } from '../kit/fakeServer.fixture.ts';
import { useTargetSearch } from './useTargetSearch.ts';

let client: QueryClient;
jest.mock('@tanstack/vue-query', () => ({
  ...jest.requireActual<object>('@tanstack/vue-query'),
  useQueryClient: () => client,
}));
jest.mock('@vueuse/core', () => ({ refDebounced: <T>(text: T) => text }));
jest.mock('../kit/callRoute.ts', () => jest.requireActual('../kit/fakeServer.fixture.ts'));

const target = (title: string) => ({ id: title, kind: 'task', title, more: '', workType: null });
/** What the shop has, by what it is found with; a search that is held is answered when the test says so. */
const SHOP: Readonly<Record<string, string[]>> = {
  strip: ['1001 Strip'],
  wind: ['1001 Winding', '1002 Winding'],
};
let held: (() => void)[] = [];
let scope: EffectScope;
beforeEach(() => {
  client = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: Infinity } } });
  held = [];
  scope = effectScope();
  server.calls = [];
  server.answer = ({ options }) => {
    const { search } = options?.['query'] as { search: string };
    const code = search === 'T12345' ? ['1001 Strip'] : [];
    const targets = [...(SHOP[search] ?? []), ...code].map(target);
    return new Promise((answer) =>
      held.push(() => answer({ targets, exact: code.length > 0 ? code[0] : null })),
    );
  };
});
afterEach(() => {
  scope.stop();
  client.clear();
});
/** Everything that is on its way has happened. */
const pause = async () => {
  for (let i = 0; i < 3; i += 1) await new Promise((done) => setTimeout(done));
  await nextTick();
};
const answerAll = async () => {
  await pause();
  for (const answer of held.splice(0)) answer();
  await pause();
};
const open = () => {
  const text = ref('');
  const search = scope.run(() => useTargetSearch(text, ref(true)));
  if (!search) throw new Error('the scope has ended');
  return { text, ...search };
};

test('what is found for the words in the field is the only one that fits, or one of several', async () => {
  const { text, found, only } = open();
  text.value = 'strip';
  await pause();
  await answerAll();
  expect(found.value.map(({ title }) => title)).toEqual(['1001 Strip']);
  expect(only.value?.title).toBe('1001 Strip');
  text.value = 'wind';
  await pause();
  await answerAll();
  expect([found.value.length, only.value]).toEqual([2, undefined]);
});

test('what was found for words before is never taken for what stands in the field now', async () => {
  const { text, found, only } = open();
  text.value = 'strip';
  await pause();
  await answerAll();
  // Typed on, and left before anybody looked, and while the answer is on its way.
  text.value = 'wind';
  await nextTick();
  expect(only.value).toBeUndefined();
  await pause();
  expect([found.value.map(({ title }) => title), only.value]).toEqual([['1001 Strip'], undefined]);
});

test('a scanned code stands for one thing as soon as the server has said so', async () => {
  const { text, scanned } = open();
  text.value = 'T12345';
  await pause();
  expect(scanned.value).toBeUndefined();
  await answerAll();
  expect(scanned.value?.title).toBe('1001 Strip');
});

test('a scanner’s Enter is answered for what it typed, at once', async () => {
  const { text, find } = open();
  text.value = 'T12345';
  const asked = find();
  expect(server.calls.map(({ options }) => options?.['query'])).toContainEqual({ search: 'T12345' });
  await answerAll();
  expect(await asked).toMatchObject({
    targets: [{ title: '1001 Strip' }],
    isCurrent: false,
    wasChanged: false,
  });
});

test('whoever goes on typing after Enter has chosen nothing', async () => {
  const { text, find } = open();
  text.value = 'strip';
  const asked = find();
  text.value = 'strip it';
  await answerAll();
  expect(await asked).toMatchObject({ wasChanged: true });
});
