import { Injectable } from '@angular/core';
import { openDB, type IDBPDatabase } from 'idb';

const DATABASE = 'brisk-photos';
const STORE = 'waiting';

/** Pictures on this device that are not on the server yet; they stay over reloads and power cuts. */
@Injectable({ providedIn: 'root' })
export class PhotoShelf {
  private opened: Promise<IDBPDatabase> | undefined;

  /** Keeps a picture under its name. Throws where the device has no room. */
  async put(photo: string, blob: Blob): Promise<void> {
    await (await this.database()).put(STORE, blob, photo);
  }

  async get(photo: string): Promise<Blob | undefined> {
    return (await (await this.database()).get(STORE, photo)) as Blob | undefined;
  }

  async remove(photo: string): Promise<void> {
    await (await this.database()).delete(STORE, photo);
  }

  /** Names of all that wait. */
  async names(): Promise<readonly string[]> {
    return (await (await this.database()).getAllKeys(STORE)) as string[];
  }

  private database(): Promise<IDBPDatabase> {
    this.opened ??= openDB(DATABASE, 1, { upgrade: (database) => void database.createObjectStore(STORE) });
    return this.opened;
  }
}
