import { computed } from 'vue';
import type { ComputedRef } from 'vue';
import { toDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { useDesk } from './useDesk.ts';
import { useNow } from './useNow.ts';

/** The shop's day, as midnight passes; before the shop is known the first day there is. */
export function useToday(): ComputedRef<LocalDay> {
  const desk = useDesk();
  const now = useNow();
  return computed(() => desk.zone?.dayAt(now.value) ?? toDay(0));
}
