import { personStanding, standingOf } from '../floor/standing.ts';
import { HOUR, clock, entryId, target, technician } from '../ledger/shop.fixture.ts';
import type { TechnicianId } from '../people/costRate.ts';
import { toInstant } from '../time/instant.ts';
import { promptFor } from './prompt.ts';
import type { StationDirectory } from './directory.ts';
import { DEFAULT_STATION_SETTINGS } from './settings.ts';
import { LABELS, conversationOf, directory, play, saidOf } from './shop.fixture.ts';
import { converse } from './station.ts';

const context = { directory, settings: DEFAULT_STATION_SETTINGS, isOnline: true };

describe('what a conversation starts and stops', () => {
  test.each<[words: string, appended: readonly string[], ends: string, why: string]>([
    ['ADA', [], 'ada', 'a badge alone never starts or stops anything'],
    ['ADA T1', ['ada work-start a'], 'ada', 'badge then task'],
    ['T1 ADA', ['ada work-start a'], 'idle', 'task then badge starts that one person and ends'],
    ['T1 ADA BO', ['ada work-start a'], 'bo', 'and the next badge only shows where its owner stands'],
    ['ADA BO T1', ['bo work-start a'], 'bo', 'badge A, badge B, task starts B only'],
    ['T1 T2 ADA', ['ada work-start b'], 'idle', 'the last task counts'],
    ['ADA T1 +8 ADA T2', ['ada work-start a', 'ada work-start b'], 'ada', 'a task while on a task switches'],
    ['ADA T1 T2', ['ada work-start a', 'ada work-start b'], 'ada', 'while the screen still shows them'],
    ['ADA T1 T1', ['ada work-start a'], 'ada', 'the same task again is no second start'],
    ['ADA T1 +8 ADA OFF', ['ada work-start a', 'ada work-stop'], 'ada', 'off task'],
    ['ADA T1 +8 OFF ADA', ['ada work-start a', 'ada work-stop'], 'idle', 'off task, then badge'],
    ['ADA OFF', [], 'ada', 'off task on nothing is refused'],
    ['ADA IN T1 +8 ADA OUT', ['ada shift-in', 'ada work-start a', 'ada shift-out'], 'ada', 'a whole shift'],
    ['IN ADA', ['ada shift-in'], 'idle', 'shift in, then badge'],
    ['ADA IN IN', ['ada shift-in'], 'ada', 'signed in twice is refused'],
    ['ADA OUT', [], 'ada', 'out without in is refused while on nothing'],
    ['ADA T1 OUT', ['ada work-start a', 'ada shift-out'], 'ada', 'but whoever works without a shift may go'],
    ['ADA T1 +8 ADA ADA', ['ada work-start a'], 'ada', 'the same badge again is status only'],
    ['ADA MEETING', ['ada work-start meeting'], 'ada', 'an indirect activity'],
    ['ADA BREAK', ['ada break-start'], 'ada', 'a break'],
    ['ADA T1 BREAK +8 ADA BREAK', ['ada work-start a', 'ada break-start', 'ada break-end'], 'ada', 'its end'],
    ['BREAK ADA', ['ada break-start'], 'idle', 'break, then badge'],
    ['ADA T1 DONE', ['ada work-start a', 'ada task-done a'], 'ada', 'done finishes what one is on'],
    ['ADA DONE', [], 'ada', 'done on nothing is refused'],
    ['04a3b21f T1', ['bo work-start a'], 'bo', 'a card of another system that is somebody’s badge'],
    ['ADA PAPER', ['ada work-start a setup'], 'ada', 'the code of a traveler, with its kind of work'],
    ['OLD ADA', ['ada work-start b'], 'idle', 'of an old one too: what was printed can be worked on'],
    ['ADA T1 +70 HOME', ['ada work-start a', 'ada shift-out'], 'idle', 'one’s own label ends one’s day'],
    ['BO HOME', [], 'idle', 'and is refused for who is not in, whoever stood there'],
    ['ADA HELD', [], 'ada', 'a task of an order that is not released'],
    ['HELD ADA', [], 'ada', 'refused before a badge is asked for'],
    ['LEFT T1', [], 'intent', 'a technician who has left starts nothing'],
    ['ADA +61 T1', [], 'intent', 'after the set time the person is gone from the screen'],
    ['ADA BLANK T1', [], 'intent', 'and at once on the blank action'],
    ['T1 !blank ADA', [], 'ada', 'blanking drops a half-finished conversation'],
    ['ADA T1 !blank +60 ADA OFF', ['ada work-start a', 'ada work-stop'], 'ada', 'and stops no labor'],
    ['T1 +604800 ADA', [], 'ada', 'a page left open for a week has forgotten what was half said'],
    ['ADA T1 +604800 BO T1', ['ada work-start a', 'bo work-start a'], 'bo', 'and serves the next one'],
    ['ADA T1 +7 T2', ['ada work-start a'], 'intent', 'six seconds after something done the screen is blank'],
  ])('%s: %j, then %s (%s)', (words, appended, ends) => {
    const run = play(words);
    expect(run.appended).toEqual(appended);
    expect(conversationOf(run)).toBe(ends);
  });
});

describe('the kind of work, a machine, JOIN and EARLIER, before a task or after it', () => {
  test.each<[words: string, appended: readonly string[], why: string]>([
    ['ADA SETUP T1', ['ada work-start a setup'], 'the kind before the task'],
    ['SETUP T1 ADA', ['ada work-start a setup'], 'before everything'],
    ['T1 SETUP ADA', ['ada work-start a setup'], 'between them'],
    ['SETUP ADA T1', ['ada work-start a setup'], 'and before a badge of one who is on nothing'],
    [
      'ADA T1 SETUP',
      ['ada work-start a', 'void e2', 'ada work-start a setup'],
      'after: the start is made anew',
    ],
    ['ADA T1 +40 ADA SETUP', ['ada work-start a', 'ada work-start a setup'], 'later: it goes on as that'],
    ['ADA T1 +40 SETUP ADA', ['ada work-start a', 'ada work-start a setup'], 'with the badge last too'],
    ['ADA SETUP SETUP', [], 'alone it starts nothing'],
    ['ADA PAPER +40 ADA SETUP', ['ada work-start a setup'], 'the same kind again is nothing new'],
    ['ADA T1 JOIN T2', ['ada work-start a', 'ada work-start b join'], 'a second task beside the first'],
    ['ADA T1 JOIN T1', ['ada work-start a'], 'the same one is there already'],
    ['ADA JOIN T1', ['ada work-start a'], 'beside nothing it is a plain start'],
    ['ADA T1 +9 JOIN T2 ADA', ['ada work-start a', 'ada work-start b join'], 'the badge last'],
    ['ADA PRESS MACHINE', ['ada work-start press m1'], 'a machine answers the question for it'],
    ['ADA MACHINE PRESS', ['ada work-start press m1'], 'and is not asked for when scanned before'],
    ['ADA PRESS #2', ['ada work-start press m2'], 'or is chosen'],
    ['ADA T1 OTHER', ['ada work-start a', 'void e2', 'ada work-start a m2'], 'after a start it is added'],
    ['ADA CENTER', [], 'a work center is no machine'],
    ['ADA TRAVEL T1 #1', ['ada work-start meeting'], 'outside the estimate: steered to its activity'],
    ['ADA TRAVEL T1 #2', ['ada work-start a travel'], 'or kept beside the job'],
    ['ADA T1 +40 ADA TRAVEL #1', ['ada work-start a', 'ada work-start meeting'], 'when it changes, too'],
  ])('%s: %j (%s)', (words, appended) => expect(play(words).appended).toEqual(appended));

  test('the start that replaces another begins where that one began', () => {
    const run = play('ADA T1 SETUP');
    const ada = run.directory.technicians.get(technician('ada'));
    expect(ada?.state.doing).toMatchObject({ since: clock(8) + 6, running: [{ workType: 'setup' }] });
  });

  test.each<[words: string, minutes: number | undefined, why: string]>([
    ['ADA EARLIER T1 #2', 10, 'chosen before the start'],
    ['ADA T1 EARLIER #1', 5, 'or right after it'],
    ['ADA EARLIER T1 =12', 12, 'a length that was typed'],
    ['ADA EARLIER T1 D1 D2 ENTER', 12, 'or scanned digit by digit'],
    ['ADA EARLIER T1 =31', undefined, 'not beyond the station’s limit'],
    ['ADA EARLIER T1 =0', undefined, 'nothing is no length'],
  ])('%s sets the start back by %s minutes (%s)', (words, minutes) => {
    const run = play(words);
    const ada = run.directory.technicians.get(technician('ada'))?.state.doing;
    const asked = clock(8) + 9;
    if (minutes === undefined)
      expect([ada?.status, conversationOf(run)]).toEqual(['nothing', 'asked earlier']);
    else if (words.startsWith('ADA T1')) expect(ada).toMatchObject({ since: clock(8) + 6 - minutes * 60 });
    else expect(ada?.status === 'work' && ada.since <= asked - minutes * 60 + 20).toBe(true);
  });

  test('a start is never set back before the last entry of its person', () => {
    const run = play('ADA T1 +600 ADA OFF +420 ADA EARLIER T2 #2');
    expect([saidOf(run), run.appended.length]).toEqual(['station.bad_answer', 2]);
    expect(play('ADA T1 +600 ADA OFF +420 ADA EARLIER T2 =8').appended).toHaveLength(2);
    expect(play('ADA T1 +600 ADA OFF +420 ADA EARLIER T2 =7').appended).toHaveLength(3);
  });
});

describe('taking back one’s own last act', () => {
  test.each<[words: string, last: string, ends: string, why: string]>([
    ['ADA T1 BACK', 'void e2', 'ada', 'a start, by label'],
    ['T1 ADA !take-back', 'void e2', 'idle', 'by touch while it stands on the screen'],
    ['ADA T1 +8 ADA !take-back', 'void e2', 'ada', 'by its maker with their badge again'],
    ['T1 ADA +8 BACK ADA', 'void e2', 'idle', 'the label first, then the badge'],
    ['ADA T1 +40 ADA BACK', 'ada work-start a', 'ada', 'not after 30 seconds'],
    ['ADA T1 BO BACK', 'ada work-start a', 'bo', 'not by anybody else'],
    ['ADA T1 OFF BACK', 'void e3', 'ada', 'a stop: what it ended runs on'],
    ['ADA T1 OUT BACK', 'void e3', 'ada', 'a shift out'],
    ['ADA T1 BACK BACK', 'void e2', 'ada', 'once'],
    ['ADA T1 BACK OFF', 'void e2', 'ada', 'what was taken back runs no longer'],
  ])('%s ends with %s, then %s (%s)', (words, last, ends) => {
    const run = play(words);
    expect(run.appended.at(-1)).toBe(last);
    expect(conversationOf(run)).toBe(ends);
  });

  test('touches nobody else', () => {
    expect(play('ADA T1 +9 BO T2 +9 ADA BACK BO OFF').appended).toEqual([
      'ada work-start a',
      'bo work-start b',
      'void e2',
      'bo work-stop',
    ]);
  });

  test('a task that was finished by it is open again', () => {
    const isFinished = (words: string) => {
      const found = play(words).directory.targets.get(target('a'));
      return found?.kind === 'task' && found.isFinished;
    };
    expect([isFinished('ADA T1 DONE'), isFinished('ADA T1 DONE BACK')]).toEqual([true, false]);
  });
});

test('the same code twice within two seconds is one scan, and later it is two', () => {
  const run = play('ADA T1 OFF');
  const scan = (ms: number) =>
    converse(
      run.state,
      {
        type: 'scan',
        text: LABELS['OFF'] as string,
        source: 'scan',
        now: run.now + ms,
        entryId: entryId(`x${ms}`),
      },
      { ...context, directory: run.directory },
    );
  expect(scan(1_999).effects).toEqual([]);
  expect(scan(2_000).state.said).toMatchObject({ kind: 'refused', code: 'station.on_nothing' });
});

test('a switch ends one task and begins the next at the same second, without a gap', () => {
  const run = play('ADA T1 +600 ADA T2');
  const ada = run.directory.technicians.get(technician('ada'));
  const used = run.directory.targets.get(target('a'));
  expect(ada?.state.doing).toMatchObject({ status: 'work', since: Math.floor(run.now / 1000) });
  expect(used?.kind === 'task' && used.used.run).toBe(HOUR + 606);
});

test.each([
  ['ADA HELD', 'station.order_on_hold', 'w2'],
  ['LEFT', 'station.technician_left', 'left'],
  ['ADA STRANGE', 'station.unknown_code', LABELS['STRANGE']],
  ['ADA T12', 'code.too_short', 'T12'],
  ['ADA C118', 'code.wrong_check', 'C118'],
  ['ADA EMPTY', 'station.order_on_hold', 'w2'],
  ['ADA !find =w2', 'station.order_on_hold', 'w2'],
  ['ADA !find =nowhere', 'station.nothing_found', 'nowhere'],
  ['ADA BACK', 'station.nothing_to_take_back', ''],
  ['ADA ENTER', 'station.nothing_asked', ''],
])('%s is refused with %s and says %s', (words, code, text) => {
  expect(play(words).state.said).toEqual({ kind: 'refused', code, text });
});

test('a code that means nothing is kept for the supervisor, but never the body of a badge', () => {
  const kept = (words: string) => play(words).appended;
  expect(kept('STRANGE')).toEqual([expect.stringContaining(LABELS['STRANGE'] ?? '-')]);
  const mangled = `${(LABELS['ADA'] ?? '').slice(0, -2)}XX`;
  expect(kept(mangled)[0]).toContain(`${LABELS['ADA']?.slice(0, 3)}…`);
  expect(kept(mangled)[0]).not.toContain(LABELS['ADA']?.slice(0, 6));
  expect(kept('HELD')).toEqual([]);
});

test('an entry says which badge was read by its id, and how its owner was known', () => {
  const append = play('ADA T1').effects.find((effect) => effect.type === 'append');
  expect(append).toMatchObject({ via: ['badge-ada'], identity: 'badge', action: 'e2' });
});

test.each([
  ['BLANK', 'badge-or-task', 'nobody stands here'],
  ['T1', 'badge-for-task', 'a task waits for a badge'],
  ['ORDER', 'badge-for-order', 'a whole order waits for a badge'],
  ['OFF', 'badge-for-action', 'an action waits for a badge'],
  ['ADA', 'shift-in-or-task', 'not signed in'],
  ['ADA IN', 'task-to-start', 'signed in, on nothing'],
  ['ADA T1', 'task-to-switch', 'on a task'],
  ['ADA T1 JOIN', 'task-to-join', 'a second task is to come'],
  ['ADA SETUP', 'task-for-draft', 'a kind of work waits for its task'],
  ['ADA BREAK', 'task-ends-break', 'on a break'],
  ['CREW', 'crew-badges', 'a crew is open'],
  ['CREW ADA', 'crew-task', 'and waits for its task'],
])('after %s the screen says %s: %s', (words, prompt) => {
  const run = play(words);
  const now = toInstant(Math.floor(run.now / 1000));
  expect(promptFor(run.state, run.directory, DEFAULT_STATION_SETTINGS, now)).toBe(prompt);
});

test('after a badge: on what, since when, used and left of the estimate, and today', () => {
  const run = play('ADA T1 +1800 ADA');
  const now = toInstant(Math.floor(run.now / 1000));
  const standing = personStanding(run.directory, technician('ada') as TechnicianId, now);
  expect(standing?.state.doing).toMatchObject({ status: 'work', since: now - 1803 });
  expect(standing?.todaySeconds).toBe(1803);
  expect(standing?.targets[0]).toMatchObject({
    comparison: { usedSeconds: HOUR + 1803, leftSeconds: HOUR - 1803, overSeconds: 0 },
  });
});

test('what several people use of a task adds up while they are on it', () => {
  const run = play('ADA T1 +9 BO T1 +600');
  const now = toInstant(Math.floor(run.now / 1000));
  const standing = standingOf(run.directory, target('a'), now);
  expect(standing?.kind === 'task' && standing.comparison.usedSeconds).toBe(HOUR + 615 + 600);
});

test('whoever starts from an old traveler is told that the order has changed', () => {
  const told = (words: string) => {
    const { said } = play(words).state;
    return said?.kind === 'started' && said.isOldTraveler;
  };
  expect([told('ADA OLD'), told('ADA PAPER'), told('ADA T2')]).toEqual([true, false, false]);
});

test('a calibration leaves no half-finished conversation behind', () => {
  const { state } = play('ADA');
  const step = converse(state, { type: 'calibrated', now: clock(9) * 1000 }, context);
  expect([step.state.conversation.step, step.state.said?.kind]).toEqual(['idle', 'calibrated']);
});

test('whoever reads something of theirs is not cut off; a screen on which nobody stands is', () => {
  const { state } = play('ADA T1');
  const now = (state.blankAt ?? 0) - 1000;
  const stayed = converse(state, { type: 'stay', now }, context).state;
  expect(stayed.blankAt).toBe(now + context.settings.clearAfterBadge * 1000);
  expect(converse(stayed, { type: 'tick', now: now + 1000 }, context).state.conversation.step).toBe('person');
  const idle = play('T1 ADA').state;
  expect(converse(idle, { type: 'stay', now }, context).state.blankAt).toBe(idle.blankAt);
});

test('on a phone of one’s own the name is enough, and that is how one is known; nobody else’s is', () => {
  const own: StationDirectory = { ...directory, owner: technician('ada') };
  const run = play('@ada T1', { directory: own, identity: 'badge' });
  expect(run.appended).toEqual(['ada work-start a']);
  expect(run.effects.find(({ type }) => type === 'append')).toMatchObject({ identity: 'own-phone' });
  expect(play('@bo T1', { directory: own, identity: 'badge' }).appended).toEqual([]);
});
