import fc from 'fast-check';
import { deriveLedger } from '../ledger/derive.ts';
import { effectiveEntries } from '../ledger/effective.ts';
import type { Entry } from '../ledger/entries.ts';
import type { Stint } from '../ledger/stint.ts';
import { TARGETS, TECHNICIANS, anyEntries, clock, entryId, factsWith } from '../ledger/shop.fixture.ts';
import type { TechnicianId } from '../people/costRate.ts';
import { subtract } from '../time/span.ts';
import { toInstant } from '../time/instant.ts';
import type { Instant } from '../time/instant.ts';
import type { Span } from '../time/span.ts';
import { planEdit } from './planEdit.ts';
import { joinStretches, looksSame } from './timeline.ts';
import { undoOf } from '../loose-ends/undo.ts';
import type { Change } from '../loose-ends/likelyAnswers.ts';
import type { TapeEdit, TapeGround, TapePiece, TimedEntry } from './tapeEdit.ts';

const RUNS = { numRuns: 1500 };
const facts = factsWith();

const groundOf = (journal: readonly Entry[], asOf: Instant): TapeGround => ({
  entries: effectiveEntries(journal).filter((entry): entry is TimedEntry => entry.type !== 'hours'),
  states: new Map(),
  facts,
  asOf,
  closedUntil: null,
  closedTargets: new Set(),
});
const withIds = (changes: readonly Change[], name: string): Entry[] =>
  changes.map((change, i) => ({ ...change, id: entryId(`${name}${i}`) }) as Entry);
const pieceOf = ({ technician, from, to, running, open, capped }: Stint): TapePiece => ({
  technician,
  from,
  to: open && !capped ? null : to,
  running,
});

/** What a person draws: numbers that stand for a block, an edge, another piece of work, another person. */
type Hand = {
  readonly kind: 'begin' | 'end' | 'work' | 'split' | 'delete' | 'hand' | 'add' | 'move';
  readonly block: number;
  readonly shift: number;
  readonly target: number;
};
const anyHand: fc.Arbitrary<Hand> = fc.record({
  kind: fc.constantFrom('begin', 'end', 'work', 'split', 'delete', 'hand', 'add', 'move'),
  block: fc.nat(40),
  shift: fc.integer({ min: -120, max: 120 }).map((minutes) => minutes * 60),
  target: fc.nat(4),
});

/** The edit that a hand draws on these stints; absent where there is nothing to take hold of. */
function draw({ kind, block: place, shift, target }: Hand, stints: readonly Stint[], asOf: Instant) {
  const stint = stints[place % Math.max(1, stints.length)];
  if (!stint) return undefined;
  const block = pieceOf(stint);
  const work = [{ target: TARGETS[target] as never, workType: shift > 0 ? 'run' : 'rework' } as const];
  const at = (instant: number) => toInstant(Math.min(instant, asOf));
  const middle = at(stint.from + Math.max(1, Math.floor((stint.to - stint.from) / 2)));
  const other = TECHNICIANS.find((each) => each !== stint.technician) as TechnicianId;
  const edits: Record<Hand['kind'], TapeEdit> = {
    begin: { block, becomes: [{ ...block, from: at(block.from + shift) }] },
    end: { block, becomes: [{ ...block, to: at((block.to ?? asOf) + shift) }] },
    work: { block, becomes: [{ ...block, running: work }] },
    split: {
      block,
      becomes: [
        { ...block, to: middle },
        { ...block, from: middle, running: work },
      ],
    },
    delete: { block, becomes: [] },
    hand: { block, becomes: [{ ...block, technician: other }] },
    add: {
      block: null,
      becomes: [
        {
          technician: block.technician,
          from: stint.to,
          to: at(stint.to + Math.abs(shift) + 60),
          running: work,
        },
      ],
    },
    move: {
      block,
      becomes: [
        { ...block, from: at(block.from + shift), to: at((block.to ?? asOf) + shift), running: work },
      ],
    },
  };
  return edits[kind];
}

/** Everything around an edit, whether it can be made or not. */
const anyEdit = fc
  .tuple(anyEntries, anyHand, fc.integer({ min: 1, max: 8 * 24 }))
  .map(([journal, hand, hour]) => {
    const asOf = clock(hour);
    const before = deriveLedger(journal, facts, asOf);
    const edit = draw(hand, before.stints, asOf);
    return { journal, asOf, before, edit, hand };
  });
type Drawn = ReturnType<(typeof anyEdit)['generate']>['value'];
const made = ({ journal, asOf, edit }: Drawn) => {
  const planned = edit && planEdit(edit, groundOf(journal, asOf));
  return planned?.ok ? planned.value : undefined;
};

/** A person's tape without some spans. */
const outside = (stints: readonly Stint[], technician: TechnicianId, spans: readonly Span[]) =>
  joinStretches(
    stints
      .filter((stint) => stint.technician === technician)
      .flatMap(({ from, to, running }) =>
        subtract([{ from, to }], spans).map((part) => ({ ...part, running })),
      ),
  );
const touched = ({ block, becomes }: TapeEdit, technician: TechnicianId, asOf: Instant): Span[] =>
  [block, ...becomes]
    .flatMap((piece) =>
      piece?.technician === technician ? [{ from: piece.from, to: piece.to ?? asOf }] : [],
    )
    .sort((a, b) => a.from - b.from);

test('every second outside a block’s old and new span, and of other people, is as before', () => {
  fc.assert(
    fc.property(anyEdit, (drawn) => {
      const changes = made(drawn);
      if (!changes || !drawn.edit) return;
      const { journal, asOf, before, edit } = drawn;
      const after = deriveLedger([...journal, ...withIds(changes, 'x')], facts, asOf);
      for (const technician of TECHNICIANS) {
        const spans = touched(edit, technician, asOf);
        expect(outside(after.stints, technician, spans)).toEqual(outside(before.stints, technician, spans));
      }
      // Whose comes first is nobody's business: an edit can make somebody the first of whom anything is said.
      for (const technician of TECHNICIANS) {
        const own = (spans: readonly (Span & { readonly technician: TechnicianId })[]) =>
          spans.filter((span) => span.technician === technician).map(({ from, to }) => [from, to]);
        expect([after.shifts, after.breaks].map(own)).toEqual([before.shifts, before.breaks].map(own));
      }
      for (const { technician, from, to, running } of edit.becomes)
        expect(
          after.stints.some(
            (stint) =>
              stint.technician === technician &&
              stint.from <= from &&
              stint.to >= Math.min(to ?? asOf, stint.to) &&
              looksSame(stint.running, running),
          ),
        ).toBe(true);
    }),
    RUNS,
  );
});

test('undoing an edit gives the ledger there was', () => {
  fc.assert(
    fc.property(anyEdit, (drawn) => {
      const changes = made(drawn);
      if (!changes) return;
      const { journal, asOf, before } = drawn;
      const recorded = withIds(changes, 'x');
      const undo = undoOf(recorded, (id) => effectiveEntries(journal).find((entry) => entry.id === id));
      expect(deriveLedger([...journal, ...recorded, ...withIds(undo, 'y')], facts, asOf)).toEqual(before);
    }),
    { ...RUNS, numRuns: 500 },
  );
});

test('any sequence of edits and their undoing, last first, gives the ledger it began with', () => {
  fc.assert(
    fc.property(anyEntries, fc.array(anyHand, { minLength: 2, maxLength: 5 }), (first, hands) => {
      const asOf = clock(100);
      let journal: readonly Entry[] = first;
      const undos: (readonly Change[])[] = [];
      for (const [i, hand] of hands.entries()) {
        const edit = draw(hand, deriveLedger(journal, facts, asOf).stints, asOf);
        const planned = edit && planEdit(edit, groundOf(journal, asOf));
        if (!planned?.ok) continue;
        const recorded = withIds(planned.value, `x${i}-`);
        const counting = effectiveEntries(journal);
        undos.unshift(undoOf(recorded, (id) => counting.find((entry) => entry.id === id)));
        journal = [...journal, ...recorded];
      }
      undos.forEach((undo, i) => (journal = [...journal, ...withIds(undo, `y${i}-`)]));
      expect(deriveLedger(journal, facts, asOf)).toEqual(deriveLedger(first, facts, asOf));
    }),
    { ...RUNS, numRuns: 300 },
  );
});

/** The same shop with rules that cut nothing. */
const lax = factsWith({ maxStintHours: 10_000, maxShiftHours: 10_000 });

test('what lies free can be drawn, but for what a rule cuts', () => {
  let possible = 0;
  fc.assert(
    fc.property(anyEdit, ({ journal, asOf, edit }) => {
      const planned = edit && planEdit(edit, groundOf(journal, asOf));
      if (planned?.ok) possible += 1;
      if (!edit || planned?.ok !== false || planned.code !== 'edit.not_possible') return;
      // With rules that cut nothing it can be drawn, or there is no such block.
      const free = planEdit(edit, { ...groundOf(journal, asOf), facts: lax });
      expect(free.ok ? 'drawn' : free.code).not.toBe('edit.not_possible');
    }),
    RUNS,
  );
  expect(possible).toBeGreaterThan(400);
});
