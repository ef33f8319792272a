import { resolve } from 'node:path';

/** What the server is told by its environment. */
export interface Settings {
  readonly host: string;
  readonly port: number;
  /** Folder of the database and all that belongs to it. */
  readonly dataFolder: string;
  readonly logLevel: string;
}

/** A setting that cannot be used; `message` says which and what would be right. */
export class SettingsError extends Error {
  override readonly name = 'SettingsError';
}

const LOG_LEVELS = ['silent', 'fatal', 'error', 'warn', 'info', 'debug', 'trace'];

/** Settings from `BRISK_HOST`, `BRISK_PORT`, `BRISK_DATA` and `BRISK_LOG`. Throws {@link SettingsError}. */
export function settingsFrom(environment: NodeJS.ProcessEnv): Settings {
  const port = Number(environment['BRISK_PORT'] ?? '4310');
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new SettingsError(
      `BRISK_PORT is “${environment['BRISK_PORT']}”; it has to be a whole number from 0 to 65535.`,
    );
  const host = environment['BRISK_HOST'] ?? '127.0.0.1';
  if (!/^[\w.:-]+$/.test(host))
    throw new SettingsError(`BRISK_HOST is “${host}”; it has to be a host name or an address such as 127.0.0.1.`);
  const folder = environment['BRISK_DATA'] ?? './data';
  if (folder.trim() === '') throw new SettingsError('BRISK_DATA is empty; it has to name a folder.');
  const logLevel = environment['BRISK_LOG'] ?? 'warn';
  if (!LOG_LEVELS.includes(logLevel))
    throw new SettingsError(`BRISK_LOG is “${logLevel}”; it has to be one of ${LOG_LEVELS.join(', ')}.`);
  return { host, port, dataFolder: resolve(folder), logLevel };
}
