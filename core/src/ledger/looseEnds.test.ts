import { dated } from '../time/dated.ts';
import { toInstant } from '../time/instant.ts';
import { toSeconds } from '../time/seconds.ts';
import { deriveLedger } from './derive.ts';
import type { Entry } from './entries.ts';
import { isClockAhead } from './looseEnd.ts';
import type { TargetFacts } from './facts.ts';
import { clock, entryId, factsWith, target, technician } from './shop.fixture.ts';

const ada = technician('ada');
let count = 0;
const make = (type: string, at: number, more: Record<string, unknown> = {}) =>
  ({ id: entryId(`e${(count += 1)}`), type, at: toInstant(at), technician: ada, ...more }) as Entry;
const start = (at: number, ...targets: string[]) => make('work-start', at, { targets: targets.map(target) });
const kindsOf = (journal: readonly Entry[], asOf = clock(48), facts = factsWith()) =>
  deriveLedger(journal, facts, asOf)
    .looseEnds.map(({ kind }) => kind)
    .filter((kind) => kind !== 'no-rate')
    .sort();

const shift = (from: number, to: number) => [make('shift-in', from), make('shift-out', to)];
const onA = (from: number, to: number) => [start(from, 'a'), make('work-stop', to)];

test.each<[why: string, journal: readonly Entry[], kinds: readonly string[]]>([
  ['a plain day leaves nothing loose', [...onA(clock(7), clock(15)), ...shift(clock(7), clock(15))], []],
  [
    'a second shift-in',
    [...onA(clock(7), clock(15)), make('shift-in', clock(7)), ...shift(clock(7), clock(15))],
    ['double-shift-in'],
  ],
  ['a shift-out without shift-in', [make('shift-out', clock(15))], ['shift-out-without-in']],
  ['a stop of nothing', [make('work-stop', clock(8))], ['stop-without-start']],
  [
    'a stop of something else',
    [
      start(clock(8), 'a'),
      make('work-stop', clock(9), { targets: [target('b')] }),
      make('work-stop', clock(10)),
    ],
    ['stop-without-start'],
  ],
  [
    'a task-done from the desk stops nobody',
    [make('task-done', clock(8), { targets: [target('a')], technician: undefined })],
    [],
  ],
  [
    'a shift nobody ended',
    [make('shift-in', clock(7)), ...onA(clock(7), clock(18))],
    ['forgotten-shift-out', 'gap'],
  ],
  [
    'a shift exactly as long as it may be, ended in time',
    [...onA(clock(7), clock(19)), ...onA(clock(19), clock(23)), ...shift(clock(7), clock(23))],
    [],
  ],
  ['a stint longer than it may be', onA(clock(7), clock(19, 0, 1)), ['forgotten-stop']],
  ['a stint exactly as long as it may be', onA(clock(7), clock(19)), []],
  [
    'five minutes on nothing are a gap',
    [...onA(clock(7, 5), clock(9)), ...shift(clock(7), clock(9))],
    ['gap'],
  ],
  ['a second less is none', [...onA(clock(7, 4, 59), clock(9)), ...shift(clock(7), clock(9))], []],
  [
    'a break of no length parts no gap',
    [
      make('break-start', clock(7, 3)),
      make('break-end', clock(7, 3)),
      ...onA(clock(7, 6), clock(8)),
      ...shift(clock(7), clock(8)),
    ],
    ['gap'],
  ],
  [
    'hours written down explain a gap',
    [
      ...shift(clock(7), clock(8)),
      {
        id: entryId('h'),
        type: 'hours',
        technician: ada,
        targets: [target('a')],
        day: factsWith().zone.dayAt(clock(7)),
        seconds: toSeconds(3600),
      } as Entry,
    ],
    [],
  ],
  [
    'work before the shift began',
    [start(clock(6), 'a'), ...shift(clock(7), clock(8))],
    ['work-outside-shift'],
  ],
  ['work on a day without a shift is not outside one', onA(clock(6), clock(7)), []],
  [
    'a break of an hour is not long',
    [
      ...shift(clock(7), clock(9)),
      start(clock(7), 'a'),
      make('break-start', clock(7, 30)),
      make('break-end', clock(8, 30)),
    ],
    [],
  ],
  [
    'a break of a second more is',
    [
      ...shift(clock(7), clock(9)),
      start(clock(7), 'a'),
      make('break-start', clock(7, 30)),
      make('break-end', clock(8, 30, 1)),
    ],
    ['long-break'],
  ],
  ['a break that goes on', [make('break-start', clock(40))], ['long-break']],
  [
    'a start on a finished task',
    [
      ...onA(clock(7), clock(8)),
      make('task-done', clock(9), { targets: [target('a')], technician: undefined }),
      ...onA(clock(10), clock(11)),
    ],
    ['after-done'],
  ],
  [
    'a start on a task taken up again',
    [
      make('task-done', clock(9), { targets: [target('a')], technician: undefined }),
      make('task-reopen', clock(9), { targets: [target('a')], technician: undefined }),
      ...onA(clock(10), clock(11)),
    ],
    [],
  ],
  [
    'an activity is never finished',
    [
      make('task-done', clock(9), { targets: [target('meeting')], technician: undefined }),
      start(clock(10), 'meeting'),
      make('work-stop', clock(11)),
    ],
    [],
  ],
])('%s', (_why, journal, kinds) => {
  expect(kindsOf(journal)).toEqual(kinds);
});

test('labor on a task is judged by whether its order was released when the stint began', () => {
  const released: TargetFacts = {
    kind: 'task',
    estimate: dated(3600 as never),
    isReleased: [
      { from: clock(0), value: false },
      { from: clock(8), value: true },
      { from: clock(12), value: false },
    ],
  };
  const facts = factsWith();
  const withTask = { ...facts, targets: new Map([...facts.targets, [target('a'), released] as const]) };
  const at = (hour: number) => kindsOf(onA(clock(hour), clock(hour, 30)), clock(48), withTask);
  expect([at(7), at(8), at(11), at(12)]).toEqual([['not-released'], [], [], ['not-released']]);
});

test.each([
  [60, false, 'a minute ahead is within reason'],
  [61, true, 'a second more is not'],
  [-500, false, 'a late entry is no fault of the clock'],
])('a station entry %i s ahead of the server: %s (%s)', (ahead, isAhead) => {
  expect(isClockAhead(toInstant(1000 + ahead), toInstant(1000))).toBe(isAhead);
});

test('a person without a rate has lines without cost, and says so once a day', () => {
  const bo = technician('bo');
  const journal = [
    start(clock(7), 'a'),
    make('work-stop', clock(8)),
    start(clock(9), 'b'),
    make('work-stop', clock(10)),
  ];
  const ledger = deriveLedger(
    journal.map((entry) => ({ ...entry, technician: bo }) as Entry),
    factsWith(),
    clock(48),
  );
  expect(ledger.lines.map(({ cost }) => cost)).toEqual([null, null]);
  expect(ledger.looseEnds.map(({ kind }) => kind)).toEqual(['no-rate']);
});
