import { Migration } from '@mikro-orm/migrations';

/** What was stored of a job before it was put right, so that nothing is thrown away by it. */
export class PutRight extends Migration {
  override up(): void {
    this.addSql(`create table "put_right" (
      "job_id" text not null references "job" ("id"),
      "at" text not null,
      "stored_before" text not null
    ) strict`);
  }

  override down(): void {
    this.addSql('drop table "put_right"');
  }
}
