/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import OrderChoice from './OrderChoice.vue';

const ORDERS = [
  { id: 'a', number: '24001', title: 'Rewind', customer: 'Sund Fish' },
  { id: 'b', number: '24002', title: 'Balance', customer: 'Kallio Quarry' },
  { id: 'c', number: '24003', title: 'Rewind', customer: 'Kallio Quarry' },
];
const open = (chosen: string[], orders = ORDERS) => {
  const page = mount(OrderChoice, {
    props: {
      orders,
      modelValue: chosen,
      'onUpdate:modelValue': (next: string[] | undefined) => page.setProps({ modelValue: next ?? [] }),
    },
  });
  const press = (words: RegExp) =>
    page
      .findAll('button')
      .find((each) => words.test(each.text()))
      ?.trigger('click');
  return {
    page,
    press,
    chosen: () => page.props('modelValue'),
    said: () => page.get('[role=status]').text(),
  };
};

test.each<[search: string, chosen: string[]]>([
  ['', ['b', 'a', 'c']],
  ['kallio', ['b', 'c']],
  [' REWIND ', ['b', 'a', 'c']],
  ['24003', ['b', 'c']],
  ['nobody', ['b']],
])('all that %j finds come to what is chosen already: %j', async (search, expected) => {
  const { page, press, chosen } = open(['b']);
  await page.get('[type=search]').setValue(search);
  await press(/Choose all/);
  expect(chosen()).toEqual(expected);
});

test('one by one, none at all, and how many they are', async () => {
  const { page, press, chosen, said } = open([]);
  await page.findAll('input[type=checkbox]')[1]?.setValue(true);
  expect([chosen(), said()]).toEqual([['b'], '1 of 3 chosen']);
  await press(/Choose none/);
  expect([chosen(), said()]).toEqual([[], '0 of 3 chosen']);
});

test('why the list is empty is said', async () => {
  expect(open([], []).page.text()).toContain('No open orders.');
  const { page } = open([]);
  await page.get('[type=search]').setValue('nobody');
  expect(page.text()).toContain('Nothing found.');
});
