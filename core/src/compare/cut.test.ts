import fc from 'fast-check';
import { toCents } from '../money/money.ts';
import { toSeconds } from '../time/seconds.ts';
import { cutPieces, partLine, sumPieces } from './cut.ts';

const line = (measured: number, shared: number, entered: number, cost: number | null) => ({
  seconds: toSeconds(measured + shared + entered),
  measuredSeconds: toSeconds(measured),
  sharedSeconds: toSeconds(shared),
  enteredSeconds: toSeconds(entered),
  cost: cost === null ? null : toCents(cost),
});
const part = (machine: string, reason: string, measured: number, shared = 0) => ({
  machine,
  reason,
  measuredSeconds: toSeconds(measured),
  sharedSeconds: toSeconds(shared),
});
const say = (parts: ReturnType<typeof partLine>) =>
  parts
    .map(
      ({ machine, reason, seconds, cost }) =>
        `${machine || '-'} ${reason || '-'} ${seconds}s ${cost ?? 'no rate'}`,
    )
    .join(', ');

describe('a line parted by machine and reason', () => {
  test.each<[what: string, of: ReturnType<typeof line>, parts: ReturnType<typeof part>[], told: string]>([
    ['nobody named one', line(60, 0, 0, 100), [], '- - 60s 100'],
    ['all of it at a machine', line(60, 0, 0, 100), [part('lathe', '', 60)], 'lathe - 60s 100'],
    [
      'what nobody named is left without',
      line(60, 30, 10, 100),
      [part('lathe', '', 50)],
      'lathe - 50s 50, - - 50s 50',
    ],
    [
      'the odd cent goes to the larger rest',
      line(3, 0, 0, 100),
      [part('lathe', '', 2)],
      'lathe - 2s 67, - - 1s 33',
    ],
    [
      'by reason too',
      line(60, 0, 0, 60),
      [part('lathe', '', 20), part('lathe', 'no crane', 40)],
      'lathe - 20s 20, lathe no crane 40s 40',
    ],
    [
      'without a rate no part has a cost',
      line(60, 0, 0, null),
      [part('lathe', '', 30)],
      'lathe - 30s no rate, - - 30s no rate',
    ],
  ])('%s', (_what, of, parts, told) => expect(say(partLine(of, parts))).toBe(told));
});

test('parts add up to their line, and groups of any cut to the whole, in seconds and cents', () => {
  const anyLine = fc
    .record({
      measured: fc.nat(5000),
      shared: fc.nat(5000),
      entered: fc.nat(5000),
      cost: fc.option(fc.nat(90_000), { nil: null }),
      cuts: fc.array(
        fc.tuple(
          fc.constantFrom('lathe', 'press', ''),
          fc.constantFrom('no crane', ''),
          fc.nat(100),
          fc.nat(100),
        ),
        { maxLength: 3 },
      ),
      keys: fc.tuple(fc.constantFrom('a', 'b', ''), fc.constantFrom('x', 'y')),
    })
    .filter(({ measured, shared, entered }) => measured + shared + entered > 0);
  fc.assert(
    fc.property(fc.array(anyLine, { maxLength: 10 }), (given) => {
      const lines = given.map(({ measured, shared, entered, cost, keys }) => ({
        ...line(measured, shared, entered, cost),
        keys,
      }));
      const pieces = lines.flatMap((each, i) => {
        let [left, leftShared] = [each.measuredSeconds as number, each.sharedSeconds as number];
        const parts = (given[i]?.cuts ?? []).map(([machine, reason, share, shareOfShared]) => {
          const [own, ownShared] = [
            Math.floor((left * share) / 100),
            Math.floor((leftShared * shareOfShared) / 100),
          ];
          left -= own;
          leftShared -= ownShared;
          return part(machine, reason, own, ownShared);
        });
        return partLine(each, parts);
      });
      const whole = sumPieces(lines);
      const sums = (list: readonly ReturnType<typeof sumPieces>[]) =>
        (['seconds', 'measuredSeconds', 'sharedSeconds', 'enteredSeconds', 'cost'] as const).map((of) =>
          list.reduce((sum, each) => sum + each[of], 0),
        );
      expect(sums([sumPieces(pieces)])).toEqual(sums([whole]));
      for (const place of [0, 1] as const) {
        const groups = cutPieces(pieces, ({ keys }) => keys[place]);
        expect(sums(groups)).toEqual(sums([whole]));
        for (const group of groups)
          expect(sums(cutPieces(group.pieces, ({ machine = '' }) => machine))).toEqual(sums([group]));
        const told = groups.map(({ seconds }) => seconds);
        expect(told).toEqual([...told].sort((a, b) => b - a));
      }
    }),
  );
});
