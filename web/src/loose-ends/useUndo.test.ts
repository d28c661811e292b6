import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import { useAnswers } from './useAnswers.ts';
import { useUndo } from './useUndo.ts';

jest.mock('@tanstack/vue-query', () => jest.requireActual('../kit/fakeServer.fixture.ts'));
jest.mock('../kit/callRoute.ts', () => jest.requireActual('../kit/fakeServer.fixture.ts'));

let drawn = 0;
beforeEach(() => {
  drawn = 0;
  server.calls = [];
  server.answer = () => ({ entries: [`e${(drawn += 1)}`] });
});
const ended = (name: string) => ({
  end: { kind: 'gap' as const, technician: name, target: null, from: '2026-03-02T09:00:00Z' },
  reason: 'was-break' as const,
  at: null,
});

test('acts are undone one by one, the last first, and an act without entries leaves nothing to undo', async () => {
  const answers = useAnswers();
  await answers.answer([ended('ada')], 'Ada: it was a break');
  await answers.accept({
    ends: [],
    reason: 'sent for parts',
    seen: { from: '2026-03-02', to: '2026-03-15' },
  });
  await answers.answer([ended('bo')], 'Bo: it was a break');
  expect(answers.made.value.map(({ words }) => words)).toEqual(['Ada: it was a break', 'Bo: it was a break']);
  await answers.undo();
  await answers.undo();
  await answers.undo();
  expect(bodies().filter(([name]) => name === 'undoAnswer')).toEqual([
    ['undoAnswer', { entries: ['e3'] }],
    ['undoAnswer', { entries: ['e1'] }],
  ]);
  expect(answers.made.value).toEqual([]);
});

test('what was refused is said with its field, leaves nothing to undo, and is forgotten at the next try', async () => {
  const acts = useUndo();
  server.answer = () => {
    throw new CallFailed({
      title: 'Something is not right',
      errors: [{ field: 'rows[0].day', message: 'lies in the future' }],
    });
  };
  const done = await acts.make('a week', () =>
    Promise.resolve().then(() => server.answer({} as never) as never),
  );
  expect(done).toBe(false);
  expect(acts.problem.value).toBe('Something is not right: lies in the future');
  expect(acts.errors.value).toEqual({ 'rows[0].day': 'lies in the future' });
  expect(acts.made.value).toEqual([]);
  expect(await acts.make('a week', () => Promise.resolve({ entries: ['e1'] }))).toBe(true);
  expect([acts.problem.value, acts.errors.value]).toEqual(['', {}]);
});

test('an undo that the server refuses keeps the act, so that it can be tried again', async () => {
  const acts = useUndo();
  await acts.make('a week', () => Promise.resolve({ entries: ['e1'] }));
  server.answer = () => {
    throw new CallFailed(null);
  };
  expect(await acts.undo()).toBe(false);
  expect(acts.made.value).toHaveLength(1);
  expect(acts.problem.value).toBe('The server does not answer');
});

test('one act at a time: what is pressed meanwhile does nothing', async () => {
  const acts = useUndo();
  let finish: (value: { entries: string[] }) => void = () => undefined;
  const first = acts.make('first', () => new Promise((resolve) => (finish = resolve)));
  expect(acts.isBusy.value).toBe(true);
  expect(await acts.make('second', () => Promise.resolve({ entries: ['e2'] }))).toBe(false);
  finish({ entries: ['e1'] });
  expect(await first).toBe(true);
  expect(acts.made.value.map(({ words }) => words)).toEqual(['first']);
  expect(acts.isBusy.value).toBe(false);
});
