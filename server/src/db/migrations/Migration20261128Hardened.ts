import { Migration } from '@mikro-orm/migrations';

/** What entries of the journal are looked up by, entries whose time has yet to come, pieces by task. This file is never
 *  changed. */
const STATEMENTS = [
  'create table "entry_index" ("seq" integer not null, "stream" text not null, "type" text not null, "technician" text null, "day" integer null, "recorded_at" integer not null, "author" text not null, "author_kind" text not null, "about" text null, "is_scanned" integer not null, primary key ("seq"))',
  'create index "entry_index_stream_type_day_index" on "entry_index" ("stream", "type", "day")',
  'create index "entry_index_technician_index" on "entry_index" ("technician")',
  'create index "entry_index_recorded_at_index" on "entry_index" ("recorded_at")',
  'create index "entry_index_about_index" on "entry_index" ("about")',
  'create table "waiting_entry" ("id" text not null, "seq" integer not null, "due" integer not null, "body" text not null, primary key ("id"))',
  'create index "waiting_entry_due_index" on "waiting_entry" ("due")',
  'create table "piece_count" ("target" text not null, "good" integer not null, "scrap" integer not null, primary key ("target"))',
  'alter table "effective_entry" add column "target" text null',
  'create index "effective_entry_target_index" on "effective_entry" ("target")',
  'alter table "desk_user" add column "is_off" integer not null default false',
  'alter table "desk_user" add column "must_change_password" integer not null default false',
  'create index "desk_session_user_index" on "desk_session" ("user")',
  'create table "disk_probe" ("id" integer not null, "filler" blob not null, primary key ("id"))',
  'alter table "grade" add column "rates" json null',
  'create index "refused_entry_station_index" on "refused_entry" ("station")',
];

type Named = { readonly id: string; readonly list: string; readonly name: string };
type Kept<Column extends string> = { readonly id: string } & Readonly<Record<Column, unknown>>;

const readJson = (value: unknown): unknown =>
  typeof value === 'string' ? (JSON.parse(value) as unknown) : value;

export class Migration20261128Hardened extends Migration {
  /** Whose time a user may put right, and what a station is set to, was kept by names, which change. */
  private async holdIds(): Promise<void> {
    const items = (await this.execute('select "id", "list", "name" from "list_item"')) as Named[];
    const centers = (await this.execute(`select "id", "kind" as "list", "name" from "resource"`)) as Named[];
    const idsOf = (text: unknown, lists: readonly string[]): string[] => {
      const names = Array.isArray(text) ? text : [];
      return [...items, ...centers]
        .filter(({ list, name }) => lists.includes(list) && names.includes(name))
        .map(({ id }) => id);
    };
    const users = (await this.execute(
      'select "id", "departments" from "desk_user" where "departments" is not null',
    )) as Kept<'departments'>[];
    for (const { id, departments } of users) {
      const read = readJson(departments);
      if (Array.isArray(read))
        await this.execute('update "desk_user" set "departments" = ? where "id" = ?', [
          JSON.stringify(idsOf(read, ['department'])),
          id,
        ]);
    }
    const stations = (await this.execute(
      'select "id", "settings" from "station" where "settings" is not null',
    )) as Kept<'settings'>[];
    for (const { id, settings } of stations) {
      const read = readJson(settings) as Record<string, unknown> | null;
      if (!read) continue;
      const next = {
        ...read,
        ...(read['people'] ? { people: idsOf(read['people'], ['department', 'crew']) } : {}),
        ...(read['workCenters'] ? { workCenters: idsOf(read['workCenters'], ['work-center']) } : {}),
      };
      await this.execute('update "station" set "settings" = ? where "id" = ?', [JSON.stringify(next), id]);
    }
  }

  override async up(): Promise<void> {
    for (const statement of STATEMENTS) await this.execute(statement);
    await this.holdIds();
  }
}
