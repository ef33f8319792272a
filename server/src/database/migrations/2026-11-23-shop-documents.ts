import { Migration } from '@mikro-orm/migrations';

/** What the shop keeps beside its jobs: its own templates, its inspection sheet. */
export class ShopDocuments extends Migration {
  override up(): void {
    this.addSql(`create table "shop_document" (
      "id" text not null primary key,
      "kind" text not null,
      "revision" integer not null check ("revision" > 0),
      "updated_at" text not null,
      "document" text not null
    ) strict`);
    this.addSql('create index "shop_document_kind" on "shop_document" ("kind")');
  }

  override down(): void {
    this.addSql('drop table "shop_document"');
  }
}
