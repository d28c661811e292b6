import { EVER } from '@wergon/core/time';
import { payRecordSchema } from '@wergon/contract/people';
import type { NamedGrade } from '@wergon/core/compare';
import type { Rate } from '@wergon/core/money';
import { costRatesOf, premiumRatesOf } from '@wergon/core/people';
import type { CostRate, RateRecord, TechnicianId } from '@wergon/core/people';
import type { LocalDay } from '@wergon/core/time';

/** A grade's standard rates by day, sorted. */
export const gradeRatesOf = ({
  standardRate,
  rates,
}: {
  readonly standardRate: Rate;
  readonly rates?: readonly CostRate[] | null | undefined;
}): readonly CostRate[] => rates ?? [{ from: EVER, rate: standardRate }];

/** The grades of people by day, as their rates name them. */
export function gradesByTechnician(
  rows: readonly { readonly technician: TechnicianId; readonly fromDay: LocalDay; readonly record: string }[],
): ReadonlyMap<TechnicianId, readonly NamedGrade[]> {
  const named = new Map<TechnicianId, NamedGrade[]>();
  for (const { technician, fromDay, record } of [...rows].sort((a, b) => a.fromDay - b.fromDay)) {
    const { grade = null } = payRecordSchema.parse(JSON.parse(record));
    const own = named.get(technician) ?? [];
    named.set(technician, [...own, { from: fromDay, grade }]);
  }
  return named;
}

function recordsByTechnician(rows: RateRows): ReadonlyMap<TechnicianId, readonly RateRecord[]> {
  const records = new Map<TechnicianId, RateRecord[]>();
  for (const { technician, record } of rows) {
    records.set(technician, [...(records.get(technician) ?? []), payRecordSchema.parse(JSON.parse(record))]);
  }
  return records;
}

type RateRows = readonly { readonly technician: TechnicianId; readonly record: string }[];

/** The cost rates of people by day. */
export const costRatesByTechnician = (rows: RateRows): ReadonlyMap<TechnicianId, readonly CostRate[]> =>
  new Map([...recordsByTechnician(rows)].map(([id, own]) => [id, costRatesOf(own)]));

/** What overtime of people is paid on, by day. */
export const premiumRatesByTechnician = (rows: RateRows): ReadonlyMap<TechnicianId, readonly CostRate[]> =>
  new Map([...recordsByTechnician(rows)].map(([id, own]) => [id, premiumRatesOf(own)]));
