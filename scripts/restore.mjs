/**
 * Goes back to a backup: `npm run restore -- FOLDER-OF-ONE-BACKUP [DATA-FOLDER]`. The data that stood there is kept under
 * another name. Without a folder the backups there are are listed. Settings: BRISK_DATA (./data), BRISK_BACKUP (./backups).
 */
import { resolve } from 'node:path';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { say } from './say.mjs';

await ensureInstalled();
await ensureBuilt();
const { backupsIn, BackupError } = await import('../server/dist/backup/backup-folder.js');
const { restore } = await import('../server/dist/backup/restore.js');
const { DataInUseError } = await import('../server/dist/database/instance-lock.js');
const [from, to = process.env.BRISK_DATA ?? './data'] = process.argv.slice(2);
if (from === undefined) {
  const into = resolve(process.env.BRISK_BACKUP ?? './backups');
  const found = await backupsIn(into);
  say(found.length === 0 ? `There is no backup in ${into}.` : 'Name one of these:');
  for (const { folder, backup } of found)
    process.stdout.write(
      `${folder}  ${backup.jobs} jobs, ${backup.entries} entries, ${backup.photos.length} pictures\n`,
    );
  process.exitCode = 1;
} else
  try {
    const { backup, before } = await restore(resolve(from), resolve(to), new Date(), say);
    say(`${resolve(to)} is as it was at ${backup.madeAt}: ${backup.jobs} jobs, ${backup.entries} entries.`);
    if (before) say(`What stood there before is kept in ${before}.`);
  } catch (error) {
    if (!(error instanceof BackupError || error instanceof DataInUseError)) throw error;
    say(`Nothing was changed: ${error.message}`);
    process.exitCode = 1;
  }
