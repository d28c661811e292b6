import { parseDay } from '@wergon/core/time';
import type { JobField } from '@wergon/core/compare';
import { sayMonth } from '../../kit/index.ts';
import { t } from '../../words/index.ts';

/** What a job has in a field, in words. */
export const sayField = (field: JobField, value: string): string =>
  value === '' ? t(`noJobField.${field}`) : field === 'month' ? sayMonthText(value) : value;

/** A month by its first day as text. */
export function sayMonthText(text: string): string {
  const first = parseDay(text);
  return first.ok ? sayMonth(first.value) : text;
}
