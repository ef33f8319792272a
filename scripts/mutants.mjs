/**
 * Which changes to core its own tests do not notice, folder by folder: `npm run mutants -- torque fasteners`; all of
 * them without a name, which takes hours. Prints the score of each folder.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root, run } from './say.mjs';

const named = process.argv.slice(2);
const folders = named.length > 0 ? named : ['torque', 'fasteners', 'teardown', 'refit', 'ledger', 'schedule'];
for (const folder of folders) {
  await run('npx', ['stryker', 'run'], { env: { ...process.env, MUTATED_FOLDER: folder } });
  const { files } = JSON.parse(readFileSync(join(root, `.brisk/mutants-${folder}.json`), 'utf8'));
  const mutants = Object.values(files).flatMap((file) => file.mutants);
  const noticed = mutants.filter(({ status }) => status === 'Killed' || status === 'Timeout').length;
  const tried = mutants.filter(({ status }) => status !== 'Ignored' && status !== 'CompileError').length;
  process.stdout.write(`${folder}: ${noticed} of ${tried} noticed, ${((100 * noticed) / tried).toFixed(1)} %\n`);
}
