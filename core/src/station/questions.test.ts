import { clock, target, technician, entryId } from '../ledger/shop.fixture.ts';
import { createZone } from '../time/zone.ts';
import { toInstant } from '../time/instant.ts';
import type { StationDirectory } from './directory.ts';
import { conversationOf, directory, play, saidOf, withPerson, withReports } from './shop.fixture.ts';

type Row = readonly [words: string, appended: readonly string[], ends: string, why: string];
const check =
  (setting: Parameters<typeof play>[1]) => (words: string, appended: readonly string[], ends: string) => {
    const run = play(words, setting);
    expect(run.appended).toEqual(appended);
    expect(conversationOf(run)).toBe(ends);
  };

describe('which of several', () => {
  test.each<Row>([
    ['ADA ORDER', [], 'asked which-task', 'a whole order shows its open tasks'],
    ['ADA ORDER #2', ['ada work-start b'], 'ada', 'and one is chosen'],
    ['ADA ORDER D1', ['ada work-start a'], 'ada', 'by a figure that is scanned'],
    ['ADA ORDER ~2', ['ada work-start b'], 'ada', 'or keyed'],
    ['ADA ORDER T2', ['ada work-start b'], 'ada', 'or by its own label'],
    ['ADA SMALL', ['ada work-start c'], 'ada', 'a single one starts at once'],
    ['ORDER ADA #1', ['ada work-start a'], 'idle', 'the order first'],
    ['ADA ORDER T3', ['ada work-start c'], 'ada', 'another order’s task is meant as itself'],
    ['ADA ORDER #7', [], 'asked which-task', 'there is no seventh'],
    ['ADA ORDER BO T1', ['bo work-start a'], 'bo', 'another badge ends the question'],
    ['ADA ORDER +61 #1', [], 'idle', 'and so does time'],
    ['ADA T1 JOIN T2 OFF', ['ada work-start a', 'ada work-start b join'], 'asked which-running', 'of two'],
    ['ADA T1 JOIN T2 OFF #1', ['ada work-start a', 'ada work-start b join', 'ada work-stop a'], 'ada', 'one'],
    [
      'ADA T1 JOIN T2 OFF T2',
      ['ada work-start a', 'ada work-start b join', 'ada work-stop b'],
      'ada',
      'by label',
    ],
    [
      'ADA T1 JOIN T2 OFF #3',
      ['ada work-start a', 'ada work-start b join', 'ada work-stop'],
      'ada',
      'or all',
    ],
    [
      'ADA T1 JOIN T2 DONE #2',
      ['ada work-start a', 'ada work-start b join', 'ada task-done b'],
      'ada',
      'done',
    ],
    ['ADA !indirect #1', ['ada work-start meeting'], 'ada', 'an activity from the list'],
    ['!indirect ADA #1', ['ada work-start meeting'], 'idle', 'the list first, then the badge'],
    ['ADA ~w1_b #1', ['ada work-start b'], 'ada', 'a task found by number and words'],
    ['ADA ~nowhere_at_all', [], 'ada', 'or not found'],
    ['ADA !find =w3', [], 'asked which-task', 'looked for by touch'],
    ['ADA !find =w3 #1', ['ada work-start c'], 'ada', 'found and started'],
    ['ADA !find =nowhere', [], 'asked find', 'or not found'],
    ['ADA !find T2', ['ada work-start b'], 'ada', 'or scanned after all'],
  ])('%s: %j, then %s (%s)', check({}));

  test('a single open task needs no choice, and its kind of work is kept', () => {
    expect(play('ADA SETUP SMALL').appended).toEqual(['ada work-start c setup']);
  });
});

describe('what a person must say before it is done', () => {
  test.each<Row>([
    ['ADA FINISHED', [], 'asked reopen', 'a finished task asks'],
    ['ADA FINISHED #1', ['ada task-reopen done', 'ada work-start done'], 'ada', 'and is taken up again'],
    ['ADA FINISHED #2', [], 'ada', 'or left'],
    ['ADA T1 !off-task', ['ada work-start a'], 'asked confirm-stop', 'a stop by touch asks'],
    ['ADA T1 !off-task #1', ['ada work-start a', 'ada work-stop'], 'ada', 'and is done when meant'],
    ['ADA T1 !off-task #2', ['ada work-start a'], 'ada', 'or not'],
    ['ADA T1 !shift-out #1', ['ada work-start a', 'ada shift-out'], 'ada', 'so does going home'],
    ['ADA T1 !break', ['ada work-start a', 'ada break-start'], 'ada', 'a break does not: it ends nothing'],
    ['ADA !help', [], 'asked request', 'a call for help may say what'],
    ['ADA HELP #1', ['ada request help'], 'ada', 'or nothing'],
    ['ADA T1 !part =wedge', ['ada work-start a'], 'asked how-many', 'a part in words'],
    ['ADA T1 !part =wedge =4', ['ada work-start a'], 'asked why-part', 'how many of it'],
    [
      'ADA T1 !part =wedge =4 =two_are_bent',
      ['ada work-start a', 'ada request a wedge 4 two are bent part'],
      'ada',
      'and what it is for',
    ],
    [
      'ADA T1 !part #2 D2 ENTER #1',
      ['ada work-start a', 'ada request a Slot paper 2 part'],
      'ada',
      'one of the order’s own, keyed, without a reason',
    ],
    [
      'ADA T1 !part #1 #1 #1',
      ['ada work-start a', 'ada request a Bearing part'],
      'ada',
      'nobody has to count',
    ],
    [
      'ADA T1 !part #1 SKIP #1',
      ['ada work-start a', 'ada request a Bearing part'],
      'ada',
      'by its label too',
    ],
    ['ADA T1 !part #1 =0', ['ada work-start a'], 'asked how-many', 'none of a part is no answer'],
    [
      'ADA T1 !part #3',
      ['ada work-start a', 'ada request a part'],
      'ada',
      'or only that something is missing',
    ],
    ['ADA !part #1', ['ada request part'], 'ada', 'of no order there is no list'],
    ['ADA T1 !note =worn_shaft', ['ada work-start a', 'ada note a worn shaft'], 'ada', 'what was found'],
    [
      'ADA T1 NOTE =worn_shaft',
      ['ada work-start a', 'ada note a worn shaft'],
      'ada',
      'its label says the same',
    ],
    ['NOTE ADA =swept_up', ['ada note swept up'], 'idle', 'before the badge too'],
    ['ADA !note =swept_up', ['ada note swept up'], 'ada', 'or done, on nothing in particular'],
    ['ADA !correction =was_late', ['ada request was late correction'], 'ada', 'a correction of one’s time'],
    ['ADA !time-off', [], 'asked leave-kind', 'time off says why'],
    ['ADA !time-off #1', [], 'asked leave-from', 'from when'],
    ['ADA !time-off #1 #2', [], 'asked leave-to', 'until when'],
    ['ADA !time-off #1 #2 #3', [], 'asked leave-word', 'and may say more'],
    ['ADA !time-off #1 #2 #1', [], 'asked leave-hours', 'of one day how much of it'],
    ['ADA !time-off #1 #2 #1 =25', [], 'asked leave-hours', 'and no more than it has'],
    ['ADA !time-off #1 #2 #1 =4,5', [], 'asked leave-word', 'then the word'],
    ['ADA !time-off #1 =31.2', [], 'asked leave-from', 'a day that is none is no answer'],
    ['ADA !time-off #1 =1.13', [], 'asked leave-from', 'nor a month that is none'],
    ['ADA !time-off #1 #2 =soon', [], 'asked leave-to', 'nor words'],
  ])('%s: %j, then %s (%s)', check({}));

  test.each<Row>([
    ['ADA FINISHED', [], 'ada', 'by this rule a finished task is refused'],
    ['ADA HELD', [], 'ada', 'and one that is not released'],
  ])('%s: %j, then %s (%s)', check({ mayReopen: false }));

  test.each<Row>([
    ['ADA HELD', [], 'asked override', 'a lead may let it through'],
    ['ADA HELD LEA', ['ada work-start held lea'], 'ada', 'with their badge, which is recorded'],
    ['ADA HELD BO', [], 'asked override', 'not anybody'],
    ['HELD ADA LEA', ['ada work-start held lea'], 'idle', 'the task first'],
    ['ADA HELD #1', [], 'ada', 'or it is left'],
  ])('%s: %j, then %s (%s)', check({ mayOverride: true }));
});

describe('reports', () => {
  const pieces = withReports('a', {});
  test.each<Row>([
    ['ADA T1 OFF', ['ada work-start a'], 'asked report', 'pieces are asked for at the end'],
    [
      'ADA T1 OFF =4 =0',
      ['ada work-start a', 'ada count a 4 0', 'ada work-stop'],
      'ada',
      'good, and no scrap',
    ],
    [
      'ADA T1 OFF =4 =1 #2',
      ['ada work-start a', 'ada count a 4 1 Wrong size', 'ada work-stop'],
      'ada',
      'scrap: why',
    ],
    [
      'ADA T1 OFF =4 =1 SKIP',
      ['ada work-start a', 'ada count a 4 1', 'ada work-stop'],
      'ada',
      'without a word',
    ],
    [
      'ADA T1 OFF D1 D2 ENTER D0 ENTER',
      ['ada work-start a', 'ada count a 12 0', 'ada work-stop'],
      'ada',
      'scanned',
    ],
    ['ADA T1 OFF ~3 ~0', ['ada work-start a', 'ada count a 3 0', 'ada work-stop'], 'ada', 'keyed'],
    ['ADA T1 OFF =x', ['ada work-start a'], 'asked report', 'what is no figure is refused'],
    ['ADA T1 OFF SKIP', ['ada work-start a'], 'asked report', 'not to be left out'],
    [
      'ADA T1 T2 =2 =0',
      ['ada work-start a', 'ada count a 2 0', 'ada work-start b'],
      'ada',
      'a switch ends it too',
    ],
    ['ADA T1 OUT =2 =0', ['ada work-start a', 'ada count a 2 0', 'ada shift-out'], 'ada', 'and going home'],
    ['ADA T1 OFF BO', ['ada work-start a'], 'bo', 'who walks away goes on working'],
  ])('%s: %j, then %s (%s)', check({ directory: pieces }));

  const value = withReports('a', { when: 'done', kind: 'value', label: 'Insulation', least: 100, most: 900 });
  test.each<Row>([
    ['ADA T1 OFF', ['ada work-start a', 'ada work-stop'], 'ada', 'asked when done, not at each end'],
    [
      'ADA T1 DONE =520',
      ['ada work-start a', 'ada reading a 520', 'ada task-done a'],
      'ada',
      'within its limits',
    ],
    ['ADA T1 DONE =52,5', ['ada work-start a'], 'asked report', 'outside them it is asked for again'],
    [
      'ADA T1 DONE =52,5 =52,5',
      ['ada work-start a', 'ada reading a 52.5', 'ada task-done a'],
      'ada',
      'and kept',
    ],
  ])('%s: %j, then %s (%s)', check({ directory: value }));

  const remark = withReports('a', { when: 'start', kind: 'remark', label: 'Found', maySkip: true });
  test.each<Row>([
    ['ADA T1', [], 'asked report', 'a remark at the start'],
    ['ADA T1 =worn_shaft', ['ada work-start a', 'ada note a Found: worn shaft'], 'ada', 'is kept with it'],
    ['ADA T1 SKIP', ['ada work-start a'], 'ada', 'or left out'],
  ])('%s: %j, then %s (%s)', check({ directory: remark }));
});

describe('a forgotten end', () => {
  const zone = createZone('Europe/Helsinki');
  if (!zone.ok) throw new Error('zone');
  /** Ada signed in yesterday at 7:00 and was never signed out; she was planned until 15:30. */
  const yesterday = (hours: number) => toInstant(clock(8) - 86_400 + (hours - 8) * 3600);
  const forgotten: StationDirectory = (() => {
    const known = withPerson('ada', { plannedEnd: yesterday(15.5), lastAt: yesterday(14) });
    const ada = known.technicians.get(technician('ada'));
    if (!ada) throw new Error('ada');
    const shift = { since: yesterday(7), entry: entryId('old') };
    const technicians = new Map(known.technicians);
    return { ...known, technicians: technicians.set(ada.id, { ...ada, state: { ...ada.state, shift } }) };
  })();
  const proposal = 'ada proposal forgotten-shift-out';
  test.each<Row>([
    ['ADA', [], 'asked forgot', 'the next badge asks when it was'],
    ['ADA #1', [proposal], 'ada', 'the planned end, or another offer, is a proposal'],
    ['ADA =15:45', [proposal], 'ada', 'or a time of their own'],
    ['ADA =6:00', [proposal], 'ada', 'even after midnight, while the rule had not ended it'],
    ['ADA =25:00', [], 'asked forgot', 'that is no time'],
    ['ADA #3', [], 'ada', 'not now'],
    ['ADA #1 +9 ADA', [proposal], 'ada', 'they are not asked twice'],
    ['T1 ADA', ['ada work-start a'], 'idle', 'and never held up on their way to work'],
  ])('%s: %j, then %s (%s)', (words, appended, ends) => {
    if (words === 'ADA =6:00')
      return expect(saidOf(play(words, { directory: forgotten }))).toBe('station.bad_answer');
    check({ directory: forgotten })(words, appended, ends);
  });

  test('what they say moves no time by itself', () => {
    const run = play('ADA #1', { directory: forgotten });
    expect(run.directory.technicians.get(technician('ada'))?.state.shift?.entry).toBe('old');
  });
});

describe('badge and PIN', () => {
  const secured = { identity: 'badge-pin', directory: withPerson('ada', { hasPin: true }) } as const;
  test.each<Row>([
    ['ADA', [], 'asked pin', 'the PIN is asked for'],
    ['ADA =2026', [], 'asked pin', 'and checked by the server'],
    ['ADA =2026 pin:right T1', ['ada work-start a'], 'ada', 'right'],
    ['ADA =2026 pin:wrong T1', [], 'asked pin', 'wrong: nothing starts'],
    ['ADA =2026 pin:wait', [], 'asked pin', 'too often wrong'],
    ['ADA =2026 pin:unreachable T1', ['ada work-start a'], 'ada', 'the server gone meanwhile'],
    ['ADA T1 =2026 pin:right', ['ada work-start a'], 'idle', 'what was scanned meanwhile waits for it'],
    ['T1 ADA =2026 pin:right', ['ada work-start a'], 'idle', 'task first'],
    ['ADA =20', [], 'asked pin', 'that is no PIN'],
    ['ADA SKIP T1', [], 'intent', 'it cannot be left out'],
    [
      'ADA =2026 pin:right T1 +9 ADA BACK',
      ['ada work-start a'],
      'asked pin',
      'nor is anything taken back without it',
    ],
    [
      'ADA =2026 pin:right T1 +9 ADA BACK =2026 pin:right',
      ['ada work-start a', 'void e4'],
      'idle',
      'but with it',
    ],
    ['~4711', [], 'idle', 'a PIN for a screen that is gone is kept nowhere'],
    ['ADA BO T1', ['bo work-start a'], 'bo', 'who has none is not asked'],
    ['ADA =2026 +61 pin:right', [], 'idle', 'an answer that comes too late does nothing'],
  ])('%s: %j, then %s (%s)', check(secured));

  test('an entry of a crew says that no PIN was asked', () => {
    const append = play('CREW ADA T1', secured).effects.find(({ type }) => type === 'append');
    expect(append).toMatchObject({ identity: 'pin-unchecked' });
  });

  test('a PIN that was keyed wrong stands on no screen', () => {
    expect(play('ADA =20', secured).state.said).toMatchObject({ code: 'station.bad_answer', text: '' });
  });

  test.each([
    ['ADA =2026 pin:right T1', true, 'badge-and-pin'],
    ['ADA T1', false, 'pin-unchecked'],
  ])('%s, online %s: the entry says %s', (words, isOnline, identity) => {
    const append = play(words, { ...secured, isOnline }).effects.find(({ type }) => type === 'append');
    expect(append).toMatchObject({ identity });
  });
});

test('at a presence station who left a question open is not taken for signed out', () => {
  const { directory: known } = play('ADA IN T1 +40 BLANK', { directory: withReports('a', {}) });
  const gate = { kind: 'presence', directory: known } as const;
  expect(conversationOf(play('ADA', gate))).toBe('asked report');
  expect(conversationOf(play('ADA BLANK ADA', gate))).toBe('asked report');
});

describe('without the server', () => {
  test.each<Row>([
    ['ADA HELD', ['ada work-start held'], 'ada', 'an order may have been released meanwhile'],
    ['ADA FINISHED', ['ada work-start done'], 'ada', 'a task may have been taken up again'],
    ['LEFT T1', ['left work-start a'], 'left', 'and a person may be back'],
    ['ADA STRANGE', [expect.any(String) as string], 'ada', 'what it never heard of it cannot record'],
  ])('%s: %j, then %s (%s)', check({ isOnline: false }));
});

test('a code that was typed where typing is forbidden is refused; a figure is not', () => {
  const typed = (words: string) => saidOf(play(words, { mayType: false }));
  expect(typed('~TX')).not.toBe('station.no_typing');
  const code = [...directory.codes.keys()][4] ?? '';
  expect(typed(`~${code}`)).toBe('station.no_typing');
  expect(play('ADA ORDER ~2', { mayType: false }).appended).toEqual(['ada work-start b']);
});

test('done names the others who are still on it', () => {
  const { said } = play('ADA T1 +9 BO T1 +9 ADA DONE').state;
  expect(said).toMatchObject({ kind: 'done', others: ['bo'] });
});

test('pieces that were reported here are counted here', () => {
  const run = play('ADA T1 OFF =4 =1 #1', { directory: withReports('a', {}) });
  expect(run.directory.tasks.get(target('a'))).toMatchObject({ good: 4, scrap: 1 });
});
