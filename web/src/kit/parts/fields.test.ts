/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { h } from 'vue';
import CheckField from './CheckField.vue';
import FileField from './FileField.vue';
import FormField from './FormField.vue';
import PickField from './PickField.vue';

// The part that a box stands on says nothing at all of one that is unchecked.
test.each<[was: unknown, props: object, becomes: unknown, why: string]>([
  [true, {}, false, 'what was so is not so: false, and not nothing'],
  [false, {}, true, 'and the other way round'],
  [['run'], { value: 'setup' }, ['run', 'setup'], 'a word comes into its list'],
  [['run', 'setup'], { value: 'setup' }, ['run'], 'and out of it'],
  ['', { value: 'only', uncheckedValue: '' }, 'only', 'a word of its own where there is one'],
  ['only', { value: 'only', uncheckedValue: '' }, '', 'and none where it is unchecked'],
])('a box over %j with %j gives %j: %s', async (modelValue, props, becomes) => {
  const field = mount(CheckField, { props: { modelValue, ...props } as never });
  const box = field.get<HTMLInputElement>('input');
  await box.setValue(!box.element.checked);
  expect(field.emitted('update:modelValue')).toEqual([[becomes]]);
});

test('of a list one thing can be picked twice, and the list is as it was before', async () => {
  const field = mount(PickField, {
    slots: { default: () => ['', 'bearing', 'coil'].map((value) => h('option', { value }, value)) },
  });
  const list = field.get('select');
  for (const picked of ['coil', 'coil', '']) await list.setValue(picked);
  expect(field.emitted('pick')).toEqual([['coil'], ['coil']]);
  expect(list.element.value).toBe('');
});

test('the same file can be chosen again, and choosing none says nothing', async () => {
  const field = mount(FileField, { props: { accept: '.csv' }, slots: { default: 'Choose a file' } });
  const input = field.get<HTMLInputElement>('input');
  const choose = async (files: File[]) => {
    Object.defineProperty(input.element, 'files', { value: files, configurable: true });
    await input.trigger('change');
  };
  const file = new File(['number;title'], 'orders.csv');
  await choose([file]);
  await choose([file]);
  await choose([]);
  expect(field.emitted('choose')).toEqual([[file], [file]]);
});

test.each<[props: { error?: string; hint?: string }, told: string | null, isWrong: boolean]>([
  [{}, null, false],
  [{ hint: 'the first is 24001' }, 'the first is 24001', false],
  [{ hint: 'the first is 24001', error: 'is taken' }, 'is taken', true],
])('a field with %j tells %j', (props, told, isWrong) => {
  const field = mount(FormField, {
    props: { label: 'Number', ...props },
    slots: {
      default: ({ id, described }: { id: string; described: string | undefined }) =>
        h('input', { id, 'aria-describedby': described }),
    },
  });
  const input = field.get('input');
  expect(field.get('label').attributes('for')).toBe(input.attributes('id'));
  const named = input.attributes('aria-describedby');
  expect(named === undefined ? null : field.get(`#${named}`).text()).toBe(told);
  expect(field.classes('wrong')).toBe(isWrong);
});
