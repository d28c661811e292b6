import { Migration } from '@mikro-orm/migrations';

/** Whether a user sees no more people than those whose time they put right. This file is never changed. */
export class Migration20261130Sight extends Migration {
  override up(): void {
    this.addSql('alter table "desk_user" add column "sees_only_theirs" integer not null default false');
  }
}
