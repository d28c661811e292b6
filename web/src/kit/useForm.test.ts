/** @jest-environment jsdom */
import { enableAutoUnmount, mount } from '@vue/test-utils';
import { defineComponent, h, nextTick } from 'vue';
import { createRouter, createMemoryHistory, RouterView } from 'vue-router';
import { CallFailed } from './callRoute.ts';
import { queryPlugin } from './queryPlugin.ts';
import { useAct } from './useAct.ts';
import { useForm } from './useForm.ts';

enableAutoUnmount(afterEach);

type Fields = { name: string; tasks: { title: string }[] };
const refusal = new CallFailed({
  type: 'urn:wergon:record.taken',
  title: 'This is in use already',
  status: 409,
  errors: [
    { field: 'name', message: 'somebody has this name' },
    { field: 'tasks[1].title', message: 'is empty' },
  ],
});

/** A page with a form, another page to leave it for, and what was asked before leaving. */
async function open() {
  let form!: ReturnType<typeof useForm<Fields>>;
  const Page = defineComponent({
    setup() {
      form = useForm<Fields>({ name: 'Ada', tasks: [{ title: 'Strip' }] });
      return () => h('input', { value: form.fields.value.name });
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
  return { form, router, page };
}

test('what differs from the record is unsaved, and what is put back is not', async () => {
  const { form } = await open();
  expect(form.isDirty.value).toBe(false);
  form.fields.value.name = 'Bo';
  expect(form.isDirty.value).toBe(true);
  form.fields.value.name = 'Ada';
  expect(form.isDirty.value).toBe(false);
  form.fields.value.tasks.push({ title: 'Wind' });
  expect(form.isDirty.value).toBe(true);
  form.reset({ name: 'Cy', tasks: [] });
  expect([form.isDirty.value, form.fields.value]).toEqual([false, { name: 'Cy', tasks: [] }]);
});

test('what was sent is saved; what was typed meanwhile is not', async () => {
  const { form } = await open();
  form.fields.value.name = 'Bo';
  let arrive: (id: string) => void = () => undefined;
  const sending = form.send((fields) => {
    expect(fields).toEqual({ name: 'Bo', tasks: [{ title: 'Strip' }] });
    return new Promise<string>((resolve) => (arrive = resolve));
  });
  await nextTick();
  expect(form.isBusy.value).toBe(true);
  expect(await form.send(() => Promise.resolve('twice'))).toBeUndefined();
  form.fields.value.name = 'Bob';
  arrive('t7');
  expect(await sending).toEqual({ answer: 't7' });
  expect([form.isBusy.value, form.isDirty.value, form.fields.value.name]).toEqual([false, true, 'Bob']);
  form.fields.value.name = 'Bo';
  expect(form.isDirty.value).toBe(false);
});

test('a refusal hangs on the fields that it names, keeps what was typed, and is gone at the next try', async () => {
  const { form } = await open();
  form.fields.value.name = 'Bo';
  expect(await form.send(() => Promise.reject(refusal))).toBeUndefined();
  expect(form.errors.value).toEqual({ name: 'somebody has this name', 'tasks[1].title': 'is empty' });
  expect([form.code.value, form.isDirty.value, form.fields.value.name]).toEqual(['record.taken', true, 'Bo']);
  expect(form.problem.value).toContain('somebody has this name');
  await form.send(() => Promise.resolve(null));
  expect([form.errors.value, form.problem.value, form.code.value]).toEqual([{}, '', '']);
});

test.each([
  [true, '/'],
  [false, '/other'],
])('leaving with something unsaved (%s) asks, and a no leads to %s', async (isChanged, path) => {
  const { form, router } = await open();
  const confirm = jest.spyOn(window, 'confirm').mockReturnValue(false);
  if (isChanged) form.fields.value.name = 'Bo';
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
  expect(own.problem.value).toContain('somebody has this name');
  expect(await own.act((once) => Promise.resolve(note(once)))).toBe(2);
  expect(own.problem.value).toBe('');
  await own.act((once) => Promise.resolve(note(once)));
  expect([ids[0] === ids[1], ids[1] === ids[2]]).toEqual([true, false]);
});
