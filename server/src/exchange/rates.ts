import { Defect } from '@wergon/core/result';
import { rateRowSchema } from '@wergon/contract/exchange';
import { formatDecimal } from '@wergon/core/money';
import { formatDay } from '@wergon/core/time';
import { CostRateEntity, TechnicianEntity, readStored } from '../people/index.ts';
import type { Judged, StoredList } from './list.ts';
import type { z } from 'zod';

type RateRow = z.output<typeof rateRowSchema>;

/** A record as it is kept, in plain decimals. */
function textOf({ record }: RateRow): string {
  const { from, per, base, hoursPerYear, burden } = record;
  return JSON.stringify({
    from: formatDay(from),
    per,
    base: formatDecimal(base),
    ...(hoursPerYear ? { hoursPerYear: formatDecimal(hoursPerYear) } : {}),
    burden: burden.map(({ name, kind, value }) => ({ name, kind, value: formatDecimal(value) })),
  });
}

/** The same, whatever zeros somebody typed at the end of a number. */
const comparable = (record: string): string =>
  JSON.stringify(readStored(record), (key, value: unknown) =>
    typeof value === 'string' && ['base', 'hoursPerYear', 'value'].includes(key)
      ? String(Number(value))
      : value,
  );
const ordered = (record: string): string => {
  const { from, per, base, hoursPerYear, burden } = readStored(comparable(record));
  return JSON.stringify([
    from,
    per,
    base,
    hoursPerYear ?? '',
    burden.map(({ name, kind, value }) => [name, kind, value]),
  ]);
};

const UNITS: Readonly<Record<string, string>> = { percent: '%', perHour: 'per hour', perYear: 'per year' };

/** Dated cost rates by the number of a person. A rate of a date that is there already is never written over. */
export const RATES: StoredList<RateRow> = {
  schema: rateRowSchema,
  isOfPeople: true,
  validateRows: async (em, rows) => {
    const technicians = new Map((await em.findAll(TechnicianEntity)).map(({ number, id }) => [number, id]));
    const stored = new Map(
      (await em.findAll(CostRateEntity)).map(({ technician, fromDay, record }) => [
        `${technician} ${fromDay}`,
        record,
      ]),
    );
    const seen = new Set<string>();
    return rows.map((row): Judged => {
      const technician = technicians.get(row.number);
      if (technician === undefined) return { field: 'number', message: 'nobody has this number' };
      const key = `${technician} ${row.record.from}`;
      if (seen.has(key)) return { field: 'from', message: 'two rates of one date' };
      seen.add(key);
      const known = stored.get(key);
      if (known === undefined) return 'new';
      return ordered(known) === ordered(textOf(row))
        ? 'same'
        : { field: 'from', message: 'there is another rate of this date' };
    });
  },
  store: async (em, rows) => {
    const technicians = new Map((await em.findAll(TechnicianEntity)).map(({ number, id }) => [number, id]));
    for (const row of rows) {
      const technician = technicians.get(row.number);
      if (technician === undefined) throw new Defect(`a rate of nobody: ${row.number}`);
      await em.insert(CostRateEntity, { technician, fromDay: row.record.from, record: textOf(row) });
    }
  },
  write: async (em, sees) => {
    const numbers = new Map((await em.findAll(TechnicianEntity)).map(({ number, id }) => [id, number]));
    const rates = await em.findAll(CostRateEntity, { orderBy: { technician: 1, fromDay: 1 } });
    const seen = rates.filter(({ technician }) => sees(technician));
    return seen.map(({ technician, fromDay, record }) => {
      const { per, base, hoursPerYear, burden } = readStored(record);
      return [
        numbers.get(technician) ?? '',
        formatDay(fromDay),
        per,
        base,
        hoursPerYear ?? '',
        burden.map(({ name, kind, value }) => `${name} ${value} ${UNITS[kind] ?? ''}`.trim()).join('; '),
      ];
    });
  },
};
