import { Migration } from '@mikro-orm/migrations';

/** How often a wrench was used is asked of all ledgers at once. */
export class TorqueIndex extends Migration {
  override up(): void {
    this.addSql(`create index "ledger_entry_torque" on "ledger_entry" ("kind", "recorded_at")
      where "kind" in ('bolts-tightened', 'torque-read')`);
  }

  override down(): void {
    this.addSql('drop index "ledger_entry_torque"');
  }
}
