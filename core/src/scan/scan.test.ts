import fc from 'fast-check';
import { ACTIONS, codeOfAction, findAction } from './action.ts';
import { checkCharacterOf, hasValidCheck } from './checkCharacter.ts';
import { CODE_ALPHABET, CODE_KINDS, drawCode, parseCode } from './code.ts';
import type { CodeKind } from './code.ts';
import { NO_TYPING, stripMarks, isScannerPace, typeKey, typePause } from './keys.ts';

// Published values of MOD 37,36: identifiers of two international standards for works and releases that use it.
test.each([
  ['A12425GABC1234002', 'M'],
  ['00000000D07A0090', 'Q'],
])('the check character of %s is %s', (text, check) => {
  expect(checkCharacterOf(text)).toBe(check);
  expect(hasValidCheck(`${text}${check}`)).toBe(true);
});

const anyKind = fc.constantFrom(...(Object.keys(CODE_KINDS) as CodeKind[]));
const anyCode = fc
  .tuple(anyKind, fc.infiniteStream(fc.nat(CODE_ALPHABET.length - 1)))
  .map(([kind, digits]) => ({ kind, code: drawCode(kind, () => digits.next().value as number) }));

test('a code that was made is read as what it is, in small letters too', () => {
  fc.assert(
    fc.property(anyCode, ({ kind, code }) => {
      expect(parseCode(` ${code.toLowerCase()} `)).toEqual({ ok: true, value: { kind, code } });
    }),
  );
});

test('a code with one wrong character is never another code', () => {
  fc.assert(
    fc.property(anyCode, fc.nat(20), fc.constantFrom(...CODE_ALPHABET), ({ code }, place, character) => {
      const i = place % code.length;
      const mangled = code.slice(0, i) + character + code.slice(i + 1);
      expect(mangled === code || !parseCode(mangled).ok).toBe(true);
    }),
    { numRuns: 2_000 },
  );
});

test.each([
  ['', 'code.empty', 'nothing was read'],
  ['   ', 'code.empty', 'only space'],
  ['HELLO WORLD', 'code.bad_character', 'letters and space that no label holds'],
  ['4006381333931', 'code.unknown_kind', 'the bar code of a shop good'],
  ['T12', 'code.too_short', 'half a label'],
  ['C119C119', 'code.too_long', 'two labels in one go'],
  ['C118', 'code.wrong_check', 'one digit off'],
  ['T1234567X', 'code.wrong_check', 'a made-up task'],
])('%j: %s (%s)', (text, code) => {
  expect(parseCode(text)).toMatchObject({ ok: false, code });
});

test('every action has its own printed code for ever', () => {
  expect(ACTIONS.map((action) => `${action} ${codeOfAction(action)}`)).toEqual([
    'shift-in C119',
    'shift-out C223',
    'break CB16',
    'off-task C66G',
    'done C99X',
    'join CJ17',
    'crew CG1J',
    'earlier CE1R',
    'setup CS18',
    'run CR1C',
    'cleanup CC12',
    'down CD1V',
    'rework CRK9',
    'travel CT14',
    'on-the-way CT22',
    'on-site CT4X',
    'part CPT0',
    'help CH1F',
    'note CNT7',
    'take-back C56K',
    'blank C44S',
    'enter CENK',
    'skip CSK5',
    'digit-0 CX0R',
    'digit-1 CX1P',
    'digit-2 CX2N',
    'digit-3 CX3L',
    'digit-4 CX4J',
    'digit-5 CX5H',
    'digit-6 CX6F',
    'digit-7 CX7D',
    'digit-8 CX8B',
    'digit-9 CX99',
  ]);
  expect(ACTIONS.map((action) => findAction(codeOfAction(action)))).toEqual([...ACTIONS]);
});

function type(text: string, msPerKey: number, end?: string) {
  let typing = NO_TYPING;
  let finished: string | undefined;
  [...text, ...(end ? [end] : [])].forEach((name, i) => {
    const step = typeKey(typing, { name, at: 1000 + i * msPerKey });
    typing = step.typing;
    finished = step.finished ?? finished;
  });
  return { typing, finished, last: 1000 + text.length * msPerKey };
}

test.each([
  ['C119', 10, 'Enter', 'C119', 'a scanner with Enter'],
  ['C119', 10, 'Tab', 'C119', 'a scanner with Tab'],
  ['*C119*', 10, 'Enter', 'C119', 'the start and stop marks of Code 39'],
  [']C0C119', 10, 'Enter', 'C119', 'a symbology identifier'],
  ['c119', 400, 'Enter', 'c119', 'a hand'],
])('%s at %i ms a key and %s is heard as %s: %s', (text, msPerKey, end, heard) => {
  expect(type(text, msPerKey, end).finished).toBe(heard);
});

test.each<[text: string, msPerKey: number, wait: number, heard: string | undefined, why: string]>([
  ['C119', 10, 200, 'C119', 'a scanner without an end key, after a pause'],
  ['C119', 10, 50, undefined, 'not before the pause is over'],
  ['C119', 300, 200, undefined, 'a hand may think as long as it likes'],
  ['C1', 10, 200, undefined, 'two keys rolled over are no scan'],
])('%s at %i ms a key, %i ms later: %s (%s)', (text, msPerKey, wait, heard) => {
  const { typing, last } = type(text, msPerKey);
  expect(typePause(typing, last + wait).finished).toBe(heard);
});

test('backspace takes a typed character back, escape all of them, other keys none', () => {
  const typed = type('C11', 200).typing;
  const key = (name: string) => typeKey(typed, { name, at: 2000 }).typing.text;
  expect([key('Backspace'), key('Escape'), key('Shift'), key('9')]).toEqual(['C1', '', 'C11', 'C119']);
});

test('marks inside a code are no marks', () => expect(stripMarks('C1*19')).toBe('C1*19'));

test.each<[text: string, tookMs: number, isScanner: boolean, why: string]>([
  ['5', 0, false, 'one figure and Enter is a hand’s'],
  ['12', 5, false, 'so are two'],
  ['123', 30, false, 'shorter than any code'],
  ['1234', 90, true, 'four as fast as no hand types'],
  ['1234', 300, false, 'four at a hand’s pace'],
])('%j within %i ms came from a scanner: %s (%s)', (text, tookMs, isScanner) =>
  expect(isScannerPace({ text, startedAt: 1000, lastKeyAt: 1000 + tookMs })).toBe(isScanner),
);
