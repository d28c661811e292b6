import { AT_REST } from '../ledger/fold.ts';
import { foldEntries } from '../ledger/derive.ts';
import type { Entry, LaborEntry } from '../ledger/entries.ts';
import { clock, entryId, factsWith, target, technician, zone } from '../ledger/shop.fixture.ts';
import { toSeconds } from '../time/seconds.ts';
import { accountedShare, chargedOf, countPresently, drawLane } from './tape.ts';
import type { Board } from './board.ts';

const ada = technician('ada');
const day = zone.dayAt(clock(8));
let count = 0;
const make = (type: string, hour: number, minute = 0, more: object = {}) =>
  ({
    id: entryId(`e${(count += 1)}`),
    type,
    at: clock(hour, minute),
    technician: ada,
    ...more,
  }) as LaborEntry & Entry;
const start = (hour: number, minute: number, name: string) =>
  make('work-start', hour, minute, { targets: [target(name)] });

function laneAfter(entries: readonly LaborEntry[], hour: number, minute = 0, entered = 0) {
  const facts = factsWith();
  const { state, timeline } = foldEntries(ada, AT_REST, entries, facts);
  const person = {
    id: ada,
    name: 'Ada',
    department: '',
    hasLeft: false,
    state,
    charged: { day, seconds: toSeconds(0) },
  };
  const board: Board = {
    facts,
    technicians: new Map([[ada, person]]),
    orders: new Map(),
    targets: new Map([
      [
        target('a'),
        {
          kind: 'task',
          id: target('a'),
          title: 'a',
          order: 'w' as never,
          estimatedSeconds: null,
          used: {},
          isFinished: false,
        },
      ],
      [target('meeting'), { kind: 'activity', id: target('meeting'), title: 'Meeting' }],
    ]),
  };
  const now = clock(hour, minute);
  const settled = { ...timeline, enteredSeconds: toSeconds(entered) };
  const lane = drawLane(board, person, settled, day, now);
  return { lane, share: accountedShare(board, new Map([[ada, settled]]), day, now) };
}
const at = (instant: number) => `${(instant - clock(0)) / 3600}`;

test.each<[why: string, entries: readonly LaborEntry[], hour: number, blocks: string, presently: string]>([
  ['nobody came', [], 9, '', 'out'],
  ['signed in, on nothing', [make('shift-in', 7)], 9, 'nothing 7-9', 'nothing'],
  ['on a task', [make('shift-in', 7), start(7, 0, 'a')], 9, 'work 7-9 open', 'work'],
  ['on an activity', [start(7, 0, 'meeting')], 9, 'work 7-9 open', 'indirect'],
  [
    'on a break',
    [make('shift-in', 7), start(7, 0, 'a'), make('break-start', 8)],
    9,
    'work 7-8, break 8-9',
    'break',
  ],
  [
    'a short wait between scans is not drawn',
    [make('shift-in', 7), start(7, 3, 'a')],
    9,
    'work 7.05-9 open',
    'work',
  ],
  ['gone', [make('shift-in', 7), start(7, 0, 'a'), make('shift-out', 8)], 9, 'work 7-8', 'out'],
  ['a stop that is missing leaves a torn edge', [start(7, 0, 'a')], 20, 'work 7-19 torn', 'out'],
  ['from the day before', [start(-2, 0, 'a'), make('work-stop', 3)], 9, 'work 0-3', 'out'],
])('%s', (_why, entries, hour, picture, presently) => {
  const { lane } = laneAfter(entries, hour);
  const words = lane.blocks.map((block) => {
    const open = block.kind === 'work' && block.isOpen ? ' open' : '';
    const torn = block.kind === 'work' && block.isTorn ? ' torn' : '';
    return `${block.kind} ${at(block.from)}-${at(block.to)}${open}${torn}`;
  });
  expect(words.join(', ')).toBe(picture);
  expect(lane.presently).toBe(presently);
});

test('everybody is counted once', () => {
  const { lane } = laneAfter([make('shift-in', 7)], 9);
  expect(countPresently([lane, lane])).toEqual({ work: 0, indirect: 0, break: 0, nothing: 2, out: 0 });
});

test('accounted is the share of attended time that found its work', () => {
  const { share } = laneAfter([make('shift-in', 7), start(8, 0, 'a')], 11);
  expect(share).toBe(0.75);
  expect(laneAfter([], 11).share).toBeNull();
});

test('hours written down stand apart from the blocks and count as accounted', () => {
  const { lane, share } = laneAfter([make('shift-in', 7), start(8, 0, 'a')], 11, 0, 1800);
  expect(lane.enteredSeconds).toBe(1800);
  expect(chargedOf(lane)).toBe(3 * 3600 + 1800);
  expect(lane.blocks.map(({ kind }) => kind)).toEqual(['nothing', 'work']);
  expect(share).toBe(0.875);
});
