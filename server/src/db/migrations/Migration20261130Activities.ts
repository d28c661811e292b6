import { Migration } from '@mikro-orm/migrations';

/** What an indirect activity is for, in the shop's own words. This file is never changed. */
export class Migration20261130Activities extends Migration {
  override up(): void {
    this.addSql(`alter table "activity" add column "description" text not null default ''`);
  }
}
