import type { ShiftLine } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { addDays } from '../time/index.ts';
import type { LocalDay } from '../time/index.ts';
import { adjustmentsOf } from './adjustments.ts';
import type { Adjustment, ClosedLine } from './adjustments.ts';
import { workedAdjustmentsOf } from './worked.ts';
import type { WorkedLine } from './worked.ts';
import { payPeriodOf } from './payPeriod.ts';
import type { PayPeriod, PayRule } from './payPeriod.ts';

/** One person's shift day as a pay period sees it. */
export type PayDay = {
  readonly technician: TechnicianId;
  readonly day: LocalDay;
  readonly lines: readonly ShiftLine[];
  /** What of it is paid, and how. */
  readonly worked: readonly WorkedLine[];
  /** Whether it goes to pay as it is now: somebody has approved it so, or the shop approves nothing. */
  readonly isPayable: boolean;
  /** Whether work on it still runs. */
  readonly isOpen: boolean;
};
export type PersonDay = Pick<PayDay, 'technician' | 'day'>;

/** What closed periods still owe: labor and pay lines beyond what they have paid, and the days that are not settled yet. */
export type Owed = {
  readonly adjustments: readonly Adjustment[];
  readonly workedAdjustments: readonly WorkedLine[];
  readonly waiting: readonly PersonDay[];
};

const keyOf = (technician: TechnicianId, day: LocalDay): string => `${technician} ${day}`;

/** What days of closed periods owe, as they are now, beyond what was paid for them. Of a day that nobody has approved as
 *  it is now nothing is owed, and nothing taken back; a day that is gone altogether is taken back whole.
 *  Source: docs/ledger.md, section 9. */
export function owedOf(
  days: readonly PayDay[],
  closed: readonly ClosedLine[],
  closedWorked: readonly WorkedLine[],
): Owed {
  const held = new Set(
    days.filter(({ isPayable }) => !isPayable).map((each) => keyOf(each.technician, each.day)),
  );
  const isHeld = (technician: TechnicianId, day: LocalDay) => held.has(keyOf(technician, day));
  return {
    adjustments: adjustmentsOf(
      days.filter(({ isPayable }) => isPayable).flatMap(({ lines }) => lines),
      closed.filter(({ technician, shiftDay }) => !isHeld(technician, shiftDay)),
    ),
    workedAdjustments: workedAdjustmentsOf(
      days.filter(({ isPayable }) => isPayable).flatMap(({ worked }) => worked),
      closedWorked.filter(({ technician, shiftDay }) => !isHeld(technician, shiftDay)),
    ),
    waiting: unsettledOf(days),
  };
}

const unsettledOf = (days: readonly PayDay[]): readonly PersonDay[] =>
  days
    .filter(({ isPayable, isOpen }) => !isPayable || isOpen)
    .map(({ technician, day }) => ({ technician, day }));

/** What a period keeps when it closes: the labor and pay lines of its payable days, what earlier ones owed, and the days
 *  that must be looked at again. Source: docs/ledger.md, section 9. */
export const closeDays = (days: readonly PayDay[], { adjustments, workedAdjustments, waiting }: Owed) => ({
  lines: days.filter(({ isPayable }) => isPayable).flatMap(({ lines }) => lines),
  adjustments,
  worked: days.filter(({ isPayable }) => isPayable).flatMap(({ worked }) => worked),
  workedAdjustments,
  leftOut: [...waiting, ...unsettledOf(days)],
});

/** Why a period cannot be closed: it is closed, it is not over, or an earlier one is still open. */
export type ClosingRefusal = 'pay.closed' | 'pay.not_over' | 'pay.earlier_open';
export const refuseClosing = (period: {
  readonly isClosed: boolean;
  readonly isOver: boolean;
  readonly isNext: boolean;
}): ClosingRefusal | undefined =>
  period.isClosed
    ? 'pay.closed'
    : !period.isOver
      ? 'pay.not_over'
      : !period.isNext
        ? 'pay.earlier_open'
        : undefined;

/** The period that closes next: the one after the last closed, else the one of the first day of which anything is known.
 *  A changed rule takes hold where the closed periods end, so the first by a new rule can be shorter. */
export function periodToClose(
  rule: PayRule,
  lastClosed: PayPeriod | undefined,
  firstKnown: LocalDay,
): PayPeriod {
  if (!lastClosed) return payPeriodOf(firstKnown, rule);
  const firstDay = addDays(lastClosed.lastDay, 1);
  return { firstDay, lastDay: payPeriodOf(firstDay, rule).lastDay };
}

/** That period and all behind it, up to the one that a day lies in. Empty where it begins later. */
export function periodsUpTo(first: PayPeriod, rule: PayRule, day: LocalDay): readonly PayPeriod[] {
  const periods: PayPeriod[] = [];
  for (let period = first; period.firstDay <= day; period = payPeriodOf(addDays(period.lastDay, 1), rule))
    periods.push(period);
  return periods;
}
