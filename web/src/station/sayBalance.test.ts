import { toSeconds } from '@wergon/core/time';
import { sayBalance } from './sayBalance.ts';

const WORDS = { over: 'over', left: 'left', low: 'left, running low', used: 'used' };

test.each<[used: number, estimate: number | null, text: string, why: string]>([
  [0, 24_300, '6:45 left', 'nothing used'],
  [20, 24_300, '6:45 left', 'some seconds used: the minute is not lost to both'],
  [19_440, 24_300, '1:21 left, running low', 'four fifths used'],
  [24_300, 24_300, '0:00 left', 'just used up'],
  [24_330, 24_300, '0:00 left', 'over by less than a minute'],
  [24_360, 24_300, '0:01 over', 'over'],
  [3_600, null, '1:00 used', 'no estimate'],
])('%i s used of %p: %s (%s)', (used, estimate, text) => {
  const beyond = (seconds: number) => toSeconds(Math.max(0, seconds));
  const comparison = {
    usedSeconds: toSeconds(used),
    estimatedSeconds: estimate === null ? null : toSeconds(estimate),
    leftSeconds: estimate === null ? null : beyond(estimate - used),
    overSeconds: estimate === null ? null : beyond(used - estimate),
    isLow: estimate !== null && used < estimate && used >= 0.8 * estimate,
  };
  expect(sayBalance(comparison, WORDS, 'h:mm').text).toBe(text);
});

test.each([
  ['h:mm', '6:45 left'],
  ['h:mm:ss', '6:45:00 left'],
  ['decimal', '6.75 left'],
] as const)('a station that writes hours as %s says %s', (style, text) => {
  const comparison = {
    usedSeconds: toSeconds(0),
    leftSeconds: toSeconds(24_300),
    overSeconds: toSeconds(0),
    isLow: false,
  };
  expect(sayBalance(comparison as Parameters<typeof sayBalance>[0], WORDS, style).text).toBe(text);
});
