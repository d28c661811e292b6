/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import type { ComparedPerson } from '@wergon/contract/compare';
import { toCents } from '@wergon/core/money';
import { toInstant, toSeconds } from '@wergon/core/time';
import { server } from '../../kit/fakeServer.fixture.ts';
import CausesPage from './CausesPage.vue';
import HoursPage from './HoursPage.vue';
import MachinesPage from './MachinesPage.vue';
import NearPage from './NearPage.vue';
import PeoplePage from './PeoplePage.vue';
import { PERIOD, day, differs, imitateBrowser, open } from './pages.fixture.ts';
import { peopleRows, sayEfficiency, sumOfPeople } from './peopleRows.ts';
import { hourStep, useBars } from './useBars.ts';

jest.mock('../../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../../kit/callRoute.ts'),
  ...jest.requireActual<object>('../../kit/fakeServer.fixture.ts'),
}));
// What a canvas draws is looked at, not tested.
jest.mock('vue-chartjs', () => ({
  Bar: { props: ['data'], template: '<p class="bars">{{ data.labels.join(" ") }}</p>' },
}));
jest.mock('chart.js', () => ({ Chart: { register: () => undefined } }));
enableAutoUnmount(afterEach);
beforeAll(imitateBrowser);
beforeEach(() => {
  server.calls = [];
});

describe('causes', () => {
  const total = differs(['run', 3, 150], ['setup', -1, -50]);
  const answer = {
    ...PERIOD,
    taskCount: 20,
    jobCount: 4,
    total,
    groups: [
      { key: 'Winding', taskCount: 12, jobCount: 4, difference: differs(['run', 3, 150]) },
      { key: '', taskCount: 8, jobCount: 3, difference: differs(['setup', -1, -50]) },
    ],
    months: [{ month: day('2026-02-01'), difference: total }],
    jobs: [],
  };

  test('which cost most, where, and by month as a chart or a table', async () => {
    const { page, press, cells } = await open(CausesPage, () => answer);
    const lines = page.findAll('.group-line').map((line) => line.text().replace(/\s+/g, ' '));
    expect(lines.slice(0, 2)).toEqual(['run+3:00+€150.00', 'setup−1:00−€50.00']);
    expect(lines[2]).toContain('Winding');
    expect(lines[3]).toContain('no work center');
    expect(page.get('.bars').text()).toBe('February 2026');
    await press('Show as a table');
    expect(cells()).toEqual([['February 2026', '−€50.00', '+€150.00']]);
  });

  test('a cause that is pressed is the only one of the groups, and asked for with their jobs', async () => {
    const { page, router } = await open(CausesPage, () => answer);
    await page.findAll('.group-line')[1]?.trigger('click');
    await flushPromises();
    expect(router.currentRoute.value.query).toMatchObject({ cause: 'setup' });
    expect(page.text()).toContain('Where: setup');
    expect(server.calls.at(-1)?.options).toMatchObject({ query: { cause: 'setup', by: 'workCenter' } });
  });
});

describe('people', () => {
  const person = (name: string, department: string, more: Partial<ComparedPerson> = {}): ComparedPerson => ({
    technician: name as ComparedPerson['technician'],
    name,
    department,
    crew: '',
    attendedSeconds: toSeconds(36_000),
    jobSeconds: toSeconds(27_000),
    indirectSeconds: toSeconds(3600),
    expectedSeconds: toSeconds(28_800),
    earnedSeconds: toSeconds(21_600),
    ownSeconds: toSeconds(18_000),
    measuredSeconds: toSeconds(18_000),
    ...more,
  });
  const people = [
    person('Cy', 'Test'),
    person('Ada', 'Winding', { measuredSeconds: toSeconds(3600) }),
    person('Bo', 'Winding'),
  ];

  test('a line opens to what they earned, which is asked for then', async () => {
    const shop = { taskCount: 0, estimatedSeconds: 0, includedSeconds: 0, measuredSeconds: 0 };
    const task = {
      target: 't1',
      title: 'Winding',
      order: 'w1',
      orderNumber: '5001',
      estimatedSeconds: 36_000,
      earnedSeconds: 21_600,
      ownSeconds: 18_000,
      measuredSeconds: 18_000,
    };
    const { page, press } = await open(PeoplePage, (_name, query) => ({
      ...PERIOD,
      shop: { ...shop, setupEstimatedSeconds: 0, setupSeconds: 0 },
      people,
      tasks: query['technician'] === 'Bo' ? [task] : [],
    }));
    await press('Bo');
    await flushPromises();
    expect(server.calls.at(-1)?.options).toMatchObject({ query: { technician: 'Bo' } });
    expect(page.text()).toContain('5001 Winding');
    await press('Cy');
    await flushPromises();
    expect(page.text()).not.toContain('5001 Winding');
  });

  test('nobody is ranked: people stand by name, and a figure of shared time says so', async () => {
    const shop = {
      taskCount: 3,
      estimatedSeconds: 21_600,
      includedSeconds: 18_000,
      measuredSeconds: 0,
      setupEstimatedSeconds: 0,
      setupSeconds: 0,
    };
    const { cells, page } = await open(PeoplePage, () => ({ ...PERIOD, shop, people }));
    expect(cells().map(([name]) => name)).toEqual(['Ada', 'Bo', 'Cy']);
    expect(cells()[0]).toEqual([
      'Ada',
      '10:00',
      '7:30',
      '1:00',
      '75 %',
      '8:00',
      '6:00',
      '75 %',
      '5:00',
      'mostly shared',
      '+1:00',
      '20 %',
    ]);
    expect(cells()[1]?.[9]).toBe('120 %');
    expect(page.text()).toContain('120 % efficiency of the shop');
    expect(page.text()).toContain('rests on 3 tasks only');
  });

  test('grouped they stand under the sums of their groups', () => {
    const rows = peopleRows(people, 'department');
    expect(rows.map(({ name }) => name)).toEqual(['Test', 'Cy', 'Winding', 'Ada', 'Bo']);
    expect(rows[2]).toMatchObject({ attendedSeconds: 72_000, person: undefined });
    expect(peopleRows(people, 'crew')[0]).toMatchObject({ name: 'No crew' });
    expect(sumOfPeople(people).earnedSeconds).toBe(64_800);
    // Of people together it is told whatever was shared.
    expect(sayEfficiency(sumOfPeople(people), false)).toBe('120 %');
  });
});

describe('hours by anything', () => {
  const group = (name: string, hours: number, euros: number) => ({
    keys: [name.toLowerCase()],
    names: [name],
    seconds: toSeconds(hours * 3600),
    measuredSeconds: toSeconds(hours * 1800),
    sharedSeconds: toSeconds(hours * 1800),
    enteredSeconds: toSeconds(0),
    cost: toCents(euros * 100),
    uncostedPieces: 0,
    tasks: null,
  });
  const answer = (name: string) =>
    name === 'keptCuts'
      ? { cuts: [], roles: [{ id: 'supervisor', name: null }] }
      : {
          ...PERIOD,
          total: group('All', 12, 480),
          groups: [group('Ada', 8, 320), group('Bo', 4, 160)],
          moreCount: 0,
        };

  test('a level opens into the next, and one row can be all that is looked at', async () => {
    const { page, press, router } = await open(HoursPage, answer);
    expect(page.text()).toContain('12:00 hours');
    const first = page.findAll('.cut-line.level-0')[0];
    expect(first?.text().replace(/\s+/g, ' ')).toBe('▸ Adaonly8:0050 %€320.00');
    await first?.get('button.opens').trigger('click');
    await flushPromises();
    expect(server.calls.at(-1)?.options).toMatchObject({ query: { path: '["ada"]' } });
    await press('only', page.findAll('.cut-line.level-0')[1]?.element);
    expect(JSON.parse(String(router.currentRoute.value.query['cut']))).toEqual({
      by: ['order', 'task'],
      only: { person: 'bo' },
    });
    expect(page.text()).toContain('person: Bo');
    await press('Show all');
    expect(JSON.parse(String(router.currentRoute.value.query['cut']))).toEqual({
      by: ['order', 'task'],
      only: {},
    });
  });

  test('whole tasks say what they were to take, why they differ, and how many pieces came of an hour', async () => {
    const whole = {
      taskCount: 3,
      estimatedSeconds: toSeconds(6 * 3600),
      estimatedCost: toCents(30_000),
      difference: differs(['run', 2, 100]),
      pieces: { good: 20, scrap: 1 },
      runSeconds: toSeconds(8 * 3600),
    };
    const { page, press } = await open(HoursPage, (name) => ({
      ...answer(name),
      groups: [{ ...group('5001 Rewind', 8, 320), tasks: whole }, group('Half of 5002', 4, 160)],
    }));
    const head = () => page.get('.cut-head').text();
    expect(head()).not.toContain('Estimated');
    await page.get('select[aria-label="Level 1"]').setValue('order');
    await flushPromises();
    expect(head()).toContain('EstimatedMore or less');
    const lines = page.findAll('.cut-line.level-0').map((line) => line.text().replace(/\s+/g, ' '));
    expect(lines[0]).toContain('20 good, 1 scrap, 2.5 an hour of run time');
    expect(lines[0]).toContain('8:0050 %6:00+2:00+€100.00€320.00');
    expect(lines[1]).toContain('4:0050 %€160.00');
    await press('only', page.findAll('.cut-line.level-0')[0]?.element);
    expect(head()).toContain('Estimated');
  });

  test('a cut of one’s own is kept under a name', async () => {
    const { page, press } = await open(HoursPage, answer);
    await page.get('select[aria-label="Level 1"]').setValue('machine');
    await flushPromises();
    await press('Keep this cut');
    await page.get('input[aria-label="Name of the cut"]').setValue('By machine');
    await page.get('form').trigger('submit');
    await flushPromises();
    expect(server.calls.find(({ name }) => name === 'keepCut')?.options).toEqual({
      body: { name: 'By machine', role: null, cut: { by: ['machine', 'order', 'task'], only: {} } },
    });
  });
});

describe('machines', () => {
  const machine = {
    resource: 'm1',
    name: 'Lathe',
    workCenter: 'Machining',
    usedSeconds: toSeconds(21_600),
    downSeconds: toSeconds(3600),
    closedSeconds: toSeconds(0),
    byWorkType: { run: toSeconds(18_000), setup: toSeconds(3600) },
    availableSeconds: toSeconds(28_800),
    hours: null,
    reasons: [{ reason: 'No crane', seconds: toSeconds(3600) }],
    days: [
      {
        day: day('2026-03-02'),
        usedSeconds: toSeconds(21_600),
        downSeconds: toSeconds(3600),
        availableSeconds: toSeconds(28_800),
      },
    ],
    spans: [],
  };

  test('each with what it was used for, idle and utilization, and why it was down', async () => {
    const { cells, press, page } = await open(MachinesPage, () => ({
      ...PERIOD,
      machines: [machine],
      centers: [],
    }));
    expect(cells()[0]).toEqual([
      'Lathe',
      'Machining',
      '6:00',
      'setup 1:00, run 5:00',
      '1:00',
      '1:00',
      '8:00',
      '75 %',
    ]);
    await press('Lathe');
    expect(page.text()).toContain('No crane 1:00');
  });

  test('a shop without machines is led to its lists', async () => {
    const { page } = await open(MachinesPage, () => ({ ...PERIOD, machines: [], centers: [] }));
    expect(page.text()).toContain('No machine is on the list');
  });

  test('days are told one by one, many of them week by week; idle is what is left of what is available', () => {
    expect(useBars([machine], day('2026-03-02'), day('2026-03-03'))).toEqual([
      { name: '2 Mar', used: 21_600, down: 3600, idle: 3600 },
      { name: '3 Mar', used: 0, down: 0, idle: 0 },
    ]);
    expect(useBars([machine], day('2026-02-23'), day('2026-03-29')).map(({ name }) => name)).toContain(
      'week 10',
    );
    expect(hourStep(0)).toBe(3600);
    expect(hourStep(100 * 3600)).toBe(20 * 3600);
  });
});

test('tasks near their estimate, past ones in words, with who is on them', async () => {
  const task = (title: string, used: number, isPast: boolean) => ({
    task: title,
    title,
    workCenter: 'Winding',
    order: 'w1',
    orderNumber: '5001',
    orderTitle: 'Rewind',
    customer: 'Aker Dairy',
    usedSeconds: toSeconds(used * 3600),
    estimatedSeconds: toSeconds(36_000),
    isPast,
    since: toInstant(1_772_431_200),
    peopleOn: isPast ? ['Ada'] : [],
    orderLeftSeconds: toSeconds(7200),
  });
  const { page, cells } = await open(NearPage, () => ({
    asOf: PERIOD.asOf,
    warnAt: 80,
    tasks: [task('Winding', 12, true), task('Bake', 9, false)],
  }));
  expect(page.text()).toContain('1 task past its estimate');
  const [past, near] = cells();
  expect([past?.[2], past?.[3], past?.[5], past?.[6]]).toEqual(['2:00 over', '120 %', 'Ada', '2:00']);
  expect([near?.[2], near?.[5]]).toEqual(['1:00 left', 'nobody']);
});
