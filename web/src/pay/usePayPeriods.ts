import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { formatDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import type { ResponseOf } from '@wergon/contract/routes';
import { callRoute } from '../kit/index.ts';

export type ListedPeriod = ResponseOf<'payPeriods'>['periods'][number];

/** The pay periods, newest first, and the one that a page speaks of. `pick` says which it is at first. */
export function usePayPeriods(pick: (periods: readonly ListedPeriod[]) => ListedPeriod | undefined) {
  const firstDay = ref<LocalDay | null>(null);
  const query = useQuery({ queryKey: ['pay-periods'], queryFn: () => callRoute('payPeriods') });
  const list = computed(() => query.data.value?.periods ?? []);
  // What another page of this place has asked for is known at once.
  watch(
    list,
    (known) => {
      if (firstDay.value === null) firstDay.value = (pick(known) ?? known[0])?.firstDay ?? null;
    },
    { immediate: true },
  );
  return {
    query,
    list,
    firstDay,
    firstDayText: computed(() => (firstDay.value === null ? '' : formatDay(firstDay.value))),
    period: computed(() => list.value.find((each) => each.firstDay === firstDay.value)),
    choose: (day: LocalDay | null) => {
      firstDay.value = day;
    },
    /** On to an older period, or back to a newer one. */
    step: (by: number) => {
      const place = list.value.findIndex((each) => each.firstDay === firstDay.value);
      const next = list.value[Math.max(0, Math.min(list.value.length - 1, place + by))];
      if (next) firstDay.value = next.firstDay;
    },
    toNow: () => {
      firstDay.value = list.value[0]?.firstDay ?? null;
    },
  };
}
