import type { PayLayoutJson } from '@wergon/contract/pay';
import { PAY_CLASSES, WORKED_ON } from '@wergon/core/pay';
import { sayTerm, t } from '../words/index.ts';

/** A kind of paid time by its key, in words. */
export function sayKind(key: string): string {
  const [of = '', ...rest] = key.split(' ');
  if (of === 'leave') return sayTerm('absences', rest.join(' '));
  if (of !== 'worked') return of === 'closed' ? t('pay.closedDays') : t('pay.guaranteedHours');
  const paidAs = PAY_CLASSES.find((each) => each === rest[0]) ?? 'straight';
  const on = WORKED_ON.find((each) => each === rest[1]) ?? 'job';
  return t('pay.classOn', { class: t(`payClasses.${paidAs}`), on: t(`workedOn.${on}`) });
}

/** A form to start from: one row a person, day and code. */
export const usualLayout = (): PayLayoutJson => ({
  rows: 'day',
  columns: [
    { field: 'payrollNumber', heading: t('payFields.payrollNumber') },
    { field: 'name', heading: t('payFields.name') },
    { field: 'day', heading: t('payFields.day') },
    { field: 'code', heading: t('payFields.code') },
    { field: 'hours', heading: t('payFields.hours') },
  ],
  separator: 'semicolon',
  decimal: 'point',
  dates: '2026-11-30',
  hasHeadings: true,
});

/** So much of a digest is read aloud over the telephone. */
export const shortDigest = (digest: string): string => digest.slice(0, 12);
