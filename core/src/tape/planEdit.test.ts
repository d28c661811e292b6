import { effectiveEntries } from '../ledger/effective.ts';
import type { Running } from '../ledger/stint.ts';
import { clock, factsWith, target, technician } from '../ledger/shop.fixture.ts';
import { toDay } from '../time/day.ts';
import { planEdit } from './planEdit.ts';
import { ada, journal, say } from '../loose-ends/journal.fixture.ts';
import type { TapeEdit, TapeGround, TapePiece, TimedEntry } from './tapeEdit.ts';

const bo = technician('bo');
const running = (name: string): readonly Running[] =>
  name.split('+').map((each) => ({ target: target(each), workType: 'run' }));

/** A piece as words: `8 10 a`, `8 - a` where it goes on, `bo 8 10 a` for another person. */
function piece(words: string): TapePiece {
  const parts = words.split(' ');
  const who = parts.length > 3 ? technician(parts.shift() ?? '') : ada;
  const [from = '', to = '', name = ''] = parts;
  return {
    technician: who,
    from: clock(Number(from)),
    to: to === '-' ? null : clock(Number(to)),
    running: running(name),
  };
}
const edit = (words: string): TapeEdit => {
  const [block = '', becomes = ''] = words.split(' => ');
  return {
    block: block === '' ? null : piece(block),
    becomes: becomes === '' ? [] : becomes.split(', ').map(piece),
  };
};
const ground = (words: string, more: Partial<TapeGround> = {}): TapeGround => ({
  entries: effectiveEntries(journal(words)).filter((entry): entry is TimedEntry => entry.type !== 'hours'),
  states: new Map(),
  facts: factsWith(),
  asOf: clock(20),
  closedUntil: null,
  closedTargets: new Set(),
  ...more,
});

test.each([
  [
    'work-start 8 a, work-stop 10',
    '8 10 a => 8 9.5 a',
    ['amend e2 9.5'],
    'an end that is drawn moves its stop',
  ],
  ['work-start 8 a, work-stop 10', '8 10 a => 7.5 10 a', ['amend e1 7.5'], 'a beginning moves its start'],
  ['work-start 8 a, work-stop 10', '8 10 a => 7 9 a', ['amend e1 7', 'amend e2 9'], 'a move moves both'],
  ['work-start 8 a, work-stop 10', '8 10 a => 8 10 b', ['amend e1'], 'other work is one amendment'],
  [
    'work-start 8 a, work-stop 10',
    '8 10 a => bo 8 10 a',
    ['amend e1', 'amend e2'],
    'handed on, both scans go along',
  ],
  [
    'work-start 8 a, work-stop 10',
    '8 10 a => ',
    ['void e1', 'void e2'],
    'what never was takes its stop with it',
  ],
  ['work-start 8 a, work-stop 10', '8 10 a => 8 9 a, 9 10 b', ['work-start 9'], 'a split is one start'],
  [
    'work-start 8 a, work-stop 10',
    ' => 10 12 b',
    ['work-start 10', 'work-stop 12'],
    'a stretch never scanned',
  ],
  ['work-start 8 a, work-stop 10', ' => 11 - b', ['work-start 11'], 'a start for somebody who forgot'],
  [
    'work-start 8 a, work-start 10 b, work-stop 12',
    '10 12 b => 11 12 b',
    ['work-stop 10', 'work-start 11'],
    'a gap before the next block does not lengthen the one before',
  ],
  ['work-start 8 a, work-start 10 b, work-stop 12', '8 10 a => ', ['void e1'], 'the next block stays'],
  [
    'work-start 8 a, break-start 9, break-end 10, work-stop 12',
    '8 9 a => 8 9 b',
    ['work-start 8', 'work-start 10'],
    'what is resumed after a break is what was resumed',
  ],
  [
    'work-start 8 a, task-done 10 a',
    '8 10 a => 8 9 a',
    ['work-stop 9', 'amend e2'],
    'a finished task stays finished when its last block is shortened',
  ],
  ['work-start 6 a', '6 18 a => 6 15 a', ['work-stop 15'], 'a block that the rule has cut gets its end'],
])('%s; %s: %j, %s', (words, drawn, changes) => {
  const planned = planEdit(edit(drawn), ground(words));
  expect(planned.ok ? planned.value.map(say) : planned.code).toEqual(changes);
});

test.each<[words: string, drawn: string, code: string, more: Partial<TapeGround>, why: string]>([
  [
    'work-start 8 a, work-stop 10',
    '8 11 a => 8 9 a',
    'edit.block_changed',
    {},
    'the block is another by now',
  ],
  ['work-start 8 a, work-stop 10', '8 10 a => 10 9 a', 'edit.ends_before_start', {}, 'ends before it starts'],
  ['work-start 8 a, work-stop 10', '8 10 a => 8 21 a', 'edit.future', {}, 'lies in the future'],
  [
    'work-start 8 a, work-start 10 b, work-stop 12',
    '8 10 a => 8 11 a',
    'edit.overlap',
    {},
    'two stints at once',
  ],
  [
    'work-start 8 a, work-stop 10, break-start 10, break-end 11',
    '8 10 a => 8 10.5 a',
    'edit.on_break',
    {},
    'work on a break',
  ],
  ['work-start 1 a, work-stop 2', '1 2 a => 1 14 a', 'edit.too_long', {}, 'longer than any stint may be'],
  ['work-start 8 a, work-stop 10', '8 10 a => 8 10 a', 'edit.nothing', {}, 'nothing changes'],
  [
    'work-start 8 a, work-stop 10',
    '8 10 a => 8 9 a',
    'edit.closed_day',
    { closedUntil: toDay(20_535) },
    'the day is closed',
  ],
  [
    'work-start 8 a, work-stop 10',
    '8 10 a => 8 10 b',
    'edit.closed_order',
    { closedTargets: new Set([target('b')]) },
    'the order is closed',
  ],
])('%s; %s is refused with %s: %s', (words, drawn, code, more) => {
  expect(planEdit(edit(drawn), ground(words, more))).toMatchObject({ ok: false, code });
});

test('work of other people is not in the way', () => {
  const entries = ground('work-start 8 a, work-stop 10').entries.map((entry) => ({
    ...entry,
    technician: bo,
  }));
  const planned = planEdit(edit(' => 8 10 a'), { ...ground('note 1'), entries: entries as TimedEntry[] });
  expect(planned).toMatchObject({ ok: true });
});
