import { Migration } from '@mikro-orm/migrations';

/** What the station in depth needs: its settings, leads, notices, requests. This file is never changed. */
const STATEMENTS = [
  'create table "notice" ("id" text not null, "at" integer not null, "put_by" text not null, "text" text not null, "until_day" integer null, primary key ("id"))',
  'create index "journal_stream_type_index" on "journal" ("stream", "type")',
  'alter table "station" add column "settings" json null',
  'alter table "station" add column "card_key" text not null default \'\'',
  'alter table "technician" add column "is_lead" integer not null default false',
  'alter table "technician" add column "language" text null',
  'alter table "resource" add column "asks_machine" integer not null default false',
  'alter table "activity" add column "takes_work" text null',
];

export class Migration20261125StationInDepth extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) await this.execute(statement);
  }
}
