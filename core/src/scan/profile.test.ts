import {
  CALIBRATION_TEXT,
  PLAIN_SCANNER,
  applyProfile,
  checkScan,
  isScanOver,
  learnProfile,
} from './profile.ts';
import { PAUSE_MS } from './keys.ts';
import { normalizeForeign, parseForeign } from './foreign.ts';
import type { Key } from './keys.ts';
import type { ScannerFinding } from './profile.ts';

const BADGE = 'BND9L1B44TL9SJ';

/** What a computer set to a layout makes of the keys that a US scanner presses. */
const LAYOUTS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  US: {},
  German: { y: 'z', z: 'y', Y: 'Z', Z: 'Y', ']': '+', '*': '(', '-': 'ß' },
  French: Object.fromEntries([
    ...[...'0123456789'].map((digit, i) => [digit, 'à&é"\'(-è_ç'[i] ?? '']),
    ...[...'aqwzAQWZ'].map((letter, i) => [letter, 'qazwQAZW'[i] ?? '']),
    [']', '$'],
    ['*', '8'],
  ]),
};

const press = (text: string, layout: string, end: readonly string[], msPerKey = 5): Key[] =>
  [...[...text].map((c) => LAYOUTS[layout]?.[c] ?? c), ...end].map((name, i) => ({ name, at: i * msPerKey }));

describe.each(['US', 'German', 'French'])('on a computer with the %s layout', (layout) => {
  describe.each([
    ['Enter', ['Enter'] as const, 'Enter'],
    ['Tab', ['Tab'] as const, 'Tab'],
    ['no end key', [] as const, null],
  ])('with %s', (_name, end, endKey) => {
    test.each([
      ['', '', 'bare'],
      [']C1', '', 'with the symbology’s identifier'],
      ['', '-', 'with a suffix'],
      ['X1', '*', 'with both'],
    ])('a scanner that sends “%s”code“%s” is learned from one scan: %s', (prefix, suffix) => {
      const send = (text: string) => press(`${prefix}${text}${suffix}`, layout, end);
      const learned = learnProfile(send(CALIBRATION_TEXT));
      if (!learned.ok) throw new Error(learned.code);
      expect(learned.value.endKey).toBe(endKey);
      const arrived = send(BADGE)
        .filter(({ name }) => name.length === 1)
        .map(({ name }) => name)
        .join('');
      expect(applyProfile(learned.value, arrived)).toBe(BADGE);
    });

    test('the check page reads the same code, and says what is not plain', () => {
      const { parsed, endKey: found, findings } = checkScan(press(BADGE, layout, end), PLAIN_SCANNER);
      expect([parsed?.code, found]).toEqual([BADGE, endKey]);
      const expected: ScannerFinding[] = [
        ...(endKey === null ? [{ kind: 'no-end-key' } as const] : []),
        ...(layout === 'French' ? [{ kind: 'layout', name: 'French' } as const] : []),
      ];
      expect(findings).toEqual(expected);
    });
  });
});

test.each<[Key[], ScannerFinding[], string]>([
  [press(BADGE, 'US', ['Enter'], 200), [{ kind: 'by-hand' }], 'typed'],
  [press(BADGE.toLowerCase(), 'US', ['Enter']), [{ kind: 'lower-case' }], 'capitals lock'],
  [press(`*${BADGE}*`, 'US', ['Enter']), [{ kind: 'marks' }], 'start and stop marks'],
  [press(`]C0${BADGE}`, 'US', ['Enter']), [{ kind: 'marks' }], 'an AIM identifier'],
  [
    press(`Q7${BADGE}Q`, 'US', ['Enter']),
    [{ kind: 'around', prefix: 'Q7', suffix: 'Q' }],
    'something around it',
  ],
  [press(CALIBRATION_TEXT, 'US', ['Enter']), [{ kind: 'calibration' }], 'the calibration label'],
  [
    press('4006381333931', 'US', ['Enter']),
    [{ kind: 'not-ours', code: 'code.unknown_kind' }],
    'a shop article',
  ],
  [
    press('BND9L1B44TL9SK', 'US', ['Enter']),
    [{ kind: 'not-ours', code: 'code.wrong_check' }],
    'a mangled code',
  ],
])('%#: findings of a scan', (keys, findings) =>
  expect(checkScan(keys, PLAIN_SCANNER).findings).toEqual(findings),
);

test.each([
  [[], 'calibration.nothing', 'nothing came'],
  [press(CALIBRATION_TEXT.slice(3), 'US', ['Enter']), 'calibration.short', 'characters are lost'],
  [press('0'.repeat(28), 'US', ['Enter']), 'calibration.mixed', 'all keys send the same'],
])('%#: calibration is refused as %s', (keys, code) =>
  expect(learnProfile(keys as Key[])).toMatchObject({ ok: false, code }),
);

test.each([
  [press(BADGE, 'US', ['Enter']), 65, true, 'its end key came'],
  [press(BADGE, 'US', []), 66, false, 'it may go on'],
  [press(BADGE, 'US', []), 65 + PAUSE_MS, true, 'it has fallen silent'],
  [press(BADGE, 'US', [], 200), 10_000, false, 'a hand may pause'],
])('%#: a scan is over at %i ms: %s, %s', (keys, now, isOver) => expect(isScanOver(keys, now)).toBe(isOver));

test.each([
  ['04 a3 b2 1f', '04A3B21F', 'spaces and case'],
  ['*0012345678*', '0012345678', 'marks'],
  ['０４Ａ３', '04A3', 'wide characters'],
])('the foreign code %s is kept as %s: %s', (text, kept) => {
  expect(parseForeign(text)).toEqual({ ok: true, value: kept });
  expect(normalizeForeign(kept)).toBe(kept);
});

test.each([
  ['12', 'foreign.too_short'],
  ['7'.repeat(65), 'foreign.too_long'],
  [BADGE, 'foreign.ours'],
])('the foreign code %s is refused as %s', (text, code) =>
  expect(parseForeign(text)).toMatchObject({ ok: false, code }),
);
