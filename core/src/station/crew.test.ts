import { conversationOf, play } from './shop.fixture.ts';

const ALL = ['ada work-start a', 'bo work-start a'];

test.each<[words: string, appended: readonly string[], ends: string, why: string]>([
  ['CREW ADA BO T1', ALL, 'crew', 'badges, then the task'],
  ['CREW T1 ADA BO', ALL, 'crew', 'the task, then badges'],
  ['CREW ADA T1 BO', ALL, 'crew', 'in any order'],
  ['CREW ADA ADA T1', ['ada work-start a'], 'crew', 'a badge twice is one person'],
  ['CREW ADA BO', [], 'crew', 'without a task nobody starts'],
  ['CREW ADA T1 +6 BO', ALL, 'crew', 'it waits ten seconds'],
  ['CREW ADA T1 +10 BO', ['ada work-start a'], 'bo', 'and no longer: then a badge is only a badge'],
  ['CREW ADA T1 CREW BO', ['ada work-start a'], 'bo', 'its own label closes it'],
  ['CREW ADA T1 HELP BO', ['ada work-start a'], 'asked request', 'and so does any other code'],
  ['CREW ADA BO T1 T2', [...ALL, 'ada work-start b', 'bo work-start b'], 'crew', 'the crew moves on'],
  ['CREW SETUP ADA T1', ['ada work-start a setup'], 'crew', 'with a kind of work'],
  ['CREW ADA HELD', [], 'crew', 'what is refused is refused for all'],
  [
    'CREW ADA BO T1 +20 CREW ADA BO OFF',
    [...ALL, 'ada work-stop', 'bo work-stop'],
    'idle',
    'a crew is signed off as one',
  ],
  ['CREW ADA BO IN', ['ada shift-in', 'bo shift-in'], 'idle', 'and in'],
  [
    'CREW ADA T1 +20 CREW ADA BO OFF',
    ['ada work-start a', 'ada work-stop'],
    'idle',
    'who is on nothing is left out',
  ],
  ['LEA !lead-crew T1', [...ALL, 'lea work-start a'], 'crew', 'a lead does it for his crew from the list'],
  ['LEA !lead-crew @bo T1', ['ada work-start a', 'lea work-start a'], 'crew', 'who is missing is ticked off'],
  ['LEA !lead-crew @bo @bo T1', [...ALL, 'lea work-start a'], 'crew', 'or is there after all'],
  [
    'LEA !lead-crew @bo T1 BO',
    ['ada work-start a', 'lea work-start a', 'bo work-start a'],
    'crew',
    'or comes with his badge',
  ],
  ['ADA !lead-crew', [], 'ada', 'nobody but a lead'],
  ['ADA T1 BO T2', ['ada work-start a', 'bo work-start b'], 'bo', 'without its label two badges are no crew'],
])('%s: %j, then %s (%s)', (words, appended, ends) => {
  const run = play(words);
  expect([...run.appended].sort()).toEqual([...appended].sort());
  expect(conversationOf(run)).toBe(ends);
});

test('everybody who was started is named, and those for whom it made no sense', () => {
  expect(play('CREW ADA BO T1').state.said).toMatchObject({ technicians: ['ada', 'bo'], target: 'a' });
  expect(play('CREW ADA T1 +20 CREW ADA BO OFF').state.said).toMatchObject({
    technicians: ['ada'],
    skipped: ['bo'],
  });
});

test('each one’s start is an act of his own, which he can take back', () => {
  const actions = play('CREW ADA BO T1').effects.flatMap((effect) =>
    effect.type === 'append' ? [effect.action] : [],
  );
  expect(new Set(actions).size).toBe(2);
  expect(play('CREW ADA BO T1 +12 BO BACK').appended.at(-1)).toMatch(/^void/);
});
