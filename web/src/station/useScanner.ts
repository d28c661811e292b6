import { onScopeDispose, ref } from 'vue';
import {
  NO_TYPING,
  PAUSE_MS,
  PLAIN_SCANNER,
  applyProfile,
  isScannerPace,
  learnProfile,
  parseCode,
  typeKey,
  typePause,
} from '@wergon/core/scan';
import type { Key, ScannerProfile, Typing } from '@wergon/core/scan';
import type { Source } from '@wergon/core/station';

type Ears = {
  readonly hear: (text: string, source: Source) => void;
  /** The calibration label was scanned: this is what it taught of the scanner. */
  readonly learn: (profile: ScannerProfile) => void;
  /** What is known of this station's scanner. */
  readonly profile: () => ScannerProfile | null;
  /** Whether a single figure that was keyed means something without Enter. */
  readonly expectsDigit: () => boolean;
};

/** After so long nothing more follows a figure that was keyed alone, in milliseconds. */
const LONE_DIGIT_MS = 700;
/** How long the beginning of a code waits for the rest of it, in milliseconds. */
const HALF_CODE_MS = 1_000;

/** Hears a scanner that types like a keyboard, wherever the focus is, and what a hand types. */
export function useScanner({ hear, learn, profile, expectsDigit }: Ears) {
  const typing = ref<Typing>(NO_TYPING);
  const hasFocus = ref(document.hasFocus());
  /** All keys since the last code, for the calibration label to be learned from. */
  let keys: Key[] = [];
  let timer: ReturnType<typeof setTimeout> | undefined;

  const finish = (before: Typing, finished: string | undefined) => {
    const scanned = keys;
    if (finished !== undefined) keys = [];
    if (finished === undefined || finished === '') return;
    if (!isScannerPace(before)) return hear(finished, 'typed');
    const learned = learnProfile(scanned);
    if (learned.ok) learn(learned.value);
    else hear(applyProfile(profile() ?? PLAIN_SCANNER, finished), 'scan');
  };

  let inField: Typing = NO_TYPING;
  /** A label that is scanned while somebody types words into a field is a scan, and none of their words. */
  function hearInField(event: KeyboardEvent, field: HTMLInputElement): void {
    const key = { name: event.key, at: event.timeStamp };
    // A hand pauses; what comes after a pause may be the beginning of a scan.
    if (key.at - inField.lastKeyAt > PAUSE_MS) inField = NO_TYPING;
    const before = inField;
    const step = typeKey(before, key);
    inField = step.typing;
    const code = applyProfile(profile() ?? PLAIN_SCANNER, step.finished ?? '');
    if (!isScannerPace(before) || !parseCode(code).ok) return;
    event.preventDefault();
    event.stopPropagation();
    field.value = field.value.slice(0, -before.text.length);
    field.dispatchEvent(new Event('input'));
    hear(code, 'scan');
  }

  function onKey(event: KeyboardEvent): void {
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    if (event.target instanceof HTMLInputElement) return hearInField(event, event.target);
    // A button in focus must not be pressed by the Enter that ends a code.
    if (typing.value.text !== '' && (event.key === 'Enter' || event.key === 'Tab')) event.preventDefault();
    const before = typing.value;
    if (before.text === '') keys = [];
    keys.push({ name: event.key, at: event.timeStamp });
    const step = typeKey(before, { name: event.key, at: event.timeStamp });
    typing.value = step.typing;
    finish(before, step.finished);
    clearTimeout(timer);
    timer = setTimeout(() => {
      const paused = typePause(typing.value, performance.now());
      const typed = typing.value;
      typing.value = paused.typing;
      finish(typed, paused.finished);
      if (/^[1-9]$/.test(typing.value.text) && expectsDigit())
        timer = setTimeout(endLoneDigit, LONE_DIGIT_MS - PAUSE_MS);
    }, patienceWith(typing.value));
  }

  /** A busy device may hand over the rest of a label late: what is only the beginning of a code waits for it. */
  const patienceWith = ({ text }: Typing): number => {
    const parsed = parseCode(text);
    return !parsed.ok && parsed.code === 'code.too_short' ? HALF_CODE_MS : PAUSE_MS + 5;
  };
  const endLoneDigit = () => {
    const { text } = typing.value;
    if (!/^[1-9]$/.test(text)) return;
    typing.value = NO_TYPING;
    keys = [];
    hear(text, 'typed');
  };

  const onFocus = () => (hasFocus.value = document.hasFocus());
  window.addEventListener('keydown', onKey, { capture: true });
  window.addEventListener('focus', onFocus);
  window.addEventListener('blur', onFocus);
  onScopeDispose(() => {
    window.removeEventListener('keydown', onKey, { capture: true });
    window.removeEventListener('focus', onFocus);
    window.removeEventListener('blur', onFocus);
    clearTimeout(timer);
  });
  return { typing, hasFocus };
}
