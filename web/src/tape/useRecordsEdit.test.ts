import { instant, technicianId } from '@wergon/contract/wire';
import type { PersonDayJson } from '@wergon/contract/tape';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { useUndo } from '../loose-ends/useUndo.ts';
import type { TapeBlock } from './usePersonDay.ts';
import { useRecordsEdit } from './useRecordsEdit.ts';

jest.mock('@tanstack/vue-query', () => jest.requireActual('../kit/fakeServer.fixture.ts'));
jest.mock('../kit/callRoute.ts', () => jest.requireActual('../kit/fakeServer.fixture.ts'));

const block = (key: string, from: string, more: object = {}): TapeBlock => {
  const [begin, end] = [instant.parse(`2026-03-02T${from}:00Z`), instant.parse('2026-03-02T10:00:00Z')];
  const stint = {
    isOpen: false,
    isTorn: false,
    running: [{ target: 'a', workType: 'run', title: 'A' }],
    ...more,
  };
  return { key, from: begin, to: end, stint } as unknown as TapeBlock;
};
const blocks = [block('b1', '07:00'), block('b2', '09:00', { isOpen: true })];
const told = { technician: technicianId.parse('ada'), hours: [{ id: 'h1' }] } as unknown as PersonDayJson;
beforeEach(() => {
  server.calls = [];
  server.answer = () => ({ entries: ['e1'] });
});

type Draft = Partial<ReturnType<typeof useRecordsEdit>['draft']['value']>;
test.each<[ticked: readonly string[], draft: Draft, act: unknown, why: string]>([
  [[], {}, undefined, 'nothing is ticked'],
  [['b1'], {}, { what: 'out' }, 'taking out needs no more'],
  [['b1'], { act: 'give' }, undefined, 'nobody is chosen'],
  [['b1'], { act: 'give', technician: 'bo' }, { what: 'give', technician: 'bo' }, 'somebody is'],
  [['b1'], { act: 'work' }, undefined, 'no work is chosen'],
  [['h1'], { act: 'work', target: 'b' }, { what: 'work', target: 'b', workType: 'run' }, 'some is'],
  [['b1'], { act: 'later', hours: 'soon' }, undefined, 'no length'],
  [['b1'], { act: 'later', hours: '0:15' }, { what: 'shift', seconds: 900 }, 'later'],
  [['b1'], { act: 'earlier', hours: '1,5' }, { what: 'shift', seconds: -5400 }, 'earlier'],
  [['gone'], {}, undefined, 'what is ticked is not there any more'],
])('of %j with %j is sent %j: %s', (ticked, draft, act) => {
  const editing = useRecordsEdit(useUndo());
  ticked.forEach((key) => editing.toggle(key));
  Object.assign(editing.draft.value, draft);
  expect(editing.bodyOf(blocks, told)?.act).toEqual(act);
});

test('stretches are sent as they were shown, lengths by their names; done, nothing is ticked any more', async () => {
  const editing = useRecordsEdit(useUndo());
  for (const key of ['b1', 'b2', 'h1', 'b1', 'b1']) editing.toggle(key);
  const body = editing.bodyOf(blocks, told);
  expect(body).toMatchObject({
    blocks: [
      { technician: 'ada', from: '2026-03-02T07:00:00Z', to: '2026-03-02T10:00:00Z' },
      { from: '2026-03-02T09:00:00Z', to: null },
    ],
    hours: ['h1'],
  });
  if (body) await editing.confirm(body, '3 records');
  expect(bodies()[0]?.[0]).toBe('editRecords');
  expect(editing.ticked.value).toEqual([]);
});

test('what is refused stays ticked', async () => {
  const acts = useUndo();
  const editing = useRecordsEdit(acts);
  editing.toggle('b1');
  server.answer = () => {
    throw new Error('no network');
  };
  const body = editing.bodyOf(blocks, told);
  if (body) await editing.confirm(body, '1 record');
  expect([editing.ticked.value, acts.problem.value === '']).toEqual([['b1'], false]);
});
