/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { reactive } from 'vue';
import { signIn } from '../kit/desk.fixture.ts';
import { newTask } from './orderDraft.ts';
import type { TaskDraft } from './orderDraft.ts';
import StepFields from './StepFields.vue';

let desk: ReturnType<typeof signIn>;
beforeEach(() => (desk = signIn()));

const open = (report: Partial<TaskDraft['reports'][number]> = {}) => {
  const task = reactive({
    ...newTask(),
    reports: [
      { when: 'end', kind: 'value', label: '', unit: '', least: null, most: null, maySkip: true, ...report },
    ],
  }) as TaskDraft;
  const page = mount(StepFields, { props: { modelValue: task, preparation: undefined, name: 'Balance' } });
  const report0 = () => task.reports[0];
  return { task, page, report0 };
};

test.each<[typed: string, kept: number | null]>([
  ['12', 12],
  ['0,05', 0.05],
  ['-0.5', -0.5],
  [' 3 ', 3],
  ['', null],
  ['much', null],
])('a bound typed as %j is kept as %j, once the field is left', async (typed, kept) => {
  const { page, report0 } = open({ least: 7 });
  const field = page.get<HTMLInputElement>('[aria-label="Least of report 1"]');
  field.element.value = typed;
  await field.trigger('input');
  // Half a number is not a number yet.
  expect(report0()?.least).toBe(7);
  await field.trigger('change');
  expect(report0()?.least).toBe(kept);
});

test('a report that must be answered may not be skipped, and the other way round', async () => {
  const { page, report0 } = open();
  const box = page.get<HTMLInputElement>('input[type=checkbox]');
  expect(box.element.checked).toBe(false);
  await box.setValue(true);
  expect(report0()?.maySkip).toBe(false);
  await box.setValue(false);
  expect(report0()?.maySkip).toBe(true);
});

test('bounds are asked for of a measured value alone', () => {
  const bounds = (kind: 'pieces' | 'value') =>
    open({ kind }).page.findAll('[aria-label^="Least"], [aria-label^="Most"]').length;
  expect([bounds('pieces'), bounds('value')]).toEqual([0, 2]);
});

test('instructions and reports come at the end and go where they are', async () => {
  const { page, task } = open();
  const press = (words: string) =>
    page
      .findAll('button')
      .find((each) => each.text() === words)
      ?.trigger('click');
  await press('Add instruction');
  await press('Add instruction');
  await page.get('[aria-label="Instruction 2 of Balance"]').setValue('Spin it up');
  await press('Remove');
  expect(task.instructions).toEqual([{ text: 'Spin it up', hours: '' }]);
  await press('Add report');
  expect(task.reports.map(({ kind }) => kind)).toEqual(['value', 'pieces']);
});

test('what the shop does without is not asked for, unless it holds something already', () => {
  if (desk.session) desk.session.unusedFields = ['description', 'reports', 'price'];
  const { page, task } = open();
  // Its report is there already; its description and its price are not.
  expect(page.findAll('h3').map((each) => each.text())).toEqual(['Instructions', 'Reports asked for']);
  expect(page.find('textarea').exists()).toBe(false);
  task.reports.splice(0);
  task.description = 'Both planes';
  const again = mount(StepFields, { props: { modelValue: task, preparation: undefined, name: 'Balance' } });
  expect(again.findAll('h3').map((each) => each.text())).toEqual(['Instructions']);
  expect(again.find('textarea').exists()).toBe(true);
});
