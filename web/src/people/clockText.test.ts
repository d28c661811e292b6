import { readClock, writeClock } from './clockText.ts';

test.each([
  ['6:30', 390],
  ['06:30', 390],
  ['6.30', 390],
  ['630', 390],
  ['1530', 930],
  ['6', 360],
  ['22', 1320],
  ['0:00', 0],
  ['24:00', -1],
  ['7:60', -1],
  ['soon', -1],
  ['', -1],
])('“%s” is minute %i of the day', (text, minute) => expect(readClock(text)).toBe(minute));

test('what is written is read back', () => {
  for (let minute = 0; minute < 1440; minute += 1) expect(readClock(writeClock(minute))).toBe(minute);
});
