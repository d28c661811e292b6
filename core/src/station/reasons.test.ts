import { target } from '../ledger/shop.fixture.ts';
import { conversationOf, directory, play, withPerson } from './shop.fixture.ts';

type Row = readonly [words: string, appended: readonly string[], ends: string, why: string];
const check =
  (setting: Parameters<typeof play>[1]) => (words: string, appended: readonly string[], ends: string) => {
    const run = play(words, setting);
    expect(run.appended).toEqual(appended);
    expect(conversationOf(run)).toBe(ends);
  };

describe('why work stands still or is done again', () => {
  const asked = {
    directory: {
      ...directory,
      belongs: new Map([['down', target('meeting')]] as const),
      reasons: new Map([
        ['down', ['No material', 'Oven stopped']],
        ['rework', ['Drawing wrong']],
      ] as const),
    },
  };
  test.each<Row>([
    ['ADA REWORK T1', [], 'asked why', 'rework is asked the reason of'],
    ['ADA REWORK T1 #1', ['ada work-start a rework Drawing wrong'], 'ada', 'which is chosen'],
    ['REWORK T1 ADA #1', ['ada work-start a rework Drawing wrong'], 'idle', 'whatever was scanned first'],
    ['ADA REWORK T1 SKIP', ['ada work-start a rework'], 'ada', 'or left out: the time counts all the same'],
    [
      'ADA REWORK T1 #1 SETUP',
      ['ada work-start a rework Drawing wrong', 'void e4', 'ada work-start a setup'],
      'ada',
      'of what turns out to be something else it is no reason',
    ],
    [
      'ADA REWORK T1 #1 MACHINE',
      ['ada work-start a rework Drawing wrong', 'void e4', 'ada work-start a rework m1 Drawing wrong'],
      'ada',
      'what more is said of it keeps its reason',
    ],
    ['ADA SETUP T1 REWORK', ['ada work-start a setup'], 'asked why', 'what becomes rework is asked it'],
    ['ADA T1', ['ada work-start a'], 'ada', 'plain work needs no reason'],
    ['ADA MEETING', [], 'asked why', 'what waiting is put on is asked it too'],
    [
      'ADA MEETING #2',
      ['ada work-start meeting Oven stopped'],
      'ada',
      'from the same list as standing still',
    ],
    [
      'CREW ADA BO REWORK T1',
      ['ada work-start a rework', 'bo work-start a rework'],
      'crew',
      'a crew is asked nothing',
    ],
  ])('%s: %j, then %s (%s)', check(asked));

  const reasonsOf = (words: string) =>
    play(words, asked).effects.flatMap((each) =>
      each.type === 'append' ? ['reason' in each.entry ? each.entry.reason : null] : [],
    );
  test('stands with the start', () => {
    expect(reasonsOf('ADA REWORK T1 #1')).toEqual(['Drawing wrong']);
    expect(reasonsOf('ADA REWORK T1 SKIP')).toEqual([null]);
  });
  test('what has no reasons in its list is not asked', () => {
    const none = { directory: { ...directory, reasons: new Map([['rework', []]] as const) } };
    expect(play('ADA REWORK T1', none).appended).toEqual(['ada work-start a rework']);
  });
});

describe('a worker number that is typed', () => {
  const numbered = withPerson('ada', { number: '101' });
  const taken = { takesNumbers: true, directory: numbered } as const;
  test.each<Row>([
    ['~101 T1', ['ada work-start a'], 'ada', 'is as good as a badge'],
    ['T1 ~101', ['ada work-start a'], 'idle', 'behind a task as well'],
    ['CREW ~101 T1', [], 'crew', 'a crew is made of badges'],
    ['~102 T1', [], 'intent', 'of nobody it is nothing'],
    ['BO ~101 T1', ['bo work-start a'], 'bo', 'while somebody stands here it is none either'],
  ])('%s: %j, then %s (%s)', check(taken));
  test.each<Row>([['~101 T1', [], 'intent', 'nothing where the station takes none']])(
    '%s: %j, then %s (%s)',
    check({ directory: numbered }),
  );
  test.each<Row>([['~101 T1', [], 'intent', 'nor where nothing may be typed']])(
    '%s: %j, then %s (%s)',
    check({ ...taken, mayType: false }),
  );

  test('stands with what is recorded, with the PIN where one is asked for', () => {
    const known = (words: string, more: object) =>
      play(words, { ...taken, ...more }).effects.flatMap((each) =>
        each.type === 'append' ? [each.identity] : [],
      );
    expect(known('~101 T1', {})).toEqual(['number']);
    const secured = { identity: 'badge-pin', directory: withPerson('ada', { number: '101', hasPin: true }) };
    expect(known('~101 =2026 pin:right T1', secured)).toEqual(['number-and-pin']);
    expect(known('~101 T1', { ...secured, isOnline: false })).toEqual(['pin-unchecked']);
  });
});
