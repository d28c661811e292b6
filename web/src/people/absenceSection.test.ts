/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { h } from 'vue';
import type { Component } from 'vue';
import { parseDay } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import AbsenceSection from './AbsenceSection.vue';
import AllowanceSection from './AllowanceSection.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const day = (text: string) => {
  const read = parseDay(text);
  return read.ok ? read.value : null;
};
const HOURS = 3600;
async function open(section: Component, answers: Record<string, unknown>) {
  signIn('people.change');
  server.calls = [];
  server.answer = ({ name }) => answers[name] ?? null;
  const opened = await openPage({ render: () => h(section, { technician: 'ada' }) });
  const submit = async () => {
    await opened.page.get('form').trigger('submit');
    await flushPromises();
  };
  return { ...opened, submit, sent: () => bodies().filter(([name]) => !READS.has(String(name))) };
}
const READS = new Set(['plan', 'leaveBalances']);
const plan = (absences: readonly object[]) => ({ plan: { patterns: [], absences, days: [] } });

test('absences stand with their kind, hours and pay, and one day of them can be taken out', async () => {
  const { page, press, sent } = await open(
    AbsenceSection,
    plan([
      { day: day('2026-03-03'), kind: 'holiday', isPaid: true, seconds: null },
      { day: day('2026-03-04'), kind: 'sick', isPaid: false, seconds: 3 * HOURS },
    ]),
  );
  expect(page.findAll('.absences li').map((each) => each.findAll('span')[1]?.text())).toEqual([
    'holiday, paid',
    'sick, 3:00, not paid',
  ]);
  await press('Remove');
  expect(sent()).toEqual([['removeAbsence', { from: '2026-03-03', to: '2026-03-03' }]]);
});

test('what stands on the days already is said, and hours are read with a comma', async () => {
  const { page, submit, sent } = await open(AbsenceSection, {
    ...plan([]),
    addAbsence: { worked: [day('2026-03-03')], closed: [day('2026-03-04')] },
  });
  await page.get('input[aria-label="First day of the absence"]').setValue('3 Mar 2026');
  await page.get('input[aria-label^="Hours of each day"]').setValue('2,5');
  await submit();
  expect(sent()).toMatchObject([['addAbsence', { kind: 'holiday', isPaid: true, hours: '2.5' }]]);
  expect(page.findAll('[role="status"]').map((each) => each.text())).toEqual([
    'Time is recorded on Tue 3 Mar already: it is paid besides.',
    'The shop is closed on Wed 4 Mar anyway.',
  ]);
});

test('hours of a year are kept by kind; more than allowed stands out', async () => {
  const balance = { allowed: 40 * HOURS, taken: 30 * HOURS, ahead: 16 * HOURS, left: -6 * HOURS };
  const { page, submit, sent } = await open(AllowanceSection, {
    leaveBalances: { year: 2026, balances: [{ kind: 'holiday', ...balance }] },
  });
  const [row] = page.findAll('tbody tr');
  expect(row?.text()).toMatch(/holiday.*40:00.*30:00.*16:00.*−6:00/);
  expect(row?.findAll('.attention')).toHaveLength(1);
  await page.get('input').setValue('200');
  await submit();
  expect(sent()).toMatchObject([['saveAllowance', { kind: 'holiday', hours: '200' }]]);
  // Left empty it is taken out.
  await submit();
  expect(sent()[1]).toMatchObject(['saveAllowance', { hours: null }]);
});
