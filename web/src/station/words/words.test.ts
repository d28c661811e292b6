import { ACTIONS, CODE_ERROR_CODES } from '@wergon/core/scan';
import { speakAtStation } from '../../words/atStation.ts';
import { wordsOf } from './index.ts';
import type { Names, Words } from './index.ts';

const names: Names = {
  target: () => 'Winding, 24117',
  person: (id) => String(id),
  machine: () => 'Press 1',
  clock: () => '7:05',
  day: () => 'Mon 14 Dec',
  length: (seconds) => `${seconds} s`,
  hours: (seconds) => `${seconds} s`,
};
let en: Words;
let de: Words;
beforeAll(() => {
  speakAtStation('en');
  en = wordsOf('en');
  de = wordsOf('de');
});
const BOTH = ['en', 'de'] as const;

test.each([
  [0, '0 s', '0 s'],
  [60, '1 min', '1 min'],
  [3599, '59 min', '59 min'],
  [5460, '1 h 31 min', '1 Std. 31 min'],
])('%i seconds are spoken as %s and %s', (seconds, english, german) => {
  expect([en.length(seconds), de.length(seconds)]).toEqual([english, german]);
});

test.each(BOTH)('in %s every code that cannot be read has a headline and says what to do', (language) => {
  const words = wordsOf(language);
  for (const code of CODE_ERROR_CODES) {
    const { headline, help } = words.refusal(code, 'T12');
    expect(headline.length).toBeGreaterThan(5);
    expect(help).toMatch(/scan/i);
  }
});

test.each(BOTH)('in %s no words shout or leave a blank to fill', (language) => {
  const words = wordsOf(language);
  const lines = [
    ...Object.values(words.prompt),
    ...CODE_ERROR_CODES.flatMap((code) => Object.values(words.refusal(code, '24117'))),
    ...Object.values(words.button),
    ...Object.values(words.word),
  ];
  for (const line of lines) expect(line).not.toMatch(/!|undefined|\$\{|^$/);
});

test('the labels that a sentence names are printed ones', () => {
  const printed = ACTIONS.map((action) => action.replaceAll('-', ' ').toUpperCase());
  const named = BOTH.flatMap((language) =>
    Object.values(wordsOf(language).prompt).flatMap((line) => line.match(/[A-Z]{3,}(?: [A-Z]{2,})*/g) ?? []),
  );
  expect(named.length).toBeGreaterThan(5);
  for (const label of named) expect(printed).toContain(label);
});

const run = { target: 'a', workType: 'run' };
test.each<[said: object, words: string, why: string]>([
  [{ kind: 'started', target: 'a', workType: 'run', minutesBack: 0 }, 'Started Winding, 24117', 'plain work'],
  [
    { kind: 'started', target: 'a', workType: 'setup', minutesBack: 0 },
    'Started setup of Winding, 24117',
    'a kind',
  ],
  [
    { kind: 'started', target: 'a', workType: 'run', minutesBack: 10 },
    'Started Winding, 24117, 10 minutes ago',
    'back',
  ],
  [
    { kind: 'stopped', left: [run], since: 0, at: 5460 },
    'Left Winding, 24117 after 1 h 31 min',
    'with its length',
  ],
  [
    { kind: 'done', left: [run], since: 0, at: 240, others: [] },
    'Winding, 24117 done after 4 min',
    'done too',
  ],
  [{ kind: 'crew-started', technicians: ['Ada', 'Bo'], target: 'a' }, '2 on Winding, 24117', 'a crew'],
])('%j is said as “%s”: %s', (said, words) => {
  expect(en.said(said as never, names).headline).toBe(words);
});

test('who else is on a finished task is named, and so is everybody of a crew', () => {
  const done = { kind: 'done', left: [run], since: 0, at: 240, others: ['Bo', 'Cy'] };
  expect(en.said(done as never, names).help).toBe('Still on it: Bo and Cy.');
  const crew = { kind: 'crew-started', technicians: ['Ada', 'Bo', 'Cy'], target: 'a' };
  expect(de.said(crew as never, names).help).toBe('Ada, Bo und Cy');
});

test('a value that is asked for names its limits', () => {
  const report = { kind: 'value', label: 'Insulation', unit: 'MΩ', least: 100, most: null };
  const question = { kind: 'report', target: 'a', index: 0, report, half: {} };
  expect(en.question(question as never, names)).toEqual({
    headline: 'Insulation in MΩ?',
    help: 'Winding, 24117: at least 100',
  });
});
