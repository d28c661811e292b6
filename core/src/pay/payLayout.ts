import { formatDay } from '../time/index.ts';
import type { LocalDay } from '../time/index.ts';
import type { PayFileRows, PayRow } from './payFile.ts';
import { nameOf } from './payFile.ts';
import type { PayPeriod } from './payPeriod.ts';

/** What a column of a pay file can hold. */
export const PAY_FIELDS = [
  'payrollNumber',
  'name',
  'department',
  'firstDay',
  'lastDay',
  'day',
  'code',
  'hours',
  'class',
  'order',
  'task',
  'costCode',
  'note',
] as const;
export type PayField = (typeof PAY_FIELDS)[number];

export const DATE_FORMS = ['2026-11-30', '30.11.2026', '30/11/2026', '11/30/2026', '20261130'] as const;
export const SEPARATORS = { comma: ',', semicolon: ';', tab: '\t' } as const;
export type Separator = keyof typeof SEPARATORS;
export const DECIMALS = { point: '.', comma: ',' } as const;

/** How a payroll wants its file. */
export type PayLayout = {
  readonly rows: PayFileRows;
  readonly columns: readonly { readonly field: PayField; readonly heading: string }[];
  readonly separator: Separator;
  readonly decimal: keyof typeof DECIMALS;
  readonly dates: (typeof DATE_FORMS)[number];
  readonly hasHeadings: boolean;
};

/** Columns that only rows of a day, or of a task, can fill. */
const NEEDS: Partial<Record<PayField, readonly PayFileRows[]>> = {
  day: ['day', 'task'],
  order: ['task'],
  task: ['task'],
  costCode: ['task'],
};

/** The first column that rows of this kind cannot fill. */
export const findEmptyColumn = ({
  rows,
  columns,
}: Pick<PayLayout, 'rows' | 'columns'>): number | undefined => {
  const found = columns.findIndex(({ field }) => NEEDS[field]?.includes(rows) === false);
  return found < 0 ? undefined : found;
};

/** What a file says of the people and targets in it. */
export type PayNames = {
  readonly person: (technician: PayRow['technician']) => {
    readonly payrollNumber: string;
    readonly name: string;
    readonly department: string;
  };
  readonly target: (target: NonNullable<PayRow['target']>) => {
    readonly order: string;
    readonly task: string;
    readonly costCode: string;
  };
};

/** The cells of a pay file, its headings first if it has any. Source: docs/pay.md, the pay file. */
export function writePayCells(
  rows: readonly PayRow[],
  { firstDay, lastDay }: PayPeriod,
  layout: PayLayout,
  names: PayNames,
): readonly (readonly string[])[] {
  const day = (of: LocalDay) => writeDay(of, layout.dates);
  const cellOf = (row: PayRow, field: PayField): string => {
    switch (field) {
      case 'payrollNumber':
      case 'name':
      case 'department':
        return names.person(row.technician)[field];
      case 'firstDay':
        return day(firstDay);
      case 'lastDay':
        return day(lastDay);
      case 'day':
        return row.shiftDay === undefined ? '' : day(row.shiftDay);
      case 'code':
        return row.code;
      case 'hours':
        return writeHundredths(row.hundredths, DECIMALS[layout.decimal]);
      case 'class':
        return nameOf(row.kind);
      case 'order':
      case 'task':
      case 'costCode':
        return row.target === undefined ? '' : names.target(row.target)[field];
      default:
        return row.isEarlier ? 'adjustment' : '';
    }
  };
  return [
    ...(layout.hasHeadings ? [layout.columns.map(({ heading }) => heading)] : []),
    ...rows.map((row) => layout.columns.map(({ field }) => cellOf(row, field))),
  ];
}

/** Hundredths of hours with two decimals. */
export function writeHundredths(hundredths: number, decimal: string): string {
  const digits = String(Math.abs(hundredths)).padStart(3, '0');
  return `${hundredths < 0 ? '-' : ''}${digits.slice(0, -2)}${decimal}${digits.slice(-2)}`;
}

function writeDay(of: LocalDay, form: PayLayout['dates']): string {
  const [year = '', month = '', day = ''] = formatDay(of).split('-');
  switch (form) {
    case '30.11.2026':
      return `${day}.${month}.${year}`;
    case '30/11/2026':
      return `${day}/${month}/${year}`;
    case '11/30/2026':
      return `${month}/${day}/${year}`;
    case '20261130':
      return `${year}${month}${day}`;
    default:
      return `${year}-${month}-${day}`;
  }
}
