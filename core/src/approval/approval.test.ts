import fc from 'fast-check';
import type { ShiftLine } from '../ledger/shiftLines.ts';
import { clock, target, technician, zone } from '../ledger/shop.fixture.ts';
import { toCents } from '../money/money.ts';
import { sumSeconds, toSeconds } from '../time/seconds.ts';
import { approvalFacts, approvalState, awaitsApproval, isException } from './approval.ts';
import type { SeenDay } from './approval.ts';

const day = zone.dayAt(clock(8));
const line = (name: string, seconds: number, cost: number | null): ShiftLine => ({
  technician: technician('ada'),
  shiftDay: day,
  day,
  target: target(name),
  workType: 'run',
  seconds: toSeconds(seconds),
  cost: cost === null ? null : toCents(cost),
});
const seen = approvalFacts([line('a', 3600, 3000), line('b', 600, null)], 4200);

test.each<[what: string, facts: string, state: string]>([
  [
    'the same lines in another order',
    approvalFacts([line('b', 600, null), line('a', 3600, 3000)], 4200),
    'approved',
  ],
  ['a second more', approvalFacts([line('a', 3601, 3000), line('b', 600, null)], 4200), 'changed'],
  ['a cent more', approvalFacts([line('a', 3600, 3001), line('b', 600, null)], 4200), 'changed'],
  [
    'a rate where there was none',
    approvalFacts([line('a', 3600, 3000), line('b', 600, 500)], 4200),
    'changed',
  ],
  ['another task', approvalFacts([line('c', 3600, 3000), line('b', 600, null)], 4200), 'changed'],
  ['longer there', approvalFacts([line('a', 3600, 3000), line('b', 600, null)], 4201), 'changed'],
])('an approval that meets %s is %s', (_what, facts, state) => {
  expect(approvalState(seen, facts)).toBe(state);
  expect(approvalState(undefined, facts)).toBe('open');
});

const plain: SeenDay = {
  state: 'open',
  isOpen: false,
  looseEnds: 0,
  attendedSeconds: 28_800,
  chargedSeconds: 28_800,
};
test.each<[what: string, more: Partial<SeenDay>, waits: boolean, isLookedAt: boolean]>([
  ['as planned', {}, true, false],
  ['with a loose end', { looseEnds: 1 }, true, true],
  ['changed since it was approved', { state: 'changed' }, true, true],
  ['with more charged than attended', { chargedSeconds: 28_801 }, true, true],
  ['with less charged than attended', { chargedSeconds: 28_000 }, true, false],
  ['approved, whatever else', { state: 'approved', looseEnds: 2, chargedSeconds: 40_000 }, false, false],
  ['that still goes on', { isOpen: true, looseEnds: 1 }, false, false],
])('a day %s waits for approval: %s', (_what, more, waits, isLookedAt) => {
  const shown = { ...plain, ...more };
  expect([awaitsApproval(shown), isException(shown)]).toEqual([waits, isLookedAt]);
});

test('what somebody must look at always waits for approval', () => {
  const anyDay = fc.record({
    state: fc.constantFrom('open' as const, 'approved' as const, 'changed' as const),
    isOpen: fc.boolean(),
    looseEnds: fc.nat(3),
    attendedSeconds: fc.nat(90_000),
    chargedSeconds: fc.nat(90_000),
  });
  fc.assert(fc.property(anyDay, (each) => !isException(each) || awaitsApproval(each)));
});

test('seconds of several things are their sum, and what has none adds none', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(100_000)), fc.array(fc.nat(100_000)), (some, others) => {
      const of = (list: readonly number[]) => sumSeconds(list.map((seconds) => ({ seconds })));
      expect(of([...some, ...others])).toBe(of(some) + of(others));
    }),
  );
  expect(sumSeconds([{ seconds: 5 }, { seconds: null }, {}])).toBe(5);
});
