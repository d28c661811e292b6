import fc from 'fast-check';
import { toSeconds } from '../time/seconds.ts';
import { ORDER_STATES, checkMove } from './orderState.ts';
import { chooseSteps, fitJob, isMeantFor } from './standard.ts';
import { findChanges, mergeChanges } from './changes.ts';
import { nextOrderNumber } from './orderNumber.ts';
import { splitHoursOf } from './splitTask.ts';
import type { OrderState } from './orderState.ts';
import type { StandardId, StandardScope } from './standard.ts';

test.each<[OrderState, OrderState, number, string]>([
  ['draft', 'released', 1, 'ok'],
  ['draft', 'released', 0, 'order.no_tasks'],
  ['accepted', 'released', 0, 'order.no_tasks'],
  ['draft', 'accepted', 0, 'ok'],
  ['released', 'on-hold', 1, 'ok'],
  ['on-hold', 'released', 1, 'ok'],
  ['released', 'closed', 1, 'order.no_such_move'],
  ['closed', 'released', 1, 'order.no_such_move'],
  ['closed', 'finished', 1, 'ok'],
  ['released', 'draft', 1, 'order.no_such_move'],
])('an order may go from %s to %s with %i tasks: %s', (state, to, taskCount, expected) => {
  const moved = checkMove({ state, taskCount }, to);
  expect(moved.ok ? 'ok' : moved.code).toBe(expected);
});

const REACHED: Partial<Record<OrderState, number>> = { asked: 8, offered: 9, lost: 8, draft: 6, accepted: 6 };
test('from every state every other can be reached, so no order is stuck', () => {
  for (const start of ORDER_STATES) {
    const reached = new Set<OrderState>([start]);
    for (const state of reached)
      for (const to of ORDER_STATES) if (checkMove({ state, taskCount: 1 }, to).ok) reached.add(to);
    // An offer is made as one: by hand nothing comes to it.
    expect([start, reached.size]).toEqual([start, REACHED[start] ?? 4]);
  }
});

test.each([
  [{ prefix: '', digits: 1, first: 1 }, [], '1', 'the first order'],
  [{ prefix: 'W', digits: 5, first: 100 }, [], 'W00100', 'the first of a scheme'],
  [
    { prefix: 'W', digits: 5, first: 1 },
    ['W00007', 'W00012', 'X00099'],
    'W00013',
    'after the highest of its kind',
  ],
  [{ prefix: '', digits: 1, first: 1 }, ['24105', '24099', 'A1'], '24106', 'plain numbers'],
  [{ prefix: 'W', digits: 2, first: 1 }, ['W99'], 'W100', 'more digits when they run out'],
])('%o after %j is %s: %s', (scheme, taken, next) => expect(nextOrderNumber(scheme, taken)).toBe(next));

test.each([
  [7200, 3600, ['1.00', '1.00'], 'half done'],
  [7200, 0, ['0.00', '2.00'], 'not begun'],
  [7200, 9000, ['2.00', '0.00'], 'over: nothing is left for the second part'],
  [7200, 1, ['0.01', '1.99'], 'a second used is rounded up'],
])('%i s with %i s used is split into %j: %s', (estimated, used, parts) =>
  expect(splitHoursOf(toSeconds(estimated), toSeconds(used))).toEqual(parts),
);

test('both parts of a split always add up to the estimate', () =>
  fc.assert(
    fc.property(fc.nat(36_000_000), fc.nat(36_000_000), (estimated, used) => {
      const [first, second] = splitHoursOf(toSeconds(estimated), toSeconds(used)).map((text) =>
        Math.round(Number(text) * 100),
      );
      expect((first ?? 0) + (second ?? 0)).toBe(Math.round(estimated / 36));
      expect(Math.min(first ?? -1, second ?? -1)).toBeGreaterThanOrEqual(0);
    }),
  ));

test.each<[StandardScope, boolean, string]>([
  [{ kind: 'general' }, true, 'for everything'],
  [{ kind: 'customer', name: 'aker dairy ' }, true, 'blind to case and space'],
  [{ kind: 'customer', name: 'Sund Fish' }, false, 'somebody else'],
  [{ kind: 'unitType', name: 'Pump motor' }, true, 'the type of the unit'],
  [{ kind: 'item', name: 'Pump motor' }, false, 'an item is not a unit type'],
])('%j fits: %s, %s', (scope, fits) =>
  expect(isMeantFor(scope, { item: 'D-132', unitType: 'Pump motor', customer: 'Aker Dairy' })).toBe(fits),
);

test('an order takes the required steps and the optional ones that were chosen, in their order', () => {
  const steps = ['a', 'b', 'c', 'd'].map((task, i) => ({
    task: task as StandardId,
    isRequired: i % 2 === 0,
  }));
  expect(chooseSteps(steps, new Set(['d' as StandardId])).map(({ task }) => task)).toEqual(['a', 'c', 'd']);
});

test('changes name each field with before and after', () =>
  expect(findChanges({ Due: '1', Notes: 'x', Gone: 'y' }, { Due: '2', Notes: 'x', New: 'z' })).toEqual([
    { field: 'Due', before: '1', after: '2' },
    { field: 'New', before: '', after: 'z' },
    { field: 'Gone', before: 'y', after: '' },
  ]));

type Fields = Readonly<Record<string, string>>;
test.each<[base: Fields, mine: Fields, theirs: Fields, conflicts: string[], only: string[], why: string]>([
  [{ a: '1' }, { a: '2' }, { a: '3' }, ['a'], [], 'both changed it'],
  [{ a: '1' }, { a: '2' }, { a: '2' }, [], [], 'both to the same'],
  [{ a: '1', b: '1' }, { a: '2', b: '1' }, { a: '1', b: '3' }, [], ['b'], 'each another field'],
])('%j, mine %j, theirs %j: conflicts %j, theirs only %j, %s', (base, mine, theirs, conflicts, only) => {
  const merged = mergeChanges(base, mine, theirs);
  expect(merged.conflicts.map(({ field }) => field)).toEqual(conflicts);
  expect(merged.theirsOnly.map(({ field }) => field)).toEqual(only);
});

const FAN: StandardScope = { kind: 'unitType', name: 'Fan' };
test.each<
  [scopes: Record<string, StandardScope>, of: StandardScope, fits: boolean, steps: string[], why: string]
>([
  [{}, { kind: 'general' }, true, ['a', 'b'], 'meant for everything'],
  [{ a: FAN, b: FAN }, FAN, true, ['a', 'b'], 'all of it meant for a fan'],
  [{ a: { kind: 'unitType', name: 'Pump' } }, FAN, false, ['b'], 'what it requires is meant for a pump'],
  [{ b: { kind: 'unitType', name: 'Pump' } }, FAN, true, ['a'], 'only what is optional is'],
  [{}, { kind: 'customer', name: 'Port of Vik' }, false, ['a', 'b'], 'the job itself is another customer’s'],
])(
  'a job of steps meant for %j, itself for %j, fits an order of a fan: %j, with %j (%s)',
  (scopes, scope, fits, own, _why) => {
    const steps = [
      { task: 'a' as StandardId, isRequired: true },
      { task: 'b' as StandardId, isRequired: false },
    ];
    const fit = fitJob({ scope, steps }, (id) => scopes[id], {
      item: '',
      unitType: 'Fan',
      customer: 'Aker Dairy',
    });
    expect([fit.fits, fit.steps.map(({ task }) => task)]).toEqual([fits, own]);
  },
);
