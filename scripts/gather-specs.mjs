/**
 * Gathers the specs of a workspace into a few files that Jest runs each as one: what they have in common (Angular, the layouts,
 * the database) is then loaded once, not once a file. Each spec stands in a `describe` of its own. One that has Jest replace a
 * module stays by itself, since that has to come before anybody loads it.
 */
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { root } from './say.mjs';

/** Replaces modules, or the clock of the whole file. */
const BY_ITSELF = /\bjest\.(mock|doMock|isolateModules)\b/;

/**
 * Writes `parts` files into `folder` that between them require every spec under `from` that ends in `ending`; the largest first,
 * each to the part that has least so far. What stays by itself is required by a file of its own.
 */
export function gatherSpecs({ from, ending, folder, parts }) {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const specs = readdirSync(from, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && entry.name.endsWith(ending))
    .map((entry) => join(entry.parentPath, entry.name))
    .map((path) => ({ path, text: readFileSync(path, 'utf8') }))
    .sort((one, other) => other.text.length - one.text.length);
  const together = Array.from({ length: parts }, () => ({ size: 0, paths: [] }));
  const alone = [];
  for (const { path, text } of specs) {
    if (BY_ITSELF.test(text)) {
      alone.push([path]);
      continue;
    }
    const least = together.reduce((best, one) => (one.size < best.size ? one : best));
    least.size += text.length;
    least.paths.push(path);
  }
  [...together.map(({ paths }) => paths.sort()), ...alone].forEach((paths, at) => {
    const lines = paths.map((path) => {
      const called = relative(dirname(folder), path);
      // Not from the root of the disk: mutants are tried in a copy of everything.
      const from = `./${relative(folder, path)}`;
      return `describe(${JSON.stringify(called)}, () => void require(${JSON.stringify(from)}));`;
    });
    writeFileSync(join(folder, `part-${at + 1}.spec.${ending.endsWith('.ts') ? 'ts' : 'js'}`), `${lines.join('\n')}\n`);
  });
}

/** From where, into how many files. */
const WORKSPACES = {
  core: { from: 'core/src', ending: '.spec.ts', parts: 1 },
  contracts: { from: 'contracts/src', ending: '.spec.ts', parts: 1 },
  server: { from: 'server/src', ending: '.spec.ts', parts: 1 },
  web: { from: 'web/out-tsc/spec/web', ending: '.spec.js', parts: 2 },
};

if (process.argv[1]?.endsWith('gather-specs.mjs'))
  for (const name of process.argv.slice(2)) {
    const { from, ...how } = WORKSPACES[name];
    gatherSpecs({ ...how, from: join(root, from), folder: join(root, name, 'gathered-specs') });
  }
