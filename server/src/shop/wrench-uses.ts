import type { WrenchRack } from '@brisk/core/torque';
import type { OpenDatabase } from '../database/open.js';

interface Row {
  readonly uses: number;
}

/** How often each wrench clicked since it was calibrated, by every ledger of the shop: once for each bolt it was read on. */
export async function usesOf(
  database: OpenDatabase,
  { wrenches }: WrenchRack,
): Promise<Readonly<Record<string, number>>> {
  const em = database.fork();
  const uses: Record<string, number> = {};
  for (const { id, calibratedOn = '' } of wrenches) {
    const [row] = await em.execute<Row[]>(
      `select coalesce(sum(case "kind" when 'bolts-tightened' then json_array_length("document", '$.bolts') else 1 end), 0) as "uses"
       from "ledger_entry"
       where "kind" in ('bolts-tightened', 'torque-read') and "recorded_at" >= ?
         and coalesce(json_extract("document", '$.wrench.id'), json_extract("document", '$.wrench')) = ?`,
      [calibratedOn, id],
    );
    uses[id] = Number(row?.uses ?? 0);
  }
  return uses;
}
