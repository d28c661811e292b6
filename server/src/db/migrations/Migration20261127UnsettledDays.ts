import { Migration } from '@mikro-orm/migrations';

/** Which days of closed periods are looked at for adjustments. All that lie in one at first: what was paid for them was
 *  not kept track of before. This file is never changed. */
const STATEMENTS = [
  'create table "unsettled_day" ("technician" text not null, "shift_day" integer not null, primary key ("technician", "shift_day"))',
  'create index "closed_line_technician_shift_day_index" on "closed_line" ("technician", "shift_day")',
  ...[0, 1, 2].map(
    (back) =>
      `insert or ignore into "unsettled_day" select distinct "technician", "day" - ${back} from "labor_line" where "day" - ${back} <= (select max("last_day") from "pay_period")`,
  ),
];

export class Migration20261127UnsettledDays extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) await this.execute(statement);
  }
}
