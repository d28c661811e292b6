/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { h } from 'vue';
import type { Component } from 'vue';
import { signIn } from '../kit/desk.fixture.ts';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import JobForm from './StandardJobForm.vue';
import TaskForm from './StandardTaskForm.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

// What the forms are given is only as whole as they need it.
const StandardJobForm: Component = JobForm;
const StandardTaskForm: Component = TaskForm;
const TASKS = [
  { id: 'strip', title: 'Strip', isOff: false },
  { id: 'wind', title: 'Wind', isOff: false },
  { id: 'bake', title: 'Bake', isOff: true },
];
const JOB = {
  id: 'rewind',
  version: 3,
  isOff: false,
  title: 'Rewind',
  scope: { kind: 'customer', name: 'Fjord Ferries' },
  steps: [
    { task: 'strip', isRequired: true },
    { task: 'wind', isRequired: false },
  ],
};

async function open(form: Component, props: object) {
  signIn('work.change');
  server.calls = [];
  server.answer = () => null;
  let isDone = false;
  const opened = await openPage({ render: () => h(form, { ...props, onDone: () => (isDone = true) }) });
  const { page } = opened;
  const save = async () => {
    await page.get('form').trigger('submit');
    await flushPromises();
  };
  const told = () => page.findAll('.told.attention').map((each) => each.text());
  const steps = () => page.findAll('ol .name').map((each) => each.text());
  const add = async (task: string) => {
    await page.get('select.add, .add select').setValue(task);
    await flushPromises();
  };
  return { ...opened, save, told, steps, add, isDone: () => isDone };
}

test('a standard job is made of tasks in an order; what is switched off is not offered', async () => {
  const { page, field, save, steps, add, isDone } = await open(StandardJobForm, { tasks: TASKS });
  await field('Standard job').setValue('Rewind a pump');
  expect(
    page
      .findAll('.add option')
      .map((each) => each.text())
      .join(),
  ).not.toContain('Bake');
  await add('wind');
  await add('strip');
  expect(steps()).toEqual(['Wind', 'Strip']);
  await page.get('[aria-label="Strip sooner"]').trigger('click');
  expect(steps()).toEqual(['Strip', 'Wind']);
  await save();
  const job = {
    title: 'Rewind a pump',
    scope: { kind: 'general' },
    steps: [
      { task: 'strip', isRequired: true },
      { task: 'wind', isRequired: true },
    ],
  };
  expect(bodies()).toEqual([['saveStandardJob', { id: null, version: null, isOff: false, job }]]);
  expect(isDone()).toBe(true);
});

test('a job that is changed is sent with the version that it grew out of, and keeps whom it is for', async () => {
  const { press, save, steps } = await open(StandardJobForm, { tasks: TASKS, job: JOB });
  expect(steps()).toEqual(['Strip', 'Wind']);
  await press('Remove');
  await save();
  const { title, scope } = JOB;
  expect(bodies()).toEqual([
    [
      'saveStandardJob',
      {
        id: 'rewind',
        version: 3,
        isOff: false,
        job: { title, scope, steps: [{ task: 'wind', isRequired: false }] },
      },
    ],
  ]);
});

test('for whom a job is can be changed, and is asked by name only where there is one', async () => {
  const { page, field, save } = await open(StandardJobForm, { tasks: TASKS, job: JOB });
  const labels = () => page.findAll('label').map((each) => each.text());
  expect(labels()).toContain('Which');
  await field('For').setValue('general');
  expect(labels()).not.toContain('Which');
  await save();
  expect((bodies()[0]?.[1] as { job: object }).job).toMatchObject({ scope: { kind: 'general' } });
});

test('a job without a name says so once its field was left; what the server refuses hangs there too', async () => {
  const { field, save, told, isDone } = await open(StandardJobForm, { tasks: TASKS, job: JOB });
  await field('Standard job').setValue('');
  expect(told()).toEqual([]);
  await field('Standard job').trigger('focusout');
  expect(told()).toEqual(['is empty']);
  await field('Standard job').setValue('Overhaul');
  expect(told()).toEqual([]);
  server.answer = () => {
    throw new CallFailed({ title: 'no', errors: [{ field: 'job.title', message: 'is in use already' }] });
  };
  await save();
  expect([told(), isDone()]).toEqual([['is in use already'], false]);
});

test('a standard task keeps hours as people type them: a comma, or hours and minutes', async () => {
  const preparation = {
    workCenters: ['Winding'],
    grades: [{ id: 'g1', name: 'Winder', standardRate: '40' }],
  };
  const { field, save } = await open(StandardTaskForm, { preparation });
  await field('Standard task').setValue('Wind');
  await field('Work center').setValue('Winding');
  await field('Grade').setValue('g1');
  await field('Setup hours').setValue('0,5');
  await field('Run hours').setValue('4:15');
  await save();
  expect(bodies()[0]?.[1]).toMatchObject({
    id: null,
    version: null,
    task: { title: 'Wind', workCenter: 'Winding', grade: 'g1', setupHours: '0.5', runHours: '4.25' },
  });
});

test('hours that are none are said to be so at their field, before anything is sent', async () => {
  const { field, told } = await open(StandardTaskForm, { preparation: undefined });
  await field('Run hours').setValue('four');
  await field('Run hours').trigger('focusout');
  expect(told()).toEqual(['expected hours such as 1.25']);
  expect(bodies()).toEqual([]);
});

test('a single task is meant for some orders, where it is, and can say what there is to say of it', async () => {
  const { field, save } = await open(StandardTaskForm, {
    preparation: { grades: [{ id: 'g', name: 'Winder' }], workCenters: [] },
  });
  await field('Standard task').setValue('Balance');
  await field('Grade').setValue('g');
  await field('What there is to say of it').setValue('Both planes');
  await field('For').setValue('unitType');
  await field('Which').setValue('Fan');
  await save();
  expect((bodies()[0]?.[1] as { task: object }).task).toMatchObject({
    title: 'Balance',
    description: 'Both planes',
    scope: { kind: 'unitType', name: 'Fan' },
  });
});
