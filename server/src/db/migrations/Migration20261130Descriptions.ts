import { Migration } from '@mikro-orm/migrations';

/** What there is to say of a task as a whole. This file is never changed. */
export class Migration20261130Descriptions extends Migration {
  override up(): void {
    this.addSql(`alter table "task" add column "description" text not null default ''`);
  }
}
