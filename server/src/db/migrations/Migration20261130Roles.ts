import { Migration } from '@mikro-orm/migrations';

/** Roles of the shop's own, several roles to a user, and crews whose time a user corrects. This file is never changed. */
export class Migration20261130Roles extends Migration {
  override up(): void {
    this.addSql(
      'create table "role" ("id" text not null, "name" text not null, "rights" json not null, "reach" text not null, primary key ("id"))',
    );
    this.addSql('create unique index "role_name_unique" on "role" ("name")');
    this.addSql('alter table "desk_user" rename column "role" to "roles"');
    this.addSql('update "desk_user" set "roles" = json_array("roles")');
    this.addSql('alter table "desk_user" add column "crews" json null');
  }
}
