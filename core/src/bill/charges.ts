import { itemAt } from '../result/index.ts';
import { centsOf, fraction, multiplyFractions, toCents } from '../money/index.ts';
import type { Cents, Fraction } from '../money/index.ts';
import type { Allocation, HoursEntry, TargetId } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';

/** What an order charges for labor: an amount an hour, or one amount however long it takes. */
export type ChargeRate = { readonly id: string; readonly per: 'hour' | 'flat'; readonly amount: Fraction };

/** To so many minutes a row can be rounded up. */
export const ROUND_UP_MINUTES = [0, 1, 6, 15] as const;
export type BillingRules = {
  readonly neverBilled: ReadonlySet<WorkType>;
  readonly roundUpMinutes: (typeof ROUND_UP_MINUTES)[number];
};

/** What holds where a shop has said nothing. Source: docs/bill.md, billable hours. */
export const DEFAULT_BILLING: BillingRules = { neverBilled: new Set(['rework', 'down']), roundUpMinutes: 0 };

type RowKey = {
  readonly technician: TechnicianId;
  readonly target: TargetId;
  readonly workType: WorkType;
  readonly day: LocalDay;
  /** The id of a rate that the order has; absent where it is not said yet. */
  readonly chargeRate: string | undefined;
};

/** How many seconds of a row somebody has decided to bill. */
export type BillableDecision = RowKey & { readonly seconds: Seconds };

/** The part of a labor line that is charged by one rate. */
export type ChargeRow = RowKey & {
  readonly spentSeconds: Seconds;
  readonly billableSeconds: Seconds;
  /** `null` as long as no rate is said; a flat rate is charged once an order, not on its rows. */
  readonly charge: Cents | null;
};

/** What decides which labor is charged, and how. */
export type ChargeFacts = {
  readonly isHourly: (target: TargetId) => boolean;
  readonly ratesOf: (target: TargetId) => readonly ChargeRate[];
  readonly rules: BillingRules;
  readonly decisions: readonly BillableDecision[];
};

const keyOf = ({ technician, target, workType, day, chargeRate = '' }: RowKey): string =>
  [technician, target, workType, day, chargeRate].join('\n');

/** Labor on hourly tasks by the rate it is charged at, with what of it is billed: as somebody has decided, else what was
 *  spent, rounded up a row if the shop's rule says so. A decision on more than was spent does not hold. A rate that the
 *  target's order does not have is none. Source: docs/bill.md, billable hours. */
export function chargeRowsOf(
  pieces: readonly Allocation[],
  hours: readonly HoursEntry[],
  { isHourly, ratesOf, rules, decisions }: ChargeFacts,
): readonly ChargeRow[] {
  const rows = new Map<string, { key: RowKey; spent: number }>();
  const spend = (key: RowKey, seconds: Seconds) => {
    if (!isHourly(key.target) || rules.neverBilled.has(key.workType)) return;
    const isKnown = ratesOf(key.target).some(({ id }) => id === key.chargeRate);
    const row = isKnown ? key : { ...key, chargeRate: undefined };
    const before = rows.get(keyOf(row));
    rows.set(keyOf(row), { key: row, spent: (before?.spent ?? 0) + seconds });
  };
  for (const { technician, target, workType, day, chargeRate, seconds } of pieces)
    spend({ technician, target, workType, day, chargeRate }, seconds);
  for (const { technician, targets, workType = 'run', day, chargeRate, seconds } of hours)
    spend({ technician, target: itemAt(targets, 0), workType, day, chargeRate }, seconds);

  const decided = new Map(decisions.map((each) => [keyOf(each), each.seconds]));
  return [...rows].map(([name, { key, spent }]) => {
    const said = decided.get(name);
    const billable = said !== undefined && said <= spent ? said : roundUp(spent, rules.roundUpMinutes);
    const rate = ratesOf(key.target).find(({ id }) => id === key.chargeRate);
    return {
      ...key,
      spentSeconds: toSeconds(spent),
      billableSeconds: toSeconds(billable),
      charge: rate ? chargeOf(rate, billable) : null,
    };
  });
}

const roundUp = (seconds: number, minutes: number): number =>
  minutes === 0 ? seconds : Math.ceil(seconds / (minutes * 60)) * minutes * 60;

const chargeOf = ({ per, amount }: ChargeRate, seconds: number): Cents =>
  per === 'flat' ? toCents(0) : centsOf(multiplyFractions(amount, fraction(BigInt(seconds), 3600n)));

/** What an order charges whatever the hours: the prices of its fixed tasks, and once each flat rate that a row of it names;
 *  absent where it has neither. Source: docs/bill.md, what else is charged. */
export function fixedChargeOf(
  prices: readonly Fraction[],
  rates: readonly ChargeRate[],
  rows: readonly Pick<ChargeRow, 'chargeRate'>[],
): Cents | undefined {
  const flat = rates.filter(
    ({ id, per }) => per === 'flat' && rows.some(({ chargeRate }) => chargeRate === id),
  );
  const amounts = [...prices, ...flat.map(({ amount }) => amount)];
  if (amounts.length === 0) return undefined;
  return toCents(amounts.reduce((sum, amount) => sum + centsOf(amount), 0));
}
