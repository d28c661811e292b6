import { randomInt, randomUUID } from 'node:crypto';
import { Migration } from '@mikro-orm/migrations';
import { CODE_ALPHABET, drawCode } from '@wergon/core/scan';

/** What preparing the work needs: plans, lists, customers, units, standards, travelers. This file is never changed. */
const TABLES = [
  'create table "absence" ("technician" text not null, "day" integer not null, "kind" text not null, "is_paid" integer not null, primary key ("technician", "day"))',
  'create table "attachment" ("id" text not null, "work_order" text not null, "name" text not null, "type" text not null, "size" integer not null, "added_at" integer not null, "added_by" text not null, "bytes" blob not null, primary key ("id"))',
  'create index "attachment_work_order_index" on "attachment" ("work_order")',
  'create table "closed_day" ("day" integer not null primary key autoincrement, "name" text not null)',
  'create table "customer" ("id" text not null, "name" text not null, "note" text not null, "charge" json null, "is_off" integer not null, primary key ("id"))',
  'create unique index "customer_name_unique" on "customer" ("name")',
  'create table "list_item" ("id" text not null, "list" text not null, "name" text not null, "is_off" integer not null, primary key ("id"))',
  'create unique index "list_item_list_name_unique" on "list_item" ("list", "name")',
  'create table "order_change" ("id" integer not null primary key autoincrement, "work_order" text not null, "at" integer not null, "changed_by" text not null, "changes" json not null)',
  'create index "order_change_work_order_index" on "order_change" ("work_order")',
  'create table "work_pattern" ("technician" text not null, "from_day" integer not null, "weeks" json not null, primary key ("technician", "from_day"))',
  'create table "person_label" ("code" text not null, "badge" text not null, "action" text not null, primary key ("code"))',
  'create index "person_label_badge_index" on "person_label" ("badge")',
  'create table "resource" ("id" text not null, "kind" text not null, "name" text not null, "work_center" text not null, "code" text not null, "is_off" integer not null, primary key ("id"))',
  'create unique index "resource_code_unique" on "resource" ("code")',
  'create unique index "resource_kind_name_unique" on "resource" ("kind", "name")',
  'create table "standard" ("id" text not null, "kind" text not null, "title" text not null, "version" integer not null, "is_off" integer not null, "body" json not null, primary key ("id"))',
  'create table "standard_version" ("standard" text not null, "version" integer not null, "body" json not null, "saved_at" integer not null, "saved_by" text not null, primary key ("standard", "version"))',
  'create table "traveler_code" ("code" text not null, "task" text not null, "work_type" text not null, "version" integer not null, primary key ("code"))',
  'create unique index "traveler_code_task_work_type_version_unique" on "traveler_code" ("task", "work_type", "version")',
  'create table "unit" ("id" text not null, "type" text not null, "maker" text not null, "serial_number" text not null, "nameplate" text not null, "owner" text not null, primary key ("id"))',
  'alter table "activity" add column "is_paid" integer not null default true',
  'alter table "activity" add column "division" text not null default \'\'',
  'alter table "activity" add column "is_off" integer not null default false',
  'alter table "badge" add column "is_bound" integer not null default false',
  'alter table "shop" add column "settings" json null',
  'alter table "station" add column "scanner" json null',
  'alter table "station" add column "calibrated_at" integer null',
  'alter table "station" add column "last_scan_at" integer null',
  'alter table "task" add column "original_cost" integer null',
  'alter table "task" add column "hours" json null',
  'alter table "task" add column "instructions" json null',
  'alter table "task" add column "reports" json null',
  'alter table "task" add column "price" integer null',
  'alter table "task" add column "is_optional" integer not null default false',
  'alter table "task" add column "is_accepted" integer not null default true',
  'alter table "task" add column "cost_code" text not null default \'\'',
  'alter table "task" add column "charge" json null',
  'alter table "task" add column "assigned" json null',
  'alter table "task" add column "origin" json null',
  'alter table "technician" add column "crew" text not null default \'\'',
  'alter table "technician" add column "grade" text null',
  'alter table "technician" add column "kind" text not null default \'own\'',
  'alter table "technician" add column "payroll_number" text not null default \'\'',
  'alter table "technician" add column "initials" text not null default \'\'',
  'alter table "technician" add column "hired_on" integer null',
  'alter table "technician" add column "billed_seconds" integer null',
  'alter table "technician" add column "pin_hash" text null',
  'alter table "work_order" add column "division" text not null default \'\'',
  'alter table "work_order" add column "job_type" text not null default \'\'',
  'alter table "work_order" add column "item" text not null default \'\'',
  'alter table "work_order" add column "unit" text null',
  'alter table "work_order" add column "price" integer null',
  'alter table "work_order" add column "notes" text not null default \'\'',
  'alter table "work_order" add column "charge" json null',
  'alter table "work_order" add column "version" integer not null default 1',
];

export class Migration20261124PrepareWork extends Migration {
  override async up(): Promise<void> {
    for (const statement of TABLES) await this.execute(statement);
    await this.fillLists();
  }

  /** Words that were typed so far become items of the lists that now keep them. */
  private async fillLists(): Promise<void> {
    for (const name of await this.wordsOf('technician', 'department'))
      await this.execute('insert into "list_item" ("id", "list", "name", "is_off") values (?, ?, ?, 0)', [
        randomUUID(),
        'department',
        name,
      ]);
    for (const name of await this.wordsOf('task', 'work_center'))
      await this.execute(
        'insert into "resource" ("id", "kind", "name", "work_center", "code", "is_off") values (?, ?, ?, \'\', ?, 0)',
        [randomUUID(), 'work-center', name, drawCode('resource', () => randomInt(CODE_ALPHABET.length))],
      );
    for (const name of await this.wordsOf('work_order', 'customer'))
      await this.execute(
        'insert into "customer" ("id", "name", "note", "charge", "is_off") values (?, ?, \'\', null, 0)',
        [randomUUID(), name],
      );
  }

  private async wordsOf(table: string, column: string): Promise<string[]> {
    const rows = (await this.execute(
      `select distinct "${column}" as "word" from "${table}" where "${column}" <> ''`,
    )) as unknown as { word: string }[];
    return rows.map(({ word }) => word);
  }
}
