import { toInstant } from '@wergon/core/time';
import { sayOut } from './laneWords.ts';

const HOUR = 3600;
const clock = (at: number) => `${at / HOUR}:00`;
const planned = (from: number, to: number) => ({
  planned: { from: toInstant(from * HOUR), to: toInstant(to * HOUR) },
  isAway: false,
});

test.each<[drawn: boolean, person: Parameters<typeof sayOut>[1], hour: number, words: string]>([
  [false, planned(7, 15), 6, 'Expected at 7:00'],
  [false, planned(7, 15), 9, 'Not here, expected at 7:00'],
  [false, planned(7, 15), 16, 'Not here'],
  [true, planned(7, 15), 14, 'Gone'],
  [true, undefined, 9, 'Gone'],
  [false, { ...planned(7, 15), isAway: true }, 9, 'Absent'],
  [true, { planned: null, isAway: true }, 9, 'Absent'],
])('worked today: %p, %j, at %i: %s', (isDrawn, person, hour, words) => {
  const blocks = isDrawn ? ([{ kind: 'break' }] as never) : [];
  expect(sayOut({ blocks }, person, toInstant(hour * HOUR), clock)).toBe(words);
});
