import fc from 'fast-check';
import { DEFAULT_POLICY } from '../ledger/facts.ts';
import { deriveLedger } from '../ledger/derive.ts';
import { effectiveEntries, inOrderOfTime } from '../ledger/effective.ts';
import type { Entry, EntryId, LaborEntry } from '../ledger/entries.ts';
import type { LooseEnd } from '../ledger/looseEnd.ts';
import { THE_END, anyEntries, clock, entryId, factsWith } from '../ledger/shop.fixture.ts';
import { toInstant } from '../time/instant.ts';
import type { Instant } from '../time/instant.ts';
import { looseEndFacts, looseEndKey, withoutAccepted } from './accepted.ts';
import { journal, say } from './journal.fixture.ts';
import { findLikelyAnswers } from './likelyAnswers.ts';
import type { Change, Surroundings } from './likelyAnswers.ts';
import { undoOf } from './undo.ts';

const facts = factsWith();
const nobody: Omit<Surroundings, 'own' | 'stints'> = {
  policy: DEFAULT_POLICY,
  proposed: null,
  plannedStart: null,
  plannedEnd: null,
  plannedBreakSeconds: null,
  lastOnTask: null,
  doneAt: null,
};

const derive = (entries: readonly Entry[], asOf = clock(40)) => deriveLedger(entries, facts, asOf);
const around = (
  entries: readonly Entry[],
  asOf?: Instant,
  more: Partial<Surroundings> = {},
): Surroundings => ({
  ...nobody,
  ...more,
  own: inOrderOfTime(
    effectiveEntries(entries).filter(
      (entry): entry is Exclude<LaborEntry, { type: 'hours' }> => entry.type !== 'hours',
    ),
  ),
  stints: derive(entries, asOf).stints,
});
/** When a loose end's task was last said to be finished before it. */
const doneAt = (entries: readonly Entry[], { target: task, from }: LooseEnd): Instant | null =>
  inOrderOfTime(
    effectiveEntries(entries).flatMap((entry) =>
      entry.type === 'task-done' && task && entry.targets.includes(task) && entry.at <= (from ?? 0)
        ? [entry]
        : [],
    ),
  ).at(-1)?.at ?? null;
const withIds = (changes: readonly Change[], name = 'x'): Entry[] =>
  changes.map((change, i) => ({ ...change, id: entryId(`${name}${i}`) }) as Entry);
const isSame = (a: LooseEnd) => (b: LooseEnd) =>
  a.kind === b.kind && a.technician === b.technician && a.target === b.target && a.from === b.from;
describe('likely answers', () => {
  test.each<
    [words: string, kind: string, known: Partial<Surroundings>, answers: readonly string[], why: string]
  >([
    [
      'shift-in 7, work-start 8 a',
      'forgotten-stop',
      { plannedEnd: clock(15), proposed: clock(16) },
      ['own-word: work-stop 16', 'planned-end: work-stop 15'],
      'a stop is added, their own word first',
    ],
    [
      'work-start 8 a, work-stop 30',
      'forgotten-stop',
      { plannedEnd: clock(15) },
      ['planned-end: amend e2 15'],
      'or the one that came too late is moved',
    ],
    ['work-start 8 a', 'forgotten-stop', { plannedEnd: clock(7) }, [], 'never before the start'],
    [
      'shift-in 7, work-start 8 a, work-stop 14',
      'forgotten-shift-out',
      { plannedEnd: clock(15) },
      ['planned-end: shift-out 15', 'last-scan: shift-out 14.0003'],
      'a shift end after their last scan',
    ],
    [
      'shift-in 7, work-start 8 a, work-stop 16',
      'forgotten-shift-out',
      { plannedEnd: clock(15) },
      ['last-scan: shift-out 16.0003'],
      'not before something that they scanned',
    ],
    [
      'shift-in 7, work-start 7 a, work-stop 9, work-start 10 b, shift-out 12',
      'gap',
      {},
      ['as-before: work-start 9', 'as-after: amend e4 9', 'was-break: break-start 9'],
      'a gap is what came before, what came after, or a break',
    ],
    [
      'shift-in 7, work-start 7 a, task-done 9 a, work-start 10 b, shift-out 12',
      'gap',
      {},
      ['as-after: amend e4 9', 'was-break: break-start 9', 'as-before: work-start 9'],
      'work that was finished has hardly gone on',
    ],
    [
      'work-start 8 a, shift-out 12',
      'shift-out-without-in',
      { plannedStart: clock(7) },
      ['planned-start: shift-in 7', 'first-work: shift-in 8', 'not-so: void e2'],
      'a shift in that was forgotten',
    ],
    [
      'shift-in 0, shift-out 16.5',
      'shift-out-without-in',
      { plannedStart: clock(8) },
      ['not-so: void e2'],
      'no shift begins while another goes on, though the rule has ended it since',
    ],
    [
      'shift-in 7, work-start 7 a, work-stop 15, shift-in 20, shift-out 22',
      'double-shift-in',
      { plannedEnd: clock(15.5) },
      ['not-so: void e4', 'planned-end: shift-out 15.5', 'last-work: shift-out 15'],
      'a shift out that was forgotten, or one scan too many',
    ],
    ['work-stop 9', 'stop-without-start', {}, ['not-so: void e1'], 'a stop of nothing'],
    [
      'break-start 9, break-end 12',
      'long-break',
      { plannedBreakSeconds: 1800 },
      ['planned-break: amend e2 9.5'],
      'a break whose end was forgotten',
    ],
    [
      'task-done 8 a, work-start 9 a, work-stop 10',
      'after-done',
      {},
      ['take-up: task-reopen 8.9997'],
      'a task that was taken up again',
    ],
  ])('%s, %s: %j gives %j (%s)', (words, kind, known, answers) => {
    const entries = journal(words);
    const end = derive(entries).looseEnds.find((each) => each.kind === kind);
    if (!end) throw new Error(`no ${kind}`);
    const found = findLikelyAnswers(
      end,
      around(entries, undefined, { doneAt: doneAt(entries, end), ...known }),
    );
    expect(found.map(({ reason, changes }) => `${reason}: ${say(changes[0] as Change)}`)).toEqual(answers);
  });

  const anyKnown = fc.record({
    plannedEnd: fc.integer({ min: 0, max: 8 * 24 }).map((hour) => clock(hour)),
    plannedStart: fc.integer({ min: 0, max: 8 * 24 }).map((hour) => clock(hour)),
    proposed: fc.integer({ min: 0, max: 8 * 24 * 60 }).map((minute) => toInstant(clock(0) + minute * 60)),
  });

  test('an answer answers: whatever the journal, the loose end is gone once it is taken', () => {
    fc.assert(
      fc.property(anyEntries, anyKnown, (entries, known) => {
        const { looseEnds } = derive(entries, THE_END);
        for (const end of looseEnds) {
          const own = entries.filter((entry) => entry.technician === end.technician);
          const offered = findLikelyAnswers(end, {
            ...around(own, THE_END, { ...known, plannedBreakSeconds: 1800, doneAt: doneAt(entries, end) }),
          });
          for (const { changes } of offered) {
            const after = derive([...entries, ...withIds(changes)], THE_END).looseEnds;
            // Of those that are alike to the second one is gone, or more of them: a task is taken up again once for all.
            const alike = looseEnds.filter(isSame(end)).length;
            expect(after.filter(isSame(end)).length).toBeLessThan(alike);
          }
        }
      }),
      { numRuns: 300 },
    );
  });

  test('an answer touches nobody else', () => {
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const before = derive(entries, THE_END);
        for (const end of before.looseEnds) {
          const own = entries.filter((entry) => entry.technician === end.technician);
          for (const { changes } of findLikelyAnswers(end, around(own, THE_END))) {
            const after = derive([...entries, ...withIds(changes)], THE_END);
            const others = (ledger: typeof after) =>
              ledger.stints.filter((stint) => stint.technician !== end.technician);
            expect(others(after)).toEqual(others(before));
          }
        }
      }),
      { numRuns: 100 },
    );
  });
});

test('an answer and its undoing give the ledger that there was', () => {
  fc.assert(
    fc.property(anyEntries, (entries) => {
      const before = derive(entries, THE_END);
      for (const end of before.looseEnds.slice(0, 4)) {
        const own = entries.filter((entry) => entry.technician === end.technician);
        for (const { changes } of findLikelyAnswers(end, around(own, THE_END))) {
          const made = withIds(changes);
          const find = (id: EntryId) => entries.find((entry) => entry.id === id);
          const undone = [...entries, ...made, ...withIds(undoOf(made, find), 'u')];
          expect(derive(undone, THE_END)).toEqual(before);
        }
      }
    }),
    { numRuns: 150 },
  );
});

describe('a loose end that was accepted as it is', () => {
  const ends = (words: string) => derive(journal(words)).looseEnds.filter(({ kind }) => kind === 'gap');
  const GAP = 'shift-in 7, work-start 7 a, work-stop 9, work-start 10 b, shift-out 12';
  const accepted = new Map(ends(GAP).map((end) => [looseEndKey(end), looseEndFacts(end)]));

  test('is open no longer', () => {
    expect(ends(GAP)).toHaveLength(1);
    expect(withoutAccepted(ends(GAP), accepted)).toEqual([]);
  });

  test('returns when its facts change, and leaves others open', () => {
    const longer = 'shift-in 7, work-start 7 a, work-stop 9, work-start 11 b, shift-out 12';
    expect(withoutAccepted(ends(longer), accepted)).toHaveLength(1);
    const another = `${GAP.replace('shift-out 12', 'work-stop 11')}, work-start 11.5 a, shift-out 12`;
    expect(withoutAccepted(ends(another), accepted)).toHaveLength(1);
  });
});
