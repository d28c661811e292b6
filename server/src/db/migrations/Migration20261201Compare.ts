import { Migration } from '@mikro-orm/migrations';

/** What comparing asks for. Running work now says at which machine it is and why: the days of whoever has said so are
 *  derived anew when the database is opened. This file is never changed. */
export class Migration20261201Compare extends Migration {
  override up(): void {
    this.addSql('alter table "stint" add column "reason" text');
    this.addSql(
      `create table "line_part" ("technician" text not null, "day" integer not null, "target" text not null,
       "work_type" text not null, "machine" text not null, "reason" text not null, "measured_seconds" integer not null,
       "shared_seconds" integer not null,
       primary key ("technician", "day", "target", "work_type", "machine", "reason"))`,
    );
    this.addSql(
      `create table "capacity" ("resource" text not null, "from_day" integer not null, "seconds" text not null,
       primary key ("resource", "from_day"))`,
    );
    this.addSql('create index "line_part_day_index" on "line_part" ("day")');
    this.addSql(
      `create table "kept_cut" ("id" text not null, "name" text not null, "owner" text not null, "role" text,
       "body" text not null, primary key ("id"))`,
    );
    this.addSql('create index "task_mark_at_index" on "task_mark" ("at")');
    this.addSql(
      `insert into "due_derivation" ("technician", "from_day")
       select "technician", min("day") from "effective_entry"
       where "type" = 'work-start' and "technician" is not null
         and ("body" like '%"machine":%' or "body" like '%"reason":%' or "body" like '%"chargeRate":%' or "body" like '%"payClass":%')
       group by "technician"
       on conflict ("technician") do update set "from_day" = min("from_day", excluded."from_day")`,
    );
  }
}
