import { clock, factsWith } from '../ledger/shop.fixture.ts';
import { addDays, formatDay, parseDay } from '../time/index.ts';
import { readLeaveDay } from './askLeave.ts';
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
  expect(play('ADA !time-off #2 #1 #1 =a_fever').appended).toEqual([
    `ada request sick ${day(0)} ${day(0)} a fever time-off`,
  ]);
});
