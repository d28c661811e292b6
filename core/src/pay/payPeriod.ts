import { Defect, itemAt } from '../result/index.ts';
import { formatDay, parseDay, addDays } from '../time/index.ts';
import type { LocalDay } from '../time/index.ts';

export const PAY_PERIOD_KINDS = ['weekly', 'two-weekly', 'twice-monthly', 'monthly'] as const;
export type PayPeriodKind = (typeof PAY_PERIOD_KINDS)[number];

/** How a shop divides its days for pay: the anchor is a first day of some period. */
export type PayRule = { readonly kind: PayPeriodKind; readonly anchor: LocalDay };

/** A pay period by its first and its last day, both in it. */
export type PayPeriod = { readonly firstDay: LocalDay; readonly lastDay: LocalDay };

/** Half of a month begins so many days after its beginning. */
const HALF_MONTH = 15;

const partsOf = (day: LocalDay) => {
  const [year = 0, month = 0, date = 0] = formatDay(day).split('-').map(Number);
  return { year, month, date };
};

/** The day of a month, or the month's last day where it has no such day. Months count on over the year's end. */
function dayOfMonth(year: number, month: number, date: number): LocalDay {
  const whole = new Date(Date.UTC(year, month, 0)); // day 0 of the next month is the last of this one
  const day = Math.min(date, whole.getUTCDate());
  const text = `${whole.toISOString().slice(0, 8)}${String(day).padStart(2, '0')}`;
  const parsed = parseDay(text);
  if (!parsed.ok) throw new Defect(`no day: ${text}`);
  return parsed.value;
}

const every = (length: number, day: LocalDay, anchor: LocalDay): PayPeriod => {
  const firstDay = addDays(day, -((((day - anchor) % length) + length) % length));
  return { firstDay, lastDay: addDays(firstDay, length - 1) };
};

/** The period that a day lies in. Periods follow each other without a gap, so `lastDay + 1` begins the next one. In a
 *  month that is too short a period begins on its last day. Source: docs/pay.md, periods. */
export function payPeriodOf(day: LocalDay, { kind, anchor }: PayRule): PayPeriod {
  if (kind === 'weekly') return every(7, day, anchor);
  if (kind === 'two-weekly') return every(14, day, anchor);
  const { year, month } = partsOf(day);
  const { date } = partsOf(anchor);
  const dates =
    kind === 'monthly' ? [date] : [((date - 1) % HALF_MONTH) + 1, ((date - 1) % HALF_MONTH) + 1 + HALF_MONTH];
  const starts = [-1, 0, 1].flatMap((offset) => dates.map((each) => dayOfMonth(year, month + offset, each)));
  const next = starts.findIndex((start) => start > day);
  return { firstDay: itemAt(starts, next - 1), lastDay: addDays(itemAt(starts, next), -1) };
}
