import { setImmediate as nextTurn } from 'node:timers/promises';
import type { LedgerEntry } from '@brisk/core/ledger';
import type { OpenDatabase } from '../database/open.js';
import { SLICE } from '../jobs/slices.js';
import type { LiteratureStore } from '../literature/literature-store.js';
import { photoFile } from '../photos/photo-file.js';
import type { PhotoStore } from '../photos/photo-store.js';
import { hashIn } from './shelf-files.js';

/** A file nobody names is kept this long: its entry may still be on its way, or be taken back by mistake. */
const KEPT_MS = 30 * 86_400_000;

/** What stands on shelves. */
export interface OnShelves {
  readonly photos: PhotoStore;
  readonly literature: LiteratureStore;
}

/**
 * Removes pictures and files that no entry names, or only entries that were taken back, once they have stood so for a
 * month. Where any entry cannot be read nothing is removed. Gives back how many went.
 */
export async function sweepShelves(
  database: OpenDatabase,
  { photos, literature }: OnShelves,
  now: Date,
): Promise<number> {
  const named = await namedFiles(database, now);
  if (!named) return 0;
  let gone = 0;
  for (const shelf of [photos.shelf, literature.shelf]) {
    const old = [...(await shelf.all())].flatMap(([name, cameMs]) =>
      !named.has(name) && now.getTime() - cameMs > KEPT_MS ? [name] : [],
    );
    await shelf.forget(old);
    if (shelf === photos.shelf) await photos.forgetSmall(old.map(hashIn));
    gone += old.length;
  }
  return gone;
}

interface Row {
  readonly document: string;
  readonly recorded_at: string;
}

async function namedFiles(database: OpenDatabase, now: Date): Promise<ReadonlySet<string> | undefined> {
  const rows = await database
    .fork()
    .execute<Row[]>(
      `select "document", "recorded_at" from "ledger_entry" where "kind" in ('photo-taken', 'literature-added', 'corrected')`,
    );
  const takenBack = new Set<string>();
  const files = new Map<string, string>();
  for (const [index, { document, recorded_at: recordedAt }] of rows.entries()) {
    if (index % SLICE === 0) await nextTurn();
    const entry = readable(document);
    if (!entry) return undefined;
    if (entry.kind === 'photo-taken') files.set(entry.id, photoFile(entry.photo));
    if (entry.kind === 'literature-added') files.set(entry.id, entry.file);
    if (entry.kind === 'corrected' && now.getTime() - Date.parse(recordedAt) > KEPT_MS) takenBack.add(entry.corrects);
  }
  return new Set([...files].flatMap(([entry, name]) => (takenBack.has(entry) ? [] : [name])));
}

function readable(document: string): LedgerEntry | undefined {
  try {
    return JSON.parse(document) as LedgerEntry;
  } catch {
    return undefined;
  }
}
