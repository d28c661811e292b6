import { formatHours, toSeconds } from '@wergon/core/time';
import { FILTERS, balanceOf, yardstickWords } from './figures.ts';

const HOUR = 3600;
const hours = (seconds: number) => formatHours(toSeconds(seconds), 'h:mm');
const comparison = (figures: object) => ({
  estimatedSeconds: 2 * HOUR,
  actualSeconds: 0,
  outsideSeconds: 0,
  remainingSeconds: 0,
  overSeconds: 0,
  underSeconds: 0,
  estimatedCost: '0.00',
  actualCost: '0.00',
  outsideCost: '0.00',
  costDifference: '0.00',
  uncostedLines: 0,
  costs: 'standard' as const,
  ...figures,
});

test.each<[figures: object, hasEstimate: boolean, words: string, why: string]>([
  [{ remainingSeconds: HOUR }, true, '1:00 left', 'open work has hours left'],
  [{ overSeconds: HOUR }, true, '1:00 over', 'over is said as soon as it is true'],
  [
    { overSeconds: HOUR, remainingSeconds: 60 },
    true,
    '1:00 over, 0:01 left',
    'over on one task with hours left on another says both',
  ],
  [{ overSeconds: HOUR, underSeconds: 60 }, true, '1:00 over, 0:01 under', 'and so does a finished order'],
  [{ underSeconds: HOUR }, true, '1:00 under', 'under is said of what is finished'],
  [{}, true, '0:00 even', 'neither over nor under'],
  [{ actualSeconds: HOUR, overSeconds: HOUR }, false, '1:00 used', 'without an estimate only what was used'],
])('%j, estimate %s: %s (%s)', (figures, hasEstimate, words) => {
  const { hours: length, word, also } = balanceOf(comparison(figures), hasEstimate, hours);
  expect(`${length} ${word}${also ? `, ${also}` : ''}`).toBe(words);
});

test('a yardstick says its figures to somebody who cannot see it', () => {
  const used = comparison({ actualSeconds: HOUR });
  expect(yardstickWords(used, true, hours)).toBe('1:00 used of 2:00 estimated');
  expect(yardstickWords(used, false, hours)).toBe('1:00 used, no estimate');
});

test('every state of an order is shown by one filter beside “All”', () => {
  const { all, ...others } = FILTERS;
  expect(
    Object.values(others)
      .flatMap(({ states }) => [...states])
      .sort(),
  ).toEqual([...all.states].sort());
});
