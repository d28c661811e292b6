/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { signIn } from '../kit/desk.fixture.ts';
import LengthField from './LengthField.vue';

beforeEach(() => signIn());
const open = (seconds: number) => {
  const field = mount(LengthField, { props: { seconds, label: 'Hours' }, attachTo: document.body });
  const input = field.get('input');
  const type = async (typed: string) => {
    input.element.value = typed;
    await input.trigger('input');
    await input.trigger('change');
  };
  return { field, input, type };
};

test.each<[was: number, typed: string, becomes: number | undefined, why: string]>([
  [0, '1:30', 5400, 'hours and minutes'],
  [0, '1.5', 5400, 'a decimal'],
  [0, '1,5', 5400, 'with a comma'],
  [5400, '', 0, 'nothing is zero'],
  [5400, '1:30', undefined, 'what stands there is no change'],
  [0, 'much', undefined, 'no length'],
])('over %i s, %j is told as %j: %s', async (was, typed, becomes) => {
  const { field, type } = open(was);
  await type(typed);
  expect(field.emitted('change')?.at(-1)).toEqual(becomes === undefined ? undefined : [becomes]);
});

test('what cannot be read is marked until it can', async () => {
  const { input, type } = open(0);
  await type('much');
  expect(input.attributes('aria-invalid')).toBe('true');
  await type('2');
  expect(input.attributes('aria-invalid')).toBe('false');
});

test('it can be gone to from outside', () => {
  const { field, input } = open(0);
  (field.vm as unknown as { focus: () => void }).focus();
  expect(document.activeElement).toBe(input.element);
});
