import { Migration } from '@mikro-orm/migrations';

/** What an order needs beside time. This file is never changed. */
export class Migration20261130Parts extends Migration {
  override up(): void {
    this.addSql(`alter table "work_order" add column "parts" json null`);
  }
}
