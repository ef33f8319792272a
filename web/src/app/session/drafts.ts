import { Injectable } from '@angular/core';
import { openDB, type IDBPDatabase } from 'idb';

const DATABASE = 'brisk-drafts';
const STORE = 'drafts';

/**
 * What somebody is making on this device and has not handed in: a changed map, a plan. It stays over reloads, and has
 * room of its own, so that a large one never stands in the way of what is recorded.
 */
@Injectable({ providedIn: 'root' })
export class Drafts {
  private opened: Promise<IDBPDatabase> | undefined;

  /** What is kept under `key`, whatever it is; undefined where nothing is, or where this browser keeps nothing. */
  async read(key: string): Promise<unknown> {
    try {
      const database = await this.database();
      return (await database.get(STORE, key)) ?? (await this.fromEarlier(database, key));
    } catch {
      return undefined;
    }
  }

  /** Keeps `draft` under `key`, or forgets it where there is none. Throws where the device has no room. */
  async keep(key: string, draft: unknown): Promise<void> {
    const database = await this.database();
    if (draft === undefined) await database.delete(STORE, key);
    else await database.put(STORE, draft, key);
  }

  /** Versions before this one kept drafts as text beside what was recorded: moved over, once. */
  private async fromEarlier(database: IDBPDatabase, key: string): Promise<unknown> {
    const text = localStorage.getItem(key);
    if (text === null) return undefined;
    const draft = parsed(text);
    if (draft !== undefined) await database.put(STORE, draft, key);
    localStorage.removeItem(key);
    return draft;
  }

  private database(): Promise<IDBPDatabase> {
    this.opened ??= openDB(DATABASE, 1, { upgrade: (database) => void database.createObjectStore(STORE) });
    return this.opened;
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) ?? undefined;
  } catch {
    return undefined;
  }
}
