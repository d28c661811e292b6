import { JsonType } from '@mikro-orm/core';
import type { EntityName, EntityProperty } from '@mikro-orm/libsql';
import type { Database } from './database.ts';
import type { Sql } from './sql.ts';

type Stored = string | number | null;
type Column = { readonly name: string; readonly field: string; readonly read: (value: Stored) => unknown };

/** Columns in which some rows are looked for, and by which they are sorted. */
export type PlainQuery = {
  readonly where?: { readonly column: string; readonly among: readonly string[] };
  readonly sortedBy?: readonly string[];
};

/** Rows of a table as plain records, each with its JSON read. Nothing watches them for changes, so that a hundred thousand of
 *  them cost little to make and no more than any other object to look at; they cannot be saved. */
export function findPlain<Entity extends object>(
  sql: Sql,
  { em }: Database,
  entity: EntityName<Entity>,
  { where, sortedBy = [] }: PlainQuery = {},
): Entity[] {
  const { tableName, props } = em.getMetadata().get<Entity>(entity);
  const columns = props.map(columnOf);
  const list = columns.map(({ field }) => `"${field}"`).join(', ');
  // One parameter for any number of values.
  const filter = where ? ` where "${where.column}" in (select "value" from json_each(?))` : '';
  const order = sortedBy.length > 0 ? ` order by ${sortedBy.map((each) => `"${each}"`).join(', ')}` : '';
  const rows = sql.all<Record<string, Stored>>(
    `select ${list} from "${tableName}"${filter}${order}`,
    where ? [JSON.stringify(where.among)] : [],
  );
  return rows.map((row) => {
    const record: Record<string, unknown> = {};
    for (const { name, field, read } of columns) record[name] = read(row[field] ?? null);
    // Its names and values are those of the entity's own columns.
    return record as Entity;
  });
}

function columnOf({ name, fieldNames, customType, runtimeType }: EntityProperty): Column {
  const field = fieldNames[0] ?? name;
  if (customType instanceof JsonType)
    return { name, field, read: (value) => (typeof value === 'string' ? JSON.parse(value) : null) };
  if (runtimeType === 'boolean') return { name, field, read: (value) => value === 1 };
  return { name, field, read: (value) => value };
}
