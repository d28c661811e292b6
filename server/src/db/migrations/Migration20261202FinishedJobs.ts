import { Migration } from '@mikro-orm/migrations';

/** What comparing keeps of jobs that are finished. Whatever a job's difference rests on puts the job among those that are due
 *  to be compared anew, in the same transaction, whoever writes it. This file is never changed. */
export class Migration20261202FinishedJobs extends Migration {
  override up(): void {
    this.addSql(
      `create table "finished_job" ("work_order" text not null, "costs" text not null, "finished_at" integer not null,
       "task_count" integer not null, "difference" text not null, "tasks" text not null, primary key ("work_order", "costs"))`,
    );
    this.addSql(
      'create index "finished_job_costs_finished_at_index" on "finished_job" ("costs", "finished_at")',
    );
    this.addSql('create table "due_job" ("work_order" text not null, primary key ("work_order"))');
    this.addSql('insert into "due_job" select "id" from "work_order"');

    const isDue = (name: string, event: string, table: string, orders: string, when = '') =>
      this.addSql(
        `create trigger "due_job_${name}" after ${event} on "${table}" ${when} begin
           delete from "finished_job" where "work_order" in (${orders});
           insert into "due_job" select * from (${orders}) where true on conflict do nothing;
         end`,
      );
    const orderOf = (row: 'old' | 'new') => `select "work_order" from "task" where "id" = ${row}."target"`;
    isDue('task_mark_in', 'insert', 'task_mark', orderOf('new'));
    isDue('task_mark_out', 'delete', 'task_mark', orderOf('old'));
    isDue('task_mark_changed', 'update', 'task_mark', orderOf('new'));
    // Labor and pieces finish no job: they matter where it is kept. A scan on a job that goes on costs one look.
    const ofKept = (row: 'old' | 'new') =>
      `when exists (select 1 from "finished_job" where "work_order" = (${orderOf(row)}))`;
    for (const table of ['labor_line', 'piece_count']) {
      isDue(`${table}_in`, 'insert', table, orderOf('new'), ofKept('new'));
      isDue(`${table}_out`, 'delete', table, orderOf('old'), ofKept('old'));
      isDue(`${table}_changed`, 'update', table, orderOf('new'), ofKept('new'));
    }
    isDue('task_in', 'insert', 'task', 'select new."work_order"');
    isDue('task_changed', 'update', 'task', 'select old."work_order" union select new."work_order"');
    isDue('task_out', 'delete', 'task', 'select old."work_order"');
    isDue('work_order_in', 'insert', 'work_order', 'select new."id"');
    isDue('work_order_changed', 'update', 'work_order', 'select new."id"');
    isDue('work_order_out', 'delete', 'work_order', 'select old."id"');

    // Whoever did the work has another rate or grade, or a grade another standard rate.
    const workedOnBy = (row: 'old' | 'new') =>
      `select distinct t."work_order" from "labor_line" l join "task" t on t."id" = l."target"
       where l."technician" = ${row}."technician"`;
    isDue('cost_rate_in', 'insert', 'cost_rate', workedOnBy('new'));
    isDue('cost_rate_out', 'delete', 'cost_rate', workedOnBy('old'));
    isDue('cost_rate_changed', 'update', 'cost_rate', workedOnBy('new'));
    for (const event of ['insert', 'delete', 'update'])
      this.addSql(
        `create trigger "due_job_grade_${event}" after ${event} on "grade" begin
           insert into "due_job" select distinct "work_order" from "finished_job" where true on conflict do nothing;
           delete from "finished_job";
         end`,
      );
  }
}
