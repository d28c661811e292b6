import type { ResourceId } from './directory.ts';
import { conversationOf, play, withReports } from './shop.fixture.ts';

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
  ['LEA !lead-crew T1', [...ALL, 'lea work-start a'], 'crew', 'a lead does it for their crew from the list'],
  ['LEA !lead-crew @bo T1', ['ada work-start a', 'lea work-start a'], 'crew', 'who is missing is ticked off'],
  ['LEA !lead-crew @bo @bo T1', [...ALL, 'lea work-start a'], 'crew', 'or is there after all'],
  [
    'LEA !lead-crew @bo T1 BO',
    ['ada work-start a', 'lea work-start a', 'bo work-start a'],
    'crew',
    'or comes with their badge',
  ],
  ['ADA !lead-crew', [], 'ada', 'nobody but a lead'],
  ['ADA T1 BO T2', ['ada work-start a', 'bo work-start b'], 'bo', 'without its label two badges are no crew'],
])('%s: %j, then %s (%s)', (words, appended, ends) => {
  const run = play(words);
  expect([...run.appended].sort()).toEqual([...appended].sort());
  expect(conversationOf(run)).toBe(ends);
});

test.each<[alone: string, asCrew: string, settings: Parameters<typeof play>[1], why: string]>([
  ['ADA T1', 'CREW ADA T1', {}, 'a start'],
  ['ADA T1', 'CREW ADA T1', { signsIn: true }, 'that signs in'],
  [
    'ADA PRESS',
    'CREW ADA PRESS',
    { machine: 'm2' as ResourceId },
    'on the machine that stands at the station',
  ],
  ['ADA SETUP T1', 'CREW ADA SETUP T1', {}, 'a kind of work'],
  ['ADA T1 +20 ADA OUT', 'ADA T1 +20 CREW ADA OUT', {}, 'the way home'],
  ['ADA MEETING', 'CREW ADA MEETING', {}, 'indirect work'],
])('a crew of one does by %s what %s does (%#: %j, %s)', (alone, asCrew, settings) => {
  const done = (words: string) =>
    play(words, settings).effects.flatMap((effect) => {
      if (effect.type !== 'append') return [];
      const { id, ...entry } = effect.entry;
      return [{ ...entry, at: 0, isKept: id !== '' }];
    });
  expect(done(asCrew)).toEqual(done(alone));
});

test.each([
  ['CREW ADA HELD', 'station.order_on_hold'],
  ['CREW HELD', 'station.order_on_hold'],
  ['CREW ADA FINISHED', 'station.task_finished'],
])('%s is refused for all, also where one alone could be let through', (words, code) => {
  const { appended, state } = play(words, { mayOverride: true, mayReopen: true });
  expect([appended, state.said]).toMatchObject([[], { kind: 'refused', code }]);
});

test('everybody who was started is named, and those for whom it made no sense', () => {
  expect(play('CREW ADA BO T1').state.said).toMatchObject({ technicians: ['ada', 'bo'], target: 'a' });
  expect(play('CREW ADA T1 +20 CREW ADA BO OFF').state.said).toMatchObject({
    technicians: ['ada'],
    skipped: ['bo'],
  });
});

test('each one’s start is an act of their own, which they can take back', () => {
  const actions = play('CREW ADA BO T1').effects.flatMap((effect) =>
    effect.type === 'append' ? [effect.action] : [],
  );
  expect(new Set(actions).size).toBe(2);
  expect(play('CREW ADA BO T1 +12 BO BACK').appended.at(-1)).toMatch(/^void/);
});

describe('ids of entries', () => {
  test.each([
    ['CREW ADA BO T1', 'a crew whose start signs in'],
    ['CREW ADA BO LEA T1', 'three of them'],
    ['CREW ADA BO T1 +20 CREW ADA BO OFF', 'and signed off again'],
    ['CREW ADA BO T1 T2', 'and moved on'],
  ])('of %s are never made twice: %s', (words) => {
    const ids: string[] = [];
    for (const [i] of words.split(' ').entries())
      ids.push(
        ...play(
          words
            .split(' ')
            .slice(0, i + 1)
            .join(' '),
          { signsIn: true },
        ).effects.flatMap((effect) => (effect.type === 'append' ? [effect.entry.id] : [])),
      );
    expect(new Set(ids).size).toBe(ids.length);
  });

  test('everybody of a crew is signed in', () => {
    const { appended } = play('CREW ADA BO LEA T1', { signsIn: true });
    expect(appended.filter((each) => each.endsWith('shift-in'))).toEqual([
      'ada shift-in',
      'bo shift-in',
      'lea shift-in',
    ]);
  });
});

describe('reports that must be answered are asked of a crew', () => {
  const must = withReports('a', { when: 'end', kind: 'value', label: 'Ohm' });
  const mustAtStart = withReports('a', { when: 'start', kind: 'value', label: 'Ohm' });
  const may = withReports('a', { when: 'end', kind: 'value', label: 'Ohm', maySkip: true });
  const readings = (words: string, directory: typeof must) => {
    const run = play(words, { directory });
    return [run.appended.filter((each) => each.includes('reading')).length, conversationOf(run)];
  };

  test.each<[words: string, directory: typeof must, recorded: number, ends: string, why: string]>([
    ['CREW ADA BO T1 +20 CREW ADA BO OFF', must, 0, 'asked report', 'before they leave the task'],
    ['CREW ADA BO T1 +20 CREW ADA BO OFF =7', must, 1, 'idle', 'once, not of each of them'],
    ['CREW ADA BO T1 T2', must, 0, 'asked report', 'and before they move on'],
    ['CREW ADA BO T1 T2 =7', must, 1, 'crew', 'then they do'],
    ['CREW ADA BO T1', mustAtStart, 0, 'asked report', 'before they begin'],
    ['CREW ADA BO T1 =7', mustAtStart, 1, 'crew', 'then they begin'],
    ['CREW ADA BO T1 SKIP', mustAtStart, 0, 'asked report', 'it cannot be left out'],
    ['CREW ADA BO T1 +20 CREW ADA BO OFF', may, 0, 'idle', 'one that may be left out is not asked for'],
  ])('%s: %#', (words, directory, recorded, ends) =>
    expect(readings(words, directory)).toEqual([recorded, ends]),
  );

  test('nobody has begun or stopped before it is answered, and all do after it', () => {
    const starts = (words: string) =>
      play(words, { directory: mustAtStart }).appended.filter((each) => each.includes('work-start'));
    expect(starts('CREW ADA BO T1')).toEqual([]);
    expect(starts('CREW ADA BO T1 =7')).toEqual(ALL);
  });
});
