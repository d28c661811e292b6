import type { MikroORM } from '@mikro-orm/libsql';
import { Migrator } from '@mikro-orm/migrations';
import { Migration20261123FirstSchema } from './migrations/Migration20261123FirstSchema.ts';
import { Migration20261124PrepareWork } from './migrations/Migration20261124PrepareWork.ts';
import { Migration20261125StationInDepth } from './migrations/Migration20261125StationInDepth.ts';
import { Migration20261126Reconcile } from './migrations/Migration20261126Reconcile.ts';
import { Migration20261127UnsettledDays } from './migrations/Migration20261127UnsettledDays.ts';
import { Migration20261128Hardened } from './migrations/Migration20261128Hardened.ts';
import { Migration20261129NamedTargets } from './migrations/Migration20261129NamedTargets.ts';
import { Migration20261130Activities } from './migrations/Migration20261130Activities.ts';
import { Migration20261130HoursStyle } from './migrations/Migration20261130HoursStyle.ts';
import { Migration20261130CustomerNotes } from './migrations/Migration20261130CustomerNotes.ts';
import { Migration20261130Descriptions } from './migrations/Migration20261130Descriptions.ts';
import { Migration20261130Recurring } from './migrations/Migration20261130Recurring.ts';
import { Migration20261130SetCosts } from './migrations/Migration20261130SetCosts.ts';
import { Migration20261130Sight } from './migrations/Migration20261130Sight.ts';
import { Migration20261130Roles } from './migrations/Migration20261130Roles.ts';
import { Migration20261130Written } from './migrations/Migration20261130Written.ts';
import { Migration20261130Offers } from './migrations/Migration20261130Offers.ts';
import { Migration20261130Parts } from './migrations/Migration20261130Parts.ts';
import { Migration20261130Phones } from './migrations/Migration20261130Phones.ts';
import { Migration20261130Rules } from './migrations/Migration20261130Rules.ts';
import { Migration20261201Compare } from './migrations/Migration20261201Compare.ts';
import { Migration20261202FinishedJobs } from './migrations/Migration20261202FinishedJobs.ts';
import { Migration20261203Overtime } from './migrations/Migration20261203Overtime.ts';
import { Migration20261204PayFile } from './migrations/Migration20261204PayFile.ts';
import { Migration20261205TimeOff } from './migrations/Migration20261205TimeOff.ts';

/** In the order in which they are run. */
export const MIGRATIONS = [
  Migration20261123FirstSchema,
  Migration20261124PrepareWork,
  Migration20261125StationInDepth,
  Migration20261126Reconcile,
  Migration20261127UnsettledDays,
  Migration20261128Hardened,
  Migration20261129NamedTargets,
  Migration20261130Rules,
  Migration20261130Phones,
  Migration20261130Offers,
  Migration20261130Written,
  Migration20261130Activities,
  Migration20261130HoursStyle,
  Migration20261130Roles,
  Migration20261130Descriptions,
  Migration20261130Parts,
  Migration20261130CustomerNotes,
  Migration20261130Recurring,
  Migration20261130SetCosts,
  Migration20261130Sight,
  Migration20261201Compare,
  Migration20261202FinishedJobs,
  Migration20261203Overtime,
  Migration20261204PayFile,
  Migration20261205TimeOff,
];

/** Brings the schema of a database up to date. */
export async function migrate(orm: MikroORM): Promise<void> {
  orm.config.set('migrations', {
    ...orm.config.get('migrations'),
    migrationsList: MIGRATIONS.map((each) => ({ name: each.name, class: each })),
    snapshot: false,
    silent: true,
    transactional: true,
  });
  Migrator.register(orm);
  await orm.migrator.up();
}
