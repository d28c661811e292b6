import { computed, ref } from 'vue';
import { formatDay, weekdayOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { useDesk } from './useDesk.ts';
import { useNow } from './useNow.ts';

const WEEK = 7;

/** The stretch of days that a page speaks of, moved by weeks and never past today: so many days up to today, or the
 *  calendar week. `steps` listens to the frame's keys and buttons. */
export function useDays(stretch: number | 'calendar week') {
  const desk = useDesk();
  const now = useNow();
  const weeksBack = ref(0);
  const length = stretch === 'calendar week' ? WEEK : stretch;
  const today = computed(() => desk.zone?.dayAt(now.value) ?? (0 as LocalDay));
  const firstDay = computed((): LocalDay => {
    const first =
      stretch === 'calendar week' ? today.value - weekdayOf(today.value) + 1 : today.value - length + 1;
    return (first - WEEK * weeksBack.value) as LocalDay;
  });
  const lastDay = computed(() => (firstDay.value + length - 1) as LocalDay);
  return {
    today,
    firstDay,
    lastDay,
    /** Each of the days, in the server's form. */
    days: computed(() => Array.from({ length }, (_, i) => formatDay((firstDay.value + i) as LocalDay))),
    /** What asks the server for them. */
    asked: computed(() => ({ from: formatDay(firstDay.value), to: formatDay(lastDay.value) })),
    steps: {
      back: () => (weeksBack.value += 1),
      on: () => (weeksBack.value = Math.max(0, weeksBack.value - 1)),
      today: () => (weeksBack.value = 0),
    },
  };
}
