import { isPastEstimate } from '@wergon/core/compare';
import type { PayPeriodJson } from '@wergon/contract/pay';

type Person = Pick<PayPeriodJson['people'][number], 'chargedSeconds' | 'attendedSeconds'>;

/** Whether somebody is to be paid for more labor than the time they attended, by as much as is said anywhere: scans are
 *  missing at one end of a shift, or hours were entered twice. */
export const isAbove = ({ chargedSeconds, attendedSeconds }: Person): boolean =>
  isPastEstimate(chargedSeconds - attendedSeconds);
