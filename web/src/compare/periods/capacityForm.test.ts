/** @jest-environment jsdom */
import { VueQueryPlugin } from '@tanstack/vue-query';
import { enableAutoUnmount, flushPromises, mount } from '@vue/test-utils';
import { toSeconds } from '@wergon/core/time';
import { signIn } from '../../kit/desk.fixture.ts';
import { CallFailed, server } from '../../kit/fakeServer.fixture.ts';
import CapacityForm from './CapacityForm.vue';

jest.mock('../../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../../kit/callRoute.ts'),
  ...jest.requireActual<object>('../../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

function open(hours: readonly number[] | null = null) {
  signIn('shop.change');
  server.calls = [];
  server.answer = () => null;
  const form = mount(CapacityForm, {
    props: { resource: 'm1', hours: hours?.map((count) => toSeconds(count * 3600)) ?? null },
    global: {
      plugins: [VueQueryPlugin],
      stubs: { DateField: { props: ['modelValue'], template: '<i>{{ modelValue }}</i>' } },
    },
  });
  return { form, fields: form.findAll('input') };
}

test('it begins with the hours that hold, Monday first, and sends seven lengths from a day on', async () => {
  const { form, fields } = open([8, 8, 8, 8, 7.5, 0, 0]);
  expect(form.findAll('label').map((label) => label.text())).toEqual([
    'Mon',
    'Tue',
    'Wed',
    'Thu',
    'Fri',
    'Sat',
    'Sun',
  ]);
  expect(fields.map(({ element }) => element.value)).toEqual([
    '8:00',
    '8:00',
    '8:00',
    '8:00',
    '7:30',
    '0:00',
    '0:00',
  ]);
  await fields[5]?.setValue('4');
  await form.get('form').trigger('submit');
  await flushPromises();
  expect(server.calls).toMatchObject([
    {
      name: 'saveCapacity',
      options: {
        params: { resource: 'm1' },
        body: { seconds: [8, 8, 8, 8, 7.5, 4, 0].map((h) => h * 3600) },
      },
    },
  ]);
  expect(form.emitted('saved')).toHaveLength(1);
});

test('what is no length is said, and nothing is sent; an empty field is none', async () => {
  const { form, fields } = open();
  await fields[0]?.setValue('eight');
  expect(form.text()).toContain('Hours such as 8 or 7:30.');
  expect(form.get('button').attributes('disabled')).toBeDefined();
  await fields[0]?.setValue('');
  expect(form.get('button').attributes('disabled')).toBeUndefined();
});

test('what the server refuses stands beside the button', async () => {
  const { form } = open([8, 8, 8, 8, 8, 0, 0]);
  server.answer = () => {
    throw new CallFailed({ title: 'You may not do this' });
  };
  await form.get('form').trigger('submit');
  await flushPromises();
  expect(form.get('[role=alert]').text()).toContain('You may not do this');
  expect(form.emitted('saved')).toBeUndefined();
});
