import fc from 'fast-check';
import { lengthOf, merge, toInstant } from '../time/index.ts';
import type { Span } from '../time/index.ts';
import { gapsOf } from './gaps.ts';

const span = (from: number, to: number): Span => ({ from: toInstant(from), to: toInstant(to) });
const sayAll = (spans: readonly Span[]) => spans.map(({ from, to }) => `${from}-${to}`).join(' ');

test.each<[shifts: Span[], breaks: Span[], work: Span[], least: number, gaps: string, why: string]>([
  [[span(0, 100)], [], [], 0, '0-100', 'a shift without work is one gap'],
  [[span(0, 100)], [], [span(0, 100)], 0, '', 'a worked one has none'],
  [[span(0, 100)], [span(40, 60)], [span(0, 40)], 0, '60-100', 'a break is no gap'],
  [[span(0, 100)], [], [span(10, 50), span(52, 100)], 5, '0-10', 'a short one needs no answer'],
  [[span(0, 100)], [], [span(10, 50), span(52, 100)], 2, '0-10 50-52', 'as short as the shop says'],
  [[], [], [span(10, 50)], 0, '', 'who is not signed in is on no gap'],
  [[span(0, 10), span(20, 30)], [], [span(5, 25)], 0, '0-5 25-30', 'between shifts there is none'],
])('%#: gaps are “%s”', (shifts, breaks, work, least, gaps) => {
  expect(sayAll(gapsOf(shifts, breaks, work, least))).toBe(gaps);
});

const anySpans = fc
  .array(fc.tuple(fc.nat(500), fc.integer({ min: 1, max: 80 })), { maxLength: 6 })
  .map((pairs) =>
    merge(pairs.map(([from, length]) => span(from, from + length)).sort((a, b) => a.from - b.from)),
  );

test('gaps lie in shifts and in nothing else, and with breaks and work they are the whole shift', () => {
  fc.assert(
    fc.property(anySpans, anySpans, anySpans, (shifts, breaks, work) => {
      const gaps = gapsOf(shifts, breaks, work, 0);
      const second = (spans: readonly Span[], at: number) =>
        spans.some(({ from, to }) => from <= at && at < to);
      for (let at = 0; at < 600; at += 1)
        expect(second(gaps, at)).toBe(second(shifts, at) && !second(breaks, at) && !second(work, at));
      expect(gaps.every((gap) => lengthOf(gap) > 0)).toBe(true);
    }),
    { numRuns: 50 },
  );
});
