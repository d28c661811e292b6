import { Migration } from '@mikro-orm/migrations';
import { workedOfClasses } from '@wergon/core/pay';
import type { ClosedLine } from '@wergon/core/pay';

type Row = {
  readonly period: number;
  readonly is_adjustment: number;
  readonly technician: ClosedLine['technician'];
  readonly shift_day: ClosedLine['shiftDay'];
};
type LineRow = Row & {
  readonly day: ClosedLine['day'];
  readonly target: ClosedLine['target'];
  readonly work_type: ClosedLine['workType'];
  readonly seconds: number;
};
type ClassRow = Row & {
  readonly straight: number;
  readonly overtime: number;
  readonly double: number;
  readonly unallocated: number;
};

/** Closed periods keep what they pay by target as well, and whose time goes to pay is said of each person; payroll's codes,
 *  the forms of its file, the files that were made, and what payroll really paid. This file is never changed. */
export class Migration20261204PayFile extends Migration {
  override async up(): Promise<void> {
    await this.execute(
      `create table "closed_pay" ("period" integer not null, "is_adjustment" integer not null,
       "technician" text not null, "shift_day" integer not null, "target" text not null, "work_type" text not null,
       "class" text not null, "seconds" integer not null,
       primary key ("period", "is_adjustment", "technician", "shift_day", "target", "work_type", "class"))`,
    );
    await this.execute(
      'create index "closed_pay_technician_shift_day_index" on "closed_pay" ("technician", "shift_day")',
    );
    await this.keepByTarget();
    await this.execute('drop table "closed_class"');
    await this.execute('alter table "technician" add column "feeds_pay" integer not null default true');
    await this.execute(`update "technician" set "feeds_pay" = false where "kind" = 'subcontractor'`);
    await this.execute('create table "pay_code" ("kind" text not null primary key, "code" text not null)');
    await this.execute(
      'create table "pay_layout" ("id" text not null primary key, "name" text not null, "layout" json not null)',
    );
    await this.execute('create unique index "pay_layout_name_unique" on "pay_layout" ("name")');
    await this.execute(
      `create table "pay_file" ("entry" text not null primary key, "period" integer not null, "made_by" text not null,
       "at" integer not null, "layout" text not null, "separator" text not null,
       "pay_group" text not null, "rows" integer not null,
       "digest" text not null, "text" text not null, "sums" text not null, "withdrawn_by" text, "withdrawn_at" integer,
       "reason" text)`,
    );
    await this.execute('alter table "labor_line" add column "true_up" integer not null default 0');
    await this.execute('alter table "closed_line" add column "premium" integer not null default 0');
    await this.execute(
      `create table "payroll" ("entry" text not null primary key, "place" integer not null, "name" text not null,
       "taken_by" text not null, "at" integer not null, "withdrawn_by" text, "withdrawn_at" integer, "reason" text)`,
    );
    await this.execute(
      `create table "payroll_amount" ("entry" text not null, "technician" text not null, "period" integer not null,
       "last_day" integer not null, "amount" integer not null, "not_jobs" integer not null, "costed" integer not null,
       "overhead" integer not null, primary key ("entry", "technician", "period"))`,
    );
    await this.execute(
      'create index "payroll_amount_technician_period_index" on "payroll_amount" ("technician", "period")',
    );
    await this.execute(
      `create table "payroll_line" ("entry" text not null, "technician" text not null, "day" integer not null,
       "shift_day" integer not null, "target" text not null, "work_type" text not null, "period" integer not null,
       "true_up" integer not null,
       primary key ("entry", "technician", "day", "shift_day", "target", "work_type"))`,
    );
    await this.execute(
      `create table "line_true_up" ("technician" text not null, "day" integer not null, "shift_day" integer not null,
       "target" text not null, "work_type" text not null, "period" integer not null, "true_up" integer not null,
       primary key ("technician", "day", "shift_day", "target", "work_type"))`,
    );
    await this.execute('create index "pay_file_period_index" on "pay_file" ("period")');
    await this.execute(
      `create table "pay_file_part" ("entry" text not null, "technician" text not null, "kind" text not null,
       primary key ("entry", "technician", "kind"))`,
    );
  }

  /** Closed classes as lines by target. Of nearly all days all was straight: what stands on their lines is what was paid. */
  private async keepByTarget(): Promise<void> {
    const sameDay = ['period', 'is_adjustment', 'technician', 'shift_day']
      .map((column) => `l."${column}" = c."${column}"`)
      .join(' and ');
    await this.execute(
      `create index "closed_line_of_day" on "closed_line" ("period", "technician", "shift_day")`,
    );
    const isPlain = `c."overtime" = 0 and c."double" = 0 and c."unallocated" = 0 and c."straight" =
      (select coalesce(sum(l."seconds"), 0) from "closed_line" l where ${sameDay})`;
    await this.execute(
      `insert into "closed_pay" select c."period", c."is_adjustment", c."technician", c."shift_day", l."target",
       l."work_type", 'straight', sum(l."seconds") from "closed_class" c join "closed_line" l on ${sameDay}
       where ${isPlain} group by 1, 2, 3, 4, 5, 6 having sum(l."seconds") <> 0`,
    );
    const classes = (await this.execute(
      `select * from "closed_class" c where not (${isPlain})`,
    )) as ClassRow[];
    for (const row of classes) {
      const lines = (await this.execute(
        `select * from "closed_line" where "period" = ? and "is_adjustment" = ? and "technician" = ? and "shift_day" = ?`,
        [row.period, row.is_adjustment, row.technician, row.shift_day],
      )) as LineRow[];
      const worked = workedOfClasses(
        lines.map(({ technician, shift_day, day, target, work_type, seconds }): ClosedLine => ({
          ...{ technician, shiftDay: shift_day, day, target, workType: work_type, seconds, cost: null },
        })),
        [
          {
            ...{ technician: row.technician, day: row.shift_day, straight: row.straight },
            ...{ overtime: row.overtime, double: row.double, unallocated: row.unallocated },
          },
        ],
      );
      for (const line of worked)
        await this.execute('insert into "closed_pay" values (?, ?, ?, ?, ?, ?, ?, ?)', [
          ...[row.period, row.is_adjustment, line.technician, line.shiftDay],
          ...[line.target ?? '', line.workType ?? '', line.class, line.seconds],
        ]);
    }
    await this.execute('drop index "closed_line_of_day"');
  }
}
