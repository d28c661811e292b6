import type { ComparisonJson, OrderRow } from '@wergon/contract/work';

/** What an order or a task comes to, in words that a row can show. */
export type Balance = {
  readonly hours: string;
  readonly word: 'over' | 'left' | 'under' | 'used' | 'even';
  readonly also: string;
  readonly isOver: boolean;
};

/** Over as soon as it is true, under only of what is finished, else what is left; without an estimate what was used.
 *  An order over on some tasks may have hours left on others: both are said. */
export function balanceOf(
  { overSeconds, remainingSeconds, underSeconds, actualSeconds }: ComparisonJson,
  hasEstimate: boolean,
  hours: (seconds: number) => string,
): Balance {
  if (!hasEstimate) return { hours: hours(actualSeconds), word: 'used', also: '', isOver: false };
  if (overSeconds > 0) {
    const also =
      remainingSeconds > 0
        ? `${hours(remainingSeconds)} left`
        : underSeconds > 0
          ? `${hours(underSeconds)} under`
          : '';
    return { hours: hours(overSeconds), word: 'over', also, isOver: true };
  }
  if (remainingSeconds > 0) return { hours: hours(remainingSeconds), word: 'left', also: '', isOver: false };
  if (underSeconds > 0) return { hours: hours(underSeconds), word: 'under', also: '', isOver: false };
  return { hours: hours(0), word: 'even', also: '', isOver: false };
}

/** What a yardstick says to somebody who cannot see it. */
export const yardstickWords = (
  { actualSeconds, estimatedSeconds }: ComparisonJson,
  hasEstimate: boolean,
  hours: (seconds: number) => string,
): string =>
  hasEstimate
    ? `${hours(actualSeconds)} used of ${hours(estimatedSeconds)} estimated`
    : `${hours(actualSeconds)} used, no estimate`;

export const STATE_WORDS: Readonly<Record<OrderRow['state'], string>> = {
  draft: 'draft',
  accepted: 'accepted',
  released: 'released',
  'on-hold': 'on hold',
  finished: 'finished',
  closed: 'closed',
};

/** Which orders a filter shows. */
export const FILTERS = {
  floor: { word: 'On the floor', states: ['released', 'on-hold'] },
  preparing: { word: 'In preparation', states: ['draft', 'accepted'] },
  finished: { word: 'Finished', states: ['finished'], past: 'finished' },
  closed: { word: 'Closed', states: ['closed'], past: 'closed' },
  all: {
    word: 'All',
    states: ['draft', 'accepted', 'released', 'on-hold', 'finished', 'closed'],
    past: undefined,
  },
} as const satisfies Record<
  string,
  {
    word: string;
    states: readonly OrderRow['state'][];
    /** Which orders whose work is behind them are looked for on the server; `undefined`: all of them. */
    past?: 'finished' | 'closed' | undefined;
  }
>;
export type Filter = keyof typeof FILTERS;
