import { existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';

/**
 * Makes `folder` and those it is in. Throws the system’s error where that cannot be; unlike `recursive`, which tries for
 * ever within a folder that says it is there and takes none.
 */
export function makeFolder(folder: string): void {
  if (existsSync(folder) && statSync(folder).isDirectory()) return;
  if (dirname(folder) !== folder) makeFolder(dirname(folder));
  mkdirSync(folder);
}
