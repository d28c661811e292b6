import { z } from 'zod';
import { fieldProblemsOf } from './problem.ts';

const shape = z.strictObject({
  name: z.string().min(1).max(5).optional(),
  password: z.string().min(12).optional(),
  pieces: z.int().min(0).max(99).optional(),
  share: z.number().positive().lt(1).optional(),
  kind: z.enum(['own', 'subcontractor']).optional(),
  steps: z.array(z.string()).min(1).max(2).optional(),
  days: z.array(z.string()).min(2).optional(),
  isOff: z.boolean().optional(),
  rate: z.strictObject({ per: z.literal('hour') }).optional(),
  either: z.union([z.string(), z.int()]).optional(),
  mail: z.email().optional(),
});

test.each([
  [{ name: '' }, 'name is empty'],
  [{ name: 'Solveig' }, 'name has more than 5 characters'],
  [{ name: 7 }, 'name is not text'],
  [{ name: null }, 'name is missing'],
  [{ password: 'short' }, 'password has fewer than 12 characters'],
  [{ pieces: -1 }, 'pieces is less than 0'],
  [{ pieces: 100 }, 'pieces is more than 99'],
  [{ pieces: 1.5 }, 'pieces is not a whole number'],
  [{ pieces: '3' }, 'pieces is not a number'],
  [{ share: 0 }, 'share is not above 0'],
  [{ share: 1 }, 'share is not below 1'],
  [{ kind: 'lent' }, 'kind is none of own, subcontractor'],
  [{ steps: [] }, 'steps is empty'],
  [{ steps: ['a', 'b', 'c'] }, 'steps has more than 2 entries'],
  [{ steps: 'a' }, 'steps is not a list'],
  [{ days: ['mo'] }, 'days has fewer than 2 entries'],
  [{ isOff: 'no' }, 'isOff is neither yes nor no'],
  [{ rate: 'high' }, 'rate is not a record'],
  [{ rate: {} }, 'rate.per is none of hour'],
  [{ either: false }, 'either is nothing that is known here'],
  [{ mail: 'at home' }, 'mail is not written as it should be'],
  [{ more: 1 }, 'more unknown field'],
])('%j: %s', (input, told) => {
  const read = shape.safeParse(input);
  const problems = read.success ? [] : fieldProblemsOf(read.error);
  expect(problems.map(({ field, message }) => `${field} ${message}`)).toEqual([told]);
});
