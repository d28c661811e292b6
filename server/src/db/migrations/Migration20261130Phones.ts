import { Migration } from '@mikro-orm/migrations';

/** Whose own phone a station is. This file is never changed. */
export class Migration20261130Phones extends Migration {
  override up(): void {
    this.addSql('alter table "station" add column "owner" text null');
    this.addSql('create unique index "station_owner_unique" on "station" ("owner")');
  }
}
