import { Migration } from '@mikro-orm/migrations';

/** Which tasks and activities the journal has ever named, how much labor of each kind each has, and when the last entry of each day of a technician happened.
 *  This file is never changed. */
export class Migration20261129NamedTargets extends Migration {
  override up(): void {
    this.addSql('create table "named_target" ("target" text not null, primary key ("target")) without rowid');
    this.addSql(
      'create table "used_time" ("target" text not null, "work_type" text not null, "seconds" integer not null, primary key ("target", "work_type")) without rowid',
    );
    this.addSql('alter table "labor_state" add column "last_at" integer null');
  }
}
