import { Migration } from '@mikro-orm/migrations';

/**
 * What is asked of all jobs at once, kept beside them so that nobody has to fold every ledger for it: how each stands,
 * what it taught, and every line by which something on it is found. All of it can be made anew from the ledgers.
 */
export class JobCards extends Migration {
  override up(): void {
    this.addSql(`create table "job_card" (
      "job_id" text not null primary key references "job" ("id"),
      "edition" integer not null,
      "layout" text not null,
      "machine" text not null,
      "summary" text not null,
      "lessons" text not null
    ) strict`);
    this.addSql('create index "job_card_layout" on "job_card" ("layout")');
    this.addSql(`create table "find_line" (
      "id" integer primary key,
      "job_id" text not null references "job" ("id"),
      "text" text not null,
      "hit" text not null
    ) strict`);
    this.addSql('create index "find_line_job" on "find_line" ("job_id")');
    this.addSql(
      `create virtual table "find_word" using fts5("text", content="find_line", content_rowid="id", tokenize="unicode61 remove_diacritics 0")`,
    );
    this.addSql(`create trigger "find_line_put" after insert on "find_line"
      begin insert into "find_word" ("rowid", "text") values (new."id", new."text"); end`);
    this.addSql(`create trigger "find_line_gone" after delete on "find_line"
      begin insert into "find_word" ("find_word", "rowid", "text") values ('delete', old."id", old."text"); end`);
  }

  override down(): void {
    this.addSql('drop table "find_word"');
    this.addSql('drop table "find_line"');
    this.addSql('drop table "job_card"');
  }
}
