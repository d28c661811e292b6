import { ref } from 'vue';

const KEY = 'wergon-touched';
/** So often a touch is told to the browser's other tabs, in milliseconds. */
const TELL_MS = 5_000;
/** So long after a touch somebody is taken to be there. */
const THERE_MS = 60_000;
const TOUCHES = ['pointerdown', 'keydown', 'wheel', 'touchstart'] as const;

const touchedAt = ref(Date.now());
let toldAt = 0;

/** When anybody last touched a page of this browser. */
const lastTouch = (): number => Math.max(touchedAt.value, Number(localStorage.getItem(KEY) ?? 0));

/** Whether somebody is at this page: what it asks for by itself keeps nobody signed in. */
export const isPersonThere = (): boolean => Date.now() - touchedAt.value < THERE_MS;

/** For how long nobody has touched a page of this browser, in milliseconds. */
export const untouchedMs = (): number => Math.max(0, Date.now() - lastTouch());

export function touched(): void {
  touchedAt.value = Date.now();
  if (touchedAt.value - toldAt < TELL_MS) return;
  toldAt = touchedAt.value;
  localStorage.setItem(KEY, String(toldAt));
}

/** Notices whoever touches this page. */
export function watchPresence(): void {
  touched();
  for (const kind of TOUCHES) window.addEventListener(kind, touched, { capture: true, passive: true });
}
