import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { MikroORM } from '@mikro-orm/libsql';
import type { Options } from '@mikro-orm/libsql';

export type Database = MikroORM;
/** What the rooms keep in it; put together in `app`. */
export type Entities = NonNullable<Options['entities']>;

/** What every connection is told; the pool makes a new one now and then. An acknowledged scan survives a power cut:
 *  each commit reaches the disk before it is answered. */
/** Pages that stay in memory, in kB. Ids are random: with a small cache each insert reads from a long history's index. */
const CACHE_KB = 128_000;
const PRAGMAS = [
  'journal_mode = WAL',
  'synchronous = FULL',
  'busy_timeout = 5000',
  `cache_size = -${CACHE_KB}`,
];

type RawConnection = { readonly exec: (sql: string) => unknown };

/** Tells each new connection of the pool how to work. */
const telling =
  (pragmas: readonly string[]) =>
  (...[connection, done]: readonly unknown[]): void => {
    // The pool's own signature does not say what it hands over: the driver's connection and a callback.
    for (const pragma of pragmas) (connection as RawConnection).exec(`pragma ${pragma}`);
    (done as (error: null, connection: unknown) => void)(null, connection);
  };

/** What the driver's connection can do, as far as it is used here. */
export type Statement = {
  readonly all: (...params: readonly (string | number | null)[]) => unknown[];
  readonly run: (...params: readonly (string | number | null)[]) => unknown;
};
export type Connection = { readonly prepare: (query: string) => Statement };

/** The client under the database, as far as it is used here; its own types do not say that much. */
export const clientOf = (orm: Database) => {
  const knex: unknown = orm.em.getConnection().getKnex();
  return (knex as { readonly client: Client }).client;
};
type Client = {
  validateConnection: () => boolean;
  readonly acquireConnection: () => Promise<Connection>;
  readonly releaseConnection: (connection: Connection) => Promise<void>;
};

/** The dialect throws its connection away every ten seconds, for databases that live elsewhere. On a local file the
 *  old one and the new one then wait for each other's locks; one connection serves as long as the server lives. */
function keepConnection(orm: MikroORM): void {
  clientOf(orm).validateConnection = () => true;
}

/** Opens the database file, makes it durable, and brings its schema up to date. */
export async function openDatabase(path: string, entities: Entities): Promise<Database> {
  if (path !== ':memory:') mkdirSync(dirname(path), { recursive: true });
  const orm = await MikroORM.init({
    entities,
    dbName: path,
    pool: { min: 1, max: 1, afterCreate: telling(PRAGMAS) },
    discovery: { checkDuplicateTableNames: true },
  });
  keepConnection(orm);
  // Loaded here alone: processes that only read need nothing of it, and begin the sooner.
  const { migrate } = await import('./migrate.ts');
  await migrate(orm);
  return orm;
}

/** Databases whose connections only read. */
const reading = new WeakSet<Database>();
/** Whether a database was opened to be read alone, beside a connection that writes. */
export const isForReading = (database: Database): boolean => reading.has(database);

const READER_PRAGMAS = ['busy_timeout = 5000', 'query_only = on'];

/** Opens a database that another connection has brought up to date, to read it and nothing else. */
export async function openForReading(path: string, entities: Entities): Promise<Database> {
  const orm = await MikroORM.init({
    entities,
    dbName: path,
    pool: { min: 1, max: 1, afterCreate: telling(READER_PRAGMAS) },
    discovery: { checkDuplicateTableNames: true },
  });
  keepConnection(orm);
  reading.add(orm);
  return orm;
}

/** Closes a database that was opened to write, with nothing left in the log beside it: the file alone is whole then, and
 *  whoever copies it while the server is stopped has everything. */
export async function closeDatabase(orm: Database): Promise<void> {
  try {
    await orm.em.fork().execute('pragma wal_checkpoint(truncate)');
  } catch {
    // A disk that is full: the log stays beside the file, and is read at the next start.
  }
  await orm.close();
}
