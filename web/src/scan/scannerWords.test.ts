import { CODE_ERROR_CODES, CODE_KINDS } from '@wergon/core/scan';
import type { ScannerFinding } from '@wergon/core/scan';
import { CALIBRATION_WORDS, CODE_KIND_WORDS, FINDING_WORDS } from './scannerWords.ts';

test.each<[ScannerFinding, RegExp, string]>([
  [{ kind: 'no-end-key' }, /send Enter/, 'what to set'],
  [{ kind: 'layout', name: 'French' }, /set to French.*calibration label/, 'which layout, and both ways out'],
  [{ kind: 'around', prefix: 'Q7', suffix: '' }, /puts “Q7” before the code/, 'what stands before'],
  [{ kind: 'around', prefix: 'Q', suffix: '-' }, /“Q” before and “-” after/, 'what stands on both sides'],
  [{ kind: 'marks' }, /Stations drop them/, 'that nothing is to be done'],
  [{ kind: 'by-hand' }, /hand types/, 'that it was no scanner'],
  [{ kind: 'lower-case' }, /do not mind/, 'that nothing is to be done'],
  [{ kind: 'not-ours', code: 'code.wrong_check' }, /check character/, 'what is wrong with the code'],
])('%j says %s: %s', (finding, words) => expect(FINDING_WORDS(finding)).toMatch(words));

test('nothing that a scanner can do is without a sentence', () => {
  const sentences = [
    ...CODE_ERROR_CODES.map((code) => FINDING_WORDS({ kind: 'not-ours', code })),
    ...Object.values(CALIBRATION_WORDS),
  ];
  for (const sentence of sentences) expect(sentence).toMatch(/^[A-Z].{20,}\.$/);
  expect(Object.keys(CODE_KIND_WORDS).sort()).toEqual(Object.keys(CODE_KINDS).sort());
});
