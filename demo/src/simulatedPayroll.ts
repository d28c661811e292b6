import Papa from 'papaparse';
import type { PayrollRow } from '@wergon/contract/pay';
import { formatCents, toCents } from '@wergon/core/money';

/** What the simulated payroll knows by itself: what an hour of each person costs their employer, by payroll number. */
export type Wages = ReadonlyMap<string, number>;

/** What a pay code is paid times the hour. */
const TIMES: Readonly<Record<string, number>> = { '150': 1.5, '200': 2 };
/** What payroll pays beyond what the shop reckons with: contributions that nobody can know beforehand, within these shares. */
const BEYOND = { least: -0.01, most: 0.03 };

/** A share that is always the same for a person, as if drawn. */
function shareOf(number: string): number {
  const drawn = [...number].reduce((sum, char) => (sum * 31 + char.charCodeAt(0)) % 997, 7) / 997;
  return 1 + BEYOND.least + drawn * (BEYOND.most - BEYOND.least);
}

/** Reads a pay file as the sample shop makes it, and pays: what each person really cost. Whom it does not know it does not
 *  pay. */
export function payByFile(text: string, separator: string, firstDay: string, wages: Wages): PayrollRow[] {
  const { data } = Papa.parse<Record<string, string>>(text.trimEnd(), { delimiter: separator, header: true });
  const amounts = new Map<string, number>();
  for (const { Number: number = '', Code: code = '', Hours: hours = '' } of data) {
    const wage = wages.get(number);
    if (wage === undefined) continue;
    const paid = Number(hours.replace(',', '.')) * wage * (TIMES[code] ?? 1);
    amounts.set(number, (amounts.get(number) ?? 0) + paid);
  }
  return [...amounts].map(([payrollNumber, amount]) => ({
    ...{ payrollNumber, period: firstDay },
    amount: formatCents(toCents(Math.max(0, Math.round(amount * shareOf(payrollNumber) * 100)))),
  }));
}

/** The answer of the simulated payroll as a file. */
export const writeAnswer = (rows: readonly PayrollRow[]): string =>
  `${Papa.unparse(
    [
      ['Number', 'Period', 'Amount'],
      ...rows.map(({ payrollNumber, period, amount }) => [payrollNumber, period, amount.replace('.', ',')]),
    ],
    { delimiter: ';', newline: '\r\n' },
  )}\r\n`;
