import { MikroORM } from '@mikro-orm/libsql';
import { Migrator } from '@mikro-orm/migrations';
import { ENTITIES } from '@wergon/server/app';
import { Migration20261123FirstSchema } from '../server/dist/db/migrations/Migration20261123FirstSchema.js';

/** A shop as the first version kept it, to be brought up to date. */
export async function makeOldDatabase(path) {
  const old = await MikroORM.init({
    dbName: path,
    entities: ENTITIES,
    extensions: [Migrator],
    migrations: {
      migrationsList: [{ name: 'Migration20261123FirstSchema', class: Migration20261123FirstSchema }],
      snapshot: false,
      silent: true,
    },
  });
  await old.migrator.up();
  for (const statement of [
    `insert into shop values (1, 'Old shop', 'Europe/Oslo', 'EUR', '[{"from":0,"value":{"split":"estimate","maxStintHours":12,"maxShiftHours":16,"gapMinutes":5,"maxBreakMinutes":60}}]')`,
    `insert into desk_user (id, name, user_name, password_hash, role, sees_rates) values ('u', 'Sol', 'sol', 'x', 'administrator', 1)`,
    `insert into technician (id, number, name, department) values ('t', '1', 'Ada', 'Winding')`,
    `insert into badge (id, technician, code) values ('b', 't', 'BND9L1B44TL9SJ')`,
  ])
    await old.em.execute(statement);
  await old.em.execute('pragma wal_checkpoint(truncate)');
  await old.close();
}
