import { joinHeard } from './live.ts';
import { isQuick, isTouched } from './touches.ts';

const ada = { technicians: ['t-ada'], orders: ['o-1'] };

test.each<[key: readonly unknown[], isAsked: boolean, why: string]>([
  [['floor', 20_000], true, 'the floor shows everybody'],
  [
    ['card', { technician: 't-ada', from: '2026-03-02', to: '2026-03-08' }],
    true,
    'a card of whoever scanned',
  ],
  [['card', { technician: 't-bo', from: '2026-03-02', to: '2026-03-08' }], false, 'a card of somebody else'],
  [['own-card', { from: '2026-03-02' }], true, 'one’s own time'],
  [['person-day', 't-ada', '2026-03-03'], true, 'a day of whom it is about'],
  [['person-day', 't-bo', '2026-03-03'], false, 'not that of somebody else'],
  [['week', 't-bo', '2026-03-02'], false, 'nor their week'],
  [['line', ['t-ada', 'w1-10', 'run', '2026-03-03']], true, 'the scans of a line of theirs'],
  [['order', 'o-1'], true, 'the order that was worked on'],
  [['order', 'o-2'], false, 'not another order'],
  [['order', 'o-2', 'unapproved'], true, 'but what waits for approval: an approval names no order'],
  [['story', { order: 'o-2' }], false, 'not the story of another order'],
  [['story', { day: '2026-03-03' }], true, 'the story of a day'],
  [['reconcile', { from: '2026-03-02' }], true, 'the queue'],
  [
    ['reconcile', 'effect', { end: { technician: 't-bo' } }],
    false,
    'not what an answer about somebody else would do',
  ],
  [['edit-effect', { becomes: [{ technician: 't-ada' }] }], true, 'what an edit of their day would do'],
  [['people'], false, 'no records: the journal does not change them'],
  [['standards'], false, 'nor standards'],
])('work of Ada on order 1 asks for %j anew: %p, %s', (key, isAsked) =>
  expect(isTouched(ada, key)).toBe(isAsked),
);

test('where too many are named, and where everything may have changed, all of it is asked for', () => {
  const many = { technicians: null, orders: null };
  expect([isTouched(many, ['order', 'o-2']), isTouched(many, ['week', 't-bo'])]).toEqual([true, true]);
  expect(isTouched(many, ['standards'])).toBe(false);
  expect(isTouched('everything', ['standards'])).toBe(true);
});

test('what is heard together is joined, and everything stays everything', () => {
  const bo = { technicians: ['t-bo', 't-ada'], orders: [] };
  expect(joinHeard(ada, bo)).toEqual({ technicians: ['t-ada', 't-bo'], orders: ['o-1'] });
  expect(joinHeard(ada, { technicians: null, orders: ['o-2'] })).toEqual({
    technicians: null,
    orders: ['o-1', 'o-2'],
  });
  expect(joinHeard('everything', bo)).toBe('everything');
  expect(joinHeard(undefined, bo)).toBe(bo);
});

test('only the floor is asked for as often as something changes', () =>
  expect([isQuick(['floor', 1]), isQuick(['work'])]).toEqual([true, false]));
