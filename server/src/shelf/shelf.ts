import { rm, stat } from 'node:fs/promises';
import { isDiskFull } from '../http/disk-full.js';
import { ProblemError } from '../http/problem.js';
import { hashIn, hashOf, moveTo, namesOn, pathOn, putWhole } from './shelf-files.js';

/** What is said where something of a shelf is not to be had. */
export interface ShelfWords {
  readonly notHere: string;
  readonly diskFull: string;
}

/**
 * A folder of files beside the database, each named by the hash of its contents and its ending, so that the same one sent
 * again is the same one, and none is ever changed.
 */
export class Shelf {
  constructor(
    private readonly folder: string,
    private readonly words: ShelfWords,
    private readonly put: typeof putWhole = putWhole,
  ) {}

  /** Keeps `data` under `name`; gives back whether it was not there, or not whole. Throws `no-room` for a full disk. */
  async keep(name: string, data: Uint8Array): Promise<boolean> {
    // One that got damaged where it is kept is put right by whoever sends it again.
    if (await this.holds(name)) return false;
    await this.write(pathOn(this.folder, name), data);
    return true;
  }

  /** Puts `data` at `path`. Throws `no-room` for a full disk. */
  async write(path: string, data: Uint8Array): Promise<void> {
    try {
      await this.put(path, data);
    } catch (error) {
      if (isDiskFull(error)) throw new ProblemError('no-room', this.words.diskFull);
      throw error;
    }
  }

  /** The file called `name`. Throws `not-found`. */
  async file(name: string): Promise<string> {
    const path = pathOn(this.folder, name);
    if (!(await isThere(path))) throw new ProblemError('not-found', this.words.notHere);
    return path;
  }

  /** Takes over what another shelf put into `folder`, a folder of the same disk. */
  async takeOver(folder: string): Promise<void> {
    for (const name of await namesOn(folder))
      if (!(await this.holds(name))) await moveTo(pathOn(folder, name), pathOn(this.folder, name));
  }

  /** Removes files that no record names. */
  async forget(names: Iterable<string>): Promise<void> {
    for (const name of names) await rm(pathOn(this.folder, name), { force: true });
  }

  /** Every file here, with when it came (ms since 1970). */
  async all(): Promise<ReadonlyMap<string, number>> {
    const names = await namesOn(this.folder);
    return new Map(
      await Promise.all(names.map(async (name) => [name, (await stat(pathOn(this.folder, name))).mtimeMs] as const)),
    );
  }

  /** Whether the file called `name` is here, whole. */
  private async holds(name: string): Promise<boolean> {
    return hashOf(pathOn(this.folder, name)).then(
      (hash) => hash === hashIn(name),
      () => false,
    );
  }
}

/** Whether there is a file at `path`. */
export async function isThere(path: string): Promise<boolean> {
  return stat(path).then(
    (found) => found.isFile(),
    () => false,
  );
}
