import { conversationOf, play, saidOf } from './shop.fixture.ts';

type Row = readonly [words: string, appended: readonly string[], ends: string, why: string];
const check =
  (setting: Parameters<typeof play>[1]) => (words: string, appended: readonly string[], ends: string) => {
    const run = play(words, setting);
    expect(run.appended).toEqual(appended);
    expect(conversationOf(run)).toBe(ends);
  };

describe('stages of a way', () => {
  test.each<Row>([
    ['ADA WAY T1', ['ada work-start a travel'], 'ada', 'on the way to a task'],
    ['ADA WAY', [], 'ada', 'to which one is still to be said'],
    ['ADA T2 WAY', ['ada work-start b'], 'ada', 'what runs is not the way'],
    ['ADA T2 WAY T1', ['ada work-start b', 'ada work-start a travel'], 'ada', 'it is left for the way'],
    [
      'ADA WAY T1 SITE',
      ['ada work-start a travel', 'ada work-start a'],
      'ada',
      'on site the same task is work',
    ],
    [
      'ADA WAY T1 +200 ADA SITE',
      ['ada work-start a travel', 'ada work-start a'],
      'ada',
      'after the road, with the badge',
    ],
    [
      'ADA WAY T1 SITE DONE',
      ['ada work-start a travel', 'ada work-start a', 'ada task-done a'],
      'ada',
      'and it is done there',
    ],
    ['ADA T1 SITE', ['ada work-start a'], 'ada', 'who was not on the way has not come'],
    ['ADA SITE', [], 'ada', 'nor who is on nothing'],
    ['WAY ADA T1', ['ada work-start a travel'], 'ada', 'the label first'],
    ['ADA !on-the-way T1 !on-site', ['ada work-start a travel', 'ada work-start a'], 'ada', 'by touch'],
  ])('%s: %j, then %s (%s)', check({}));

  test('nobody on the road is asked whether travel counts in the job', () => {
    expect(conversationOf(play('ADA TRAVEL T1'))).toBe('asked outside');
    expect(conversationOf(play('ADA WAY T1'))).toBe('ada');
  });

  test('who has not set out is told so', () => {
    expect(saidOf(play('ADA T1 SITE'))).toBe('station.not_on_the_way');
  });
});
