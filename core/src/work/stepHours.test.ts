import fc from 'fast-check';
import { fraction, parseDecimal } from '../money/index.ts';
import { toSeconds } from '../time/index.ts';
import { sumInstructions } from './stepHours.ts';

const hours = (text: string) => {
  const parsed = parseDecimal(text);
  return parsed.ok ? parsed.value : undefined;
};

test.each<
  [
    hours: readonly string[],
    estimated: number,
    seconds: number | undefined,
    difference: number | undefined,
    why: string,
  ]
>([
  [[], 3600, undefined, undefined, 'no instructions'],
  [['', ''], 3600, undefined, undefined, 'none says hours'],
  [['0.5', '0.5'], 3600, 3600, 0, 'just the estimate'],
  [['0.5', ''], 3600, 1800, -1800, 'one says nothing'],
  [['1', '0.25'], 3600, 4500, 900, 'more than the estimate'],
  [['1'], 0, 3600, 3600, 'a task without an estimate'],
  [['0.3333333333', '0.3333333333', '0.3333333334'], 3600, 3600, 0, 'thirds are rounded once'],
])('%j beside %i s: %p, %p (%s)', (texts, estimated, seconds, difference) => {
  const sum = sumInstructions(texts.map(hours), toSeconds(estimated));
  expect([sum?.seconds, sum?.difference]).toEqual([seconds, difference]);
});

test('the sum and its difference make the estimate, in any order, to the second', () => {
  const anyHours = fc.array(fc.option(fc.integer({ min: 0, max: 40 * 60 }), { nil: undefined }), {
    maxLength: 12,
  });
  fc.assert(
    fc.property(anyHours, fc.integer({ min: 0, max: 200 * 3600 }), (minutes, estimated) => {
      const said = minutes.map((each) => (each === undefined ? undefined : fraction(BigInt(each), 60n)));
      const sum = sumInstructions(said, toSeconds(estimated));
      const known = minutes.filter((each) => each !== undefined);
      if (!sum) return expect(known).toEqual([]);
      expect(sum.seconds).toBe(known.reduce((all, each) => all + each * 60, 0));
      expect(sum.seconds - sum.difference).toBe(estimated);
      expect([sum.counted, sum.all]).toEqual([known.length, minutes.length]);
      expect(sumInstructions([...said].reverse(), toSeconds(estimated))).toEqual(sum);
    }),
  );
});
