import { CODE_ALPHABET, parseCode } from './code.ts';
import type { CodeErrorCode, ParsedCode } from './code.ts';
import { NO_TYPING, isScannerPace, stripMarks, typeKey, typePause } from './keys.ts';
import type { Key, Typing } from './keys.ts';
import { normalizeForeign } from './foreign.ts';
import { fail, itemAt, ok } from '../result/index.ts';
import type { Result } from '../result/index.ts';

/** What one scanner does to a code on its way to the page: the key that ends it, what it puts around it, and which
 *  characters arrive for which. */
export type ScannerProfile = {
  readonly endKey: 'Enter' | 'Tab' | null;
  readonly prefix: string;
  readonly suffix: string;
  /** By what arrives, in capitals: what was meant. Characters that arrive as they are do not stand here. */
  readonly meant: Readonly<Record<string, string>>;
};

/** A scanner that sends a code as it stands, and Enter. */
export const PLAIN_SCANNER: ScannerProfile = { endKey: 'Enter', prefix: '', suffix: '', meant: {} };

/** What stands on the calibration label: every character of the alphabet once. Source: docs/codes.md, calibration. */
export const CALIBRATION_TEXT = CODE_ALPHABET;

/** Undoes what a scanner does to a code. Text that does not have its prefix and suffix keeps what it has. */
export function applyProfile({ prefix, suffix, meant }: ScannerProfile, text: string): string {
  const upper = text.toUpperCase();
  const hasBoth =
    upper.startsWith(prefix) && upper.endsWith(suffix) && upper.length > prefix.length + suffix.length;
  const inner = hasBoth ? upper.slice(prefix.length, upper.length - suffix.length) : upper;
  return stripMarks([...inner].map((character) => meant[character] ?? character).join(''));
}

export const CALIBRATION_ERROR_CODES = [
  'calibration.nothing',
  'calibration.short',
  'calibration.mixed',
] as const;
export type CalibrationErrorCode = (typeof CALIBRATION_ERROR_CODES)[number];

/** Learns a scanner from one scan of the calibration label. Refused when characters are missing, or when two of them
 *  arrive as one and the same and so cannot be told apart. */
export function learnProfile(keys: readonly Key[]): Result<ScannerProfile, CalibrationErrorCode> {
  const { raw: arrived, endKey } = readKeys(keys);
  const raw = arrived.toUpperCase();
  if (raw === '') return fail('calibration.nothing');
  const length = CALIBRATION_TEXT.length;
  if (raw.length < length) return fail('calibration.short', { arrived: raw.length, expected: length });
  const starts = Array.from({ length: raw.length - length + 1 }, (_each, start) => ({
    start,
    inner: raw.slice(start, start + length),
  }));
  const fitting = starts
    .filter(({ inner }) => new Set(inner).size === length)
    .map((each) => ({ ...each, kept: [...each.inner].filter((c, i) => c === CALIBRATION_TEXT[i]).length }))
    .sort((a, b) => b.kept - a.kept);
  const [best] = fitting;
  if (!best) return fail('calibration.mixed');
  const meant: Record<string, string> = {};
  [...best.inner].forEach((character, i) => {
    const wanted = itemAt([...CALIBRATION_TEXT], i);
    if (character !== wanted) meant[character] = wanted;
  });
  return ok({ endKey, prefix: raw.slice(0, best.start), suffix: raw.slice(best.start + length), meant });
}

/** Keyboards that a computer may be set to while its scanner types as if it were another, and what digits become. */
const LAYOUTS: readonly { readonly name: string; readonly digits: string }[] = [
  { name: 'French', digits: 'à&é"\'(-è_ç' },
  { name: 'Czech', digits: 'é+ěščřžýáí' },
];

/** Something about a scanner that wants to be known, or put right. */
export type ScannerFinding =
  | { readonly kind: 'no-end-key' | 'by-hand' | 'lower-case' | 'marks' }
  | { readonly kind: 'layout'; readonly name: string }
  | { readonly kind: 'around'; readonly prefix: string; readonly suffix: string }
  | { readonly kind: 'calibration' }
  | { readonly kind: 'not-ours'; readonly code: CodeErrorCode };

export type CheckedScan = {
  /** All that arrived but the key that ends it. */
  readonly raw: string;
  readonly endKey: 'Enter' | 'Tab' | null;
  /** The code that it comes to, with the profile and with what was found; absent where it is none of ours. */
  readonly parsed: ParsedCode | undefined;
  /** As a foreign code it would be kept like this. */
  readonly foreign: string;
  readonly findings: readonly ScannerFinding[];
};

/** Reads the keys of one scan and says in findings what is not as a plain scanner would send it. */
export function checkScan(keys: readonly Key[], profile: ScannerProfile): CheckedScan {
  const { raw, endKey } = readKeys(keys);
  const findings: ScannerFinding[] = [];
  const typing: Typing = { text: raw, startedAt: keys[0]?.at ?? 0, lastKeyAt: keys.at(-1)?.at ?? 0 };
  const isFast = isScannerPace(typing);
  if (!isFast) findings.push({ kind: 'by-hand' });
  else if (endKey === null) findings.push({ kind: 'no-end-key' });
  if (/[a-z]/.test(raw) && !/[A-Z]/.test(raw)) findings.push({ kind: 'lower-case' });
  const read = applyProfile(profile, raw);
  if (profile.prefix === '' && read !== raw.toUpperCase() && stripMarks(raw) !== raw.trim())
    findings.push({ kind: 'marks' });
  const found = findCode(read);
  if (found?.finding) findings.push(found.finding);
  if (!found)
    findings.push(
      read.includes(CALIBRATION_TEXT) || learnProfile(keys).ok
        ? { kind: 'calibration' }
        : { kind: 'not-ours', code: reasonOf(read) },
    );
  return { raw, endKey, parsed: found?.parsed, foreign: normalizeForeign(raw), findings };
}

const reasonOf = (text: string): CodeErrorCode => {
  const parsed = parseCode(text);
  return parsed.ok ? 'code.empty' : parsed.code;
};

/** Looks for one of our codes in what was read: as it is, as another keyboard would write it, or with something
 *  around it. A code found so still has its check character, so it is no guess. */
function findCode(
  text: string,
): { readonly parsed: ParsedCode; readonly finding?: ScannerFinding } | undefined {
  const plain = parseCode(text);
  if (plain.ok) return { parsed: plain.value };
  for (const { name, digits } of LAYOUTS) {
    const upper = digits.toUpperCase();
    const written = [...text].map((c) => (upper.includes(c) ? String(upper.indexOf(c)) : c)).join('');
    const parsed = parseCode(written);
    if (parsed.ok) return { parsed: parsed.value, finding: { kind: 'layout', name } };
  }
  for (let start = 0; start <= MOST_AROUND; start += 1)
    for (let end = 0; end <= MOST_AROUND; end += 1) {
      const parsed = parseCode(text.slice(start, text.length - end));
      if (parsed.ok)
        return {
          parsed: parsed.value,
          finding: { kind: 'around', prefix: text.slice(0, start), suffix: text.slice(text.length - end) },
        };
    }
  return undefined;
}

/** Scanners are set to put a few characters around a code, not a sentence. */
const MOST_AROUND = 6;

/** The characters of one scan and the key that ended it, found by the same rules as at a station. */
function readKeys(keys: readonly Key[]): {
  readonly raw: string;
  readonly endKey: 'Enter' | 'Tab' | null;
} {
  let typing = NO_TYPING;
  for (const key of keys) {
    if (key.name === 'Enter' || key.name === 'Tab') return { raw: typing.text, endKey: key.name };
    typing = typeKey(typing, key).typing;
  }
  return { raw: typing.text, endKey: null };
}

/** Whether a scan is over: an end key came, or a scanner fell silent. */
export const isScanOver = (keys: readonly Key[], now: number): boolean => {
  let typing = NO_TYPING;
  for (const key of keys) {
    const step = typeKey(typing, key);
    if (step.finished !== undefined) return true;
    typing = step.typing;
  }
  return typePause(typing, now).finished !== undefined;
};
