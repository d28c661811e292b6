import { DEFAULT_BILLING, chargeRowsOf, fixedChargeOf } from '@wergon/core/bill';
import { allocateStint } from '@wergon/core/ledger';
import type { LaborEntry, Ledger, LedgerFacts } from '@wergon/core/ledger';
import { formatCents } from '@wergon/core/money';
import { formatDay } from '@wergon/core/time';
import { by } from './inOrder.ts';
import { hoursOf } from './replayPay.ts';
import type { Scenario } from './scenario.ts';
import { writeCost } from './writeLedger.ts';

/** What a result says of what is charged: labor row by row, and what is charged once an order. */
export function writeCharges(
  { workOrders, billing, billable }: Scenario,
  stints: Ledger['stints'],
  entries: readonly LaborEntry[],
  facts: LedgerFacts,
) {
  const tasks = new Map(
    workOrders.flatMap(({ rates, tasks: own }) => own.map((task) => [task.id, { ...task, rates }] as const)),
  );
  const { neverBilled, roundUpMinutes = DEFAULT_BILLING.roundUpMinutes } = billing;
  const rows = chargeRowsOf(
    stints.flatMap((stint) => allocateStint(stint, facts)),
    hoursOf(entries),
    {
      isHourly: (target) => tasks.get(target)?.billing === 'hourly',
      ratesOf: (target) => tasks.get(target)?.rates ?? [],
      rules: {
        neverBilled: neverBilled ? new Set(neverBilled) : DEFAULT_BILLING.neverBilled,
        roundUpMinutes,
      },
      decisions: billable.map((each) => ({ ...each, chargeRate: each.chargeRate })),
    },
  );
  return {
    charges: rows
      .map((row) => ({
        technician: row.technician,
        target: row.target,
        workType: row.workType,
        day: formatDay(row.day),
        chargeRate: row.chargeRate ?? '',
        spentSeconds: row.spentSeconds,
        billableSeconds: row.billableSeconds,
        charge: writeCost(row.charge),
      }))
      .sort(
        by(
          ({ technician }) => technician,
          ({ target }) => target,
          ({ workType }) => workType,
          ({ day }) => day,
          ({ chargeRate }) => chargeRate,
        ),
      ),
    fixedCharges: workOrders.flatMap(({ id, rates, tasks: own }) => {
      const prices = own.flatMap(({ billing: kind, price }) => (kind === 'fixed' && price ? [price] : []));
      const ids = new Set(own.map((task) => task.id));
      const amount = fixedChargeOf(
        prices,
        rates,
        rows.filter(({ target }) => ids.has(target)),
      );
      return amount === undefined ? [] : [{ workOrder: id, amount: formatCents(amount) }];
    }),
  };
}
