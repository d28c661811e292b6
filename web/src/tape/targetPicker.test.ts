/** @jest-environment jsdom */
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query';
import { flushPromises, mount } from '@vue/test-utils';
import { h, ref } from 'vue';
import TargetPicker from './TargetPicker.vue';
import { server } from '../kit/fakeServer.fixture.ts';

jest.mock('../kit/callRoute.ts', () => jest.requireActual('../kit/fakeServer.fixture.ts'));
jest.mock('@vueuse/core', () => ({
  ...jest.requireActual<object>('@vueuse/core'),
  refDebounced: <T>(text: T) => text,
}));
// Where the list lies is the browser's; there is no layout here.
globalThis.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
Element.prototype.scrollIntoView = () => undefined;

const SHOP = ['1001 Strip', '1001 Winding', '1002 Winding'];
let held: (() => void)[] = [];
let isHeld = false;
beforeEach(() => {
  held = [];
  isHeld = false;
  server.answer = ({ options }) => {
    const { search } = options?.['query'] as { search: string };
    const isCode = search === 'T12345';
    const titles = isCode ? ['1001 Strip'] : SHOP.filter((title) => title.toLowerCase().includes(search));
    const targets = titles.map((title) => ({
      id: `task-${title}`,
      kind: 'task',
      title,
      more: '',
      workType: null,
    }));
    const answer = { targets, exact: isCode ? targets[0]?.id : null };
    return isHeld ? new Promise((done) => held.push(() => done(answer))) : answer;
  };
});

async function open() {
  const target = ref('');
  const text = ref('');
  const cleared = jest.fn();
  const field = mount(
    {
      render: () =>
        h('form', { onKeydown: (event: KeyboardEvent) => event.key === 'Escape' && cleared() }, [
          h(TargetPicker, {
            label: 'Work',
            modelValue: target.value,
            text: text.value,
            'onUpdate:modelValue': (id: string) => (target.value = id),
            'onUpdate:text': (words: string) => (text.value = words),
          }),
        ]),
    },
    {
      attachTo: document.body,
      global: {
        plugins: [
          [
            VueQueryPlugin,
            {
              queryClient: new QueryClient({
                defaultOptions: { queries: { retry: false, gcTime: Infinity } },
              }),
            },
          ],
        ],
      },
    },
  );
  const input = field.get('input');
  input.element.focus();
  const settle = async () => {
    for (let i = 0; i < 4; i += 1) {
      await flushPromises();
      await new Promise((done) => requestAnimationFrame(done));
    }
  };
  const options = () => field.findAll('[role=option]').map((each) => each.text());
  const key = async (name: string) => {
    await input.trigger('keydown', { key: name });
    await settle();
  };
  const type = async (words: string) => {
    await input.setValue(words);
    await settle();
  };
  return { target, text, field, input, cleared, settle, options, key, type };
}

test('what fits is listed while it is typed; arrows and Enter choose from it', async () => {
  const { type, options, key, target, text } = await open();
  await type('winding');
  expect(options()).toEqual(['1001 Winding', '1002 Winding']);
  await key('ArrowDown');
  await key('Enter');
  expect([target.value, text.value]).toEqual(['task-1002 Winding', '1002 Winding']);
  expect(options()).toEqual([]);
});

test('Enter after the last key chooses the first that fits', async () => {
  const { type, key, target } = await open();
  await type('winding');
  await key('Enter');
  expect(target.value).toBe('task-1001 Winding');
});

test('a press on a line chooses it', async () => {
  const { type, field, target, settle } = await open();
  await type('winding');
  await field.findAll('[role=option]')[1]?.trigger('pointerup');
  await field.findAll('[role=option]')[1]?.trigger('click');
  await settle();
  expect(target.value).toBe('task-1002 Winding');
});

test('an Enter that is faster than the server waits for the answer to what was typed', async () => {
  const { type, key, target, settle } = await open();
  isHeld = true;
  await type('strip');
  await key('Enter');
  expect(target.value).toBe('');
  for (const answer of held) answer();
  await settle();
  expect(target.value).toBe('task-1001 Strip');
});

test('a scanned code is chosen by itself', async () => {
  const { type, target, text } = await open();
  await type('T12345');
  expect([target.value, text.value]).toEqual(['task-1001 Strip', '1001 Strip']);
});

test('what is left is chosen where just one fits', async () => {
  const one = await open();
  await one.type('strip');
  await one.input.trigger('blur');
  expect(one.target.value).toBe('task-1001 Strip');
  const several = await open();
  await several.type('winding');
  await several.input.trigger('blur');
  expect(several.target.value).toBe('');
});

test('Escape closes the list alone; the next one reaches the form', async () => {
  const { type, key, cleared, options } = await open();
  await type('winding');
  await key('Escape');
  expect([options(), cleared.mock.calls.length]).toEqual([[], 0]);
  await key('Escape');
  expect(cleared).toHaveBeenCalledTimes(1);
});

test('nothing that fits is said, and typing again takes back what was chosen', async () => {
  const { type, field, key, target } = await open();
  await type('strip');
  await key('Enter');
  await type('varnish');
  expect(target.value).toBe('');
  expect(field.get('[role=status]').text()).toBe('no task or activity matches');
});

test('while a line is pressed the list stays as it is, and that line is what is chosen', async () => {
  const { field, type, options, settle, target } = await open();
  await type('1001');
  isHeld = true;
  await type('1001 winding');
  window.dispatchEvent(new Event('pointerdown'));
  held.forEach((answer) => answer());
  await settle();
  expect(options()).toEqual(['1001 Strip', '1001 Winding']);
  window.dispatchEvent(new Event('pointerup'));
  await field.findAll('[role=option]')[1]?.trigger('click');
  expect(target.value).toBe('task-1001 Winding');
});
