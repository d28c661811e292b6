import { onScopeDispose, ref } from 'vue';
import { NO_TYPING, PAUSE_MS, typeKey, typePause } from '@wergon/core/scan';
import type { Typing } from '@wergon/core/scan';
import type { Source } from '@wergon/core/station';

/** No hand types a whole code this fast, in milliseconds a key. */
const SCANNER_MS_PER_KEY = 35;

/** Hears a scanner that types like a keyboard, wherever the focus is, and what a hand types. */
export function useScanner(hear: (text: string, source: Source) => void) {
  const typing = ref<Typing>(NO_TYPING);
  const hasFocus = ref(document.hasFocus());
  let timer: ReturnType<typeof setTimeout> | undefined;

  const finish = (before: Typing, finished: string | undefined) => {
    if (finished === undefined || finished === '') return;
    const isFast = before.lastKeyAt - before.startedAt <= (before.text.length - 1) * SCANNER_MS_PER_KEY;
    hear(finished, isFast ? 'scan' : 'typed');
  };

  function onKey(event: KeyboardEvent): void {
    const isField = event.target instanceof HTMLInputElement;
    if (isField || event.ctrlKey || event.altKey || event.metaKey) return;
    // A button in focus must not be pressed by the Enter that ends a code.
    if (typing.value.text !== '' && (event.key === 'Enter' || event.key === 'Tab')) event.preventDefault();
    const before = typing.value;
    const step = typeKey(before, { name: event.key, at: event.timeStamp });
    typing.value = step.typing;
    finish(before, step.finished);
    clearTimeout(timer);
    timer = setTimeout(() => {
      const paused = typePause(typing.value, performance.now());
      const typed = typing.value;
      typing.value = paused.typing;
      finish(typed, paused.finished);
    }, PAUSE_MS + 5);
  }

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
