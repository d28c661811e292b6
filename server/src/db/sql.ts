import { clientOf, isForReading } from './database.ts';
import type { Connection, Database, Statement } from './database.ts';

type Value = string | number | boolean | null;
export type Row = Readonly<Record<string, Value>>;

/** Plain SQL on the one connection, for journal and projections, which handle many rows whose columns are all known.
 *  Synchronous: nothing else can come between two statements. */
export type Sql = {
  readonly all: <T extends Row>(query: string, params?: readonly Value[]) => T[];
  /** Very many rows of one table, in no order. The database joins some thousand of them to a JSON text: that it makes an
   *  object of each takes more than twice as long. */
  readonly many: <T extends Row>(
    columns: readonly (keyof T & string)[],
    table: string,
    where: string,
    params?: readonly Value[],
  ) => T[];
  readonly run: (query: string, params?: readonly Value[]) => void;
  readonly insert: (table: string, rows: readonly Row[]) => void;
};

/** Values that one statement may hold; SQLite's own limit is far above. */
const VALUES_PER_STATEMENT = 900;

/** Rows that are joined to one text: far below the longest that there can be. */
const ROWS_PER_TEXT = 20_000;

const prepared = new WeakMap<Connection, Map<string, Statement>>();
/** Statements that are kept prepared; the ones that were not used for longest go first. */
const MOST_PREPARED = 400;

function prepare(connection: Connection, query: string): Statement {
  let statements = prepared.get(connection);
  if (!statements) prepared.set(connection, (statements = new Map<string, Statement>()));
  const statement = statements.get(query) ?? connection.prepare(query);
  statements.delete(query);
  statements.set(query, statement);
  const [oldest] = statements.size > MOST_PREPARED ? statements.keys() : [];
  if (oldest !== undefined) statements.delete(oldest);
  return statement;
}

const bind = (params: readonly Value[]) =>
  params.map((value) => (typeof value === 'boolean' ? Number(value) : value));

function sqlOn(connection: Connection): Sql {
  const run = (query: string, params: readonly Value[] = []) => {
    prepare(connection, query).run(...bind(params));
  };
  return {
    // Column names and types are those of the query's own select list.
    all: <T extends Row>(query: string, params: readonly Value[] = []) =>
      prepare(connection, query).all(...bind(params)) as T[],
    many: <T extends Row>(
      columns: readonly (keyof T & string)[],
      table: string,
      where: string,
      params: readonly Value[] = [],
    ) => {
      const list = columns.map((column) => `"${column}"`).join(', ');
      const texts = prepare(
        connection,
        `select json_group_array(json_array(${list})) as "rows" from "${table}" where ${where}
         group by "rowid" / ${ROWS_PER_TEXT}`,
      ).all(...bind(params)) as { rows: string }[];
      return texts.flatMap(({ rows }) =>
        (JSON.parse(rows) as Value[][]).map((values) => {
          const row: Record<string, Value> = {};
          columns.forEach((column, i) => (row[column] = values[i] ?? null));
          // Its columns are those that were asked for.
          return row as T;
        }),
      );
    },
    run,
    insert: (table, rows) => {
      const first = rows[0];
      if (!first) return;
      const columns = Object.keys(first);
      const perStatement = Math.max(1, Math.floor(VALUES_PER_STATEMENT / columns.length));
      const names = columns.map((column) => `"${column}"`).join(', ');
      const places = `(${columns.map(() => '?').join(', ')})`;
      for (let i = 0; i < rows.length; i += perStatement) {
        const part = rows.slice(i, i + perStatement);
        run(
          `insert into "${table}" (${names}) values ${part.map(() => places).join(', ')}`,
          part.flatMap((row) => columns.map((column) => row[column] ?? null)),
        );
      }
    },
  };
}

async function withConnection<T>(database: Database, work: (connection: Connection) => T): Promise<T> {
  // The pool holds one connection, so whoever has it has the database to itself.
  const client = clientOf(database);
  const connection = await client.acquireConnection();
  try {
    return work(connection);
  } finally {
    await client.releaseConnection(connection);
  }
}

/** Reads the database as it stands at one moment. Where somebody else writes meanwhile, a transaction holds that moment. */
export const readSql = <T>(database: Database, work: (sql: Sql) => T): Promise<T> =>
  withConnection(database, (connection) => {
    const sql = sqlOn(connection);
    return isForReading(database)
      ? undoIfThrown(sql, 'begin', 'commit', 'rollback', () => work(sql))
      : work(sql);
  });

/** Runs statements in one transaction: all of them last, or, if `work` throws, none. */
export const writeSql = <T>(database: Database, work: (sql: Sql) => T): Promise<T> =>
  withConnection(database, (connection) => {
    const sql = sqlOn(connection);
    return undoIfThrown(sql, 'begin immediate', 'commit', 'rollback', () => work(sql));
  });

/** Within a transaction: keeps what `work` wrote only if it does not throw. */
export const trySql = <T>(sql: Sql, work: () => T): T =>
  undoIfThrown(sql, 'savepoint part', 'release part', 'rollback to part', work);

function undoIfThrown<T>(sql: Sql, begin: string, keep: string, undo: string, work: () => T): T {
  sql.run(begin);
  try {
    const result = work();
    sql.run(keep);
    return result;
  } catch (error) {
    try {
      sql.run(undo);
    } catch {
      // A full disk has taken the whole transaction back already; what went wrong is what is told.
    }
    throw error;
  }
}

const DISK_FAULTS = /^SQLITE_(FULL|READONLY|IOERR|CANTOPEN|CORRUPT|NOTADB|NOMEM|BUSY)/;

/** Whether something failed because the database's file cannot be written or read just now, whatever was asked. */
export function isDiskFault(error: unknown): boolean {
  for (let each = error; each instanceof Error; each = each.cause)
    if ('code' in each && typeof each.code === 'string' && DISK_FAULTS.test(each.code)) return true;
  return false;
}
