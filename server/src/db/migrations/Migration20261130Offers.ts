import { Migration } from '@mikro-orm/migrations';

/** Estimates that are asked for, the offers made of them, and the demo's mail. This file is never changed. */
export class Migration20261130Offers extends Migration {
  override up(): void {
    this.addSql(
      'create table "estimate_ask" ("work_order" text not null, "at" integer not null, "asked_by" text not null, "words" text not null, "until_day" integer null, "contact" text not null, "materials" json not null, "offer_words" text not null, "holds_until_day" integer null, "answered_at" integer null, primary key ("work_order"))',
    );
    this.addSql('create index "estimate_ask_answered_at_index" on "estimate_ask" ("answered_at")');
    this.addSql(
      'create table "offer" ("id" text not null, "work_order" text not null, "number" text not null, "place" integer not null, "at" integer not null, "made_by" text not null, "body" json not null, "answer" json null, primary key ("id"))',
    );
    this.addSql('create unique index "offer_number_unique" on "offer" ("number")');
    this.addSql('create index "offer_work_order_index" on "offer" ("work_order")');
    this.addSql(
      'create table "mail" ("id" text not null, "at" integer not null, "to" text not null, "subject" text not null, "text" text not null, "work_order" text not null, "offer" text not null, primary key ("id"))',
    );
    this.addSql('create index "mail_offer_index" on "mail" ("offer")');
  }
}
