import { readAsked } from './readAsked.ts';
import { PEOPLE } from './sampleShop.ts';
import { sizeOf } from './size.ts';

test.each<[args: string, size: object | undefined]>([
  ['', undefined],
  ['--fresh', undefined],
  ['--people 200 --weeks 52', { people: 200, weeks: 52 }],
  ['--weeks=4', { people: 26, weeks: 4 }],
  ['--people 40', { people: 40, weeks: 10 }],
])('“%s” asks for %j', (args, size) => {
  expect(readAsked(args.split(' ').filter(Boolean)).size).toEqual(size);
});

test.each(['--people 0', '--people 501', '--people many', '--weeks 1.5', '--weeks', '--size 3', 'large'])(
  '“%s” is refused',
  (args) => expect(() => readAsked(args.split(' '))).toThrow(),
);

test('a large shop has the usual people first, and nobody twice', () => {
  const { people, machines } = sizeOf(200);
  expect(people.slice(0, PEOPLE.length)).toEqual(PEOPLE);
  expect(new Set(people.map(({ name }) => name)).size).toBe(200);
  expect(new Set(machines.map(({ name }) => name)).size).toBe(machines.length);
  expect(people.filter(({ isNight }) => isNight).length).toBeGreaterThan(20);
});
