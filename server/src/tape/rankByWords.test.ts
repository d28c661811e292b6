import { rankByWords } from './rankByWords.ts';

test.each<[name: string, typed: string, rank: number, why: string]>([
  ['Cleaning', 'clean', 0, 'the name begins with it'],
  ['24567 Core test and clean', '245', 0, 'so does an order with its number'],
  ['24567 Core test and clean', 'Clean', 1, 'a word of it does'],
  ['24567 Core test and clean', ' core', 1, 'blanks around it do not matter'],
  ['Degreasing', 'greas', 2, 'it is somewhere in it'],
  ['Över-wickeln', 'wick', 1, 'words are parted by what is no letter'],
  ['Anything', '', 0, 'nothing typed: all alike'],
])('%s for %j: %i (%s)', (name, typed, rank) => expect(rankByWords(name, typed)).toBe(rank));
