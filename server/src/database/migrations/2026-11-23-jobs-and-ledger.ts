import { Migration } from '@mikro-orm/migrations';

/** Jobs and their ledgers. Triggers keep the ledger append-only even from other programs. */
export class JobsAndLedger extends Migration {
  override up(): void {
    this.addSql(`create table "job" (
      "id" text not null primary key,
      "created_at" text not null,
      "document" text not null
    ) strict`);
    this.addSql(`create table "ledger_entry" (
      "id" text not null primary key,
      "job_id" text not null references "job" ("id"),
      "position" integer not null check ("position" > 0),
      "kind" text not null,
      "at" text not null,
      "by" text not null,
      "recorded_at" text not null,
      "document" text not null,
      unique ("job_id", "position")
    ) strict`);
    for (const change of ['update', 'delete'])
      this.addSql(`create trigger "ledger_entry_no_${change}" before ${change} on "ledger_entry"
        begin select raise(abort, 'the ledger is only ever appended to'); end`);
  }

  override down(): void {
    this.addSql('drop table "ledger_entry"');
    this.addSql('drop table "job"');
  }
}
