import type { Board, BoardOrder, BoardTask } from '../floor/index.ts';
import { personStanding, standingOf } from '../floor/index.ts';
import { AT_REST } from '../ledger/index.ts';
import { HOUR, clock, entryId, factsWith, target, technician } from '../ledger/shop.fixture.ts';
import type { TechnicianId } from '../people/index.ts';
import { codeOfAction, drawCode } from '../scan/index.ts';
import type { Code, CodeKind } from '../scan/index.ts';
import { toInstant, toSeconds } from '../time/index.ts';
import { withAlwaysIncluded } from '../work/index.ts';
import type { OrderState } from '../work/index.ts';
import { IDLE } from './conversation.ts';
import type { Effect, StationState } from './conversation.ts';
import { recordLocally } from './directory.ts';
import type { BadgeId, Meaning, StationDirectory } from './directory.ts';
import { promptFor } from './prompt.ts';
import { converse } from './station.ts';

// A shop of three people, four tasks and an activity; every label has a name that the tables below scan by.
let drawn = 0;
const code = (kind: CodeKind) =>
  drawCode(kind, () => (drawn = (drawn * 1_103_515_245 + 12_345) % 2 ** 31) % 28);
const LABELS: Record<string, Code> = {
  ADA: code('badge'),
  BO: code('badge'),
  LEFT: code('badge'),
  T1: code('task'),
  T2: code('task'),
  HELD: code('task'),
  FINISHED: code('task'),
  MEETING: code('activity'),
  ORDER: code('order'),
  STRANGE: code('task'),
  MACHINE: code('resource'),
  IN: codeOfAction('shift-in'),
  OUT: codeOfAction('shift-out'),
  OFF: codeOfAction('off-task'),
  BLANK: codeOfAction('blank'),
  BREAK: codeOfAction('break'),
  DONE: codeOfAction('done'),
  SETUP: codeOfAction('setup'),
  CARD: '04A3B21F' as Code,
  PAPER: code('macro'),
  OLD: code('macro'),
  HOME: code('badge'),
  BACK: codeOfAction('take-back'),
};
const person = (id: string, hasLeft = false) => ({
  id: technician(id),
  name: id,
  department: 'Winding',
  hasLeft,
  state: AT_REST,
  charged: { day: factsWith().zone.dayAt(clock(8)), seconds: toSeconds(0) },
});
const order = (id: string, state: OrderState): BoardOrder => ({
  id: id as BoardOrder['id'],
  number: id,
  title: 'Rewind',
  customer: 'Stock',
  state,
  includes: withAlwaysIncluded([]),
});
const task = (id: string, of: string, isFinished = false): BoardTask => ({
  kind: 'task',
  id: target(id),
  title: id,
  order: of as BoardTask['order'],
  estimatedSeconds: toSeconds(2 * HOUR),
  used: { run: toSeconds(HOUR) },
  isFinished,
});
const board: Board = {
  facts: factsWith(),
  technicians: new Map([person('ada'), person('bo'), person('left', true)].map((each) => [each.id, each])),
  orders: new Map([order('w1', 'released'), order('w2', 'on-hold')].map((each) => [each.id, each])),
  targets: new Map(
    [
      task('a', 'w1'),
      task('b', 'w1'),
      task('held', 'w2'),
      task('done', 'w1', true),
      { kind: 'activity' as const, id: target('meeting'), title: 'Meeting' },
    ].map((each) => [each.id, each]),
  ),
};
const badge = (id: string): Meaning => ({
  kind: 'badge',
  badge: `badge-${id}` as BadgeId,
  technician: technician(id),
});
const label = (id: string): Meaning => ({ kind: 'target', target: target(id) });
const directory: StationDirectory = {
  ...board,
  codes: new Map<string, Meaning>([
    [LABELS['ADA'] as Code, badge('ada')],
    [LABELS['BO'] as Code, badge('bo')],
    [LABELS['LEFT'] as Code, badge('left')],
    [LABELS['T1'] as Code, label('a')],
    [LABELS['T2'] as Code, label('b')],
    [LABELS['HELD'] as Code, label('held')],
    [LABELS['FINISHED'] as Code, label('done')],
    [LABELS['MEETING'] as Code, label('meeting')],
    ['04A3B21F', badge('bo')],
    [LABELS['PAPER'] as Code, { kind: 'traveler', target: target('a'), workType: 'setup', isOld: false }],
    [LABELS['OLD'] as Code, { kind: 'traveler', target: target('b'), isOld: true }],
    [
      LABELS['HOME'] as Code,
      {
        kind: 'person-act',
        badge: 'badge-ada' as BadgeId,
        technician: technician('ada'),
        action: 'shift-out',
      },
    ],
    [LABELS['ORDER'] as Code, { kind: 'order', order: 'w1' as BoardOrder['id'] }],
  ]),
  remembered: [],
};

type Run = {
  state: StationState;
  directory: StationDirectory;
  appended: string[];
  effects: Effect[];
  now: number;
};

const say = (effect: Extract<Effect, { type: 'append' }>) => {
  const { entry } = effect;
  const who = 'technician' in entry ? `${entry.technician} ` : '';
  const what =
    'targets' in entry ? ` ${(entry.targets ?? []).join('+')}` : 'target' in entry ? ` ${entry.target}` : '';
  return `${who}${entry.type}${what}`;
};

/** Plays a conversation written as words: label names, or `+5` for seconds that pass. Scans are 3 s apart. */
function play(words: string): Run {
  const run: Run = { state: IDLE, directory, appended: [], effects: [], now: clock(8) * 1000 };
  let ids = 0;
  for (const word of words.split(' ')) {
    const isWait = word.startsWith('+');
    run.now += isWait ? Number(word) * 1000 : 3000;
    const text = LABELS[word] ?? word;
    const input = isWait
      ? ({ type: 'tick', now: run.now } as const)
      : word.startsWith('!')
        ? ({
            type: 'touch',
            action: word === '!BACK' ? 'take-back' : 'blank',
            now: run.now,
            entryId: entryId(`e${(ids += 1)}`),
          } as const)
        : ({ type: 'scan', text, source: 'scan', now: run.now, entryId: entryId(`e${(ids += 1)}`) } as const);
    const step = converse(run.state, input, run.directory);
    run.state = step.state;
    run.effects = [...step.effects];
    for (const effect of step.effects)
      if (effect.type === 'append') {
        run.appended.push(say(effect));
        run.directory = recordLocally(run.directory, effect.entry);
      }
  }
  return run;
}
const conversationOf = ({ state }: Run) =>
  state.conversation.step === 'person' ? state.conversation.technician : state.conversation.step;

describe('what a conversation starts and stops', () => {
  test.each<[words: string, appended: readonly string[], ends: string, why: string]>([
    ['ADA', [], 'ada', 'a badge alone never starts or stops anything'],
    ['ADA T1', ['ada work-start a'], 'ada', 'badge then task'],
    [
      'T1 ADA',
      ['ada work-start a'],
      'idle',
      'task then badge starts that one person and ends the conversation',
    ],
    ['T1 ADA BO', ['ada work-start a'], 'bo', 'and the next badge only shows where its owner stands'],
    ['ADA BO T1', ['bo work-start a'], 'bo', 'badge A, badge B, task starts B only'],
    ['T1 T2 ADA', ['ada work-start b'], 'idle', 'the last task counts'],
    ['ADA T1 +8 ADA T2', ['ada work-start a', 'ada work-start b'], 'ada', 'a task while on a task switches'],
    [
      'ADA T1 T2',
      ['ada work-start a', 'ada work-start b'],
      'ada',
      'at once, while the screen still shows the person',
    ],
    ['ADA T1 T1', ['ada work-start a'], 'ada', 'the same task again is no second start'],
    ['ADA T1 +8 ADA OFF', ['ada work-start a', 'ada work-stop'], 'ada', 'off task'],
    ['ADA T1 +8 OFF ADA', ['ada work-start a', 'ada work-stop'], 'idle', 'off task, then badge'],
    ['ADA OFF', [], 'ada', 'off task on nothing is refused'],
    ['ADA IN T1 +8 ADA OUT', ['ada shift-in', 'ada work-start a', 'ada shift-out'], 'ada', 'a whole shift'],
    ['IN ADA', ['ada shift-in'], 'idle', 'shift in, then badge'],
    ['ADA IN IN', ['ada shift-in'], 'ada', 'signed in twice is refused'],
    ['ADA OUT', [], 'ada', 'out without in is refused while on nothing'],
    ['ADA T1 OUT', ['ada work-start a', 'ada shift-out'], 'ada', 'but whoever works without a shift may go'],
    ['ADA T1 +8 ADA ADA', ['ada work-start a'], 'ada', 'the same badge again is status only'],
    ['ADA MEETING', ['ada work-start meeting'], 'ada', 'an indirect activity'],
    ['ADA BREAK', ['ada break-start'], 'ada', 'a break'],
    [
      'ADA T1 BREAK +8 ADA BREAK',
      ['ada work-start a', 'ada break-start', 'ada break-end'],
      'ada',
      'and its end',
    ],
    ['BREAK ADA', ['ada break-start'], 'idle', 'break, then badge'],
    ['ADA T1 DONE', ['ada work-start a', 'ada task-done a'], 'ada', 'done finishes what one is on'],
    ['ADA T1 DONE T1', ['ada work-start a', 'ada task-done a'], 'ada', 'and it starts no more'],
    ['ADA DONE', [], 'ada', 'done on nothing is refused'],
    ['ADA T1 SETUP', ['ada work-start a', 'ada work-start a'], 'ada', 'a kind of work for what one is on'],
    [
      'ADA T1 SETUP SETUP',
      ['ada work-start a', 'ada work-start a'],
      'ada',
      'the same kind again is nothing new',
    ],
    ['ADA SETUP', [], 'ada', 'a kind of work without a task is refused'],
    ['04a3b21f T1', ['bo work-start a'], 'bo', 'a card of another system that is somebody’s badge'],
    ['ADA PAPER', ['ada work-start a'], 'ada', 'the code of a traveler'],
    ['OLD ADA', ['ada work-start b'], 'idle', 'of an old one too: what was printed can be worked on'],
    ['ADA T1 +70 HOME', ['ada work-start a', 'ada shift-out'], 'idle', 'one’s own label ends one’s day'],
    ['BO HOME', [], 'idle', 'and is refused for who is not in, whoever stood there'],
    ['ADA HELD', [], 'ada', 'a task of an order that is not released'],
    ['HELD ADA', [], 'ada', 'refused before a badge is asked for'],
    ['ADA FINISHED', [], 'ada', 'a finished task'],
    ['LEFT T1', [], 'intent', 'a technician who has left starts nothing'],
    ['ADA STRANGE T1', ['ada work-start a'], 'ada', 'an unknown code is as if it had not been'],
    ['ADA ORDER', [], 'ada', 'a whole order is no task'],
    ['ADA MACHINE', [], 'ada', 'a machine label is not used here yet'],
    ['ADA +61 T1', [], 'intent', 'after the set time the person is gone from the screen'],
    ['ADA BLANK T1', [], 'intent', 'and at once on the blank action'],
    ['T1 !BLANK ADA', [], 'ada', 'blanking drops a half-finished conversation'],
    [
      'ADA T1 !BLANK +60 ADA OFF',
      ['ada work-start a', 'ada work-stop'],
      'ada',
      'and touches no running labor',
    ],
    ['ADA T1 +7 T2', ['ada work-start a'], 'intent', 'six seconds after something done the screen is blank'],
    ['ADA T1 BACK', ['ada work-start a', 'void e2'], 'ada', 'a start is taken back by label'],
    ['T1 ADA !BACK', ['ada work-start a', 'void e2'], 'idle', 'or by touch while it stands on the screen'],
    ['ADA T1 +8 ADA !BACK', ['ada work-start a', 'void e2'], 'ada', 'or by its maker with his badge again'],
    ['ADA T1 +40 ADA BACK', ['ada work-start a'], 'ada', 'not after 30 seconds'],
    ['ADA T1 BO BACK', ['ada work-start a'], 'bo', 'not by anybody else'],
    ['ADA T1 OFF BACK', ['ada work-start a', 'ada work-stop'], 'ada', 'nor once something came after it'],
    ['ADA T1 BACK OFF', ['ada work-start a', 'void e2'], 'ada', 'what was taken back runs no longer'],
    [
      'ADA T1 +9 BO T2 +9 ADA BACK BO OFF',
      ['ada work-start a', 'bo work-start b', 'void e2', 'bo work-stop'],
      'bo',
      'taking back touches nobody else',
    ],
  ])('%s: %j, then %s (%s)', (words, appended, ends) => {
    const run = play(words);
    expect(run.appended).toEqual(appended);
    expect(conversationOf(run)).toBe(ends);
  });
});

test('the same code twice within two seconds is one scan, and later it is two', () => {
  const scan = (run: Run, ms: number) =>
    converse(
      run.state,
      {
        type: 'scan',
        text: LABELS['OFF'] as string,
        source: 'scan',
        now: run.now + ms,
        entryId: entryId(`x${ms}`),
      },
      run.directory,
    );
  const run = play('ADA T1 OFF');
  expect(scan(run, 1_999).effects).toEqual([]);
  expect(scan(run, 2_000).state.said).toMatchObject({ kind: 'refused', code: 'station.on_nothing' });
});

test('a switch ends one task and begins the next at the same second, without a gap', () => {
  const run = play('ADA T1 +600 ADA T2');
  const ada = run.directory.technicians.get(technician('ada'));
  const used = run.directory.targets.get(target('a'));
  expect(ada?.state.doing).toMatchObject({ status: 'work', since: Math.floor(run.now / 1000) });
  expect(used?.kind === 'task' && used.used.run).toBe(HOUR + 606);
});

test.each([
  ['ADA HELD', 'station.order_not_released', 'w2'],
  ['ADA FINISHED', 'station.task_finished', 'done'],
  ['LEFT', 'station.technician_left', 'left'],
  ['ADA STRANGE', 'station.unknown_code', LABELS['STRANGE']],
  ['ADA T12', 'code.too_short', 'T12'],
  ['ADA C118', 'code.wrong_check', 'C118'],
  ['ADA ORDER', 'station.order_code', LABELS['ORDER']],
  ['ADA BACK', 'station.nothing_to_take_back', ''],
])('%s is refused with %s and says %s', (words, code_, text) => {
  expect(play(words).state.said).toEqual({ kind: 'refused', code: code_, text });
});

test('a code that means nothing is reported, but never the body of a badge', () => {
  const reported = (words: string) => play(words).effects.find(({ type }) => type === 'report');
  expect(reported('STRANGE')).toMatchObject({ text: LABELS['STRANGE'], code: 'station.unknown_code' });
  expect(reported(`${(LABELS['ADA'] ?? '').slice(0, -2)}XX`)).toMatchObject({
    text: `${LABELS['ADA']?.slice(0, 3)}…`,
  });
  expect(reported('HELD')).toBeUndefined();
});

test('an entry says which badge was read by its id, not by what stands on it', () => {
  const append = play('ADA T1').effects.find((effect) => effect.type === 'append');
  expect(append?.via).toEqual(['badge-ada']);
});

test.each([
  ['BLANK', 'badge-or-task', 'nobody stands here'],
  ['T1', 'badge-for-task', 'a task waits for a badge'],
  ['OFF', 'badge-for-action', 'an action waits for a badge'],
  ['ADA', 'shift-in-or-task', 'not signed in'],
  ['ADA IN', 'task-to-start', 'signed in, on nothing'],
  ['ADA T1', 'task-to-switch', 'on a task'],
])('after %s the screen says %s: %s', (words, prompt) => {
  const run = play(words);
  expect(promptFor(run.state, run.directory, toInstant(Math.floor(run.now / 1000)))).toBe(prompt);
});

test('after a badge: on what, since when, used and left of the estimate, and today', () => {
  const run = play('ADA T1 +1800 ADA');
  const now = toInstant(Math.floor(run.now / 1000));
  const standing = personStanding(run.directory, technician('ada') as TechnicianId, now);
  expect(standing?.state.doing).toMatchObject({ status: 'work', since: now - 1803 });
  expect(standing?.todaySeconds).toBe(1803);
  expect(standing?.targets[0]).toMatchObject({
    comparison: { usedSeconds: HOUR + 1803, leftSeconds: HOUR - 1803, overSeconds: 0 },
  });
});

test('what several people use of a task adds up while they are on it', () => {
  const run = play('ADA T1 +9 BO T1 +600');
  const now = toInstant(Math.floor(run.now / 1000));
  const standing = standingOf(run.directory, target('a'), now);
  expect(standing?.kind === 'task' && standing.comparison.usedSeconds).toBe(HOUR + 615 + 600);
});

test('whoever starts from an old traveler is told that the order has changed', () => {
  const told = (words: string) => {
    const { said } = play(words).state;
    return said?.kind === 'started' && said.isOldTraveler;
  };
  expect([told('ADA OLD'), told('ADA PAPER'), told('ADA T2')]).toEqual([true, false, false]);
});

test('a calibration leaves no half-finished conversation behind', () => {
  const { state } = play('ADA');
  const step = converse(state, { type: 'calibrated', now: clock(9) * 1000 }, directory);
  expect([step.state.conversation.step, step.state.said?.kind]).toEqual(['idle', 'calibrated']);
});
