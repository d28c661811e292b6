import type { RecurrenceJson } from '@wergon/contract/work';
import type { LocalDay } from '@wergon/core/time';
import { sayLongDay } from '../kit/index.ts';
import { t } from '../words/index.ts';

export const sayCadence = ({ kind, every }: Pick<RecurrenceJson, 'kind' | 'every'>): string =>
  t(kind === 'months' ? 'work.everyMonths' : 'work.everyHours', { n: every });

/** The day on which work comes due, and of running hours at how many of them. */
export function sayDue({ due: { day, atHours, isReckoned } }: Pick<RecurrenceJson, 'due'>): string {
  const on =
    day === null
      ? t('work.notTold')
      : isReckoned
        ? t('work.aboutDay', { day: sayLongDay(day) })
        : sayLongDay(day);
  return atHours === null ? on : `${t('work.atHours', { hours: atHours })}, ${on}`;
}

/** Whether its day has gone by and nobody has made an order of it. */
export const isOverdue = ({ due: { day }, order, isOff }: RecurrenceJson, today: LocalDay): boolean =>
  !isOff && order === null && day !== null && day < today;
