import fc from 'fast-check';
import { deriveLedger } from '../ledger/derive.ts';
import { effectiveEntries } from '../ledger/effective.ts';
import type { Entry } from '../ledger/entries.ts';
import { anyEntries, clock, entryId, factsWith, target, technician } from '../ledger/shop.fixture.ts';
import { journal, say as sayChange } from '../loose-ends/journal.fixture.ts';
import type { Change } from '../loose-ends/index.ts';
import type { TapeGround, TimedEntry } from '../tape/tapeEdit.ts';
import { toDay, toSeconds } from '../time/index.ts';
import { dayParts, planSlips } from './planSlips.ts';
import type { SlipRow } from './planSlips.ts';

const facts = factsWith();
const groundOf = (entries: readonly Entry[], asOf = clock(40)): TapeGround => ({
  entries: effectiveEntries(entries).filter((entry): entry is TimedEntry => entry.type !== 'hours'),
  states: new Map(),
  facts,
  asOf,
  closedUntil: null,
  closedTargets: new Set(),
});
const row = (more: Partial<SlipRow> = {}): SlipRow => ({
  technician: technician('ada'),
  target: target('a'),
  workType: 'run',
  day: facts.zone.dayAt(clock(8)),
  span: null,
  seconds: toSeconds(5400),
  good: 0,
  scrap: 0,
  note: '',
  ...more,
});
const timed = (from: number, to: number, more: Partial<SlipRow> = {}): SlipRow =>
  row({
    day: facts.zone.dayAt(clock(from)),
    span: { from: clock(from), to: clock(to) },
    seconds: toSeconds((to - from) * 3600),
    ...more,
  });
const say = (change: Change): string => {
  const hour = sayChange(change);
  if (change.type === 'hours') return `hours ${change.seconds}`;
  if (change.type === 'count') return `${hour}: ${change.good}+${change.scrap}`;
  return change.type === 'note' ? `${hour}: ${change.text}` : hour;
};
const plan = (words: string, rows: readonly SlipRow[]) => {
  const planned = planSlips(rows, groundOf(words === '' ? [] : journal(words)));
  return planned.ok ? planned.value.map(say) : [planned.code, planned.params['field']];
};

test.each<[words: string, rows: readonly SlipRow[], expected: readonly unknown[], why: string]>([
  ['', [row()], ['hours 5400'], 'a length is a length'],
  ['', [timed(8, 10)], ['work-start 8', 'work-stop 10'], 'a start and an end lie on the tape'],
  [
    '',
    [timed(8, 10, { good: 12, scrap: 1, note: 'short of wire' })],
    ['work-start 8', 'work-stop 10', 'count 10: 12+1', 'note 10: short of wire'],
    'pieces and a note stand where the work ends',
  ],
  [
    '',
    [row({ good: 4, note: 'by hand' })],
    ['hours 5400', 'count 23.9997: 4+0', 'note 23.9997: by hand'],
    'those of a length at the end of its day: nobody has said when',
  ],
  [
    '',
    [timed(8, 10), timed(10, 12, { target: target('b') }), row()],
    ['work-start 8', 'work-start 10', 'work-stop 12', 'hours 5400'],
    'one that goes on where the other ends needs no stop between',
  ],
  ['work-start 8 a, work-stop 10', [row(), timed(9, 11)], ['edit.overlap', 'rows[1].from'], 'over a scan'],
  ['', [timed(8, 10), row(), timed(9, 11)], ['edit.overlap', 'rows[2].from'], 'over another row'],
  ['', [timed(39, 41)], ['edit.future', 'rows[0].to'], 'an end that has not come'],
  ['', [timed(1, 30)], ['edit.too_long', 'rows[0].to'], 'longer than a stint can be'],
])('%#: on “%s”', (words, rows, expected) => expect(plan(words, rows)).toEqual(expected));

test('a row over midnight lies on both days, and its parts add up to it', () => {
  const parts = dayParts(timed(22, 26), facts.zone);
  expect(parts.map(({ day, seconds }) => [day, seconds])).toEqual([
    [facts.zone.dayAt(clock(22)), 7200],
    [toDay(facts.zone.dayAt(clock(22)) + 1), 7200],
  ]);
});

test('whatever is on paper is charged to the second, and nothing else of anybody is touched', () => {
  const anyRow = fc
    .record({
      from: fc.integer({ min: 0, max: 30 }),
      length: fc.integer({ min: 1, max: 6 }),
      name: fc.constantFrom('a', 'b', 'c'),
      isTimed: fc.boolean(),
    })
    .map(({ from, length, name, isTimed }) =>
      isTimed
        ? timed(from, from + length, { target: target(name) })
        : row({ target: target(name), seconds: toSeconds(length * 600) }),
    );
  const total = (ledger: ReturnType<typeof deriveLedger>) =>
    ledger.lines.reduce((sum, { seconds }) => sum + seconds, 0);
  fc.assert(
    fc.property(anyEntries, fc.array(anyRow, { minLength: 1, maxLength: 4 }), (entries, rows) => {
      const asOf = clock(8 * 24);
      const planned = planSlips(rows, groundOf(entries, asOf));
      if (!planned.ok) return;
      const added = planned.value.map((change, i) => ({ ...change, id: entryId(`p${i}`) }) as Entry);
      const [before, after] = [entries, [...entries, ...added]].map((all) => deriveLedger(all, facts, asOf));
      if (!before || !after) throw new Error('no ledger');
      const written = rows.reduce((sum, { seconds }) => sum + seconds, 0);
      expect(total(after) - total(before)).toBe(written);
      expect(after.shifts).toEqual(before.shifts);
    }),
    { numRuns: 500 },
  );
});
