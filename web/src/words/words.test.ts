import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { de } from './de/index.ts';
import * as en from './en/index.ts';
import { speak } from './atDesk.ts';
import { currentLocale, sayList, sayTerm, t } from './index.ts';
import type { WordKey } from './index.ts';

const flat = (messages: object) =>
  Object.entries(messages).flatMap(([room, words]) =>
    Object.entries(words as Record<string, string>).map(([name, text]) => [`${room}.${name}`, text] as const),
  );
const english = new Map(flat(en));
const german = new Map(flat(de));
const paramsOf = (text: string) => [...new Set(text.match(/\{\w+\}/g) ?? [])].sort();

afterEach(() => speak('en'));

test('no message lacks in either language', () => {
  expect([...german.keys()].sort()).toEqual([...english.keys()].sort());
  expect([...english].filter(([, text]) => text.trim() === '')).toEqual([]);
  expect([...german].filter(([, text]) => text.trim() === '')).toEqual([]);
});

test('a message takes the same params in both', () => {
  const differing = [...english].filter(
    ([name, text]) => String(paramsOf(text)) !== String(paramsOf(german.get(name) ?? '')),
  );
  expect(differing).toEqual([]);
});

test('a message has one form, or one for one and one for many', () => {
  const odd = [...english, ...german].filter(([, text]) => text.split(' | ').length > 2);
  expect(odd).toEqual([]);
});

describe('in the pages', () => {
  const root = join(__dirname, '..');
  const source = readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(vue|ts)$/.test(file) && !/^words\b|\.(test|fixture)\.ts$/.test(file))
    .map((file) => readFileSync(join(root, file), 'utf8'))
    .join('\n');
  /** Rooms of which the page chooses the name, by a value of a list. */
  const chosen = new Set(
    [...source.matchAll(/\b(?:t|say)\(\s*`(\w+)\.|\b(?:sayTerm|allIn|namesIn)\('(\w+)'/g)].map(
      ([, room, list]) => room ?? list,
    ),
  );

  test('no message is left that nobody says', () => {
    const unsaid = [...english.keys()].filter(
      (name) => !source.includes(`'${name}'`) && !chosen.has(name.split('.')[0] ?? ''),
    );
    expect(unsaid).toEqual([]);
  });

  test('what is said of one and of many is given how many', () => {
    const uncounted = [...english].flatMap(([name, text]) =>
      text.includes(' | ')
        ? [...source.matchAll(new RegExp(`(?:t|say)\\(\\s*'${name}'([^;]{0,60})`, 'g'))]
            .filter(([, params]) => !/\{\s*n\b|,\s*n:/.test(params ?? ''))
            .map(([call]) => call)
        : [],
    );
    expect(uncounted).toEqual([]);
  });
});

test('every message can be said in both, with all that it needs', async () => {
  for (const language of ['en', 'de'] as const) {
    await speak(language);
    for (const [name, text] of english) {
      const params = Object.fromEntries(paramsOf(text).map((param) => [param.slice(1, -1), 2]));
      const said = t(name as WordKey, params);
      expect([name, /[{}|]/.test(said)]).toEqual([name, false]);
      expect([name, said.length > 0]).toEqual([name, true]);
    }
  }
});

test.each<[language: 'en' | 'de', name: WordKey, n: number, said: string]>([
  ['en', 'common.days', 1, '1 day'],
  ['en', 'common.days', 2, '2 days'],
  ['en', 'common.days', 0, '0 days'],
  ['en', 'looseEnds.loose', 1, 'loose end'],
  ['de', 'common.days', 1, '1 Tag'],
  ['de', 'common.days', 12, '12 Tage'],
  ['de', 'looseEnds.loose', 0, 'offene Punkte'],
])('in %s, %s with %i is “%s”', async (language, name, n, said) => {
  await speak(language);
  expect(t(name, { n })).toBe(said);
});

test.each<[names: string[], english: string, german: string]>([
  [[], '', ''],
  [['Ada'], 'Ada', 'Ada'],
  [['Ada', 'Bo'], 'Ada and Bo', 'Ada und Bo'],
  [['Ada', 'Bo', 'Cy'], 'Ada, Bo and Cy', 'Ada, Bo und Cy'],
])('%j are named one after the other', async (names, inEnglish, inGerman) => {
  expect(sayList(names)).toBe(inEnglish);
  await speak('de');
  expect([sayList(names), currentLocale()]).toEqual([inGerman, 'de-DE']);
});

test('a value of a list is called by its word, and one that is none of them by itself', async () => {
  expect([sayTerm('sources', 'desk'), sayTerm('sources', 'legacy')]).toEqual(['desk', 'legacy']);
  await speak('de');
  expect(sayTerm('problems', 'order.no_tasks')).toBe(de.problems['order.no_tasks']);
});
