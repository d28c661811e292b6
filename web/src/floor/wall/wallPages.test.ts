import { jobsOnBoard, nearTasks } from '@wergon/core/floor';
import type { Board, Lane, Presently } from '@wergon/core/floor';
import { createZone, dated, toInstant, toSeconds } from '@wergon/core/time';
import { withAlwaysIncluded } from '@wergon/core/work';
import { DEFAULT_POLICY } from '@wergon/core/ledger';
import {
  isNarrowed,
  jobsFor,
  jobsOf,
  nearFor,
  pagesOf,
  peopleOf,
  readAsked,
  writeAsked,
} from './wallPages.ts';

const zone = createZone('Europe/Oslo');
if (!zone.ok) throw new Error('zone');
const NOW = toInstant(1_790_000_000);

/** Two orders of one task each: 100 is over by half an hour, 200 has hours left. */
const order = (number: string) => ({
  id: `o${number}`,
  number,
  title: 'Rewind',
  customer: number === '100' ? 'Aker Dairy' : '',
  state: 'released',
  includes: withAlwaysIncluded([]),
});
const task = (number: string, used: number) => ({
  kind: 'task',
  id: `t${number}`,
  title: 'Winding',
  order: `o${number}`,
  estimatedSeconds: toSeconds(3600),
  used: { run: toSeconds(used) },
  isFinished: false,
});
const board = {
  facts: { zone: zone.value, policy: dated(DEFAULT_POLICY), targets: new Map(), costRates: new Map() },
  technicians: new Map(),
  orders: new Map([order('100'), order('200')].map((each) => [each.id, each])),
  targets: new Map<string, unknown>([
    ...[task('100', 5400), task('200', 600)].map((each) => [each.id, each] as const),
    ['clean', { kind: 'activity', id: 'clean', title: 'Cleaning' }],
  ]),
} as unknown as Board;
const lane = (name: string, presently: Presently, ...targets: string[]) =>
  ({
    technician: {
      id: name,
      name,
      state: {
        shift: null,
        doing:
          targets.length > 0
            ? { status: 'work', since: NOW, running: targets.map((target) => ({ target, workType: 'run' })) }
            : { status: 'nothing' },
      },
    },
    presently,
    since: NOW,
    blocks: [],
    enteredSeconds: 0,
  }) as unknown as Lane;
const LANES = [
  lane('Bo', 'work', 't200'),
  lane('Ada', 'work', 't100', 't200'),
  lane('Cy', 'nothing'),
  lane('Dag', 'break'),
  lane('Eva', 'indirect', 'clean'),
  lane('Fay', 'out'),
  lane('Gro', 'work', 't200'),
];
const DETAILS = new Map([
  ['o100', { division: 'North', jobType: 'Rewind' }],
  ['o200', { division: 'South', jobType: 'Rewind' }],
]);
const people = (search = '') => peopleOf(board, LANES, NOW, readAsked(search), DETAILS);

test('who needs somebody stands first, then who works, by name; who is out is not there', () => {
  expect(people().map(({ name, words }) => [name, words])).toEqual([
    ['Cy', 'no task'],
    ['Ada', '100 Winding + 1'],
    ['Bo', '200 Winding'],
    ['Gro', '200 Winding'],
    ['Eva', 'Cleaning'],
    ['Dag', 'on a break'],
  ]);
});

test('each task is told once with everybody on it, and what is most over stands first', () => {
  expect(jobsOf(people()).map(({ number, words, names }) => [number, words, names])).toEqual([
    ['100', 'Winding, Aker Dairy', 'Ada'],
    ['200', 'Winding', 'Bo, Gro'],
  ]);
});

test.each<[search: string, names: string[], why: string]>([
  ['?division=North', ['Ada'], 'of one division'],
  ['?jobType=Rewind', ['Ada', 'Bo', 'Gro'], 'of one job type'],
  ['?division=South&jobType=Repair', [], 'of both, where nobody is'],
])('%s shows %j: %s', (search, names) => {
  expect(people(search).map(({ name }) => name)).toEqual(names);
  expect(isNarrowed(readAsked(search))).toBe(true);
});

const turned = (search: string, seesWork = true) => {
  const asked = readAsked(search);
  const content = {
    people: people(search),
    jobs: jobsOf(people(search)),
    all: jobsFor(jobsOnBoard(board, NOW), asked, DETAILS),
    near: nearFor(nearTasks(board, NOW), asked, DETAILS),
  };
  return pagesOf(content, asked, seesWork).map((page) => {
    if (page.kind === 'week') return 'week';
    return page.kind === 'people' ? `people ${page.people.length}` : `${page.kind} ${page.jobs.length}`;
  });
};

test.each<[search: string, pages: string[], why: string]>([
  ['', ['people 6', 'jobs 2', 'near 1', 'week'], 'people, jobs, what runs out of time, and the week'],
  ['?by=people&rows=4', ['people 4', 'people 2'], 'as many rows as the address says'],
  ['?by=jobs', ['jobs 2'], 'jobs alone'],
  ['?by=people&rows=1', ['people 3', 'people 3'], 'never fewer than can be read as a list'],
  ['?by=tasks', ['tasks 2'], 'all jobs with all their tasks'],
  ['?by=tasks&rows=3', ['tasks 1', 'tasks 1'], 'each as high as four lines'],
  ['?by=tasks&division=North', ['tasks 1'], 'of one division'],
  ['?by=people&rows=many', ['people 6'], 'what is no number is left as it is'],
  ['?by=compare', ['near 1', 'week'], 'jobs against their estimates'],
  ['?by=compare&division=South', ['near 0', 'week'], 'where none of a division is near its estimate'],
  ['?division=North', ['people 1', 'jobs 1', 'near 1'], 'the week is that of the whole shop'],
])('%j turns through %j: %s', (search, pages) => expect(turned(search)).toEqual(pages));

test.each<[search: string, pages: string[]]>([
  ['', ['people 6', 'jobs 2']],
  ['?by=compare', ['jobs 2']],
])('who may not see work compares nothing: %j turns through %j', (search, pages) =>
  expect(turned(search, false)).toEqual(pages),
);

test('nobody in gives no page at all', () => {
  expect(pagesOf({ people: [], jobs: [], all: [], near: [] }, readAsked(''), true)).toEqual([]);
});

test.each([
  [{ by: '', division: '', jobType: '', rows: 8 }, '/wall', 'what is usual stands in no address'],
  [{ by: 'jobs', division: '', jobType: '', rows: 5 }, '/wall?by=jobs&rows=5', 'what is not does'],
  [
    { by: '', division: 'Motors & pumps', jobType: 'rewind', rows: 8 },
    '/wall?division=Motors+%26+pumps&jobType=rewind',
    'whatever the words are',
  ],
])('a wall of %j has the address %s, and is read from it again: %s', (asked, address) => {
  expect(writeAsked(asked)).toBe(address);
  expect(readAsked(address.slice('/wall'.length))).toEqual(asked);
});
