import { readFileSync, readdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { replayScenario } from './index.ts';

const FOLDER = resolve(__dirname, '../../../core/scenarios');
const read = (file: string) => readFileSync(resolve(FOLDER, file), 'utf8');
const names = readdirSync(FOLDER).flatMap((file) =>
  file.endsWith('.result.json') ? [file.replace('.result.json', '')] : [],
);

describe('worked cases', () => {
  test('there are twenty of them', () => expect(names).toHaveLength(20));

  test.each(names)('%s comes out to the second and the cent', (name) => {
    const replayed = replayScenario(read(`${name}.json`));
    expect(replayed.ok && replayed.value).toEqual(JSON.parse(read(`${name}.result.json`)));
  });
});

const BASE = {
  format: 'wergon-scenario/1',
  zone: 'Europe/Oslo',
  asOf: '2026-03-06T18:00:00Z',
  grades: [{ id: 'winder', standardRate: '52.00' }],
  technicians: [{ id: 'ada', rates: [{ from: '2026-01-01', per: 'hour', base: '30.00' }] }],
  indirect: [{ id: 'meeting' }],
  workOrders: [{ id: 'w1', quantity: 1, tasks: [{ id: 'w1-10', grade: 'winder', estimate: {} }] }],
  events: [] as unknown[],
};
const at = '2026-03-02T07:00:00+01:00';
const start = { id: 'e1', at, type: 'work-start', technician: 'ada', targets: ['w1-10'] };
const withEvents = (...events: unknown[]) => ({ ...BASE, events });
const withRates = (...rates: unknown[]) => ({ ...BASE, technicians: [{ id: 'ada', rates }] });
const hourly = { from: '2026-01-01', per: 'hour', base: '30.00' };

describe('a document that is not valid names the field', () => {
  test.each<[field: string, scenario: unknown, why: string]>([
    ['zone', { ...BASE, zone: 'Europe/Atlantis' }, 'a zone that does not exist'],
    ['asOf', { ...BASE, asOf: '2026-02-30T00:00:00Z' }, 'a date that does not exist'],
    ['asOf', { ...BASE, asOf: '2026-03-06T18:00:00' }, 'an instant without offset'],
    ['color', { ...BASE, color: 'red' }, 'an unknown field'],
    [
      'policy.gapMinutes',
      { ...BASE, policy: { gapMinutes: 1.5 } },
      'a fraction where a whole number belongs',
    ],
    [
      'grades[0].standardRate',
      { ...BASE, grades: [{ id: 'winder', standardRate: '52,00' }] },
      'a decimal comma',
    ],
    [
      'grades[0].standardRate',
      { ...BASE, grades: [{ id: 'winder', standardRate: '1.23456' }] },
      'too many decimals',
    ],
    ['technicians[0].rates[1].from', withRates(hourly, hourly), 'two rates of one date'],
    [
      'technicians[0].rates[0].hoursPerYear',
      withRates({ ...hourly, per: 'year' }),
      'a salary without hours per year',
    ],
    [
      'technicians[0].rates[0].hoursPerYear',
      withRates({ ...hourly, burden: [{ kind: 'perYear', value: '100' }] }),
      'a yearly burden without hours per year',
    ],
    ['indirect[1].id', { ...BASE, indirect: [{ id: 'meeting' }, { id: 'meeting' }] }, 'an id used twice'],
    ['workOrders[0].tasks[0].grade', { ...BASE, grades: [] }, 'an unknown grade'],
    ['events[0].type', withEvents({ ...start, type: 'work-begin' }), 'an unknown type'],
    ['events[0].targets', withEvents({ ...start, targets: [] }), 'no targets'],
    ['events[0].targets', withEvents({ ...start, targets: null }), 'a required field set to null'],
    ['events[0].at', withEvents({ ...start, at: undefined }), 'a required field missing'],
    ['events[0].mood', withEvents({ ...start, mood: 'good' }), 'an unknown field of an entry'],
    ['events[0].technician', withEvents({ ...start, technician: 'eve' }), 'an unknown technician'],
    ['events[0].targets[1]', withEvents({ ...start, targets: ['w1-10', 'w9'] }), 'an unknown target'],
    ['events[1].id', withEvents(start, { ...start, targets: ['meeting'] }), 'a known id with other content'],
    [
      'events[0].target',
      withEvents({ id: 'v', type: 'void', target: 'e1' }),
      'a correction of something unknown',
    ],
    [
      'events[2].target',
      withEvents(start, { id: 'v', type: 'void', target: 'e1' }, { id: 'r', type: 'restore', target: 'v' }),
      'a correction of a correction',
    ],
    [
      'events[1].set.seconds',
      withEvents(start, { id: 'a', type: 'amend', target: 'e1', set: { seconds: 60 } }),
      'an amendment of a field its entry lacks',
    ],
    [
      'events[1].set.at',
      withEvents(start, { id: 'a', type: 'amend', target: 'e1', set: { at: null } }),
      'an amendment that takes a required field away',
    ],
    [
      'events[1].set.targets',
      withEvents(start, { id: 'a', type: 'amend', target: 'e1', set: { targets: [] } }),
      'an amendment to no targets',
    ],
    ['(document)', 'a text', 'no object at all'],
  ])('%s: %j (%s)', (field, scenario) => {
    const replayed = replayScenario(JSON.stringify(scenario));
    expect(replayed.ok ? [] : replayed.problems.map((problem) => problem.field)).toContain(field);
  });

  test('what is not JSON is said so', () => {
    const replayed = replayScenario('{');
    expect(replayed.ok ? '' : replayed.problems[0]?.message).toMatch(/^not JSON/);
  });
});

const TWO = {
  ...BASE,
  format: 'wergon-scenario/2',
  workOrders: [
    {
      id: 'w1',
      quantity: 1,
      rates: [{ id: 'bench', per: 'hour', amount: '74.00' }],
      tasks: [{ id: 'w1-10', grade: 'winder', estimate: {}, billing: 'hourly' }],
    },
    { id: 'w2', quantity: 1, tasks: [{ id: 'w2-10', grade: 'winder', estimate: {} }] },
  ],
};
const rule = { from: '2026-01-01', weekStart: 'monday' };
const tiersOf = (...day: unknown[]) => ({ ...TWO, payRules: [{ ...rule, day }] });
const overtime = (over: string) => ({ over, class: 'overtime' });
const person = (more: object) => ({ ...TWO, technicians: [{ id: 'ada', ...more }] });
const split = { technician: 'ada', day: '2026-03-02', straight: 1, overtime: 0, double: 0 };
const row = { technician: 'ada', target: 'w1-10', day: '2026-03-02', chargeRate: 'bench', seconds: 60 };
const twoEvents = (...events: unknown[]) => ({ ...TWO, events });
const amendTo = (set: object) => ({ id: 'a', type: 'amend', target: 'e1', set });

describe('version 2: a document that is not valid names the field', () => {
  test.each<[field: string, scenario: unknown, why: string]>([
    ['format', { ...TWO, format: 'wergon-scenario/3' }, 'a version that there is not'],
    ['payRules', { ...TWO, format: 'wergon-scenario/1', payRules: [] }, 'a field of version 2 in version 1'],
    ['indirect[0].paid', { ...BASE, indirect: [{ id: 'meeting', paid: true }] }, 'the same within a list'],
    ['payRules[0].weekStart', { ...TWO, payRules: [{ from: '2026-01-01' }] }, 'a rule without a week'],
    [
      'payRules[0].weekStart',
      { ...TWO, payRules: [{ ...rule, weekStart: 'mon' }] },
      'a day that there is not',
    ],
    ['payRules[1].from', { ...TWO, payRules: [rule, rule] }, 'two rules of one date'],
    ['payRules[0].day[1]', tiersOf(overtime('8'), overtime('8')), 'hours that do not rise'],
    ['payRules[0].day[1]', tiersOf(overtime('8'), { over: '9', class: 'straight' }), 'a class that falls'],
    ['payRules[0].day[0].class', tiersOf({ over: '8', class: 'triple' }), 'a class that there is not'],
    ['payRules[0].day[0].over', tiersOf(overtime('8,5')), 'a decimal comma'],
    ['technicians[0].plan', person({ plan: [1, 2, 3] }), 'a plan of three days'],
    ['technicians[0].plan[0]', person({ plan: [1.5, 0, 0, 0, 0, 0, 0] }), 'half a second'],
    [
      'technicians[0].absences[0].kind',
      person({ absences: [{ day: '2026-03-02' }] }),
      'leave without a kind',
    ],
    [
      'technicians[0].guarantee[1].from',
      person({ guarantee: [1, 2].map(() => ({ from: '2026-01-01', hours: '38' })) }),
      'two guarantees of one date',
    ],
    [
      'technicians[0].rates[0].grade',
      person({ rates: [{ ...hourly, grade: 'smith' }] }),
      'a rate of a grade that there is not',
    ],
    ['technicians[0].plan[0]', person({ plan: [1e12, 0, 0, 0, 0, 0, 0] }), 'a day of more than a year'],
    [
      'technicians[0].rates[0].base',
      person({ rates: [{ ...hourly, base: '999999999999' }] }),
      'a rate that nobody has',
    ],
    [
      'payRules[0].multipliers.double',
      { ...TWO, payRules: [{ ...rule, multipliers: { double: '101' } }] },
      'a multiplier of a hundred and one',
    ],
    [
      'closedDays[1].day',
      { ...TWO, closedDays: [1, 2].map(() => ({ day: '2026-05-01' })) },
      'a day closed twice',
    ],
    ['splits[1].day', { ...TWO, splits: [split, split] }, 'two splits of one day'],
    ['splits[0].technician', { ...TWO, splits: [{ ...split, technician: 'eve' }] }, 'of nobody'],
    ['splits[0].double', { ...TWO, splits: [{ ...split, double: -1 }] }, 'less than nothing'],
    ['billing.roundUpMinutes', { ...TWO, billing: { roundUpMinutes: 5 } }, 'minutes that are none of four'],
    ['billable[1]', { ...TWO, billable: [row, { ...row, workType: 'run' }] }, 'one row twice'],
    [
      'billable[0].target',
      { ...TWO, billable: [{ ...row, target: 'w9', chargeRate: undefined }] },
      'no such task',
    ],
    [
      'billable[0].chargeRate',
      { ...TWO, billable: [{ ...row, target: 'w2-10' }] },
      'a rate of another order',
    ],
    ['events[0].chargeRate', twoEvents({ ...start, chargeRate: 'field' }), 'a rate that no order has'],
    [
      'events[0].chargeRate',
      twoEvents({ ...start, chargeRate: 'bench' }, amendTo({ targets: ['w2-10'] })),
      'a rate that is of another order once corrected',
    ],
    ['events[0].payClass', twoEvents({ ...start, payClass: 'triple' }), 'a class that there is not'],
    ['events[1].set.payClass', twoEvents(start, amendTo({ payClass: 'triple' })), 'the same corrected'],
  ])('%s: %j (%s)', (field, scenario) => {
    const replayed = replayScenario(JSON.stringify(scenario));
    expect(replayed.ok ? [] : replayed.problems.map((problem) => problem.field)).toContain(field);
  });

  test.each<[scenario: unknown, why: string]>([
    [TWO, 'nothing of version 2 in it'],
    [
      twoEvents({ ...start, chargeRate: 'field' }, amendTo({ chargeRate: 'bench' })),
      'a rate that is right once corrected',
    ],
    [twoEvents({ ...start, chargeRate: 'field' }, amendTo({ chargeRate: null })), 'one that is taken away'],
    [
      twoEvents({ ...start, targets: ['w2-10', 'w1-10'], chargeRate: 'bench' }),
      'a rate of one of its orders',
    ],
    [person({ rates: [{ ...hourly, grade: 'winder', overtimePaid: true }] }), 'a grade of a rate'],
    [{ ...TWO, payRules: [rule, { ...rule, group: 'day crew' }] }, 'two rules of one date, of two groups'],
    [withEvents({ ...start, payClass: 'triple', chargeRate: 'field' }), 'version 1 ignores what rides along'],
  ])('valid: %j (%s)', (scenario) => expect(replayScenario(JSON.stringify(scenario)).ok).toBe(true));
});

test('a format that there is not is told which there are', () => {
  const replayed = replayScenario(JSON.stringify({ ...TWO, format: 'wergon-scenario/3' }));
  expect(replayed.ok ? [] : replayed.problems).toEqual([
    { field: 'format', message: 'expected wergon-scenario/1 or wergon-scenario/2' },
  ]);
});

describe('what is valid though it looks odd', () => {
  test.each<[scenario: unknown, why: string]>([
    [withEvents(start, { ...start }), 'the same entry sent twice'],
    [
      withEvents(start, { targets: ['w1-10'], technician: 'ada', type: 'work-start', at, id: 'e1' }),
      'sent again with its keys in another order',
    ],
    [withEvents({ id: 'n', at, type: 'note', text: 'hello', targets: [] }), 'a note on nothing'],
    [
      withEvents(start, {
        id: 'a',
        type: 'amend',
        target: 'e1',
        set: { workType: null },
        by: 'bo',
        why: 'typo',
      }),
      'an optional field taken away',
    ],
  ])('%j (%s)', (scenario) => {
    expect(replayScenario(JSON.stringify(scenario)).ok).toBe(true);
  });
});
