import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fieldProblems } from './de/fieldProblems.ts';
import { speak } from './atDesk.ts';
import { sayFieldProblem } from './index.ts';

afterEach(() => speak('en'));

test.each([
  ['no such grade', 'diese Stufe gibt es nicht'],
  ['no grade is called “Winder”', 'keine Stufe heißt „Winder“'],
  ['2026-03-02 would hold more than 24 hours', '2026-03-02 enthielte mehr als 24 Stunden'],
  ['expected hours such as 1.25', 'erwartet Stunden wie 1.25'],
  ['expected something new', 'erwartet: something new'],
  ['is empty', 'ist leer'],
  ['has more than 60 characters', 'hat mehr als 60 Zeichen'],
  ['is none of own, subcontractor', 'ist nichts von: own, subcontractor'],
])('“%s” is “%s” in German', async (english, german) => {
  expect(sayFieldProblem(english)).toBe(english);
  await speak('de');
  expect(sayFieldProblem(english)).toBe(german);
});

test('whatever the contract or the server says of a field has words in German', async () => {
  await speak('de');
  const root = join(__dirname, '../../..');
  const source = ['contract/src', 'server/src']
    .flatMap((folder) =>
      readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
        .filter((file) => /\.ts$/.test(file) && !/\.(test|fixture)\.ts$/.test(file))
        .map((file) => readFileSync(join(root, folder, file), 'utf8')),
    )
    .join('\n');
  const told = [...source.matchAll(/message: (?:'([^']+)'|`([^`]+)`)|\btaken\('\w+', '([^']+)'/g)].map(
    ([, plain, filled, taken]) =>
      plain ?? taken ?? (filled ?? '').replace(/\$\{(?:[^{}]|\{[^}]*\})*\}/g, '7'),
  );
  expect(told.length).toBeGreaterThan(60);
  expect(told.filter((message) => sayFieldProblem(message) === message)).toEqual([]);
});

test('words in German keep what differs', () => {
  const gaps = (text: string) => (text.match(/\{\w+\}/g) ?? []).sort().join();
  const losing = Object.entries(fieldProblems).filter(([english, german]) => gaps(english) !== gaps(german));
  expect(losing).toEqual([]);
});
