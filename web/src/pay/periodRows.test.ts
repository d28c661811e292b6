import type { PayPeriodJson } from '@wergon/contract/pay';
import { isException, periodRows } from './periodRows.ts';

type Person = PayPeriodJson['people'][number];
const HOUR = 3600;
const person = (name: string, more: Partial<Person> = {}): Person => ({
  ...{ technician: name as Person['technician'], name, department: 'Winding', payGroup: '' },
  ...{
    attendedSeconds: 8 * HOUR,
    chargedSeconds: 8 * HOUR,
    unapprovedSeconds: 0,
    openDays: [],
    cost: '100.10',
  },
  classes: { straight: 8 * HOUR, overtime: 0, double: 0, unallocated: 0 },
  ...{ away: [], plannedSeconds: 8 * HOUR, split: [] },
  ...more,
});
const split = (of: Partial<Person['split'][number]>): Person['split'] => [
  {
    ...{ day: 20_514 as Person['split'][number]['day'], stamp: 's', premium: null, split: 'none' },
    ...{ classes: { straight: 0, overtime: 1, double: 0, unallocated: 0 }, isDecidable: true },
    ...of,
  },
];

test.each<[more: Partial<Person>, isOne: boolean, why: string]>([
  [{}, false, 'all as it should be'],
  [{ chargedSeconds: 9 * HOUR }, true, 'more labor than attended time'],
  [{ split: split({}) }, true, 'overtime that nobody has decided on'],
  [{ split: split({ split: 'decided' }) }, false, 'decided'],
  [{ split: split({ isDecidable: false }) }, false, 'nothing that whoever looks could decide'],
  [{ split: split({ split: 'changed', isDecidable: false }) }, true, 'a split that holds no longer'],
])('%j is an exception: %s (%s)', (more, isOne) => expect(isException(person('Ada', more))).toBe(isOne));

const people = [
  person('Ada', { payGroup: 'night', away: [{ kind: 'sick', seconds: HOUR }] }),
  person('Bo', { department: '', payGroup: 'night', unapprovedSeconds: HOUR }),
  person('Cy', { chargedSeconds: 9 * HOUR, away: [{ kind: 'sick', seconds: HOUR }] }),
];
const told = (group: Parameters<typeof periodRows>[1], of = people) =>
  periodRows(of, group).map(
    ({ name, person: own, cost, classes, away }) =>
      `${own ? '' : '= '}${name} ${classes.straight / HOUR} ${away.map(({ kind, seconds }) => `${kind} ${seconds / HOUR}`).join()} ${cost}`,
  );

test('exceptions stand first, everybody else as they came', () =>
  expect(periodRows(people, '').map(({ name }) => name)).toEqual(['Cy', 'Ada', 'Bo']));

test('people stand under the sums of their department, or of their pay group', () => {
  expect(told('department')).toEqual([
    '= No department 8  100.10',
    'Bo 8  100.10',
    '= Winding 16 sick 2 200.20',
    'Cy 8 sick 1 100.10',
    'Ada 8 sick 1 100.10',
  ]);
  expect(told('payGroup')).toEqual([
    '= In no pay group 8 sick 1 100.10',
    'Cy 8 sick 1 100.10',
    '= night 16 sick 1 200.20',
    'Ada 8 sick 1 100.10',
    'Bo 8  100.10',
  ]);
});

test('where a cost is not told there is none of the group', () =>
  expect(told('payGroup', [person('Ada', { cost: null }), person('Bo')])[0]).toBe(
    '= In no pay group 16  null',
  ));
