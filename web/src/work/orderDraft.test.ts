import {
  areHours,
  centsIn,
  estimateDraft,
  hoursGiven,
  joinDrafts,
  newOrder,
  newTask,
  orderBody,
  sayInstructions,
  stepDraft,
} from './orderDraft.ts';
import { formatHours, toSeconds } from '@wergon/core/time';

const GRADES = [{ id: 'g', name: 'Winder', standardRate: '50.00' }];
const task = (title: string, runHours: string) => ({ ...newTask(), title, grade: 'g', runHours });
const draft = (change: object = {}) => ({
  ...newOrder('1'),
  title: 'Rewind',
  tasks: [task('Strip', '1,5')],
  ...change,
});

test('a draft is estimated as it is typed, commas and all, and the margin is what is left of the price', () => {
  const { seconds, cost, margin } = estimateDraft(draft({ price: '100' }), GRADES);
  expect([seconds, cost, margin]).toEqual([5400, 7500, 2500]);
});

test.each<[change: object, seconds: number, why: string]>([
  [{ quantity: 'x', tasks: [{ ...task('Turn', ''), runHoursPerPiece: '0.5' }] }, 0, 'no number of pieces'],
  [{ quantity: 3, tasks: [{ ...task('Turn', ''), runHoursPerPiece: '0.5' }] }, 5400, 'hours per piece'],
  [{ tasks: [task('Strip', 'soon')] }, 0, 'what is no number yet'],
])('%j is estimated at %i s: %s', (change, seconds) =>
  expect(estimateDraft(draft(change), GRADES).seconds).toBe(seconds),
);

test('what is empty is left out of what is sent, and a comma becomes a point', () => {
  const body = orderBody(draft({ due: '', price: '1250,50' }));
  expect(body).toMatchObject({ due: null, unit: null, price: '1250.50', tasks: [{ runHours: '1.5' }] });
  expect(Object.keys(body.tasks[0] ?? {})).not.toContain('setupHours');
});

test.each<[typed: string, sent: string, isHours: boolean, why: string]>([
  ['4:15', '4.25', true, 'hours and minutes'],
  ['0:20', '0.3333333333', true, 'a third of an hour, right to the second'],
  ['1:30:36', '1.51', true, 'seconds'],
  ['1,5', '1.5', true, 'a comma'],
  ['2', '2', true, 'whole hours'],
  ['', '', true, 'nothing'],
  ['4:75', '4:75', false, 'no such minute'],
  ['soon', 'soon', false, 'words'],
])('hours typed as %j are sent as %j (%s)', (typed, sent, isHours) => {
  expect(hoursGiven(typed)).toBe(sent);
  expect(areHours(typed)).toBe(isHours);
});

test('a third of an hour per piece is estimated to the second, and stands in its field as minutes again', () => {
  const turned = { ...task('Turn', ''), runHoursPerPiece: '0:20' };
  expect(estimateDraft(draft({ quantity: 3000, tasks: [turned] }), GRADES).seconds).toBe(3000 * 1200);
  const step = { ...turned, workCenter: '', instructions: [{ text: 'x', hours: '0.25' }] };
  const shown = stepDraft({
    ...step,
    runHoursPerPiece: '0.3333333333',
    setupHours: '1.25',
    price: null,
    reports: [],
  });
  expect([shown.runHoursPerPiece, shown.setupHours, shown.instructions[0]?.hours]).toEqual([
    '0:20',
    '1.25',
    '0.25',
  ]);
});

test.each([
  ['1,50', 150],
  ['', null],
  ['x', null],
])('“%s” is %s cents', (text, cents) => expect(centsIn(text)).toBe(cents));

describe('two who write on one order', () => {
  const base = draft();
  test('each another field: both are kept', () => {
    const { joined, taken, conflicts } = joinDrafts(
      base,
      { ...base, notes: 'mine' },
      { ...base, due: '2026-12-01' },
    );
    expect([joined.notes, joined.due, taken, conflicts]).toEqual(['mine', '2026-12-01', ['due'], []]);
  });
  test('the same field: mine stands and the other is named', () => {
    const { joined, conflicts } = joinDrafts(base, { ...base, title: 'A' }, { ...base, title: 'B' });
    expect([joined.title, conflicts]).toEqual(['A', [{ field: 'title', mine: '"A"', theirs: '"B"' }]]);
  });
  test('both the same: nothing to ask', () =>
    expect(joinDrafts(base, { ...base, title: 'A' }, { ...base, title: 'A' }).conflicts).toEqual([]));
});

test.each<[instructions: readonly (readonly [string, string])[], words: string, why: string]>([
  [[], '', 'no instructions'],
  [
    [
      ['Strip', ''],
      ['Clean', ''],
    ],
    '',
    'none says hours',
  ],
  [
    [
      ['Strip', '1'],
      ['Clean', '1,5'],
    ],
    '2:30 on instructions, as much as the task',
    'just its hours',
  ],
  [[['Strip', '1:00']], '1:00 on instructions, 1:30 less than the task', 'hours and minutes'],
  [[['Strip', '3']], '3:00 on instructions, 0:30 more than the task', 'more'],
  [[['Strip', '2.51']], '2:30 on instructions, as much as the task', 'seconds more are not said'],
  [
    [
      ['Strip', '1'],
      ['Clean', ''],
    ],
    '1:00 on instructions, 1:30 less than the task; 1 of 2 say hours',
    'some of them',
  ],
  [
    [
      ['Strip', '2.5'],
      ['', '9'],
    ],
    '2:30 on instructions, as much as the task',
    'what says nothing is not counted',
  ],
  [[['Strip', 'long']], '', 'hours that cannot be read are none'],
])('instructions of %j in a task of 0:30 and 2:00: “%s” (%s)', (instructions, words) => {
  const task = {
    ...newTask(),
    setupHours: '0.5',
    runHours: '1',
    runHoursPerPiece: '0.25',
    instructions: instructions.map(([text, hours]) => ({ text, hours })),
  };
  expect(sayInstructions(task, 4, (seconds) => formatHours(toSeconds(seconds), 'h:mm'))).toBe(words);
});
