import { toInstant } from '@wergon/core/time';
import { sayOut, sayOvertime } from './laneWords.ts';

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

test.each<
  [
    why: string,
    stages: readonly (readonly ['straight' | 'overtime' | 'double', number])[],
    hour: number,
    words: string | undefined,
  ]
>([
  ['nothing is ahead', [], 12, undefined],
  ['it is not near', [['overtime', 16]], 14, undefined],
  ['an hour before', [['overtime', 16]], 15, 'overtime from 16:00'],
  ['reached', [['overtime', 16]], 17, 'overtime since 16:00'],
  [
    'the next one is near',
    [
      ['overtime', 16],
      ['double', 20],
    ],
    19.5,
    'double from 20:00',
  ],
  [
    'reached with the next one far',
    [
      ['overtime', 16],
      ['double', 20],
    ],
    17,
    'overtime since 16:00',
  ],
])('overtime where %s', (_why, stages, hour, words) => {
  const told = stages.map(([of, at]) => ({ class: of, at: toInstant(at * HOUR) }));
  expect(sayOvertime(told, toInstant(hour * HOUR), clock)?.words).toBe(words);
});
