import type { EntityManager } from '@mikro-orm/libsql';
import type { ExchangeRow, ImportAnswer } from '@wergon/contract/exchange';
import { fieldProblemsOf } from '@wergon/contract/wire';
import { itemAt } from '@wergon/core/result';
import type { List } from './list.ts';

export type Problem = ImportAnswer['problems'][number];

/** A row of an import as read, or what is wrong with it; rows of one group come in together or not at all. */
export type StagedRow = { readonly group: string } & (
  { readonly row: unknown } | { readonly problems: readonly Problem[] }
);

/** Reads a row with the schema of its list. */
export function readRow<Row>(list: List<Row>, row: ExchangeRow, number: number): StagedRow {
  const group = list.groupOf?.(row) ?? '';
  const parsed = list.schema.safeParse(row);
  return parsed.success
    ? { group, row: parsed.data }
    : {
        group,
        problems: fieldProblemsOf(parsed.error).map(({ field, message }) => ({
          row: number,
          field,
          message,
        })),
      };
}

/** What would become of each row, and all that is wrong, in the order of the file. */
export async function judgeRows<Row>(em: EntityManager, list: List<Row>, rows: readonly StagedRow[]) {
  const read = rows.flatMap((each, i) => ('row' in each ? [{ number: i + 1, row: each.row as Row }] : []));
  const fates = await list.validateRows(
    em,
    read.map(({ row }) => row),
  );
  const problems = new Map<number, readonly Problem[]>();
  rows.forEach((each, i) => {
    if ('problems' in each) problems.set(i + 1, each.problems);
  });
  const judged = read.map(({ number, row }, i) => {
    const status = itemAt(fates, i);
    if (typeof status !== 'string') problems.set(number, [{ row: number, ...status }]);
    return { number, row, status };
  });
  // Half an order is worse than none: with one row of it the others are held back.
  const broken = new Set([...problems.keys()].map((number) => rows[number - 1]?.group).filter(Boolean));
  const kept = judged.filter(({ number, status }) => {
    const group = rows[number - 1]?.group;
    if (typeof status !== 'string' || status === 'same' || !broken.has(group)) return true;
    problems.set(number, [
      { row: number, field: 'number', message: 'another row that goes with it is not right' },
    ]);
    return false;
  });
  return { judged: kept, problems: new Map([...problems].sort(([a], [b]) => a - b)) };
}
