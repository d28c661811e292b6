import type { ResponseOf } from '@wergon/contract/routes';
import { sayTerm, t } from '../words/index.ts';
import { sayDate } from './dates.ts';

/** Hours as somebody typed them, with a comma or a point; `null` where nothing was typed. */
export const hoursText = (typed: string): string | null => {
  const text = typed.trim().replace(',', '.');
  return text === '' ? null : text;
};

/** What stands already on days that somebody is away. */
export const sayAroundAbsence = (around: ResponseOf<'addAbsence'> | null): readonly string[] => [
  ...(around && around.worked.length > 0
    ? [t('kit.workedOnAbsence', { days: around.worked.map(sayDate).join(', ') })]
    : []),
  ...(around && around.closed.length > 0
    ? [t('kit.closedOnAbsence', { days: around.closed.map(sayDate).join(', ') })]
    : []),
];

/** Why time is paid, or taken, that was not worked. */
export function sayAway(kind: string): string {
  if (kind === 'closed') return t('pay.closedDay');
  if (kind === 'guarantee') return t('pay.guaranteedHours');
  return kind === 'away' ? t('attendance.awayWord') : sayTerm('absences', kind);
}
