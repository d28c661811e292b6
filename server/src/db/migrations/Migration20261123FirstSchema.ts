import { Migration } from '@mikro-orm/migrations';

/** The first schema. Later ones come in migrations of their own; this file is never changed. */
const TABLES = [
  'create table "activity" ("id" text not null, "title" text not null, "counts" json not null, "code" text not null, primary key ("id"))',
  'create unique index "activity_code_unique" on "activity" ("code")',
  'create table "badge" ("id" text not null, "technician" text not null, "code" text not null, "revoked_at" integer null, primary key ("id"))',
  'create index "badge_technician_index" on "badge" ("technician")',
  'create unique index "badge_code_unique" on "badge" ("code")',
  'create table "demo_clock" ("id" integer not null primary key autoincrement, "stopped_at" integer not null)',
  'create table "cost_rate" ("technician" text not null, "from_day" integer not null, "record" text not null, primary key ("technician", "from_day"))',
  'create table "effective_entry" ("id" text not null, "seq" integer not null, "type" text not null, "technician" text null, "day" integer not null, "body" text not null, primary key ("id"))',
  'create index "effective_entry_technician_day_index" on "effective_entry" ("technician", "day")',
  'create index "effective_entry_type_day_index" on "effective_entry" ("type", "day")',
  'create table "grade" ("id" text not null, "name" text not null, "standard_rate" integer not null, primary key ("id"))',
  'create unique index "grade_name_unique" on "grade" ("name")',
  'create table "journal" ("seq" integer not null primary key autoincrement, "id" text not null, "stream" text not null, "type" text not null, "corrects" text null, "body" text not null, "envelope" text not null, "hash" text not null)',
  'create unique index "journal_id_unique" on "journal" ("id")',
  'create index "journal_corrects_index" on "journal" ("corrects")',
  'create table "labor_line" ("technician" text not null, "day" integer not null, "target" text not null, "work_type" text not null, "measured_seconds" integer not null, "shared_seconds" integer not null, "entered_seconds" integer not null, "cost" integer null, primary key ("technician", "day", "target", "work_type"))',
  'create index "labor_line_target_index" on "labor_line" ("target")',
  'create table "labor_state" ("technician" text not null, "day" integer not null, "state" text not null, primary key ("technician", "day"))',
  'create table "loose_end" ("kind" text not null, "entry" text not null, "from_at" integer not null, "technician" text not null, "to_at" integer null, "seconds" integer null, "settled_day" integer not null, primary key ("kind", "entry", "from_at"))',
  'create index "loose_end_settled_day_index" on "loose_end" ("settled_day")',
  'create index "loose_end_technician_settled_day_index" on "loose_end" ("technician", "settled_day")',
  'create table "presence" ("kind" text not null, "technician" text not null, "from_at" integer not null, "to_at" integer not null, "capped" integer not null, "opened" text not null, "closed" text null, "settled_day" integer not null, primary key ("kind", "technician", "from_at"))',
  'create index "presence_technician_settled_day_index" on "presence" ("technician", "settled_day")',
  'create index "presence_to_at_index" on "presence" ("to_at")',
  'create table "refused_entry" ("id" integer not null primary key autoincrement, "received_at" integer not null, "station" text not null, "body" text not null, "errors" text not null)',
  'create table "desk_session" ("token_hash" text not null, "user" text not null, "is_trusted" integer not null, "last_seen_at" integer not null, primary key ("token_hash"))',
  'create table "shop" ("id" integer not null primary key autoincrement, "name" text not null, "zone" text not null, "currency" text not null, "policy" json not null)',
  'create table "station" ("id" text not null, "name" text not null, "token_hash" text null, "paired_at" integer null, "pairing_hash" text null, "pairing_expires_at" integer null, "is_revoked" integer not null, primary key ("id"))',
  'create unique index "station_name_unique" on "station" ("name")',
  'create unique index "station_token_hash_unique" on "station" ("token_hash")',
  'create unique index "station_pairing_hash_unique" on "station" ("pairing_hash")',
  'create table "stint" ("technician" text not null, "from_at" integer not null, "to_at" integer not null, "capped" integer not null, "opened" text not null, "closed" text null, "settled_day" integer not null, "running" text not null, "shift_since" integer null, primary key ("technician", "from_at"))',
  'create index "stint_technician_settled_day_index" on "stint" ("technician", "settled_day")',
  'create index "stint_to_at_index" on "stint" ("to_at")',
  'create table "task" ("id" text not null, "work_order" text not null, "position" integer not null, "title" text not null, "work_center" text not null, "grade" text not null, "code" text not null, "has_estimate" integer not null, "estimate" json not null, "standard_rate" integer not null, "estimated_cost" integer not null, primary key ("id"))',
  'create index "task_work_order_index" on "task" ("work_order")',
  'create unique index "task_code_unique" on "task" ("code")',
  'create table "task_mark" ("entry" text not null, "target" text not null, "at" integer not null, "seq" integer not null, "is_done" integer not null, primary key ("entry", "target"))',
  'create index "task_mark_target_index" on "task_mark" ("target")',
  'create table "technician" ("id" text not null, "number" text not null, "name" text not null, "department" text not null, "left_on" integer null, primary key ("id"))',
  'create unique index "technician_number_unique" on "technician" ("number")',
  'create table "desk_user" ("id" text not null, "name" text not null, "user_name" text not null, "password_hash" text not null, "role" text not null, "sees_rates" integer not null, primary key ("id"))',
  'create unique index "desk_user_user_name_unique" on "desk_user" ("user_name")',
  'create table "work_order" ("id" text not null, "number" text not null, "title" text not null, "customer" text not null, "quantity" integer not null, "due_day" integer null, "states" json not null, "includes" json not null, "code" text not null, primary key ("id"))',
  'create unique index "work_order_number_unique" on "work_order" ("number")',
  'create unique index "work_order_code_unique" on "work_order" ("code")',
];

/** The journal is append-only in the database too. */
const TRIGGERS = ['update', 'delete'].map(
  (act) =>
    `create trigger "journal_no_${act}" before ${act} on "journal" begin select raise(abort, 'the journal is append-only'); end`,
);

export class Migration20261123FirstSchema extends Migration {
  override up(): void {
    for (const statement of [...TABLES, ...TRIGGERS]) this.addSql(statement);
  }
}
