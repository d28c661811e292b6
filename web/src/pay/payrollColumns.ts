import { formatCents } from '@wergon/core/money';
import type { Cents } from '@wergon/core/money';
import type { Column, useDesk } from '../kit/index.ts';
import { t } from '../words/index.ts';

type Paid = { readonly amount: Cents; readonly notJobs: Cents; readonly costed: Cents };

/** What payroll paid, what of it is on no job, what the rates made of it, and what is beyond, side by side. */
export function payrollColumns<Row extends Paid>(desk: ReturnType<typeof useDesk>): readonly Column<Row>[] {
  const figure = (id: string, title: string, of: (row: Row) => number): Column<Row> => ({
    ...{ id, title, class: 'number figure', sortBy: of },
    value: (row) => desk.money(formatCents(of(row) as Cents)),
  });
  return [
    figure('amount', t('pay.paidByPayroll'), ({ amount }) => amount),
    figure('notJobs', t('pay.noJobs'), ({ notJobs }) => notJobs),
    figure('costed', t('pay.byTheRates'), ({ costed }) => costed),
    figure('beyond', t('pay.beyondTheRates'), ({ amount, notJobs, costed }) => amount - notJobs - costed),
  ];
}
