import { Migration } from '@mikro-orm/migrations';

/** Work on units that comes back, and their hour meters. This file is never changed. */
export class Migration20261130Recurring extends Migration {
  override up(): void {
    this.addSql(
      'create table "recurrence" ("id" text not null, "unit" text not null, "job" text not null, "kind" text not null, "every" integer not null, "last_day" integer not null, "is_off" integer not null default false, "work_order" text null, "made_by" text null, primary key ("id"))',
    );
    this.addSql('create index "recurrence_unit_index" on "recurrence" ("unit")');
    this.addSql(
      'create table "unit_reading" ("id" text not null, "unit" text not null, "day" integer not null, "hours" integer not null, primary key ("id"))',
    );
    this.addSql('create index "unit_reading_unit_index" on "unit_reading" ("unit")');
  }
}
