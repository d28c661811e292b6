import fc from 'fast-check';
import { overlapSeconds } from '../time/span.ts';
import { deriveLedger, foldEntries } from './derive.ts';
import { effectiveEntries, inOrderOfTime, undoOfAmend } from './effective.ts';
import type { Entry, HoursEntry, LaborEntry } from './entries.ts';
import { AT_REST, settleAt } from './fold.ts';
import type { LaborState } from './fold.ts';
import {
  THE_END,
  TECHNICIANS,
  anyCorrectionOf,
  anyEntries,
  anyJournal,
  clock,
  entryId,
  factsWith,
} from './shop.fixture.ts';

const RUNS = { numRuns: 400 };
const facts = factsWith();
const derive = (journal: readonly Entry[]) => deriveLedger(journal, facts, THE_END);
const sum = (items: readonly { readonly seconds: number }[]) =>
  items.reduce((total, { seconds }) => total + seconds, 0);

test('per technician the seconds of lines equal the seconds of stints and entered hours', () => {
  fc.assert(
    fc.property(anyJournal, (journal) => {
      const ledger = derive(journal);
      const hours = effectiveEntries(journal).filter((entry): entry is HoursEntry => entry.type === 'hours');
      for (const technician of TECHNICIANS) {
        const own = <T extends { technician?: unknown }>(items: readonly T[]) =>
          items.filter((item) => item.technician === technician);
        const stints = own(ledger.stints).map(({ from, to }) => ({ seconds: to - from }));
        expect(sum(own(ledger.lines))).toBe(sum(stints) + sum(own(hours)));
      }
    }),
    RUNS,
  );
});

test('no time is negative, and no two stints of one person overlap', () => {
  fc.assert(
    fc.property(anyJournal, (journal) => {
      const { stints, lines, attendance } = derive(journal);
      for (const stint of stints) expect(stint.to).toBeGreaterThan(stint.from);
      for (const [i, a] of stints.entries())
        for (const b of stints.slice(i + 1))
          if (a.technician === b.technician) expect(overlapSeconds(a, b)).toBe(0);
      for (const line of lines) expect(line.seconds).toBeGreaterThan(0);
      for (const { attendedSeconds, insideSeconds } of attendance)
        expect(insideSeconds).toBeLessThanOrEqual(attendedSeconds);
    }),
    RUNS,
  );
});

test('measured, shared and entered seconds of a line add up to it', () => {
  fc.assert(
    fc.property(anyJournal, (journal) => {
      for (const line of derive(journal).lines)
        expect(line.measuredSeconds + line.sharedSeconds + line.enteredSeconds).toBe(line.seconds);
    }),
    RUNS,
  );
});

test('undoing any correction gives the ledger there was', () => {
  const withCorrection = anyEntries
    .filter((entries) => entries.length > 0)
    .chain((entries) => fc.tuple(fc.constant(entries), anyCorrectionOf(entries)));
  fc.assert(
    fc.property(withCorrection, ([entries, correction]) => {
      const before = entries.find(({ id }) => id === correction.target) as LaborEntry;
      const undo: Entry =
        correction.type === 'amend'
          ? { id: entryId('u'), type: 'amend', target: before.id, set: undoOfAmend(before, correction.set) }
          : { id: entryId('u'), type: 'restore', target: before.id };
      expect(derive([...entries, correction, undo])).toEqual(derive(entries));
    }),
    RUNS,
  );
});

test('voiding an added entry gives the ledger without it', () => {
  fc.assert(
    fc.property(
      anyEntries.filter((entries) => entries.length > 0),
      (entries) => {
        const last = entries.at(-1) as LaborEntry;
        const voided: Entry = { id: entryId('v'), type: 'void', target: last.id };
        expect(derive([...entries, voided])).toEqual(derive(entries.slice(0, -1)));
      },
    ),
    RUNS,
  );
});

test('deriving from the middle, from stored state, gives what deriving from the start gives', () => {
  fc.assert(
    fc.property(anyEntries, fc.nat(60), (entries, cut) => {
      for (const technician of TECHNICIANS) {
        const timed = inOrderOfTime(
          entries.filter(
            (entry): entry is Exclude<LaborEntry, HoursEntry> =>
              entry.technician === technician && entry.type !== 'hours',
          ),
        );
        const whole = foldEntries(technician, AT_REST, timed, facts);
        const first = foldEntries(technician, AT_REST, timed.slice(0, cut), facts);
        const stored = JSON.parse(JSON.stringify(first.state)) as LaborState;
        const rest = foldEntries(technician, stored, timed.slice(cut), facts);
        expect(rest.state).toEqual(whole.state);
        expect([...first.timeline.stints, ...rest.timeline.stints]).toEqual(whole.timeline.stints);
        expect([...first.timeline.looseEnds, ...rest.timeline.looseEnds]).toEqual(whole.timeline.looseEnds);
      }
    }),
    RUNS,
  );
});

test('the order of recording matters only among entries of the same instant', () => {
  const apart = anyEntries.map((entries) => {
    const seen = new Set<number>();
    return entries.filter((entry) => !('at' in entry) || (!seen.has(entry.at) && seen.add(entry.at)));
  });
  fc.assert(
    fc.property(apart, (entries) => {
      const sorted = <T>(items: readonly T[]) => items.map((item) => JSON.stringify(item)).sort();
      const reversed = derive([...entries].reverse());
      const straight = derive(entries);
      expect(sorted(reversed.stints)).toEqual(sorted(straight.stints));
      expect(sorted(reversed.lines)).toEqual(sorted(straight.lines));
    }),
    RUNS,
  );
});

test('looking at the ledger changes nothing: a state settled at an instant goes on as if nobody had looked', () => {
  fc.assert(
    fc.property(anyEntries, (entries) => {
      const timed = inOrderOfTime(
        entries.filter((entry): entry is Exclude<LaborEntry, HoursEntry> => entry.type !== 'hours'),
      );
      for (const technician of TECHNICIANS) {
        const own = timed.filter((entry) => entry.technician === technician);
        const { state } = foldEntries(technician, AT_REST, own, facts);
        const copy = JSON.stringify(state);
        settleAt(technician, state, clock(500), facts.policy);
        expect(JSON.stringify(state)).toBe(copy);
      }
    }),
    RUNS,
  );
});

test('deriving leaves the journal as it was recorded', () => {
  fc.assert(
    fc.property(anyJournal, (journal) => {
      const before = JSON.stringify(journal);
      derive(journal);
      expect(JSON.stringify(journal)).toBe(before);
    }),
    { ...RUNS, numRuns: 50 },
  );
});
