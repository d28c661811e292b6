import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { MikroORM } from '@mikro-orm/libsql';
import { Migrator } from '@mikro-orm/migrations';
import { ENTITIES } from './entities.ts';
import { Migration20261123FirstSchema } from './migrations/Migration20261123FirstSchema.ts';
import { Migration20261124PrepareWork } from './migrations/Migration20261124PrepareWork.ts';
import { Migration20261126Reconcile } from './migrations/Migration20261126Reconcile.ts';
import { Migration20261127UnsettledDays } from './migrations/Migration20261127UnsettledDays.ts';
import { Migration20261128Hardened } from './migrations/Migration20261128Hardened.ts';
import { Migration20261125StationInDepth } from './migrations/Migration20261125StationInDepth.ts';

export type Database = MikroORM;

/** What every connection is told; the pool makes a new one now and then. An acknowledged scan survives a power cut:
 *  each commit reaches the disk before it is answered. */
const PRAGMAS = ['journal_mode = WAL', 'synchronous = FULL', 'busy_timeout = 5000'];

/** In the order in which they are run. */
const MIGRATIONS = [
  Migration20261123FirstSchema,
  Migration20261124PrepareWork,
  Migration20261125StationInDepth,
  Migration20261126Reconcile,
  Migration20261127UnsettledDays,
  Migration20261128Hardened,
];

type RawConnection = { readonly exec: (sql: string) => unknown };

function prepareConnection(...[connection, done]: readonly unknown[]): void {
  // The pool's own signature does not say what it hands over: the driver's connection and a callback.
  for (const pragma of PRAGMAS) (connection as RawConnection).exec(`pragma ${pragma}`);
  (done as (error: null, connection: unknown) => void)(null, connection);
}

/** The dialect throws its connection away every ten seconds, for databases that live elsewhere. On a local file the
 *  old one and the new one then wait for each other's locks; one connection serves as long as the server lives. */
function keepConnection(orm: MikroORM): void {
  const { client } = orm.em.getConnection().getKnex() as unknown as {
    readonly client: { validateConnection: () => boolean };
  };
  client.validateConnection = () => true;
}

/** Opens the database file, makes it durable, and brings its schema up to date. */
export async function openDatabase(path: string): Promise<Database> {
  if (path !== ':memory:') mkdirSync(dirname(path), { recursive: true });
  const orm = await MikroORM.init({
    entities: ENTITIES,
    dbName: path,
    pool: { min: 1, max: 1, afterCreate: prepareConnection },
    extensions: [Migrator],
    discovery: { checkDuplicateTableNames: true },
    migrations: {
      migrationsList: MIGRATIONS.map((each) => ({ name: each.name, class: each })),
      snapshot: false,
      silent: true,
      transactional: true,
    },
  });
  keepConnection(orm);
  await orm.migrator.up();
  return orm;
}

/** Databases whose connections only read. */
const reading = new WeakSet<Database>();
/** Whether a database was opened to be read alone, beside a connection that writes. */
export const isForReading = (database: Database): boolean => reading.has(database);

function prepareReader(...[connection, done]: readonly unknown[]): void {
  for (const pragma of ['busy_timeout = 5000', 'query_only = on'])
    (connection as RawConnection).exec(`pragma ${pragma}`);
  (done as (error: null, connection: unknown) => void)(null, connection);
}

/** Opens a database that another connection has brought up to date, to read it and nothing else. */
export async function openForReading(path: string): Promise<Database> {
  const orm = await MikroORM.init({
    entities: ENTITIES,
    dbName: path,
    pool: { min: 1, max: 1, afterCreate: prepareReader },
    discovery: { checkDuplicateTableNames: true },
  });
  keepConnection(orm);
  reading.add(orm);
  return orm;
}
