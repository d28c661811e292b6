import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { PERIODS, addDays, formatDay, movePeriod, parseDay, periodAround, weekOf } from '@wergon/core/time';
import type { LocalDay, PeriodKind } from '@wergon/core/time';
import { sayLongDay, sayMonth, sayMonthDay, useToday, yearOf } from '../../kit/index.ts';
import { t } from '../../words/index.ts';

/** What the pages of this place can be told over: a period of the calendar, or any days. */
export const PERIOD_CHOICES = [...PERIODS, 'days'] as const;
export type PeriodChoice = (typeof PERIOD_CHOICES)[number];

const readChoice = (text: unknown): PeriodChoice | undefined => PERIOD_CHOICES.find((each) => each === text);
function readDay(text: unknown): LocalDay | undefined {
  const parsed = typeof text === 'string' ? parseDay(text) : undefined;
  return parsed?.ok ? parsed.value : undefined;
}

/** The period that a page speaks of. It stands in the address, so that it goes along from page to page, is there again after
 *  going back, and can be sent to somebody. */
export function usePeriod(usual: PeriodKind) {
  const route = useRoute();
  const router = useRouter();
  const today = useToday();
  const kind = computed((): PeriodChoice => readChoice(route.query['period']) ?? usual);
  const day = computed(() => readDay(route.query['day']) ?? today.value);
  const days = computed(() => {
    if (kind.value !== 'days') return periodAround(kind.value, day.value);
    const firstDay = readDay(route.query['from']) ?? addDays(today.value, -29);
    return { firstDay, lastDay: readDay(route.query['to']) ?? today.value };
  });
  const go = (query: Readonly<Record<string, string | undefined>>) =>
    void router.replace({ query: { ...route.query, ...query } });
  const moveTo = (to: LocalDay) => go({ day: to === today.value ? undefined : formatDay(to) });

  return {
    kind,
    today,
    firstDay: computed(() => days.value.firstDay),
    lastDay: computed(() => days.value.lastDay),
    asked: computed(() => ({ from: formatDay(days.value.firstDay), to: formatDay(days.value.lastDay) })),
    title: computed(() => sayPeriod(kind.value, days.value)),
    choose: (choice: PeriodChoice) =>
      go(
        choice === 'days'
          ? { period: choice, from: formatDay(days.value.firstDay), to: formatDay(days.value.lastDay) }
          : { period: choice, from: undefined, to: undefined },
      ),
    setDays: (field: 'from' | 'to', to: string) => go({ [field]: to === '' ? undefined : to }),
    /** What goes along to another page of this place. */
    carried: computed(() => {
      const { period, day: of, from, to } = route.query;
      return { period, day: of, from, to };
    }),
    steps: {
      back: () => kind.value !== 'days' && moveTo(movePeriod(kind.value, day.value, -1)),
      on: () => kind.value !== 'days' && moveTo(movePeriod(kind.value, day.value, 1)),
      today: () => moveTo(today.value),
    },
  };
}
export type Period = ReturnType<typeof usePeriod>;

/** A period in the words of a heading. */
function sayPeriod(
  kind: PeriodChoice,
  { firstDay, lastDay }: { readonly firstDay: LocalDay; readonly lastDay: LocalDay },
): string {
  switch (kind) {
    case 'day':
      return sayLongDay(firstDay);
    case 'week':
      return t('compare.weekOf', { week: weekOf(firstDay), year: yearOf(firstDay) });
    case 'weeks':
      return t('compare.weeksTo', { first: weekOf(firstDay), last: weekOf(lastDay) });
    case 'month':
      return sayMonth(firstDay);
    case 'quarter':
      return t('compare.quarterOf', {
        quarter: Math.ceil(Number(formatDay(lastDay).slice(5, 7)) / 3),
        year: yearOf(firstDay),
      });
    case 'year':
      return String(yearOf(firstDay));
    case 'days':
      return t('common.to', { day: sayMonthDay(firstDay), day2: sayMonthDay(lastDay) });
  }
}
