import { payRecordSchema } from '@wergon/contract/people';
import type { RatesJson } from '@wergon/contract/people';
import { formatRate } from '@wergon/core/money';
import { explainRate } from '@wergon/core/people';
import type { RateRecord, TechnicianId } from '@wergon/core/people';
import type { LocalDay } from '@wergon/core/time';
import { readOwnJson } from '../db/index.ts';
import type { Database } from '../db/index.ts';
import { CostRateEntity } from './entities.ts';

type StoredRecord = RatesJson['records'][number]['record'];

/** A rate as it is kept: the decimal strings that were entered, and the shop's names for its burden. */
export const readStored = (record: string): StoredRecord => {
  const { burden = [], ...rest } = readOwnJson<StoredRecord>(record);
  return { ...rest, burden: burden.map((item) => ({ ...item, name: item.name ?? '' })) };
};

const UNITS = { percent: '%', perHour: 'an hour', perYear: 'a year' } as const;

/** A rate with what it is made of, an hour. */
export function explainStored(stored: StoredRecord): RatesJson['records'][number] {
  const record = payRecordSchema.parse(stored);
  const { base, burden, total } = explainRate(record);
  const per = stored.per === 'hour' ? 'an hour' : `a year over ${stored.hoursPerYear ?? ''} hours`;
  return {
    record: stored,
    lines: [
      { name: 'Base', amount: `${stored.base} ${per}`, perHour: formatRate(base) },
      ...stored.burden.map(({ name, kind, value }, i) => ({
        name: name || 'Burden',
        amount: `${value} ${UNITS[kind]}`,
        perHour: formatRate(burden[i] ?? base),
      })),
    ],
    costPerHour: formatRate(total),
  };
}

/** What somebody is paid, newest first. */
export const loadRecords = (database: Database, technician: TechnicianId) =>
  database.em.fork().find(CostRateEntity, { technician }, { orderBy: { fromDay: -1 } });

/** The records as they would be with one more, or with one in the place of another. */
export async function planRecords(
  database: Database,
  technician: TechnicianId,
  record: RateRecord,
  replaces: LocalDay | null,
) {
  const rows = await loadRecords(database, technician);
  const kept = rows.filter(({ fromDay }) => fromDay !== replaces);
  const isTaken = kept.some(({ fromDay }) => fromDay === record.from);
  const isMissing = replaces !== null && kept.length === rows.length;
  return {
    isTaken,
    isMissing,
    records: [...kept.map((row) => payRecordSchema.parse(readStored(row.record))), record],
  };
}
