import { Migration } from '@mikro-orm/migrations';

/** Notes that the customer may read, by their entries. This file is never changed. */
export class Migration20261130CustomerNotes extends Migration {
  override up(): void {
    this.addSql(
      'create table "customer_note" ("entry" text not null, "marked_at" integer not null, "marked_by" text not null, primary key ("entry"))',
    );
  }
}
