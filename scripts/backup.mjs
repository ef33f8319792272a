/**
 * Makes a backup while the server may be running: `npm run backup [-- FOLDER]`. Settings: BRISK_DATA (./data), BRISK_BACKUP
 * (./backups) where no folder is named.
 */
import { resolve } from 'node:path';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { say } from './say.mjs';

await ensureInstalled();
await ensureBuilt();
const { BackupError } = await import('../server/dist/backup/backup-folder.js');
const { makeBackup } = await import('../server/dist/backup/make-backup.js');
const data = resolve(process.env.BRISK_DATA ?? './data');
const into = resolve(process.argv[2] ?? process.env.BRISK_BACKUP ?? './backups');
try {
  const { madeAt, jobs, entries, photos, damaged } = await makeBackup(data, into, new Date(), say);
  say(`Backed up ${jobs} jobs, ${entries} entries and ${photos.length} pictures to ${into}, as of ${madeAt}.`);
  for (const photo of damaged) say(`Left out, damaged where it stands: picture ${photo}`);
} catch (error) {
  if (!(error instanceof BackupError)) throw error;
  say(`No backup was made: ${error.message}`);
  process.exitCode = 1;
}
