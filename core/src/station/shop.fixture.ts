import type { Board, BoardOrder, BoardTask } from '../floor/board.ts';
import { AT_REST } from '../ledger/fold.ts';
import { HOUR, clock, entryId, factsWith, target, technician } from '../ledger/shop.fixture.ts';
import { codeOfAction } from '../scan/action.ts';
import { drawCode } from '../scan/code.ts';
import type { Code, CodeKind } from '../scan/code.ts';
import { formatDay } from '../time/day.ts';
import { toSeconds } from '../time/seconds.ts';
import { withAlwaysIncluded } from '../work/workType.ts';
import type { OrderState } from '../work/orderState.ts';
import { IDLE } from './conversation.ts';
import type { Effect, StationInput, StationState, Touch } from './conversation.ts';
import { recordLocally } from './directory.ts';
import type {
  BadgeId,
  Meaning,
  PersonBrief,
  ResourceId,
  StationDirectory,
  TaskBrief,
  TaskReport,
} from './directory.ts';
import { DEFAULT_STATION_SETTINGS } from './settings.ts';
import type { StationSettings } from './settings.ts';
import { converse } from './station.ts';

// A shop of a few people and tasks; every label has a name that the tables of cases scan by.
let drawn = 0;
const code = (kind: CodeKind) =>
  drawCode(kind, () => (drawn = (drawn * 1_103_515_245 + 12_345) % 2 ** 31) % 28);

export const LABELS: Readonly<Record<string, Code>> = {
  ADA: code('badge'),
  BO: code('badge'),
  LEA: code('badge'),
  LEFT: code('badge'),
  T1: code('task'),
  T2: code('task'),
  T3: code('task'),
  PRESS: code('task'),
  HELD: code('task'),
  FINISHED: code('task'),
  MEETING: code('activity'),
  ORDER: code('order'),
  SMALL: code('order'),
  EMPTY: code('order'),
  STRANGE: code('task'),
  MACHINE: code('resource'),
  OTHER: code('resource'),
  CENTER: code('resource'),
  IN: codeOfAction('shift-in'),
  OUT: codeOfAction('shift-out'),
  OFF: codeOfAction('off-task'),
  BLANK: codeOfAction('blank'),
  BREAK: codeOfAction('break'),
  DONE: codeOfAction('done'),
  SETUP: codeOfAction('setup'),
  REWORK: codeOfAction('rework'),
  TRAVEL: codeOfAction('travel'),
  WAY: codeOfAction('on-the-way'),
  SITE: codeOfAction('on-site'),
  JOIN: codeOfAction('join'),
  CREW: codeOfAction('crew'),
  EARLIER: codeOfAction('earlier'),
  HELP: codeOfAction('help'),
  NOTE: codeOfAction('note'),
  ENTER: codeOfAction('enter'),
  SKIP: codeOfAction('skip'),
  BACK: codeOfAction('take-back'),
  D0: codeOfAction('digit-0'),
  D1: codeOfAction('digit-1'),
  D2: codeOfAction('digit-2'),
  D3: codeOfAction('digit-3'),
  D4: codeOfAction('digit-4'),
  D5: codeOfAction('digit-5'),
  CARD: '04A3B21F' as Code,
  PAPER: code('macro'),
  OLD: code('macro'),
  HOME: code('badge'),
};

const person = (id: string, hasLeft = false) => ({
  id: technician(id),
  name: id,
  department: 'Winding',
  hasLeft,
  state: AT_REST,
  charged: { day: factsWith().zone.dayAt(clock(8)), seconds: toSeconds(0) },
});
const brief = (more: Partial<PersonBrief> = {}): PersonBrief => ({
  crew: '',
  isLead: false,
  number: '',
  hasPin: false,
  language: null,
  lastAt: null,
  plannedEnd: null,
  messages: [],
  leave: [],
  ...more,
});
const order = (id: string, state: OrderState): BoardOrder => ({
  id: id as BoardOrder['id'],
  number: id,
  title: 'Rewind',
  customer: 'Stock',
  state,
  includes: withAlwaysIncluded(['setup']),
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
  technicians: new Map(
    [person('ada'), person('bo'), person('lea'), person('left', true)].map((each) => [each.id, each]),
  ),
  orders: new Map(
    [order('w1', 'released'), order('w2', 'on-hold'), order('w3', 'released'), order('w4', 'released')].map(
      (each) => [each.id, each],
    ),
  ),
  targets: new Map(
    [
      task('a', 'w1'),
      task('b', 'w1'),
      task('c', 'w3'),
      task('press', 'w4'),
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
const whole = (id: string): Meaning => ({ kind: 'order', order: id as BoardOrder['id'] });
const machine = (id: string): Meaning => ({ kind: 'resource', resource: id as ResourceId });
const codeOf = (name: string) => LABELS[name] as Code;

const taskBrief = (position: number, workCenter = 'Winding'): TaskBrief => ({
  workCenter,
  position,
  description: '',
  instructions: [],
  reports: [],
  assigned: [],
  good: 0,
  scrap: 0,
});

export const directory: StationDirectory = {
  ...board,
  codes: new Map<string, Meaning>([
    ...['ADA', 'BO', 'LEA', 'LEFT'].map((name) => [codeOf(name), badge(name.toLowerCase())] as const),
    [codeOf('T1'), label('a')],
    [codeOf('T2'), label('b')],
    [codeOf('T3'), label('c')],
    [codeOf('PRESS'), label('press')],
    [codeOf('HELD'), label('held')],
    [codeOf('FINISHED'), label('done')],
    [codeOf('MEETING'), label('meeting')],
    [codeOf('CARD'), badge('bo')],
    [codeOf('PAPER'), { kind: 'traveler', target: target('a'), workType: 'setup', isOld: false }],
    [codeOf('OLD'), { kind: 'traveler', target: target('b'), isOld: true }],
    [
      codeOf('HOME'),
      {
        kind: 'person-act',
        badge: 'badge-ada' as BadgeId,
        technician: technician('ada'),
        action: 'shift-out',
      },
    ],
    [codeOf('ORDER'), whole('w1')],
    [codeOf('SMALL'), whole('w3')],
    [codeOf('EMPTY'), whole('w2')],
    [codeOf('MACHINE'), machine('m1')],
    [codeOf('OTHER'), machine('m2')],
    [codeOf('CENTER'), machine('press-room')],
  ]),
  tasks: new Map([
    [target('a'), taskBrief(1)],
    [target('b'), taskBrief(2)],
    [target('c'), taskBrief(1)],
    [target('press'), taskBrief(1, 'Press room')],
    [target('held'), taskBrief(1)],
    [target('done'), taskBrief(3)],
  ]),
  activities: new Map(),
  jobs: new Map([['w1' as BoardOrder['id'], { quantity: 1, due: null, parts: ['Bearing', 'Slot paper'] }]]),
  people: new Map([
    [technician('ada'), brief({ crew: 'Site' })],
    [technician('bo'), brief({ crew: 'Site' })],
    [technician('lea'), brief({ crew: 'Site', isLead: true })],
  ]),
  resources: new Map([
    ['m1' as ResourceId, { kind: 'machine', name: 'Press 1', workCenter: 'Press room', asksMachine: false }],
    ['m2' as ResourceId, { kind: 'machine', name: 'Press 2', workCenter: 'Press room', asksMachine: false }],
    [
      'press-room' as ResourceId,
      { kind: 'work-center', name: 'Press room', workCenter: '', asksMachine: true },
    ],
  ]),
  belongs: new Map([['travel', target('meeting')]]),
  reasons: new Map([['scrap', ['Cracked', 'Wrong size']]]),
  isAssignedOnly: false,
  owner: null,
  offersPhones: false,
  writesDown: 'nobody',
  proposed: new Set(),
  remembered: [],
};

/** The directory with one person or one task told otherwise. */
export const withPerson = (id: string, more: Partial<PersonBrief>): StationDirectory => ({
  ...directory,
  people: new Map(directory.people).set(technician(id), {
    ...brief(directory.people.get(technician(id))),
    ...more,
  }),
});
/** A shop in which tasks are assigned and, but for `isAssignedOnly`, may be started by nobody else. */
export const withAssigned = (
  assigned: Readonly<Record<string, TaskBrief['assigned']>>,
  isAssignedOnly = true,
): StationDirectory => ({
  ...directory,
  isAssignedOnly,
  tasks: new Map([
    ...directory.tasks,
    ...Object.entries(assigned).map(([id, own]) => {
      const known = directory.tasks.get(target(id)) ?? taskBrief(1);
      return [target(id), { ...known, assigned: own }] as const;
    }),
  ]),
});
export const withReports = (id: string, ...reports: Partial<TaskReport>[]): StationDirectory => ({
  ...directory,
  tasks: new Map(directory.tasks).set(target(id), {
    ...taskBrief(1),
    reports: reports.map((report) => ({
      when: 'end',
      kind: 'pieces',
      label: '',
      unit: '',
      least: null,
      most: null,
      maySkip: false,
      ...report,
    })),
  }),
});

export type Run = {
  state: StationState;
  directory: StationDirectory;
  appended: string[];
  effects: Effect[];
  now: number;
};

type Appended = Extract<Effect, { type: 'append' }>['entry'];

/** An entry in words: who, what, and what is unusual about it. */
export function say(entry: Appended): string {
  const { id: _id, ...rest } = entry;
  const words: Record<string, unknown> = { ...rest };
  const parts = ['technician', 'type', 'targets', 'target', 'workType', 'join', 'machine', 'override']
    .map((key) => words[key])
    .flatMap((value) => (value === undefined || value === null ? [] : [value]))
    .map((value) => (value === true ? 'join' : Array.isArray(value) ? value.join('+') : String(value)));
  const figures = ['good', 'scrap', 'reason', 'value', 'text', 'quantity', 'why', 'what', 'kind'].flatMap(
    (key) =>
      words[key] === undefined || words[key] === null || words[key] === '' ? [] : [String(words[key])],
  );
  const leave = 'leave' in rest && rest.leave ? rest.leave : undefined;
  const away = leave
    ? [
        leave.kind,
        formatDay(leave.from),
        formatDay(leave.to),
        ...(leave.seconds ? [String(leave.seconds)] : []),
      ]
    : [];
  return [...parts, ...away, ...figures].join(' ');
}

type Setting = Partial<StationSettings> & {
  readonly directory?: StationDirectory;
  readonly isOnline?: boolean;
};

/** Plays a conversation written as words, three seconds apart: a label's name is scanned, `+5` waits five seconds,
 *  `!shift-out` is touched, `#2` chooses the second answer, `@ada` touches a name, `=12` keys an answer, `~a b` is
 *  typed (blanks as underscores), `pin:right` is the server's answer to a PIN. */
export function play(
  words: string,
  { directory: known = directory, isOnline = true, ...more }: Setting = {},
): Run {
  const settings = { ...DEFAULT_STATION_SETTINGS, ...more };
  const run: Run = { state: IDLE, directory: known, appended: [], effects: [], now: clock(8) * 1000 };
  let ids = 0;
  for (const word of words.split(' ').filter(Boolean)) {
    const isWait = word.startsWith('+');
    run.now += isWait ? Number(word) * 1000 : 3000;
    if (!isWait) ids += 1;
    const step = converse(run.state, inputOf(word, run.now, ids), {
      directory: run.directory,
      settings,
      isOnline,
    });
    run.state = step.state;
    run.effects = [...step.effects];
    for (const effect of step.effects)
      if (effect.type === 'append') {
        run.appended.push(say(effect.entry));
        run.directory = recordLocally(run.directory, effect.entry);
      }
  }
  return run;
}

function inputOf(word: string, now: number, ids: number): StationInput {
  const rest = word.slice(1);
  const happens = { now, entryId: entryId(`e${ids}`) };
  switch (word[0]) {
    case '+':
      return { type: 'tick', now };
    case '!':
      return { ...happens, type: 'touch', action: rest as Touch };
    case '#':
      return { ...happens, type: 'choose', option: Number(rest) - 1 };
    case '@':
      return { ...happens, type: 'name', technician: technician(rest) };
    case '=':
      return { ...happens, type: 'answer', text: rest.replaceAll('_', ' ') };
    case '~':
      return { ...happens, type: 'scan', text: rest.replaceAll('_', ' '), source: 'typed' };
  }
  if (word.startsWith('pin:'))
    return { ...happens, type: 'pin', technician: technician('ada'), answer: word.slice(4) as 'right' };
  return { ...happens, type: 'scan', text: LABELS[word] ?? word, source: 'scan' };
}

/** Who stands on the screen, or how far the conversation is. */
export const conversationOf = ({ state: { conversation } }: Run): string =>
  conversation.step === 'person'
    ? conversation.person.technician
    : conversation.step === 'asked'
      ? `asked ${conversation.question.kind}`
      : conversation.step;

/** What the screen says of the last input: its kind, or why not. */
export const saidOf = ({ state: { said } }: Run): string | undefined =>
  said?.kind === 'refused' ? said.code : said?.kind;
