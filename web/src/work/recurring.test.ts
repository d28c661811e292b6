/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { h } from 'vue';
import type { RecurrenceJson } from '@wergon/contract/work';
import { addDays, parseDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import RecurrenceForm from './RecurrenceForm.vue';
import RecurringLine from './RecurringLine.vue';
import RecurringPage from './RecurringPage.vue';
import RecurringTable from './RecurringTable.vue';
import UnitReadings from './UnitReadings.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const day = (text: string): LocalDay => {
  const read = parseDay(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};
const today = day(new Date().toISOString().slice(0, 10));
const row = (more: object = {}): RecurrenceJson =>
  ({
    id: 'r1',
    unit: 'u1',
    unitWords: 'Fan, Tarn',
    owner: 'Aker Dairy',
    job: 'j1',
    title: 'Fan service',
    kind: 'months',
    every: 6,
    lastDay: addDays(today, -180),
    isOff: false,
    due: { day: addDays(today, 5), atHours: null, isReckoned: false },
    order: null,
    ...more,
  }) as RecurrenceJson;
const PAGES = {
  order: '/work/:order',
  unit: '/work/unit/:unit',
  recurring: '/work/due',
};
const open = (render: () => ReturnType<typeof h>, ...rights: Parameters<typeof signIn>) => {
  signIn(...rights);
  server.calls = [];
  return openPage({ render }, PAGES);
};

test.each<[row: object, words: string, isAttention: boolean]>([
  [{ due: { day: day('2020-05-01'), atHours: null, isReckoned: false } }, 'Fri 1 May 2020', true],
  [
    { due: { day: day('2090-05-01'), atHours: 4000, isReckoned: true } },
    'at 4000 h, about Mon 1 May 2090',
    false,
  ],
  [{ due: { day: null, atHours: null, isReckoned: false } }, 'the readings do not tell', false],
  [{ isOff: true, due: { day: day('2020-05-01'), atHours: null, isReckoned: false } }, 'switched off', false],
])('%#: it is due %s', async (more, words, isAttention) => {
  const { page } = await open(() => h(RecurringTable, { rows: [row(more)] }));
  const cell = page.get('tbody td');
  expect(cell.text().toLowerCase()).toBe(words.toLowerCase());
  expect(cell.classes('attention')).toBe(isAttention);
});

test('its order is made in one press and gone to; whoever may not is offered no press', async () => {
  server.answer = () => ({ id: 'w9' });
  const { press, router } = await open(() => h(RecurringTable, { rows: [row()] }), 'work.change');
  await press('Make the order');
  expect(server.calls[0]).toMatchObject({ name: 'makeDueOrder', options: { params: { recurrence: 'r1' } } });
  expect(router.currentRoute.value.path).toBe('/work/w9');
  const { page } = await open(() => h(RecurringTable, { rows: [row()] }));
  expect(page.findAll('button')).toHaveLength(0);
});

test('while its order is open that is said instead', async () => {
  const made = row({ order: { id: 'w1', number: '5001', state: 'draft' } });
  const { page } = await open(() => h(RecurringTable, { rows: [made] }), 'work.change');
  expect(page.text()).toContain('order 5001, draft');
  expect(page.findAll('button')).toHaveLength(0);
});

test.each([
  [0, 0, ''],
  [3, 1, '1 job comes due within 30 days'],
  [3, 2, '2 jobs come due within 30 days'],
  [3, 0, 'What comes due'],
])('of %i that come back %i soon, the work list says “%s”', async (total, soon, words) => {
  server.answer = () => ({ recurring: [], found: total, total, soon });
  const { page } = await open(() => h(RecurringLine));
  expect(page.text()).toBe(words);
});

test('a search that hides some says of how many there are; none at all says what to do', async () => {
  const openList = async (found: number, total: number) => {
    server.answer = () => ({ recurring: [row()].slice(0, found), found, total, soon: 0 });
    signIn();
    const { page } = await openPage(RecurringPage, { ...PAGES, work: '/work', units: '/shop/units' });
    await flushPromises();
    return page.text();
  };
  expect(await openList(1, 3)).toContain('1 of 3');
  expect(await openList(1, 1)).not.toContain('1 of 1');
  expect(await openList(0, 0)).toContain('Nothing comes back yet.');
});

test('which work comes back and how often is written down; a standard that is off is not offered', async () => {
  server.answer = ({ name }) =>
    name === 'standards'
      ? {
          tasks: [],
          jobs: [
            { id: 'j1', title: 'Fan service' },
            { id: 'j2', title: 'Old', isOff: true },
          ],
        }
      : { id: 'r9' };
  let isDone = false;
  const { page, field } = await open(() =>
    h(RecurrenceForm, { unit: 'u1', recurrence: undefined, onDone: () => (isDone = true) }),
  );
  await flushPromises();
  expect(page.findAll('select option').map((each) => each.text())).not.toContain('Old');
  await field('Standard job').setValue('j1');
  await field('Every').setValue('500');
  await field('How often').setValue('hours');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(bodies().find(([name]) => name === 'addRecurrence')?.[1]).toMatchObject({
    unit: 'u1',
    job: 'j1',
    kind: 'hours',
    every: 500,
  });
  expect(isDone).toBe(true);
});

test('a reading that is refused stays in its field, with why', async () => {
  server.answer = () => {
    throw new CallFailed({
      title: 'Not valid',
      errors: [{ field: 'hours', message: 'this unit has too many readings' }],
    });
  };
  const { page, field } = await open(() => h(UnitReadings, { unit: 'u1', readings: [] }), 'work.change');
  await field('Hours on the meter').setValue('1200');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(page.text()).toContain('this unit has too many readings');
});
