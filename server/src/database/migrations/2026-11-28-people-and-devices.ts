import { Migration } from '@mikro-orm/migrations';

/** Who is of the shop, which devices were let in, and who has signed in on each. Of secrets only what checks them is kept. */
export class PeopleAndDevices extends Migration {
  override up(): void {
    this.addSql(`create table "person" ("id" text not null primary key, "name" text not null collate nocase unique,
      "role" text not null, "since" text not null, "passphrase_hash" text not null, "pin_hash" text not null,
      "out_at" text)`);
    this.addSql(`create table "device" ("id" text not null primary key, "name" text not null, "token_hash" text not null
      unique, "since" text not null, "last_seen" text not null, "person_id" text references "person" ("id"),
      "by_code" integer not null default 0)`);
    this.addSql(`create table "device_person" ("device_id" text not null references "device" ("id") on delete cascade,
      "person_id" text not null references "person" ("id"), "pin_at" text not null,
      primary key ("device_id", "person_id"))`);
  }

  override down(): void {
    this.addSql('drop table "device_person"');
    this.addSql('drop table "device"');
    this.addSql('drop table "person"');
  }
}
