/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import type { Preparation } from '@wergon/contract/work';
import AssignedField from './AssignedField.vue';
import type { TaskDraft } from './orderDraft.ts';

const preparation = {
  technicians: [
    { id: 't1', name: 'Ada' },
    { id: 't2', name: 'Bo' },
  ],
  crews: ['night: east'],
} as unknown as Preparation;
const open = (assigned: TaskDraft['assigned'] = []) => {
  const page = mount(AssignedField, {
    props: {
      preparation,
      modelValue: assigned,
      'onUpdate:modelValue': (next: TaskDraft['assigned'] | undefined) =>
        page.setProps({ modelValue: next ?? [] }),
    },
  });
  return {
    page,
    pick: (value: string) => page.get('select').setValue(value),
    names: () => page.findAll('li').map((each) => each.text().split(/\s+(Sooner|Remove)/)[0]),
  };
};

test('people and crews come one behind the other, each once; a crew may have any name', async () => {
  const { page, pick, names } = open();
  for (const value of ['technician:t2', 'crew:night: east', 'technician:t2']) await pick(value);
  expect(names()).toEqual(['Bo', 'crew night: east']);
  expect(page.props('modelValue')).toEqual([
    { kind: 'technician', id: 't2' },
    { kind: 'crew', id: 'night: east' },
  ]);
});

test('one is asked sooner, one is taken off', async () => {
  const { page, names } = open([
    { kind: 'technician', id: 't1' },
    { kind: 'technician', id: 't2' },
  ]);
  const press = (words: string) =>
    page
      .findAll('button')
      .find((each) => each.text() === words)
      ?.trigger('click');
  await press('Sooner');
  expect(names()).toEqual(['Bo', 'Ada']);
  await press('Remove');
  expect(names()).toEqual(['Ada']);
});

test('somebody who is not known any more stands there by their id, and can be taken off', () => {
  expect(open([{ kind: 'technician', id: 't9' }]).names()).toEqual(['t9']);
});
