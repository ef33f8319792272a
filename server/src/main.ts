import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { DataDamagedError } from './database/check-file.js';
import { DataInUseError } from './database/instance-lock.js';
import { serve, type Running } from './serve.js';
import { settingsFrom, SettingsError, type Settings } from './settings.js';

const webFolder = fileURLToPath(new URL('../../web/dist/browser', import.meta.url));

/** Says why the server cannot start, in one line, and leaves. */
function giveUp(words: string): never {
  process.stderr.write(`Brisk Ledger cannot start: ${words}\n`);
  process.exit(1);
}

function explain(error: unknown, settings: Settings): string {
  if (error instanceof DataInUseError || error instanceof DataDamagedError) return error.message;
  const code = error instanceof Error && 'code' in error ? error.code : undefined;
  if (code === 'EADDRINUSE')
    return `port ${settings.port} on ${settings.host} is taken. Stop what listens there, or set BRISK_PORT.`;
  if (code === 'EACCES' || code === 'EROFS' || code === 'ENOTDIR' || code === 'EEXIST')
    return `${settings.dataFolder} cannot be written to. Set BRISK_DATA to a folder of yours.`;
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
const logger = pino({ level: settings.logLevel });
let running: Running;
try {
  running = await serve(settings, webFolder, logger);
} catch (error) {
  giveUp(explain(error, settings));
}
process.stdout.write(`Brisk Ledger is open at ${running.address} (data in ${settings.dataFolder})\n`);

let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    if (stopping) process.exit(1);
    stopping = true;
    void running.stop().then(() => process.exit(0));
  });
