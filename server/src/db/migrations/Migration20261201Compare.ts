import { Migration } from '@mikro-orm/migrations';

/** What comparing asks for. Running work now says at which machine it is: the days of whoever has named one are derived
 *  anew when the database is opened. This file is never changed. */
export class Migration20261201Compare extends Migration {
  override up(): void {
    this.addSql('create index "task_mark_at_index" on "task_mark" ("at")');
    this.addSql(
      `insert into "due_derivation" ("technician", "from_day")
       select "technician", min("day") from "effective_entry"
       where "type" = 'work-start' and "technician" is not null
         and ("body" like '%"machine":%' or "body" like '%"chargeRate":%' or "body" like '%"payClass":%')
       group by "technician"
       on conflict ("technician") do update set "from_day" = min("from_day", excluded."from_day")`,
    );
  }
}
