import { dated, inForceAt, withChange, withoutChange } from './dated.ts';
import type { Dated } from './dated.ts';
import { toInstant } from './instant.ts';

const from = (at: number, value: string) => ({ from: toInstant(at), value });
const said = (items: Dated<string>) => items.map(({ value }) => value).join(' ');
const three = [from(0, 'a'), from(10, 'b'), from(20, 'c')];

test.each([
  [-5, 'a', 'the first holds for all time before it'],
  [9, 'a', 'until the next begins'],
  [10, 'b', 'which holds from its instant on'],
  [1_000, 'c', 'the last holds for ever'],
])('at %i %s is in force (%s)', (at, value) => expect(inForceAt(three, toInstant(at))).toBe(value));

test('nothing at all is a defect, not a guess', () => {
  expect(() => inForceAt([], toInstant(0))).toThrow('without any value');
});

test.each([
  [5, 'a x b c', 'between'],
  [10, 'a x c', 'what began then is replaced'],
  [30, 'a b c x', 'behind all'],
  [0, 'x b c', 'the first itself'],
])('a change from %i on: %s (%s)', (at, all) => {
  expect(said(withChange(three, from(at, 'x')))).toBe(all);
  expect(said(three)).toBe('a b c');
});

test.each([
  [10, 'a c', 'one is taken out'],
  [15, 'a b c', 'none begins then'],
  [0, 'a b c', 'the first stays: something must hold'],
])('without what begins at %i: %s (%s)', (at, all) => {
  expect(said(withoutChange(three, toInstant(at)))).toBe(all);
});

test('a change that is taken out again leaves what there was', () => {
  expect(withoutChange(withChange(dated('a'), from(7, 'x')), toInstant(7))).toEqual(dated('a'));
});
