import { Migration } from '@mikro-orm/migrations';

/** Whose days are still to be derived anew since the shop's rules were changed for them. This file is never changed. */
export class Migration20261130Rules extends Migration {
  override up(): void {
    this.addSql(
      'create table "due_derivation" ("technician" text not null, "from_day" integer not null, primary key ("technician")) without rowid',
    );
  }
}
