import { groupBy, itemAt } from '../result/index.ts';
import type { TargetId } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import type { LocalDay } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { PayPeriod } from './payPeriod.ts';
import { keyOfKind, payCodeOf } from './payLines.ts';
import type { PayCodes, PayKind, PayLine } from './payLines.ts';

/** Whether a row of a pay file holds a whole period, a shift day, or a shift day and a task. */
export const PAY_FILE_ROWS = ['period', 'day', 'task'] as const;
export type PayFileRows = (typeof PAY_FILE_ROWS)[number];

/** Hours of one person and pay code. They add up to those of the person, the code and the period, which are rounded once. */
export type PayRow = {
  readonly technician: TechnicianId;
  readonly code: string;
  readonly kind: PayKind;
  /** Of an earlier period: paid with this one. */
  readonly isEarlier: boolean;
  /** Absent where a row holds a whole period. */
  readonly shiftDay: LocalDay | undefined;
  readonly target: TargetId | undefined;
  readonly workType: WorkType | undefined;
  readonly seconds: number;
  /** Hundredths of hours. */
  readonly hundredths: number;
};

/** How many seconds a hundredth of an hour has. */
const HUNDREDTH = 36;

/** Rounded once, half away from zero. */
const toHundredths = (seconds: number): number =>
  Math.sign(seconds) * Math.floor((Math.abs(seconds) + HUNDREDTH / 2) / HUNDREDTH) + 0;

/** Hundredths of hours of some seconds, below zero too, that add up to those of the sum, by largest remainder. */
function shareHundredths(seconds: readonly number[]): readonly number[] {
  const floors = seconds.map((each) => Math.floor(each / HUNDREDTH));
  const sum = (of: readonly number[]) => of.reduce((total, each) => total + each, 0);
  const left = toHundredths(sum(seconds)) - sum(floors);
  const rest = seconds.map((each, i) => each - itemAt(floors, i) * HUNDREDTH);
  const up = new Set(
    rest
      .map((_, i) => i)
      .sort((a, b) => itemAt(rest, b) - itemAt(rest, a) || a - b)
      .slice(0, left),
  );
  return floors.map((floor, i) => floor + (up.has(i) ? 1 : 0));
}

/** Rows of a pay file. Lines without a pay code are no rows; `sortForPay` names what they lack. The order is that of the people in
 *  `lines`, then by day, code and target. Source: docs/pay.md, the pay file. */
export function payRowsOf(
  lines: readonly PayLine[],
  codes: PayCodes,
  { firstDay }: Pick<PayPeriod, 'firstDay'>,
  by: PayFileRows,
): readonly PayRow[] {
  const sums = new Map<string, Omit<PayRow, 'hundredths'>>();
  for (const line of lines) {
    const code = payCodeOf(codes, line.kind);
    if (code === undefined) continue;
    const row = toRow(line, code, line.shiftDay < firstDay, by);
    const key = [
      row.technician,
      code,
      nameOf(row.kind),
      row.isEarlier,
      row.shiftDay,
      row.target,
      row.workType,
    ];
    const before = sums.get(key.join('\n'));
    sums.set(key.join('\n'), { ...row, seconds: (before?.seconds ?? 0) + line.seconds });
  }
  const people = new Map([...new Set(lines.map(({ technician }) => technician))].map((id, i) => [id, i]));
  const rows = [...sums.values()]
    .filter(({ seconds }) => seconds !== 0)
    .sort((a, b) => (people.get(a.technician) ?? 0) - (people.get(b.technician) ?? 0) || compareRows(a, b));
  const together = groupBy(rows, ({ technician, code }) => `${technician}\n${code}`);
  const hundredths = new Map<(typeof rows)[number], number>();
  for (const own of together.values())
    shareHundredths(own.map(({ seconds }) => seconds)).forEach((each, i) =>
      hundredths.set(itemAt(own, i), each),
    );
  return rows.map((row) => ({ ...row, hundredths: hundredths.get(row) ?? 0 }));
}

const toRow = (
  { technician, kind, shiftDay, target, workType, seconds }: PayLine,
  code: string,
  isEarlier: boolean,
  by: PayFileRows,
): Omit<PayRow, 'hundredths'> => ({
  technician,
  code,
  kind,
  isEarlier,
  shiftDay: by === 'period' ? undefined : shiftDay,
  target: by === 'task' ? target : undefined,
  workType: by === 'task' ? workType : undefined,
  seconds,
});

/** What a row is for in one word: how it was worked, or why somebody was away. */
export const nameOf = (kind: PayKind): string =>
  kind.of === 'worked' ? kind.class : kind.of === 'leave' ? kind.name : kind.of;

function compareRows(a: Omit<PayRow, 'hundredths'>, b: Omit<PayRow, 'hundredths'>): number {
  const days = (a.shiftDay ?? 0) - (b.shiftDay ?? 0);
  if (days !== 0) return days;
  const textOf = (row: Omit<PayRow, 'hundredths'>) =>
    [row.isEarlier ? 0 : 1, row.code, nameOf(row.kind), row.target ?? '', row.workType ?? ''].join('\n');
  return textOf(a) < textOf(b) ? -1 : 1;
}

/** Who is paid by the file. */
export type PayPerson = {
  readonly technician: TechnicianId;
  /** How payroll knows them; empty where nobody has said. */
  readonly payrollNumber: string;
  /** Whether their time goes to pay at all. */
  readonly feedsPay: boolean;
};

/** What stands in the way of a pay file: somebody whom payroll does not know, a kind without a code, a day that nobody
 *  has approved. */
export type MissingForPay =
  | { readonly of: 'number'; readonly technician: TechnicianId; readonly seconds: number }
  | { readonly of: 'code'; readonly kind: PayKind; readonly seconds: number }
  | {
      readonly of: 'day';
      readonly technician: TechnicianId;
      readonly day: LocalDay;
      readonly seconds: number;
    };

/** How a missing thing is named when it is put off. */
export function keyOfMissing(missing: MissingForPay): string {
  switch (missing.of) {
    case 'number':
      return `number ${missing.technician}`;
    case 'code':
      return `code ${keyOfKind(missing.kind)}`;
    default:
      return `day ${missing.technician} ${missing.day}`;
  }
}

/** Which person and kind of a period a file holds already. */
export type Covered = (technician: TechnicianId, kind: PayKind) => boolean;

/** A period's lines as a pay file takes them: those that go into it, what is missing for the others, and whose time does
 *  not go to pay. Nothing is dropped silently: every line is in one of them, or in a file made before. */
export function sortForPay(
  lines: readonly PayLine[],
  people: ReadonlyMap<TechnicianId, PayPerson>,
  codes: PayCodes,
  isCovered: Covered,
): {
  readonly taken: readonly PayLine[];
  readonly missing: readonly MissingForPay[];
  readonly leftOut: readonly { readonly technician: TechnicianId; readonly seconds: number }[];
} {
  const open = lines.filter(({ technician, kind }) => !isCovered(technician, kind));
  const pays = ({ technician }: PayLine) => people.get(technician)?.feedsPay === true;
  const isKnown = ({ technician }: PayLine) => (people.get(technician)?.payrollNumber ?? '') !== '';
  const paid = open.filter(pays);
  const sumBy = <K>(of: readonly PayLine[], key: (line: PayLine) => K) =>
    [...groupBy(of, key)].map(([first, own]) => ({
      key: first,
      line: itemAt(own, 0),
      seconds: own.reduce((sum, { seconds }) => sum + seconds, 0),
    }));
  return {
    taken: paid.filter((line) => isKnown(line) && payCodeOf(codes, line.kind) !== undefined),
    missing: [
      ...sumBy(
        paid.filter((line) => !isKnown(line)),
        ({ technician }) => technician,
      ).map(({ key, seconds }): MissingForPay => ({ of: 'number', technician: key, seconds })),
      ...sumBy(
        paid.filter((line) => payCodeOf(codes, line.kind) === undefined),
        ({ kind }) => keyOfKind(kind),
      ).map(({ line, seconds }): MissingForPay => ({ of: 'code', kind: line.kind, seconds })),
    ],
    leftOut: sumBy(
      open.filter((line) => !pays(line)),
      ({ technician }) => technician,
    ).map(({ key, seconds }) => ({ technician: key, seconds })),
  };
}
