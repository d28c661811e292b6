import { onScopeDispose, ref } from 'vue';
import { toInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { clockOffsetMs } from './callRoute.ts';

const TICK_MS = 1_000;

/** The server's time, whole seconds, as it passes. */
export function useNow() {
  const read = (): Instant => toInstant(Math.floor((Date.now() + clockOffsetMs.value) / 1000));
  const now = ref(read());
  const timer = setInterval(() => (now.value = read()), TICK_MS);
  onScopeDispose(() => clearInterval(timer));
  return now;
}
