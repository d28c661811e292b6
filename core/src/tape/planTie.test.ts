import fc from 'fast-check';
import { deriveLedger } from '../ledger/derive.ts';
import { effectiveEntries } from '../ledger/effective.ts';
import { targetsOf } from '../ledger/entries.ts';
import type { Entry } from '../ledger/entries.ts';
import { anyEntries, clock, entryId, factsWith, target } from '../ledger/shop.fixture.ts';
import { journal, say } from '../loose-ends/journal.fixture.ts';
import { undoOf } from '../loose-ends/undo.ts';
import type { Instant } from '../time/index.ts';
import { planTie } from './planTie.ts';
import type { TapeGround, TimedEntry } from './tapeEdit.ts';

const [a, b] = [target('a'), target('b')];
const facts = factsWith();
const tie = (journaled: readonly Entry[], asOf: Instant) => {
  const all = effectiveEntries(journaled);
  const ground: TapeGround = {
    entries: all.filter((entry): entry is TimedEntry => entry.type !== 'hours'),
    states: new Map(),
    facts,
    asOf,
    closedUntil: null,
    closedTargets: new Set(),
  };
  const naming = all.filter((entry) => targetsOf(entry).includes(a));
  return planTie(a, b, naming, ground);
};

test.each<[words: string, expected: readonly string[], why: string]>([
  ['work-start 8 a, work-stop 10', ['amend e1'], 'a start; the stop names nothing'],
  ['work-start 8 a, work-stop 10 a', ['amend e1', 'amend e2'], 'a stop that names it'],
  ['work-start 8 a, work-start 9 c, work-start 10 a', ['amend e1', 'amend e3'], 'each stretch of it'],
  ['work-start 8 a, note 9 a, work-stop 10', ['amend e1', 'amend e2'], 'a note goes along'],
  [
    'work-start 8 c, work-stop 10 a',
    ['edit.nothing'],
    'a stop of what never ran stays as pointless as it was',
  ],
])('of “%s” are amended %j: %s', (words, expected) => {
  const planned = tie(journal(words), clock(20));
  expect(planned.ok ? planned.value.map(say) : [planned.code]).toEqual(expected);
});

test('nothing is left on what was tied, nobody works a second more or less, and undoing gives the ledger back', () => {
  let made = 0;
  fc.assert(
    fc.property(anyEntries, (entries) => {
      const asOf = clock(8 * 24);
      const before = deriveLedger(entries, facts, asOf);
      const planned = tie(entries, asOf);
      if (!planned.ok) return;
      made += 1;
      const added = planned.value.map((change, i) => ({ ...change, id: entryId(`t${i}`) }) as Entry);
      const after = deriveLedger([...entries, ...added], facts, asOf);
      expect(after.lines.filter((line) => line.target === a)).toEqual([]);
      const sumOf = ({ lines }: typeof before) => lines.reduce((sum, { seconds }) => sum + seconds, 0);
      expect(sumOf(after)).toBe(sumOf(before));
      // Shifts of two people that begin and end together stand in either order.
      const shiftsOf = ({ shifts }: typeof before) =>
        [...shifts].sort((x, y) => (x.opened < y.opened ? -1 : 1));
      expect(shiftsOf(after)).toEqual(shiftsOf(before));
      const undo = undoOf(added, (id) => effectiveEntries(entries).find((entry) => entry.id === id));
      const undone = undo.map((change, i) => ({ ...change, id: entryId(`u${i}`) }) as Entry);
      expect(deriveLedger([...entries, ...added, ...undone], facts, asOf)).toEqual(before);
    }),
    { numRuns: 600 },
  );
  expect(made).toBeGreaterThan(50);
});
