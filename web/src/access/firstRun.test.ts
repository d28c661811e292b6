import { toInstant } from '@wergon/core/time';
import { CURRENCIES, ZONES, clockIn, missingOf } from './firstRun.ts';
import type { FirstRun } from './firstRun.ts';

const whole: FirstRun = {
  shopName: 'Odden',
  zone: 'Europe/Helsinki',
  currency: 'EUR',
  name: 'Sol',
  userName: 'sol',
  password: 'a long password',
};

test.each<[change: Partial<FirstRun>, fields: string[], why: string]>([
  [{}, [], 'nothing is missing'],
  [{ shopName: ' ' }, ['shopName'], 'blanks are no name'],
  [{ name: '', userName: '' }, ['name', 'userName'], 'all that is missing is said at once'],
  [{ password: 'too short' }, ['password'], 'nine characters are not enough'],
])('%j lacks %j: %s', (change, fields) =>
  expect(Object.keys(missingOf({ ...whole, ...change }))).toEqual(fields),
);

test('zones are grouped by region and currencies named', () => {
  const europe = ZONES.find(({ label }) => label === 'Europe');
  expect(europe?.options).toContainEqual({ value: 'Europe/Helsinki', text: 'Helsinki' });
  // A computer may be set to it, though no place on earth is.
  expect(ZONES.find(({ label }) => label === 'UTC')?.options).toEqual([{ value: 'UTC', text: 'UTC' }]);
  expect(CURRENCIES).toContainEqual({ value: 'EUR', text: 'Euro (EUR)' });
});

test.each([
  ['Europe/Helsinki', 'Tue 24 Nov 13:37'],
  ['America/New_York', 'Tue 24 Nov 6:37'],
  ['Pacific/Kiritimati', 'Wed 25 Nov 1:37'],
])('at one moment it is, in %s, %s', (zone, said) =>
  expect(clockIn(zone, toInstant(Date.UTC(2026, 10, 24, 11, 37) / 1000))).toBe(said),
);
