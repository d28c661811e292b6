/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { h } from 'vue';
import type { PersonDayJson } from '@wergon/contract/tape';
import { createZone, parseDay, toInstant } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import { useUndo } from '../loose-ends/index.ts';
import NoteSection from './NoteSection.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const made = createZone('Europe/Oslo');
const zone = made.ok ? made.value : undefined;
const at = toInstant(1_772_518_200);
const day = parseDay('2026-03-03');
const TOLD = {
  technician: 't1',
  name: 'Ada',
  day: day.ok ? day.value : 0,
  stints: [
    { running: [{ target: 'a', title: '1001 Strip' }] },
    { running: [{ target: 'a', title: '1001 Strip' }] },
  ],
  hours: [{ target: 'b', title: '1001 Winding' }],
  notes: [{ id: 'n1', at, target: 'a', title: '1001 Strip', text: 'Worn', isForCustomer: false, by: 'Ada' }],
} as unknown as PersonDayJson;

async function open(told: PersonDayJson, mayEdit = true) {
  if (!zone) throw new Error('no zone');
  signIn('ledger.correct');
  server.calls = [];
  server.answer = () => ({ entries: ['e1'] });
  return openPage({
    setup() {
      const acts = useUndo();
      return () => h(NoteSection, { told, mayEdit, zone, acts });
    },
  });
}

test('a note is about the day, or about something that was worked on, each offered once', async () => {
  const { page } = await open(TOLD);
  expect(page.findAll('option').map((each) => each.text())).toEqual([
    'the day',
    '1001 Strip',
    '1001 Winding',
  ]);
  await page.get('form').trigger('submit');
  expect(bodies()).toEqual([]);
  await page.get('form input').setValue(' Bent ');
  await page.get('form select').setValue('b');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(bodies()).toMatchObject([
    ['addNote', { technician: 't1', day: '2026-03-03', target: 'b', text: 'Bent' }],
  ]);
  expect(page.get<HTMLInputElement>('form input').element.value).toBe('');
});

test('what the customer may read is ticked; a note is taken out', async () => {
  const { page, press } = await open(TOLD);
  await page.get('input[type=checkbox]').setValue(true);
  await flushPromises();
  await press('Remove');
  expect(server.calls.map(({ name, options }) => [name, options])).toMatchObject([
    ['markNote', { params: { entry: 'n1' }, body: { isForCustomer: true } }],
    ['removeNote', { params: { entry: 'n1' } }],
  ]);
});

test('whoever may not put the day right reads, and writes nothing', async () => {
  const { page } = await open(TOLD, false);
  expect(page.find('form').exists()).toBe(false);
  expect(page.get('input[type=checkbox]').attributes('disabled')).toBeDefined();
  expect((await open({ ...TOLD, notes: [] }, false)).page.text()).toContain('Nothing is noted of this day.');
});
