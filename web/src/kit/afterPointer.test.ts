/** @jest-environment jsdom */
import { afterPointer } from './afterPointer.ts';

const press = (type: string) => window.dispatchEvent(new Event(type));
const done: string[] = [];
const add = (word: string) => () => void done.push(word);
beforeEach(() => {
  done.length = 0;
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

test('with nothing pressed it is done at once', () => {
  afterPointer(add('now'));
  expect(done).toEqual(['now']);
});

test.each(['pointerup', 'pointercancel', 'contextmenu', 'blur'])(
  'while something is pressed it waits for %s, and for what that presses',
  (end) => {
    press('pointerdown');
    afterPointer(add('left'));
    expect(done).toEqual([]);
    press(end);
    add('pressed')();
    jest.runAllTimers();
    expect(done).toEqual(['pressed', 'left']);
    press(end);
    jest.runAllTimers();
    expect(done).toHaveLength(2);
  },
);
