/** @jest-environment jsdom */
import { RouterLinkStub, mount } from '@vue/test-utils';
import type { ApprovalsJson } from '@wergon/contract/approval';
import { technicianId } from '@wergon/contract/wire';
import { toDay } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import ApprovalCell from './ApprovalCell.vue';

type Person = ApprovalsJson['people'][number];
type Day = Person['days'][number];
const DAY: Day = {
  day: toDay(20_515),
  stamp: 'seen so',
  plannedSeconds: 28_800,
  attendedSeconds: 28_800,
  overtimeSeconds: 0,
  split: 'none',
  chargedSeconds: 21_600,
  looseEnds: 0,
  state: 'open',
  by: null,
  isConfirmed: false,
  isClosed: false,
  isOpen: false,
};
beforeEach(() => signIn());
const open = (more: Partial<Day> = {}, refusal: Person['refusal'] = null) => {
  const day = { ...DAY, ...more };
  const person = { technician: technicianId.parse('t1'), name: 'Ada', department: '', refusal, days: [day] };
  return mount(ApprovalCell, {
    props: { person, day, isBusy: false, isException: false },
    global: { stubs: { RouterLink: RouterLinkStub } },
  });
};

test.each<[day: Partial<Day>, words: string, act: string | undefined]>([
  [{}, '', 'approve'],
  [{ looseEnds: 1 }, '1 loose end', 'approve'],
  [{ looseEnds: 2, isConfirmed: true }, '2 loose ends, confirmed', 'approve'],
  [{ isOpen: true, looseEnds: 3 }, 'in progress', undefined],
  [{ state: 'approved', by: 'Mikko' }, 'approved, Mikko', 'take back'],
  [{ state: 'approved', by: 'Mikko', isClosed: true }, 'approved, Mikko', undefined],
  [{ state: 'changed' }, 'changed since', 'approve'],
])('a day with %j says %j and offers %j', (day, words, act) => {
  const cell = open(day);
  expect(cell.find('.words').exists() ? cell.get('.words').text() : '').toBe(words);
  expect(cell.find('button').exists() ? cell.get('button').text() : undefined).toBe(act);
});

test.each(['own', 'other-department', 'right'] as const)(
  'whoever may not (%s) is offered nothing',
  (refusal) => {
    expect(open({}, refusal).find('button').exists()).toBe(false);
  },
);

test('what was seen is what is approved', async () => {
  const cell = open();
  await cell.get('button').trigger('click');
  expect(cell.emitted('approve')).toEqual([['seen so']]);
});

test.each<[attended: number, charged: number, width: string]>([
  [28_800, 21_600, '75%'],
  [28_800, 36_000, '100%'],
  [0, 0, '100%'],
])('of %i s there, %i s on work fill %s of the bar', (attendedSeconds, chargedSeconds, width) => {
  expect(open({ attendedSeconds, chargedSeconds }).get('i').attributes('style')).toContain(`width: ${width}`);
});
