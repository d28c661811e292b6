import type { Board, Lane } from '@wergon/core/floor';
import { createZone, parseDay, toInstant } from '@wergon/core/time';
import { fittingLabel, tintOf, tintsOf } from './jobLook.ts';
import { countByQuarter, createHourScale, createTapeScale } from './tapeScale.ts';

const zone = createZone('Europe/Oslo');
if (!zone.ok) throw new Error('zone');
const dayOf = (text: string) => {
  const day = parseDay(text);
  if (!day.ok) throw new Error(text);
  return day.value;
};
const board = { facts: { zone: zone.value } } as unknown as Board;
const day = dayOf('2026-03-03');
const midnight = zone.value.startOf(day);
const block = (from: number, to: number, kind = 'work') => ({
  kind,
  from: midnight + from * 3600,
  to: midnight + to * 3600,
});
const lane = (...blocks: object[]) => ({ blocks }) as unknown as Lane;

test.each<[why: string, lanes: Lane[], hours: [number, number]]>([
  ['nobody there', [], [6, 18]],
  ['the usual hours', [lane(block(7, 15))], [6, 18]],
  ['somebody early', [lane(block(4.5, 12))], [4, 18]],
  ['somebody late', [lane(block(7, 15)), lane(block(14, 21.2))], [6, 22]],
  ['work past midnight ends with the day', [lane(block(20, 26))], [6, 24]],
])('with %s the ruler shows just what it needs', (_why, lanes, hours) => {
  const { fromHour, toHour } = createTapeScale(board, lanes, day);
  expect([fromHour, toHour]).toEqual(hours);
});

test('a place on the ruler is read back as the instant that stands there, to the second', () => {
  const scale = createHourScale(midnight, 6, 18);
  for (const seconds of [6 * 3600, 7 * 3600 + 61, 18 * 3600]) {
    const at = toInstant(midnight + seconds);
    expect(scale.at(scale.place(at))).toBe(at);
  }
  expect([scale.placeHour(6), scale.placeHour(12), scale.placeHour(18)]).toEqual([0, 0.5, 1]);
});

test('people on work are counted quarter by quarter; a break or time on nothing is not work', () => {
  const scale = createHourScale(midnight, 7, 8);
  const lanes = [
    lane(block(7, 7.5), block(7.5, 8, 'break')),
    lane(block(7.25, 8)),
    lane(block(7, 8, 'nothing')),
  ];
  expect(countByQuarter(lanes, scale, midnight)).toEqual([1, 2, 1, 1]);
});

test.each([
  [['24557 Winding', '24557'], 130, '24557 Winding', 'the whole words'],
  [['24557 Winding', '24557'], 70, '24557', 'else the number alone'],
  [['24557 Winding', '24557'], 40, '', 'else nothing'],
])('of %j, %i pixels hold “%s”: %s', (labels, width, label) =>
  expect(fittingLabel(labels, width)).toBe(label),
);

test('orders that appear one after the other have different tints, and indirect time has its own', () => {
  const tints = tintsOf(['a', null, 'b', 'a', 'c']);
  expect(['a', 'b', 'c', null].map((order) => tintOf(tints, order))).toEqual([
    'var(--job-0)',
    'var(--job-1)',
    'var(--job-2)',
    'var(--indirect)',
  ]);
});
