/** What ends a press; of one that opens a menu, or leaves the window, nobody may be told that it is over. */
const ENDS = ['pointerup', 'pointercancel', 'contextmenu', 'blur'];
let isDown = false;
const set = (now: boolean) => () => (isDown = now);
// Workers and tools that read this have no pointers.
if ('window' in globalThis) {
  window.addEventListener('pointerdown', set(true), true);
  for (const end of ENDS) window.addEventListener(end, set(false), true);
}

/** Does something once no button or finger is down any more. What makes a page longer while somebody presses takes what
 *  they meant away from under them, and the press is lost. */
export function afterPointer(work: () => void): void {
  if (!isDown) return work();
  const after = () => {
    for (const end of ENDS) window.removeEventListener(end, after);
    // The press itself is told behind the pointer's own event.
    setTimeout(work);
  };
  for (const end of ENDS) window.addEventListener(end, after);
}
