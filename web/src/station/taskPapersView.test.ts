/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises, mount } from '@vue/test-utils';
import { h, ref, shallowRef } from 'vue';
import { targetId } from '@wergon/contract/wire';
import { DEFAULT_STATION_SETTINGS, IDLE } from '@wergon/core/station';
import type { StationDirectory } from '@wergon/core/station';
import KindsView from './KindsView.vue';
import TaskPapersView from './TaskPapersView.vue';
import { fetchPaper, fetchPapers } from './stationApi.ts';
import type { Station } from './useStation.ts';
import { provideWords } from './useWords.ts';

jest.mock('./stationApi.ts', () => ({ fetchPaper: jest.fn(), fetchPapers: jest.fn() }));
enableAutoUnmount(afterEach);

const TASK = targetId.parse('a');
const directory = (description: string, instructions: readonly string[]) =>
  ({
    targets: new Map([[TASK, { kind: 'task', id: TASK, order: 'w', title: 'Strip' }]]),
    orders: new Map([['w', { id: 'w', number: '24117' }]]),
    tasks: new Map([[TASK, { description, instructions }]]),
    people: new Map(),
  }) as unknown as StationDirectory;

/** What a station shows that speaks English. */
function open(view: () => ReturnType<typeof h>, known: StationDirectory) {
  const station = {
    state: shallowRef(IDLE),
    directory: shallowRef(known),
    settings: ref(DEFAULT_STATION_SETTINGS),
  } as unknown as Station;
  return mount({
    setup() {
      provideWords(station);
      return view;
    },
  });
}
const openPapers = async (known: StationDirectory) => {
  const page = open(() => h(TaskPapersView, { directory: known, target: TASK }), known);
  await flushPromises();
  return page;
};
const answer = (value: unknown) => ({ kind: 'ok', value, time: null }) as never;
const papers = jest.mocked(fetchPapers);
const paper = jest.mocked(fetchPaper);

test('all steps stand there, with the pictures of the order; a paper that is no picture is opened', async () => {
  papers.mockResolvedValue(
    answer({
      papers: [
        { id: 'p', name: 'nameplate.png', type: 'image/png' },
        { id: 'd', name: 'drawing.pdf', type: 'application/pdf' },
      ],
    }),
  );
  paper.mockResolvedValue(answer({ name: 'nameplate.png', type: 'image/png', base64: 'AAAA' }));
  const page = await openPapers(directory('Keep one coil', ['Cut', 'Count', 'Keep', 'Clean']));
  expect(page.get('h1').text()).toBe('Strip, 24117');
  expect(page.text()).toContain('Keep one coil');
  expect(page.findAll('ol li')).toHaveLength(4);
  expect(page.get('img').attributes()).toMatchObject({
    src: 'data:image/png;base64,AAAA',
    alt: 'nameplate.png',
  });
  expect(page.findAll('button').map((each) => each.text())).toEqual(['Back', 'drawing.pdf']);
});

test.each([
  ['unreachable', 'The server does not answer. Pictures and papers are shown when it is back.'],
  ['refused', 'The papers of this order are not shown here any more.'],
] as const)('where the server is %s the steps are there all the same', async (kind, words) => {
  papers.mockResolvedValue({ kind, status: 404 } as never);
  const page = await openPapers(directory('', ['Cut']));
  expect(page.findAll('ol li')).toHaveLength(1);
  expect(page.get('[role=alert]').text()).toBe(words);
});

test('what has neither steps nor papers says so', async () => {
  papers.mockResolvedValue(answer({ papers: [] }));
  const page = await openPapers(directory('', []));
  expect(page.text()).toContain('This task has no steps.');
  expect(page.text()).toContain('Its order has no pictures or papers.');
});

test('a kind of work is chosen by touch', async () => {
  const page = open(() => h(KindsView), directory('', []));
  expect(page.findAll('li')).toHaveLength(6);
  await page.get('li:nth-child(2) button').trigger('click');
  expect(page.getComponent(KindsView).emitted('choose')).toEqual([['run']]);
});
