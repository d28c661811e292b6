/** @jest-environment jsdom */
import { signIn } from './desk.fixture.ts';
import { bodies, server } from './fakeServer.fixture.ts';

jest.mock('./callRoute.ts', () => ({
  ...jest.requireActual<object>('./callRoute.ts'),
  ...jest.requireActual<object>('./fakeServer.fixture.ts'),
}));

const HOUR = 3600;
beforeEach(() => {
  server.calls = [];
  server.answer = () => null;
});

test('hours are read in the style of whoever is signed in, one after the other, and kept with them', () => {
  const desk = signIn();
  const shown = () => desk.hours(1.5 * HOUR + 30);
  const seen = [shown()];
  for (let i = 0; i < 3; i += 1) {
    desk.nextHoursStyle();
    seen.push(shown());
  }
  expect(seen).toEqual(['1:30', '1:30:30', '1.51', '1:30']);
  expect(bodies()).toEqual([
    ['saveHoursStyle', { hoursStyle: 'h:mm:ss' }],
    ['saveHoursStyle', { hoursStyle: 'decimal' }],
    ['saveHoursStyle', { hoursStyle: 'h:mm' }],
  ]);
});

test('a server that does not answer changes nothing of what is read now', () => {
  const desk = signIn();
  server.answer = () => {
    throw new Error('no answer');
  };
  desk.nextHoursStyle();
  expect(desk.hours(HOUR)).toBe('1:00:00');
});

test('before anybody has signed in there is no style to choose', () => {
  const desk = signIn();
  desk.session = null;
  desk.nextHoursStyle();
  expect([bodies(), desk.hours(HOUR)]).toEqual([[], '1:00']);
});

test('a field is used unless the shop does without it; before anybody has signed in all are', () => {
  const desk = signIn();
  expect(desk.uses('division')).toBe(true);
  if (desk.session) desk.session.unusedFields = ['division'];
  expect([desk.uses('division'), desk.uses('item')]).toEqual([false, true]);
  desk.session = null;
  expect(desk.uses('division')).toBe(true);
});
