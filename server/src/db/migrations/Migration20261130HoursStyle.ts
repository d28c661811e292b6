import { Migration } from '@mikro-orm/migrations';

/** How each user likes to read hours. This file is never changed. */
export class Migration20261130HoursStyle extends Migration {
  override up(): void {
    this.addSql('alter table "desk_user" add column "hours_style" text null');
  }
}
