/**
 * The seal of the ledger in a job bundle, to be held against one on paper: `npm run seal -- FILE.brisk.json [SEAL]`. Needs
 * nothing but the file.
 */
import { readFile } from 'node:fs/promises';
import { TSC, ensureInstalled } from './prepare.mjs';
import { run, say } from './say.mjs';

await ensureInstalled();
await run(TSC[0], [...TSC.slice(1), '-b', 'core']);
const { readSeal, sealedAt, sealOf } = await import('@brisk/core/seal');
const [file, ...typed] = process.argv.slice(2);
if (file === undefined) {
  say('Say which bundle: npm run seal -- FILE.brisk.json [SEAL]');
  process.exitCode = 1;
} else {
  const { job, ledger } = JSON.parse(await readFile(file, 'utf8'));
  const { entries, hash } = sealOf(job.id, ledger);
  say(`${job.title}: ${entries} entries, seal ${hash.match(/.{4}/g).join(' ')}`);
  if (typed.length > 0) check(job, ledger, typed.join(''));
}

function check(job, ledger, typed) {
  const read = readSeal(typed);
  const position = read === undefined ? undefined : sealedAt(job.id, ledger, read);
  if (position === undefined) process.exitCode = 1;
  if (read === undefined) say('That is no seal: at least 16 signs from 0 to 9 and a to f.');
  else if (position === undefined) say('This ledger has that seal nowhere.');
  else say(`It is the seal of the first ${position} entries; nothing of those was changed since.`);
}
