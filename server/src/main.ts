import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { DataDamagedError } from './database/check-file.js';
import { DataInUseError } from './database/instance-lock.js';
import { isDiskFull } from './http/disk-full.js';
import type { Running } from './serve.js';
import { CertificateError } from './tls/certificate.js';
import { settingsFrom, SettingsError, type Settings } from './settings.js';

const webFolder = fileURLToPath(new URL('../../web/dist/browser', import.meta.url));

const CANNOT_BE_WRITTEN = new Set<unknown>([
  'EACCES',
  'EPERM',
  'EROFS',
  'ENOTDIR',
  'EEXIST',
  'ENOENT',
  'SQLITE_CANTOPEN',
  'SQLITE_READONLY',
]);

/** Says why the server cannot start, in one line, and leaves. */
function giveUp(words: string): never {
  process.stderr.write(`Brisk Ledger cannot start: ${words}\n`);
  process.exit(1);
}

function explain(error: unknown, settings: Settings): string {
  if (error instanceof DataInUseError || error instanceof DataDamagedError || error instanceof CertificateError)
    return error.message;
  const code = error instanceof Error && 'code' in error ? error.code : undefined;
  if (code === 'EADDRINUSE')
    return `port ${settings.port} on ${settings.host} is taken. Stop what listens there, or set BRISK_PORT.`;
  if (code === 'EACCES' && error instanceof Error && 'syscall' in error && error.syscall === 'listen')
    return `port ${settings.port} is kept for the administrator of this machine. Set BRISK_PORT to one above 1023.`;
  if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND' || code === 'EAI_AGAIN')
    return `${settings.host} is no address of this machine. Set BRISK_HOST to one of its own, or to 127.0.0.1.`;
  if (CANNOT_BE_WRITTEN.has(code) || (error instanceof Error && /Unable to open connection/.test(error.message)))
    return `${settings.dataFolder} cannot be written to. Set BRISK_DATA to a folder of yours.`;
  if (isDiskFull(error)) return `the disk of ${settings.dataFolder} is full. Make room, and start it again.`;
  return error instanceof Error ? error.message : String(error);
}

function readSettings(): Settings {
  try {
    return settingsFrom(process.env);
  } catch (error) {
    return giveUp(error instanceof SettingsError ? error.message : String(error));
  }
}

const settings = readSettings();
// Whoever mistyped a setting is told at once, not after everything was loaded.
const { serve } = await import('./serve.js');
const logger = pino({ level: settings.logLevel });
let running: Running;
try {
  running = await serve(settings, webFolder, logger);
} catch (error) {
  giveUp(explain(error, settings));
}
process.stdout.write(`Brisk Ledger is open at ${running.address} (data in ${settings.dataFolder})\n`);

if (running.firstCode !== undefined)
  process.stdout.write(
    `Nobody is let in yet. Open its page and make the first person with the code ${running.firstCode}\n`,
  );

let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    // Whoever asks twice does not want to wait; what was answered is on the disk.
    if (stopping) process.exit(0);
    stopping = true;
    void running.stop().then(() => process.exit(0));
  });
