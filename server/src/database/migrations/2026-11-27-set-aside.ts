import { Migration } from '@mikro-orm/migrations';

/** A job that is set aside stays with its ledger and is shown apart from those in hand. */
export class SetAside extends Migration {
  override up(): void {
    this.addSql('alter table "job" add column "aside_at" text');
  }

  override down(): void {
    this.addSql('alter table "job" drop column "aside_at"');
  }
}
