import { instant } from '@wergon/contract/wire';
import { toInstant } from '@wergon/core/time';
import type { PresentJson } from '@wergon/contract/tape';
import { bodies, server } from '../kit/fakeServer.fixture.ts';
import { useUndo } from '../loose-ends/useUndo.ts';
import { usePresenceEdit } from './usePresenceEdit.ts';

jest.mock('@tanstack/vue-query', () => jest.requireActual('../kit/fakeServer.fixture.ts'));
jest.mock('../kit/callRoute.ts', () => jest.requireActual('../kit/fakeServer.fixture.ts'));

const shift = (more: Partial<PresentJson> = {}): PresentJson => ({
  from: instant.parse('2026-03-02T06:00:00Z'),
  to: instant.parse('2026-03-02T14:00:00Z'),
  isOpen: false,
  isTorn: false,
  ...more,
});
beforeEach(() => {
  server.calls = [];
  server.answer = () => ({ entries: ['e1'] });
});

test.each<[more: Partial<PresentJson>, to: string | null, why: string]>([
  [{}, '2026-03-02T14:00:00Z', 'as it ended'],
  [{ isOpen: true }, null, 'who is still in goes on'],
  [{ isTorn: true }, '2026-03-02T14:00:00Z', 'where the rule ended it'],
])('of a shift with %j the end is %s: %s; alone that changes nothing', (more, to) => {
  const editing = usePresenceEdit(useUndo());
  editing.take('ada', 'shift', shift(more));
  expect(editing.body.value).toBeUndefined();
  const { becomes } = editing.draft.value ?? {};
  if (becomes) becomes.from = toInstant(becomes.from - 600);
  expect(editing.body.value).toMatchObject({
    kind: 'shift',
    was: { from: '2026-03-02T06:00:00Z', to },
    becomes: { from: '2026-03-02T05:50:00Z', to },
  });
});

test('what was never scanned is added, and dropped without a word to the server', () => {
  const editing = usePresenceEdit(useUndo());
  editing.begin('ada', 'break', { from: toInstant(1_772_450_000), to: toInstant(1_772_451_800) });
  expect(editing.body.value?.was).toBeNull();
  editing.drop();
  expect(editing.draft.value).toBeNull();
  expect(server.calls).toEqual([]);
});

test('what is taken out never was; confirmed, it can be undone', async () => {
  const acts = useUndo();
  const editing = usePresenceEdit(acts);
  editing.take('ada', 'break', shift());
  editing.drop();
  expect(editing.body.value).toMatchObject({ kind: 'break', becomes: null });
  await editing.confirm('break from 7:00 taken out');
  expect(bodies()[0]?.[0]).toBe('editPresence');
  expect(editing.draft.value).toBeNull();
  await acts.undo();
  expect(bodies().at(-1)).toEqual(['undoAnswer', { entries: ['e1'] }]);
});
