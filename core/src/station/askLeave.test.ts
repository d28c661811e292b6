import { clock, factsWith } from '../ledger/shop.fixture.ts';
import { addDays, formatDay, parseDay } from '../time/index.ts';
import { readLeaveDay, readLeaveHours } from './askLeave.ts';
import { play } from './shop.fixture.ts';

const dayOf = (text: string) => {
  const read = parseDay(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};

test.each<[words: string, from: string, day: string | undefined]>([
  ['14.12', '2026-12-01', '2026-12-14'],
  ['14.12.', '2026-12-01', '2026-12-14'],
  ['1412', '2026-12-01', '2026-12-14'],
  ['4,1', '2026-12-01', '2027-01-04'],
  ['1/12', '2026-12-01', '2026-12-01'],
  // The day before is that of next year.
  ['30.11', '2026-12-01', '2027-11-30'],
  ['29.2', '2027-03-01', '2028-02-29'],
  ['29.2', '2026-12-01', undefined],
  ['31.4', '2026-03-01', undefined],
  ['1.13', '2026-03-01', undefined],
  ['0.5', '2026-03-01', undefined],
  ['141', '2026-03-01', undefined],
  ['tomorrow', '2026-03-01', undefined],
  ['', '2026-03-01', undefined],
])('“%s” keyed on %s is %s', (words, from, day) => {
  const read = readLeaveDay(words, dayOf(from));
  expect(read === undefined ? undefined : formatDay(read)).toBe(day);
});

test('time off is chosen day by day, or keyed, and sent with a word or without one', () => {
  const today = factsWith().zone.dayAt(clock(8));
  const day = (ahead: number) => formatDay(addDays(today, ahead));
  expect(play('ADA !time-off #1 #2 #3 #1').appended).toEqual([
    `ada request holiday ${day(1)} ${day(3)} time-off`,
  ]);
  expect(play('ADA !time-off #2 #1 #1 #1 =a_fever').appended).toEqual([
    `ada request sick ${day(0)} ${day(0)} a fever time-off`,
  ]);
  expect(play('ADA !time-off #3 #2 #1 =2.5 #1').appended).toEqual([
    `ada request training ${day(1)} ${day(1)} 9000 time-off`,
  ]);
});

test.each<[words: string, hours: number | undefined]>([
  ['4', 4],
  ['24', 24],
  ['4,5', 4.5],
  ['4.25', 4.25],
  ['4:30', 4.5],
  ['0:15', 0.25],
  ['0', undefined],
  ['24.5', undefined],
  ['4:60', undefined],
  ['4h', undefined],
  ['', undefined],
])('“%s” keyed as hours of a day is %s', (words, hours) => {
  const read = readLeaveHours(words);
  expect(read === undefined ? undefined : read / 3600).toBe(hours);
});

test('what was asked for and is still to come can be taken back, at the station at once', () => {
  const asked = 'ADA !time-off #1 #3 #1 #1 #1 ADA';
  // After the five reasons stands what was asked for before.
  const run = play(`${asked} !time-off #6`);
  expect(run.appended.slice(1)).toEqual(['ada withdrawal']);
  expect(run.state.said).toMatchObject({ kind: 'withdrawn' });
  expect(play(`${asked} !time-off #6 ADA !time-off #6`).appended).toHaveLength(2);
  // Of today it is too late.
  expect(play('ADA !time-off #1 #1 #1 #1 #1 ADA !time-off #6').appended).toHaveLength(1);
});
