import { targetId } from '@wergon/contract/wire';
import { formatInstant, toInstant } from '@wergon/core/time';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import type { TapeBlock } from './usePersonDay.ts';
import { useUndo } from '../loose-ends/useUndo.ts';
import { useTapeEdit } from './useTapeEdit.ts';

jest.mock('@tanstack/vue-query', () => jest.requireActual('../kit/fakeServer.fixture.ts'));
jest.mock('../kit/callRoute.ts', () => jest.requireActual('../kit/fakeServer.fixture.ts'));

const HOUR = 3600;
const at = (hours: number) => toInstant(1_772_431_200 + hours * HOUR);
const run = { target: targetId.parse('w1-10'), workType: 'run' as const, title: '1001 Strip', order: '1001' };
const block = (more: Partial<TapeBlock['stint']> = {}): TapeBlock => ({
  key: 'b',
  from: at(0),
  to: at(2),
  stint: {
    from: at(0),
    to: at(2),
    isOpen: false,
    isTorn: false,
    running: [run],
    opened: {} as never,
    closed: null,
    ...more,
  },
});
beforeEach(() => {
  server.calls = [];
  server.answer = () => ({ entries: ['e1'] });
});

test('a block that is only taken hold of is no edit yet', () => {
  const acts = useUndo();
  const editing = useTapeEdit(acts);
  editing.take('ada', block());
  expect(editing.body.value?.becomes).toEqual([editing.body.value?.block]);
  expect(editing.isChanged.value).toBe(false);
});

test.each<[stint: Partial<TapeBlock['stint']>, to: string | null, why: string]>([
  [{}, formatInstant(at(2)), 'what ended, ended'],
  [{ isOpen: true }, null, 'what goes on, goes on'],
  [
    { isOpen: true, isTorn: true },
    formatInstant(at(2)),
    'what the rule cut ended there, as far as the tape goes',
  ],
])('of a stint with %j the block is sent with its end at %s: %s', (stint, to) => {
  const acts = useUndo();
  const editing = useTapeEdit(acts);
  editing.take('ada', block(stint));
  expect(editing.body.value?.block?.to).toBe(to);
});

test('a drawn edge, another kind of work and a new stretch are edits; what is still on nothing is not sent', () => {
  const acts = useUndo();
  const editing = useTapeEdit(acts);
  editing.take('ada', block());
  const [piece] = editing.draft.value?.becomes ?? [];
  if (piece) piece.to = at(3);
  expect(editing.isChanged.value).toBe(true);
  expect(editing.body.value).toMatchObject({ becomes: [{ to: formatInstant(at(3)) }] });
  editing.begin('ada', at(4), at(5));
  expect(editing.body.value).toBeUndefined();
  const [added] = editing.draft.value?.becomes ?? [];
  if (added) added.running = [{ ...run }];
  expect(editing.body.value).toMatchObject({
    block: null,
    becomes: [{ running: [{ target: 'w1-10', workType: 'run' }] }],
  });
});

test('a split falls on a whole minute, and its second half waits for what was done', () => {
  const acts = useUndo();
  const editing = useTapeEdit(acts);
  editing.take('ada', { ...block(), to: at(1.505) });
  editing.split(0, at(9));
  const [first, second] = editing.draft.value?.becomes ?? [];
  expect((first?.to ?? 1) % 60).toBe(0);
  expect(second?.from).toBe(first?.to);
  expect(second?.running[0]?.target).toBe('');
  expect(editing.body.value).toBeUndefined();
  editing.drop(1);
  expect(editing.body.value?.becomes).toHaveLength(1);
  editing.drop(0);
  expect(editing.isChanged.value).toBe(true);
});

test('what was recorded can be taken back, the last first', async () => {
  const acts = useUndo();
  const editing = useTapeEdit(acts);
  for (const entry of ['e1', 'e2']) {
    server.answer = () => ({ entries: [entry] });
    editing.take('ada', block());
    editing.drop(0);
    await editing.confirm(`taken out ${entry}`);
  }
  expect(editing.draft.value).toBeNull();
  expect(acts.made.value.map(({ words }) => words)).toEqual(['taken out e1', 'taken out e2']);
  await acts.undo();
  expect(bodies().at(-1)).toEqual(['undoAnswer', { entries: ['e2'] }]);
  expect(acts.made.value.map(({ words }) => words)).toEqual(['taken out e1']);
});

test('a refusal stays with what was drawn, in words, and names its field', async () => {
  const acts = useUndo();
  const editing = useTapeEdit(acts);
  server.answer = () => {
    const errors = [{ field: 'becomes[0].to', message: 'there is something from 8:00 to 9:00' }];
    throw new CallFailed({ title: 'This would overlap', errors });
  };
  editing.take('ada', block());
  editing.drop(0);
  await editing.confirm('taken out');
  expect(acts.problem.value).toBe('This would overlap: there is something from 8:00 to 9:00');
  expect(Object.keys(acts.errors.value)).toEqual(['becomes[0].to']);
  expect(editing.draft.value).not.toBeNull();
  expect(acts.made.value).toEqual([]);
});

test('a second press while the first is on its way sends nothing', async () => {
  const acts = useUndo();
  const editing = useTapeEdit(acts);
  editing.take('ada', block());
  editing.drop(0);
  const first = editing.confirm('taken out');
  const second = editing.confirm('taken out');
  await Promise.all([first, second]);
  expect(server.calls).toHaveLength(1);
});
