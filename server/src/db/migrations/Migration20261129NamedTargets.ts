import { Migration } from '@mikro-orm/migrations';

/** Which tasks and activities the journal has ever named, and when the last entry of each day of a technician happened.
 *  This file is never changed. */
export class Migration20261129NamedTargets extends Migration {
  override up(): void {
    this.addSql('create table "named_target" ("target" text not null, primary key ("target")) without rowid');
    this.addSql('alter table "labor_state" add column "last_at" integer null');
  }
}
