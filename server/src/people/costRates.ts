import { toDay } from '@wergon/core/time';
import { payRecordSchema } from '@wergon/contract/people';
import type { NamedGrade } from '@wergon/core/compare';
import type { Rate } from '@wergon/core/money';
import { costRatesOf } from '@wergon/core/people';
import type { CostRate, RateRecord, TechnicianId } from '@wergon/core/people';
import type { LocalDay } from '@wergon/core/time';

/** Before any day on which somebody worked. */
const EVER = toDay(-1_000_000);

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

/** The cost rates of people by day. */
export function costRatesByTechnician(
  rows: readonly { readonly technician: TechnicianId; readonly record: string }[],
): ReadonlyMap<TechnicianId, readonly CostRate[]> {
  const records = new Map<TechnicianId, RateRecord[]>();
  for (const { technician, record } of rows) {
    records.set(technician, [...(records.get(technician) ?? []), payRecordSchema.parse(JSON.parse(record))]);
  }
  return new Map([...records].map(([id, own]) => [id, costRatesOf(own)]));
}
