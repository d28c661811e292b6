/** Milliseconds between two keys of a keyboard scanner. */
const KEY_EVERY_MS = 12;

/** Types a code as a keyboard scanner does: key by key, with Enter at the end. */
export function typeAsScanner(code: string): void {
  const keys = [...code, 'Enter'];
  keys.forEach((key, i) => {
    setTimeout(
      () => window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true })),
      i * KEY_EVERY_MS,
    );
  });
}
