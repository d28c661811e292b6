import { Migration } from '@mikro-orm/migrations';

/** What approval, pay periods and drafts need, and whose time a user may put right. This file is never changed. */
const STATEMENTS = [
  'alter table "desk_user" add column "technician" text null',
  'alter table "desk_user" add column "departments" json null',
  'create table "approval" ("kind" text not null, "technician" text not null, "shift_day" integer not null, "entry" text not null, "facts" text not null, "said_by" text not null, "at" integer not null, primary key ("kind", "technician", "shift_day"))',
  'create table "pay_period" ("entry" text not null, "first_day" integer not null, "last_day" integer not null, "closed_by" text not null, "at" integer not null, "head" text not null, primary key ("entry"))',
  'create unique index "pay_period_first_day_unique" on "pay_period" ("first_day")',
  'create table "closed_line" ("period" integer not null, "is_adjustment" integer not null, "technician" text not null, "shift_day" integer not null, "day" integer not null, "target" text not null, "work_type" text not null, "seconds" integer not null, "cost" integer null, primary key ("period", "is_adjustment", "technician", "shift_day", "day", "target", "work_type"))',
  'create table "draft_row" ("id" text not null, "user" text not null, "at" integer not null, "fields" json not null, primary key ("id"))',
  'create index "labor_line_day_index" on "labor_line" ("day")',
  'create index "draft_row_user_index" on "draft_row" ("user")',
];

export class Migration20261126Reconcile extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) await this.execute(statement);
  }
}
