import { Migration } from '@mikro-orm/migrations';

/** Which tasks and activities the journal has ever named. This file is never changed. */
export class Migration20261129NamedTargets extends Migration {
  override up(): void {
    this.addSql('create table "named_target" ("target" text not null, primary key ("target")) without rowid');
  }
}
