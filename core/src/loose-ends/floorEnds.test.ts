import { clock, entryId, technician, zone } from '../ledger/shop.fixture.ts';
import { looseEndFacts, looseEndKey, withoutAccepted } from './accepted.ts';
import { findBadgeEnds, findUnknownCodes } from './floorEnds.ts';
import type { UnreadScan } from './floorEnds.ts';

/** Scans as words: the code, the station, and the hour of Monday. */
const scans = (words: string): UnreadScan[] =>
  words.split(', ').map((word, i) => {
    const [text = '', station = '', hour = '0'] = word.split(' ');
    return { id: entryId(`s${i} ${word}`), text, station, at: clock(Number(hour)) };
  });

test.each<[words: string, told: readonly string[], why: string]>([
  ['X1 A 8', ['X1 1 at A'], 'once'],
  ['X1 A 8, X1 A 9', ['X1 2 at A'], 'how often'],
  ['X1 A 8, X1 B 9, X1 A 10', ['X1 3 at A B'], 'and where, each place once'],
  ['X1 A 8, X2 A 8', ['X1 1 at A', 'X2 1 at A'], 'each code by itself'],
  ['X1 A 8, X1 A 32', ['X1 1 at A', 'X1 1 at A'], 'each day by itself'],
])('%s: codes that stood for nothing are told %j (%s)', (words, told) => {
  const ends = findUnknownCodes(scans(words), zone);
  expect(ends.map(({ about, times, stations }) => `${about} ${times} at ${stations.join(' ')}`)).toEqual(
    told,
  );
});

test('a code that was accepted stays so whatever arrives in what order, and is open again when it is read again', () => {
  const read = scans('X1 A 8, X1 B 9');
  const accepted = new Map(findUnknownCodes(read, zone).map((end) => [looseEndKey(end), looseEndFacts(end)]));
  expect(withoutAccepted(findUnknownCodes([...read].reverse(), zone), accepted)).toEqual([]);
  expect(withoutAccepted(findUnknownCodes([...read, ...scans('X2 A 8')], zone), accepted)).toHaveLength(1);
  expect(withoutAccepted(findUnknownCodes([...read, ...scans('X1 A 10')], zone), accepted)).toHaveLength(1);
});

test('a badge at two stations at once is a loose end of its person, and a pair of badges one of both', () => {
  const [ada, bo] = ['ada', 'bo'].map(technician) as [
    ReturnType<typeof technician>,
    ReturnType<typeof technician>,
  ];
  const at = (hour: number, second = 0) => clock(hour, 0, second);
  expect(
    findBadgeEnds(
      [
        { technician: ada, station: 'A', at: at(8) },
        { technician: ada, station: 'B', at: at(8, 5) },
      ],
      zone,
    ),
  ).toMatchObject([{ kind: 'badge-hop', technician: ada, from: at(8), to: at(8, 5), stations: ['A', 'B'] }]);
  const together = [8, 9, 10, 11, 12].flatMap((hour) => [
    { technician: ada, station: 'A', at: at(hour) },
    { technician: bo, station: 'A', at: at(hour, 1) },
  ]);
  expect(findBadgeEnds(together, zone)).toMatchObject([
    { kind: 'badge-pair', technician: ada, about: bo, times: 5, to: at(12, 1) },
  ]);
});
