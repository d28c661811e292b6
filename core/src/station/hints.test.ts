import { clock, technician } from '../ledger/shop.fixture.ts';
import { toInstant } from '../time/instant.ts';
import { findBadgeHints } from './hints.ts';
import type { BadgeScan } from './hints.ts';

/** Scans as words: who, where, and the second. */
const scans = (words: string): BadgeScan[] =>
  words.split(', ').map((word) => {
    const [who = '', station = '', second = '0'] = word.split(' ');
    return { technician: technician(who), station, at: toInstant(clock(8) + Number(second)) };
  });
const often = (words: (second: number) => string, times: number) =>
  Array.from({ length: times }, (_, i) => words(i * 600)).join(', ');

test.each<[words: string, hints: readonly string[], why: string]>([
  ['ada A 0, ada B 14', ['badge-hop'], 'nobody walks that fast'],
  ['ada A 0, ada B 15', [], 'but this fast they may'],
  ['ada A 0, ada A 3', [], 'at one station everything is possible'],
  ['ada A 0, bo B 3', [], 'two people are two people'],
  [often((s) => `ada A ${s}, bo A ${s + 2}`, 5), ['badge-pair'], 'always together'],
  [often((s) => `ada A ${s}, bo A ${s + 3}`, 5), [], 'one after the other is a queue'],
  [often((s) => `ada A ${s}, bo A ${s + 2}`, 4), [], 'four times is chance'],
  [`${often((s) => `ada A ${s}, bo A ${s + 1}`, 5)}, bo A 9000`, [], 'once alone, and it is not always'],
  [often((s) => `ada A ${s}, bo B ${s + 1}`, 6), [], 'at different stations nobody held both'],
])('%s: %j (%s)', (words, hints) => {
  expect(findBadgeHints(scans(words)).map(({ kind }) => kind)).toEqual(hints);
});

test('the order in which scans are told does not matter', () => {
  const all = scans(often((s) => `ada A ${s}, bo A ${s + 2}`, 5));
  expect(findBadgeHints([...all].reverse())).toEqual(findBadgeHints(all));
});
