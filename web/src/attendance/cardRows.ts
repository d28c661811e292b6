import type { CardJson } from '@wergon/contract/attendance';
import { cardWeeks, sumCard } from '@wergon/core/attendance';
import type { CardSums } from '@wergon/core/attendance';
import type { LocalDay } from '@wergon/core/time';

type Day = CardJson['days'][number];
type Sums = { readonly key: string } & CardSums;
/** A row of a card: a day, the sum of a week, or that of all. */
export type CardRow =
  | ({ readonly kind: 'day'; readonly key: string } & Day)
  | ({ readonly kind: 'week'; readonly day: LocalDay } & Sums)
  | ({ readonly kind: 'all' } & Sums);

/** The days of a card with the sum of each week below it, where there are several, and that of all at the end. */
export function cardRows({ days }: CardJson): readonly CardRow[] {
  const weeks = cardWeeks(days);
  return [
    ...weeks.flatMap(({ monday, days: own, ...sums }): CardRow[] => [
      ...own.map((day): CardRow => ({ kind: 'day', key: `d${day.day}`, ...day })),
      ...(weeks.length === 1 ? [] : [{ kind: 'week' as const, key: `w${monday}`, day: monday, ...sums }]),
    ]),
    { kind: 'all', key: 'all', ...sumCard(days) },
  ];
}
