/** @jest-environment jsdom */
import { enableAutoUnmount, mount } from '@vue/test-utils';
import { defineComponent, h, nextTick } from 'vue';
import type { Component } from 'vue';
import { createRouter, createMemoryHistory, RouterView } from 'vue-router';
import { CallFailed } from './callRoute.ts';
import { FormField as LabelledField } from './parts/index.ts';
import { queryPlugin } from './queryPlugin.ts';
import { useAct } from './useAct.ts';
import { useForm } from './useForm.ts';

enableAutoUnmount(afterEach);
// Its slot is given as a function, as a template does.
const FormField: Component = LabelledField;

/** A standard job as it is being written: a title, and the tasks that it is made of. */
const step = (task: string) => ({ task, isRequired: true });
const WRITTEN = { isOff: false, job: { title: 'Rewind', steps: [step('strip')] } };
type Fields = typeof WRITTEN;
const refusal = new CallFailed({
  type: 'urn:wergon:record.taken',
  title: 'This is in use already',
  status: 409,
  errors: [
    { field: 'job.title', message: 'there is a job of this name' },
    { field: 'job.steps[0].task', message: 'is switched off' },
    { field: 'version', message: 'is older' },
  ],
});

/** A page with a form, another page to leave it for, and what was asked before leaving. */
async function open() {
  const useJobForm = () =>
    useForm(WRITTEN, 'saveStandardJob', (fields: Fields) => ({ id: null, version: null, ...fields }));
  let form!: ReturnType<typeof useJobForm>;
  const Page = defineComponent({
    setup() {
      form = useJobForm();
      const { fields } = form;
      const input = (id: string, label: string, text: string, write: (text: string) => void) =>
        h('input', {
          id,
          'aria-label': label,
          value: text,
          onInput: (event: Event) => write((event.target as HTMLInputElement).value),
        });
      return () => [
        h(
          FormField,
          { label: 'Title', field: 'job.title' },
          {
            default: ({ id }: { id: string }) =>
              input(id, 'Title', fields.value.job.title, (text) => (fields.value.job.title = text)),
          },
        ),
        ...fields.value.job.steps.map((each, i) =>
          h(
            FormField,
            { label: 'Task', field: `job.steps[${i}].task` },
            {
              default: ({ id }: { id: string }) => input(id, 'Task', each.task, (text) => (each.task = text)),
            },
          ),
        ),
      ];
    },
  });
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', component: Page },
      { path: '/other', component: { render: () => h('p') } },
    ],
  });
  await router.push('/');
  const page = mount({ render: () => h(RouterView) }, { global: { plugins: [router, queryPlugin] } });
  await nextTick();
  /** What is said below the fields, in their order. */
  const told = () =>
    page.findAll('.field').map((field) => (field.find('.told').exists() ? field.find('.told').text() : ''));
  return { form, router, page, told };
}

test('what differs from the record is unsaved, and what is put back is not', async () => {
  const { form } = await open();
  expect(form.isDirty.value).toBe(false);
  form.fields.value.job.title = 'Rewind a pump';
  expect(form.isDirty.value).toBe(true);
  form.fields.value.job.title = 'Rewind';
  expect(form.isDirty.value).toBe(false);
  form.fields.value.job.steps.push(step('wind'));
  expect(form.isDirty.value).toBe(true);
  const other = { isOff: true, job: { title: 'Balance', steps: [] } };
  form.reset(other);
  expect([form.isDirty.value, form.fields.value]).toEqual([false, other]);
});

test('a field that was left says what the contract says of it, and is silent once that is mended', async () => {
  const { page, told } = await open();
  const [title, task] = page.findAll('input');
  await title?.setValue('');
  // Typed, and still being typed: nobody is told off for the first letter.
  expect(told()).toEqual(['', '']);
  await title?.trigger('focusout');
  expect(told()).toEqual(['is empty', '']);
  await title?.setValue('Rewind a pump');
  expect(told()).toEqual(['', '']);
  await task?.setValue('');
  await task?.trigger('focusout');
  expect(told()).toEqual(['', 'is empty']);
});

test('what was sent is saved; what was typed meanwhile is not', async () => {
  const { form } = await open();
  form.fields.value.job.title = 'Balance';
  let arrive: (id: string) => void = () => undefined;
  const sending = form.send((fields) => {
    expect(fields).toEqual({ ...WRITTEN, job: { ...WRITTEN.job, title: 'Balance' } });
    return new Promise<string>((resolve) => (arrive = resolve));
  });
  await nextTick();
  expect(form.isBusy.value).toBe(true);
  expect(await form.send(() => Promise.resolve('twice'))).toBeUndefined();
  form.fields.value.job.title = 'Balance it';
  arrive('t7');
  expect(await sending).toEqual({ answer: 't7' });
  expect([form.isBusy.value, form.isDirty.value]).toEqual([false, true]);
  form.fields.value.job.title = 'Balance';
  expect(form.isDirty.value).toBe(false);
});

test('a refusal hangs on the fields that it names, keeps what was typed, and goes field by field', async () => {
  const { form, told } = await open();
  form.fields.value.job.title = 'Balance';
  expect(await form.send(() => Promise.reject(refusal))).toBeUndefined();
  await nextTick();
  expect(told()).toEqual(['there is a job of this name', 'is switched off']);
  expect([form.code.value, form.isDirty.value]).toEqual(['record.taken', true]);
  // What stands at no field is said of the whole, and nothing twice.
  expect(form.problem.value).toBe('version: is older');
  form.fields.value.job.title = 'Balance it';
  await nextTick();
  expect(told()).toEqual(['', 'is switched off']);
  await form.send(() => Promise.resolve(null));
  await nextTick();
  expect([told(), form.problem.value, form.code.value]).toEqual([['', ''], '', '']);
});

test.each([
  [true, '/'],
  [false, '/other'],
])('leaving with something unsaved (%s) asks, and a no leads to %s', async (isChanged, path) => {
  const { form, router } = await open();
  const confirm = jest.spyOn(window, 'confirm').mockReturnValue(false);
  if (isChanged) form.fields.value.job.title = 'Balance';
  const leaving = new Event('beforeunload', { cancelable: true });
  window.dispatchEvent(leaving);
  expect(leaving.defaultPrevented).toBe(isChanged);
  await router.push('/other').catch(() => undefined);
  expect([router.currentRoute.value.path, confirm.mock.calls.length]).toEqual([path, isChanged ? 1 : 0]);
  confirm.mockRestore();
});

test('an act is one at a time, says why it was refused, and keeps its id until it is recorded', async () => {
  let own!: ReturnType<typeof useAct>;
  const Page = defineComponent({
    setup() {
      own = useAct();
      return () => h('p');
    },
  });
  mount(Page, { global: { plugins: [queryPlugin] } });
  const ids: string[] = [];
  const note = (once: string) => ids.push(once);
  expect(await own.act((once) => (note(once), Promise.reject(refusal)))).toBeUndefined();
  expect(own.problem.value).toContain('there is a job of this name');
  expect(await own.act((once) => Promise.resolve(note(once)))).toBe(2);
  expect(own.problem.value).toBe('');
  await own.act((once) => Promise.resolve(note(once)));
  expect([ids[0] === ids[1], ids[1] === ids[2]]).toEqual([true, false]);
});
