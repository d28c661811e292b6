import { Migration } from '@mikro-orm/migrations';

/** Rules of overtime, pay groups, what overtime adds to labor, and days as they are paid. Labor on activities that are not
 *  paid costs nothing from here on: whose it is, is derived anew. This file is never changed. */
export class Migration20261203Overtime extends Migration {
  override up(): void {
    this.addSql(
      `create table "overtime_rule" ("from_day" integer not null, "pay_group" text not null, "rule" text not null,
       "said_by" text not null, "at" integer not null, primary key ("from_day", "pay_group"))`,
    );
    this.addSql(
      `create table "pay_group_member" ("technician" text not null, "from_day" integer not null,
       "pay_group" text not null, primary key ("technician", "from_day"))`,
    );
    this.addSql('alter table "closed_day" add column "is_paid" integer not null default false');
    this.addSql('alter table "labor_line" add column "premium" integer not null default 0');
    this.addSql(
      `create table "line_premium" ("technician" text not null, "shift_day" integer not null, "day" integer not null,
       "target" text not null, "work_type" text not null, "premium" integer not null,
       primary key ("technician", "shift_day", "day", "target", "work_type"))`,
    );
    this.addSql('create index "line_premium_day_index" on "line_premium" ("day")');
    this.addSql(
      `create table "pay_day" ("technician" text not null, "shift_day" integer not null, "paid" integer not null,
       "straight" integer not null, "overtime" integer not null, "double" integer not null,
       "unallocated" integer not null, "counted" integer not null, "premium" integer not null,
       "split" text not null, primary key ("technician", "shift_day"))`,
    );
    this.addSql('create index "pay_day_shift_day_index" on "pay_day" ("shift_day")');
    this.addSql(
      `create table "pay_split" ("technician" text not null, "shift_day" integer not null,
       "straight" integer not null, "overtime" integer not null, "double" integer not null, "entry" text not null,
       "reason" text not null, "said_by" text not null, "at" integer not null,
       primary key ("technician", "shift_day"))`,
    );
    this.addSql('create index "pay_split_shift_day_index" on "pay_split" ("shift_day")');
    this.addSql(
      `create table "closed_class" ("period" integer not null, "is_adjustment" integer not null,
       "technician" text not null, "shift_day" integer not null, "straight" integer not null,
       "overtime" integer not null, "double" integer not null, "unallocated" integer not null,
       primary key ("period", "is_adjustment", "technician", "shift_day"))`,
    );
    this.addSql(
      'create index "closed_class_technician_shift_day_index" on "closed_class" ("technician", "shift_day")',
    );
    this.addSql(
      `create table "closed_away" ("period" integer not null, "technician" text not null, "day" integer not null,
       "kind" text not null, "seconds" integer not null, primary key ("period", "technician", "day", "kind"))`,
    );
    // What was closed before there were rules was straight.
    this.addSql(
      `insert into "closed_class" select "period", "is_adjustment", "technician", "shift_day", sum("seconds"), 0, 0, 0
       from "closed_line" group by "period", "is_adjustment", "technician", "shift_day"`,
    );
    this.addSql(
      `insert into "due_derivation" ("technician", "from_day")
       select "technician", min("day") from "labor_line"
       where "target" in (select "id" from "activity" where not "is_paid") group by "technician"
       on conflict ("technician") do update set "from_day" = min("from_day", excluded."from_day")`,
    );
  }
}
