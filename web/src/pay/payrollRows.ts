import type { PayrollRow } from '@wergon/contract/pay';
import { guessColumns, readDate, readNumber, restoreText } from '@wergon/core/exchange';
import type { ColumnMatch } from '@wergon/core/exchange';
import { t } from '../words/index.ts';

/** What a file of what payroll paid must say, and other words by which payrolls head it. */
export const PAYROLL_FIELDS = ['payrollNumber', 'period', 'amount'] as const;
export type PayrollField = (typeof PAYROLL_FIELDS)[number];

const WORDS: Readonly<Record<PayrollField, readonly string[]>> = {
  payrollNumber: [
    'number',
    'payroll number',
    'employee',
    'employee number',
    'personnel number',
    'Personalnummer',
  ],
  period: ['period', 'first day', 'day', 'date', 'Zeitraum', 'Abrechnung', 'Datum'],
  amount: ['amount', 'cost', 'total', 'employer cost', 'gross', 'Betrag', 'Kosten', 'Summe'],
};

/** What each field is called. */
export const sayPayrollField = (field: PayrollField): string => t(`payrollFields.${field}`);

/** Which heading stands for which field. */
export const guessPayroll = (headings: readonly string[]): ColumnMatch =>
  guessColumns(
    PAYROLL_FIELDS.map((field) => ({
      ...{ field, heading: sayPayrollField(field), words: WORDS[field], isRequired: true },
    })),
    headings,
  );

/** Rows of a file as they are sent: days and amounts as the server reads them, whatever country wrote them. */
export const rowsOf = (rows: readonly (readonly string[])[], match: ColumnMatch): PayrollRow[] =>
  rows.map((row) => {
    const cell = (field: PayrollField) => row[match[field] ?? -1] ?? '';
    return {
      payrollNumber: restoreText(cell('payrollNumber')).trim(),
      period: readDate(cell('period')),
      amount: readNumber(cell('amount')),
    };
  });
