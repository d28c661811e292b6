import { Migration } from '@mikro-orm/migrations';

/** Tasks that were written down at a station. This file is never changed. */
export class Migration20261130Written extends Migration {
  override up(): void {
    this.addSql('alter table "task" add column "written" json null');
    this.addSql('alter table "task" add column "written_state" text null');
    this.addSql('alter table "task" add column "written_by" text null');
    this.addSql('create index "task_written_state_index" on "task" ("written_state")');
    this.addSql('create unique index "task_written_by_unique" on "task" ("written_by")');
  }
}
