import { computed, ref } from 'vue';
import { addDays, daysFrom, formatDay, mondayOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { useToday } from './useToday.ts';

const WEEK = 7;

/** The stretch of days that a page speaks of, moved by weeks and never past today: so many days up to today, or the
 *  calendar week. `steps` listens to the frame's keys and buttons. */
export function useDays(stretch: number | 'calendar week') {
  const weeksBack = ref(0);
  const length = stretch === 'calendar week' ? WEEK : stretch;
  const today = useToday();
  const firstDay = computed((): LocalDay => {
    const first = stretch === 'calendar week' ? mondayOf(today.value) : addDays(today.value, 1 - length);
    return addDays(first, -(WEEK * weeksBack.value));
  });
  const lastDay = computed(() => addDays(firstDay.value, length - 1));
  return {
    today,
    firstDay,
    lastDay,
    days: computed(() => daysFrom(firstDay.value, length)),
    /** What asks the server for them. */
    asked: computed(() => ({ from: formatDay(firstDay.value), to: formatDay(lastDay.value) })),
    steps: {
      back: () => (weeksBack.value += 1),
      on: () => (weeksBack.value = Math.max(0, weeksBack.value - 1)),
      today: () => (weeksBack.value = 0),
    },
  };
}
