/**
 * Which changes to core its own tests do not notice, folder by folder or file by file: `npm run mutants -- torque
 * ledger/gates.ts`; without a name every folder, which takes hours. `--sample 0.1` tries a tenth of them, `--seed 2` another
 * tenth. Prints the score of each.
 */
import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { gatherSpecs } from './gather-specs.mjs';
import { packaged, root, run, say } from './say.mjs';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { sample: { type: 'string' }, seed: { type: 'string', default: '1' } },
});
const share = values.sample === undefined ? 1 : Number(values.sample);
if (!(share > 0 && share <= 1)) {
  say('A sample is a share of all changes, more than 0 and at most 1: --sample 0.1');
  process.exit(1);
}
const source = join(root, 'core/src');
/** Folders with tests of their own; what only helps tests is not tried. */
const tested = () =>
  readdirSync(source).filter(
    (folder) =>
      folder !== 'testing' &&
      readdirSync(join(source, folder), { recursive: true }).some((name) => name.endsWith('.spec.ts')),
  );
const sample = share < 1 ? { MUTANTS_SHARE: String(share), MUTANTS_SEED: values.seed } : {};
const GATHERED = 'core/mutants-specs';
const lines = [];
for (const what of positionals.length > 0 ? positionals : tested()) {
  const [folder] = what.split('/');
  // Core is then loaded once a change, and not once a spec.
  gatherSpecs({ from: join(source, folder), ending: '.spec.ts', folder: join(root, GATHERED), parts: 1 });
  await run(...packaged('stryker', 'run'), { env: { ...process.env, ...sample, MUTATED: what } });
  const { files } = JSON.parse(readFileSync(join(root, `.brisk/mutants-${what.replaceAll('/', '-')}.json`), 'utf8'));
  const mutants = Object.values(files).flatMap((file) => file.mutants);
  const noticed = mutants.filter(({ status }) => status === 'Killed' || status === 'Timeout').length;
  const tried = noticed + mutants.filter(({ status }) => status === 'Survived' || status === 'NoCoverage').length;
  const score = tried === 0 ? 'nothing to try' : `${((100 * noticed) / tried).toFixed(1)} %`;
  lines.push(`${what}: ${noticed} of ${tried} noticed, ${score}`);
}
rmSync(join(root, GATHERED), { recursive: true, force: true });
process.stdout.write(`${lines.join('\n')}\n`);
