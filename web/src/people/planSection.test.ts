/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type * as Vue from 'vue';
import { h } from 'vue';
import { parseDay } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import PlanSection from './PlanSection.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
// The shop's today is Monday, 2 March 2026.
jest.mock('../kit/useToday.ts', () => ({
  useToday: () => jest.requireActual<typeof Vue>('vue').ref(20_514),
}));
enableAutoUnmount(afterEach);

const day = (text: string) => {
  const read = parseDay(text);
  return read.ok ? read.value : null;
};
const SHIFT = { startMinute: 390, endMinute: 900, breakMinutes: 30 };
const WEEK = [SHIFT, SHIFT, SHIFT, SHIFT, SHIFT, null, null];
const pattern = (from: string, weeks = [WEEK]) => ({ from: day(from), weeks });
const planned = (on: string, kind: string, more: object = {}) => ({
  day: day(on),
  kind,
  plannedSeconds: 0,
  plan: null,
  why: '',
  ...more,
});

async function open(plan: object, rights: Parameters<typeof signIn> = ['people.change']) {
  signIn(...rights);
  server.calls = [];
  server.answer = ({ name }) => (name === 'plan' ? { patterns: [], absences: [], days: [], ...plan } : null);
  const opened = await openPage({ render: () => h(PlanSection, { technician: 'ada' }) });
  const { page } = opened;
  const field = (label: string) => page.get(`input[aria-label="${label}"]`);
  const submit = async (place = 0) => {
    await page.findAll('form')[place]?.trigger('submit');
    await flushPromises();
  };
  const sent = () => bodies().filter(([name]) => name !== 'plan');
  return { ...opened, field, submit, sent };
}

test('without a plan it is said what that means, and whoever may not change one sees no button', async () => {
  const { page } = await open({}, []);
  expect(page.text()).toContain('No work plan yet');
  expect(page.findAll('button')).toHaveLength(0);
});

test('each day of the next weeks says what is planned of it', async () => {
  const { page } = await open({
    patterns: [pattern('2026-01-05')],
    days: [
      planned('2026-03-02', 'work', { plannedSeconds: 28_800, plan: SHIFT }),
      planned('2026-03-03', 'absent', { why: 'holiday' }),
      planned('2026-03-04', 'closed', { why: 'Inventory' }),
      planned('2026-03-07', 'free'),
    ],
  });
  expect(page.findAll('.day .words').map((each) => each.text())).toEqual([
    '8:00',
    'holiday',
    'Inventory',
    'free',
  ]);
  expect(page.findAll('.day')[0]?.attributes('title')).toContain('6:30');
  // A bar is as long as the day: eight of twelve hours.
  expect(
    page.findAll('.day .bar').map((each) => parseInt(each.attributes('style')?.replace(/\D+/, '') ?? '', 10)),
  ).toEqual([37, 0, 0, 0]);
});

test('a first plan offers five ordinary days, and is sent as minutes of the day', async () => {
  const { press, field, submit, sent } = await open({});
  await press('Plan the weeks');
  await field('Start, Mon of week 1').setValue('6.30');
  await field('End, Mon of week 1').setValue('15');
  await press('Monday for all workdays');
  await submit();
  const shift = { startMinute: 390, endMinute: 900, breakMinutes: 30 };
  expect(sent()).toEqual([
    ['savePattern', { from: '2026-03-02', weeks: [[shift, shift, shift, shift, shift, null, null]] }],
  ]);
});

test('a change begins with the week that holds now, not with one planned for later', async () => {
  const { press, field } = await open({
    patterns: [pattern('2026-01-05'), pattern('2026-06-01', [[null, SHIFT, null, null, null, null, null]])],
  });
  await press('Change from a day on');
  const value = (label: string) => (field(label).element as HTMLInputElement).value;
  expect([value('Start, Mon of week 1'), value('End, Fri of week 1'), value('Start, Sat of week 1')]).toEqual(
    ['6:30', '15:00', ''],
  );
});

test('what is no time of day is sent as such, so that the server names it; a refusal keeps what was typed', async () => {
  const { page, press, field, submit, sent } = await open({});
  await press('Plan the weeks');
  await field('Start, Tue of week 1').setValue('25:00');
  server.answer = () => {
    throw new CallFailed({ title: 'a shift must begin and end within a day, as in 6:00 and 14:30' });
  };
  await submit();
  expect((sent()[0]?.[1] as { weeks: { startMinute: number }[][] }).weeks[0]?.[1]?.startMinute).toBe(-1);
  expect(page.get('[role=alert]').text()).toContain('within a day');
  expect((field('Start, Tue of week 1').element as HTMLInputElement).value).toBe('25:00');
});

test('a rotation has up to four weeks, each of which can be taken out again', async () => {
  const { page, press } = await open({});
  await press('Plan the weeks');
  for (let i = 0; i < 3; i += 1) await press('Add a week to the rotation');
  expect(page.findAll('fieldset')).toHaveLength(4);
  expect(page.findAll('button').some((each) => each.text() === 'Add a week to the rotation')).toBe(false);
  await press('Remove week');
  expect(page.findAll('legend').map((each) => each.text())).toEqual([
    'Week 1 of 3',
    'Week 2 of 3',
    'Week 3 of 3',
  ]);
});
