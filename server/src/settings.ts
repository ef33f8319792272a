import { readFileSync } from 'node:fs';
import { check } from '@brisk/contracts/check';
import { demoSchema, type Demo } from '@brisk/contracts/people';
import { resolve, sep } from 'node:path';
import type { BackupPlan } from './backup/schedule.js';
import type { TlsPlan } from './tls/certificate.js';

/** What the server is told by its environment. */
export interface Settings {
  readonly host: string;
  readonly port: number;
  /** Folder of the database and all that belongs to it. */
  readonly dataFolder: string;
  readonly logLevel: string;
  /** What the codes of labels open, such as `http://192.168.1.20:4310`; absent: where the request came to. */
  readonly address?: string;
  /** Names it answers to on a network, besides its own. */
  readonly names?: readonly string[];
  /** What the first person of a shop has to know on a network; absent: the server makes one up and says it. */
  readonly firstCode?: string;
  /** What is told of the demo, where that is what is served: anybody gets in by one touch. */
  readonly demo?: DemoToTry;
  /** How the line is encrypted; absent: not at all. */
  readonly tls?: TlsPlan;
  /** Where the data is backed up to, and how often. */
  readonly backup?: BackupPlan;
}

/** What anybody may try of the demo. */
export type DemoToTry = Pick<Demo, 'passphrase' | 'looks'>;

/** A setting that cannot be used; `message` says which and what would be right. */
export class SettingsError extends Error {
  override readonly name = 'SettingsError';
}

const LOG_LEVELS = ['silent', 'fatal', 'error', 'warn', 'info', 'debug', 'trace'];

/** Settings from `BRISK_HOST`, `BRISK_PORT`, `BRISK_DATA`, `BRISK_LOG`, `BRISK_ADDRESS`, `BRISK_NAMES`,
 * `BRISK_BACKUP`, `BRISK_BACKUP_HOURS`, `BRISK_FIRST_CODE`, `BRISK_DEMO`, `BRISK_TLS`, `BRISK_TLS_CERT`
 * and `BRISK_TLS_KEY`. Throws {@link SettingsError}. */
export function settingsFrom(environment: NodeJS.ProcessEnv): Settings {
  const given = environment['BRISK_PORT'] ?? '4310';
  const port = Number(given);
  if (given.trim() === '' || !Number.isInteger(port) || port < 0 || port > 65_535)
    throw new SettingsError(`BRISK_PORT is “${given}”; it has to be a whole number from 0 to 65535.`);
  const host = environment['BRISK_HOST'] ?? '127.0.0.1';
  if (!/^[\w.:-]+$/.test(host))
    throw new SettingsError(`BRISK_HOST is “${host}”; it has to be a host name or an address such as 127.0.0.1.`);
  const folder = environment['BRISK_DATA'] ?? './data';
  if (folder.trim() === '') throw new SettingsError('BRISK_DATA is empty; it has to name a folder.');
  const logLevel = environment['BRISK_LOG'] ?? 'warn';
  if (!LOG_LEVELS.includes(logLevel))
    throw new SettingsError(`BRISK_LOG is “${logLevel}”; it has to be one of ${LOG_LEVELS.join(', ')}.`);
  const address = addressFrom(environment['BRISK_ADDRESS']);
  const dataFolder = resolve(folder);
  const names = namesFrom(environment['BRISK_NAMES'], address);
  const backup = backupFrom(environment, dataFolder);
  const tls = tlsFrom(environment);
  const firstCode = firstCodeFrom(environment['BRISK_FIRST_CODE']);
  const demo = demoFrom(environment['BRISK_DEMO']);
  return {
    host,
    port,
    dataFolder,
    logLevel,
    ...(address === undefined ? {} : { address }),
    ...(names.length > 0 ? { names } : {}),
    ...(backup ? { backup } : {}),
    ...(tls === undefined ? {} : { tls }),
    ...(firstCode === undefined ? {} : { firstCode }),
    ...(demo ? { demo } : {}),
  };
}

/** What the file of the demo says, such as demo/people.json. */
function demoFrom(file = ''): DemoToTry | undefined {
  if (file.trim() === '') return undefined;
  try {
    const { passphrase, looks } = JSON.parse(readFileSync(file, 'utf8')) as DemoToTry;
    const checked = check(demoSchema, { passphrase, looks });
    if ('value' in checked) return checked.value;
  } catch {
    // What cannot be read is told like what says nothing.
  }
  throw new SettingsError(`BRISK_DEMO is “${file}”; it has to be the file of a demo, such as demo/people.json.`);
}

function firstCodeFrom(given = ''): string | undefined {
  if (given.trim() === '') return undefined;
  if (!/^[\w-]{8,40}$/.test(given))
    throw new SettingsError('BRISK_FIRST_CODE has to be eight letters or figures, or more.');
  return given;
}

function tlsFrom(environment: NodeJS.ProcessEnv): TlsPlan | undefined {
  const [how, certificate, key] = ['BRISK_TLS', 'BRISK_TLS_CERT', 'BRISK_TLS_KEY'].map(
    (name) => environment[name]?.trim() ?? '',
  );
  if (how && how !== 'self')
    throw new SettingsError(`BRISK_TLS is “${how}”; it has to be self, or be left out. See also BRISK_TLS_CERT.`);
  if (certificate && key) return { certificate: resolve(certificate), key: resolve(key) };
  if (certificate || key)
    throw new SettingsError(
      'BRISK_TLS_CERT and BRISK_TLS_KEY go together: a certificate is of no use without its key.',
    );
  return how === 'self' ? 'self' : undefined;
}

function namesFrom(given = '', address: string | undefined): readonly string[] {
  const names = given.split(',').flatMap((name) => name.trim() || []);
  const wrong = names.find((name) => !/^[\w.-]+$/.test(name));
  if (wrong !== undefined)
    throw new SettingsError(
      `BRISK_NAMES has “${wrong}” in it; it has to be names such as shed.local, with commas between.`,
    );
  return [...names, ...(address === undefined ? [] : [new URL(address).hostname])];
}

function backupFrom(environment: NodeJS.ProcessEnv, dataFolder: string): BackupPlan | undefined {
  const into = environment['BRISK_BACKUP']?.trim() ?? '';
  if (into === '') return undefined;
  if (`${resolve(into)}${sep}`.startsWith(`${dataFolder}${sep}`))
    throw new SettingsError('BRISK_BACKUP lies within BRISK_DATA; what is lost with the one is lost with the other.');
  const everyHours = Number(environment['BRISK_BACKUP_HOURS'] ?? '24');
  if (!Number.isFinite(everyHours) || everyHours < 0.25 || everyHours > 744)
    throw new SettingsError(
      `BRISK_BACKUP_HOURS is “${environment['BRISK_BACKUP_HOURS']}”; it has to be a number from 0.25 to 744.`,
    );
  return { into: resolve(into), everyHours };
}

function addressFrom(given: string | undefined): string | undefined {
  if (given === undefined || given.trim() === '') return undefined;
  const parsed = URL.canParse(given) ? new URL(given) : undefined;
  if (!parsed || !/^https?:$/.test(parsed.protocol))
    throw new SettingsError(`BRISK_ADDRESS is “${given}”; it has to be an address such as http://192.168.1.20:4310.`);
  return parsed.origin;
}
