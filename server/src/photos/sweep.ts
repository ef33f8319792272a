import { setImmediate as nextTurn } from 'node:timers/promises';
import type { LedgerEntry } from '@brisk/core/ledger';
import type { OpenDatabase } from '../database/open.js';
import { SLICE } from '../jobs/slices.js';
import type { PhotoStore } from './photo-store.js';

/** A picture nobody names is kept this long: its entry may still be on its way, or be taken back by mistake. */
const KEPT_MS = 30 * 86_400_000;

/**
 * Removes pictures that no entry names, or only entries that were taken back, once they have stood so for a month. Where
 * any entry cannot be read nothing is removed. Gives back how many went.
 */
export async function sweepPhotos(database: OpenDatabase, store: PhotoStore, now: Date): Promise<number> {
  const named = await namedPhotos(database, now);
  if (!named) return 0;
  const old = [...(await store.all())].filter(
    ([photo, cameMs]) => !named.has(photo) && now.getTime() - cameMs > KEPT_MS,
  );
  await store.forget(old.map(([photo]) => photo));
  return old.length;
}

interface Row {
  readonly document: string;
  readonly recorded_at: string;
}

async function namedPhotos(database: OpenDatabase, now: Date): Promise<ReadonlySet<string> | undefined> {
  const rows = await database
    .fork()
    .execute<Row[]>(
      `select "document", "recorded_at" from "ledger_entry" where "kind" in ('photo-taken', 'corrected')`,
    );
  const takenBack = new Set<string>();
  const photos = new Map<string, string>();
  for (const [index, { document, recorded_at: recordedAt }] of rows.entries()) {
    if (index % SLICE === 0) await nextTurn();
    const entry = readable(document);
    if (!entry) return undefined;
    if (entry.kind === 'photo-taken') photos.set(entry.id, entry.photo);
    if (entry.kind === 'corrected' && now.getTime() - Date.parse(recordedAt) > KEPT_MS) takenBack.add(entry.corrects);
  }
  return new Set([...photos].flatMap(([entry, photo]) => (takenBack.has(entry) ? [] : [photo])));
}

function readable(document: string): LedgerEntry | undefined {
  try {
    return JSON.parse(document) as LedgerEntry;
  } catch {
    return undefined;
  }
}
