import fc from 'fast-check';
import { guessColumns } from './columns.ts';
import { neutralize, readDate, readNumber, restoreText } from './values.ts';
import type { Column } from './columns.ts';

const column = (field: string, heading: string, ...words: string[]): Column => ({
  field,
  heading,
  words,
  isRequired: false,
});
const COLUMNS = [
  column('number', 'Number', 'order', 'wo no'),
  column('title', 'What is done', 'description'),
  column('taskTitle', 'Task', 'operation'),
];

test.each([
  [['Number', 'What is done', 'Task'], [0, 1, 2], 'our own headings'],
  [['TASK', ' number ', 'what-is-done'], [1, 2, 0], 'another order, other marks'],
  [['Order', 'Description', 'Operation'], [0, 1, 2], 'other words'],
  [['WO No.', 'Descr.', 'Operation text'], [0, 1, 2], 'words that begin alike'],
  [['Colour', ''], [null, null, null], 'nothing of ours'],
  [['Order', 'Number'], [1, null, null], 'the exact heading first, and none taken twice'],
])('the headings %j are matched as %j: %s', (headings, places) =>
  expect(Object.values(guessColumns(COLUMNS, headings))).toEqual(places),
);

test.each([
  ['1234.5', '1234.5'],
  ['1234,5', '1234.5'],
  ['1.234,50', '1234.50'],
  ['1,234.50', '1234.50'],
  ["1'234.50", '1234.50'],
  ['1 234,5', '1234.5'],
  ['1.234.567', '1234567'],
  [' 12 ', '12'],
  ['-3,5', '-3.5'],
  ['two', 'two'],
  ['', ''],
])('the number “%s” is read as “%s”', (text, number) => expect(readNumber(text)).toBe(number));

test.each([
  ['2026-03-02', '2026-03-02'],
  ['2.3.2026', '2026-03-02'],
  ['02.03.2026', '2026-03-02'],
  ['2026-03-02T00:00:00.000Z', '2026-03-02'],
  ['3/2/2026', '3/2/2026'],
])('the day “%s” is read as “%s”', (text, day) => expect(readDate(text)).toBe(day));

test.each([
  ['=1+1', "'=1+1"],
  ['+49 30', "'+49 30"],
  ['@SUM', "'@SUM"],
  ['-5', '-5'],
  ['-cmd', "'-cmd"],
  ['Ada', 'Ada'],
])('“%s” is written for a spreadsheet as “%s”', (text, safe) => expect(neutralize(text)).toBe(safe));

test('what was made safe is never a formula, and comes back as it was', () =>
  fc.assert(
    fc.property(fc.string(), (text) => {
      const safe = neutralize(text);
      expect(/^[=+\-@\t\r]/.test(safe) && !/^-?\d+([.,]\d+)?$/.test(safe)).toBe(false);
      if (!text.startsWith("'")) expect(restoreText(safe)).toBe(text);
    }),
  ));
