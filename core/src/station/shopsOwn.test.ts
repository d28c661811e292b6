import { target } from '../ledger/shop.fixture.ts';
import type { StationDirectory } from './directory.ts';
import { conversationOf, directory, play, withAssigned, withPerson } from './shop.fixture.ts';

type Row = readonly [words: string, appended: readonly string[], ends: string, why: string];
const check =
  (setting: Parameters<typeof play>[1]) => (words: string, appended: readonly string[], ends: string) => {
    const run = play(words, setting);
    expect(run.appended).toEqual(appended);
    expect(conversationOf(run)).toBe(ends);
  };

describe('indirect work of divisions', () => {
  const brief = (division: string) => ({ description: '', division });
  const shop: StationDirectory = {
    ...directory,
    targets: new Map(directory.targets).set(target('errand'), {
      kind: 'activity',
      id: target('errand'),
      title: 'Errand',
    }),
    activities: new Map([
      [target('meeting'), brief('')],
      [target('errand'), brief('Motors')],
    ]),
  };
  const offered = (divisions: readonly string[]) => {
    const { conversation } = play('ADA !indirect', { directory: shop, divisions }).state;
    const question = conversation.step === 'asked' ? conversation.question : undefined;
    return question?.kind === 'which-activity' ? question.choices : [];
  };
  test.each([
    [[], ['meeting', 'errand'], 'a station of no division offers all'],
    [['Motors'], ['meeting', 'errand'], 'one of the division offers its own and those of all'],
    [['Pumps'], ['meeting'], 'one of another only those of all'],
    [['Pumps', 'Motors'], ['meeting', 'errand'], 'one of several those of each'],
  ])('a station of %j offers %j (%s)', (divisions, activities) => {
    expect(offered(divisions).filter((each) => shop.activities.has(each))).toEqual(activities);
  });

  test('a label is a label: what is not offered is started by it all the same', () => {
    expect(play('ADA MEETING', { directory: shop, divisions: ['Pumps'] }).appended).toEqual([
      'ada work-start meeting',
    ]);
  });
});

describe('a task that is somebody else’s', () => {
  const ada = { kind: 'technician', id: 'ada' } as const;
  const winders = { kind: 'crew', id: 'Winders' } as const;
  const shop = withAssigned({ a: [ada], b: [winders], c: [] });
  const rows: readonly Row[] = [
    ['ADA T1', ['ada work-start a'], 'ada', 'who is assigned starts it'],
    ['BO T1', [], 'bo', 'nobody else does'],
    ['T1 BO', [], 'idle', 'the task first'],
    ['BO T3', ['bo work-start c'], 'bo', 'what nobody is assigned is anybody’s'],
    ['BO MEETING', ['bo work-start meeting'], 'bo', 'and so is indirect work'],
    [
      'CREW ADA BO T1',
      ['ada work-start a', 'bo work-start a'],
      'crew',
      'with one who is assigned the others help',
    ],
    ['CREW BO T1', [], 'crew', 'a crew of others does not'],
  ];
  test.each<Row>(rows)('%s: %j, then %s (%s)', check({ directory: shop }));

  test.each<Row>([
    ['BO T1', [], 'asked override', 'a lead may let it through'],
    ['BO T1 LEA', ['bo work-start a lea'], 'bo', 'with their badge, which is recorded'],
    ['BO T1 ADA', [], 'asked override', 'not who is assigned'],
  ])('%s: %j, then %s (%s)', check({ directory: shop, mayOverride: true }));

  test('whom to ask is said by name, a crew by its own', () => {
    const both = withAssigned({ a: [ada, winders] });
    expect(play('BO T1', { directory: both }).state.said).toMatchObject({
      kind: 'refused',
      code: 'station.not_assigned',
      text: 'ada, Winders',
    });
  });

  test('who is of the crew may start it', () => {
    const inCrew = { ...withPerson('bo', { crew: 'Winders' }), isAssignedOnly: true, tasks: shop.tasks };
    expect(play('BO T2', { directory: inCrew }).appended).toEqual(['bo work-start b']);
    expect(play('ADA T2', { directory: inCrew }).appended).toEqual([]);
  });

  test('a shop that does not want it, and a station that cannot know, let everybody start', () => {
    expect(play('BO T1', { directory: withAssigned({ a: [ada] }, false) }).appended).toEqual([
      'bo work-start a',
    ]);
    expect(play('BO T1', { directory: shop, isOnline: false }).appended).toEqual(['bo work-start a']);
  });
});

describe('a list of names', () => {
  test.each<Row>([
    ['@ada T1', ['ada work-start a'], 'ada', 'a name is touched, then the task'],
    ['T1 @ada', ['ada work-start a'], 'idle', 'task, then name'],
  ])('%s: %j, then %s (%s)', check({ identity: 'names' }));
  test('where badges are asked, a name is none', () => {
    expect(play('@ada T1').appended).toEqual([]);
  });
});

describe('a presence station', () => {
  test.each<Row>([
    ['ADA', ['ada shift-in'], 'idle', 'a badge alone signs in'],
    ['ADA ADA', ['ada shift-in'], 'idle', 'within a minute it is only said again'],
    ['ADA +61 ADA', ['ada shift-in', 'ada shift-out'], 'idle', 'later it signs out'],
    ['ADA BO', ['ada shift-in', 'bo shift-in'], 'idle', 'another badge is another person'],
    ['ADA !take-back', ['ada shift-in', 'void e1'], 'idle', 'it can be taken back'],
    ['ADA !take-back ADA', ['ada shift-in', 'void e1', 'ada shift-in'], 'idle', 'and done again'],
    ['T1', [], 'idle', 'tasks are no business of it'],
    ['BREAK ADA', ['ada break-start'], 'idle', 'breaks are'],
  ])('%s: %j, then %s (%s)', check({ kind: 'presence' }));
});

describe('signing in with the first work', () => {
  test.each<Row>([
    ['ADA T1', ['ada shift-in', 'ada work-start a'], 'ada', 'one act, two entries'],
    ['ADA T1 T2', ['ada shift-in', 'ada work-start a', 'ada work-start b'], 'ada', 'once'],
    ['ADA T1 BACK', ['ada shift-in', 'ada work-start a', 'void e2-1', 'void e2'], 'ada', 'undone as one'],
  ])('%s: %j, then %s (%s)', check({ signsIn: true }));
  test('both entries share one action', () => {
    const actions = play('ADA T1', { signsIn: true }).effects.flatMap((effect) =>
      effect.type === 'append' ? [effect.action] : [],
    );
    expect(actions).toEqual(['e2', 'e2']);
  });
});
