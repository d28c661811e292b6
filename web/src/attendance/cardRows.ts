import type { CardJson } from '@wergon/contract/attendance';
import { mondayOf, sumSeconds } from '@wergon/core/time';
import type { LocalDay, Seconds } from '@wergon/core/time';

type Day = CardJson['days'][number];
type Sums = { readonly attendedSeconds: Seconds; readonly chargedSeconds: Seconds };
/** A row of a card: a day, the sum of a week, or that of all. */
export type CardRow =
  | ({ readonly kind: 'day'; readonly key: string } & Day)
  | ({ readonly kind: 'week'; readonly key: string; readonly day: LocalDay } & Sums)
  | ({ readonly kind: 'all'; readonly key: string } & Sums);

const sumsOf = (days: readonly Day[]): Sums => ({
  attendedSeconds: sumSeconds(days.map(({ attendedSeconds: seconds }) => ({ seconds }))),
  chargedSeconds: sumSeconds(days.map(({ chargedSeconds: seconds }) => ({ seconds }))),
});

/** The days of a card with the sum of each week below it, where there are several, and that of all at the end. */
export function cardRows({ days, attendedSeconds, chargedSeconds }: CardJson): readonly CardRow[] {
  const mondays = [...new Set(days.map(({ day }) => mondayOf(day)))];
  const weeks = mondays.flatMap((monday): CardRow[] => {
    const own = days.filter(({ day }) => mondayOf(day) === monday);
    const rows = own.map((day): CardRow => ({ kind: 'day', key: `d${day.day}`, ...day }));
    return mondays.length === 1
      ? rows
      : [...rows, { kind: 'week', key: `w${monday}`, day: monday, ...sumsOf(own) }];
  });
  return [...weeks, { kind: 'all', key: 'all', attendedSeconds, chargedSeconds }];
}
