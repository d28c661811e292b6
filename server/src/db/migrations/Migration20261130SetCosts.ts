import { Migration } from '@mikro-orm/migrations';

/** Costs of labor lines that were set by hand, from decisions of the journal. This file is never changed. */
export class Migration20261130SetCosts extends Migration {
  override up(): void {
    this.addSql(
      `create table "set_cost" ("technician" text not null, "day" integer not null, "target" text not null,
       "work_type" text not null, "seconds" integer not null, "cost" integer not null, "entry" text not null,
       "reason" text not null, "set_by" text not null, "at" integer not null,
       primary key ("technician", "day", "target", "work_type"))`,
    );
    this.addSql('create index "set_cost_target_index" on "set_cost" ("target")');
    this.addSql('create index "set_cost_day_index" on "set_cost" ("day")');
  }
}
