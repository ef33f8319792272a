/** Puts what a view takes into a few files: the builder cuts the application wherever two views part ways, into many small ones. */
import { readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { rolldown } from 'rolldown';

/** Where a crew’s day begins: what any of these takes is gathered by which of them take it. */
const OFTEN_OPENED = ['Yard', 'JobShell', 'Plan', 'Strip'];

/**
 * Gathers the scripts of the application built in `folder`, whose first is called `main-…`. It keeps its name, which the page
 * asks for; what none of the views often opened takes stays cut as it was. Throws where one of these views is not there.
 */
export async function gatherChunks(folder) {
  const name = readdirSync(folder).find((file) => /^main-.*\.js$/.test(file));
  const main = join(folder, name);
  const bundle = await rolldown({ input: main, preserveEntrySignatures: 'allow-extension' });
  const before = new Set();
  let takenBy;
  const { output } = await bundle.generate({
    minify: { mangle: false, compress: false },
    entryFileNames: name,
    chunkFileNames: 'chunk-[hash].js',
    codeSplitting: {
      includeDependenciesRecursively: false,
      groups: [
        {
          name: (script, all) => {
            before.add(script);
            takenBy ??= oftenTaken(main, (other) => all.getModuleInfo(other));
            return takenBy.get(script) ?? null;
          },
        },
      ],
    },
  });
  await bundle.close();
  for (const script of before) rmSync(script);
  for (const { fileName, code } of output) writeFileSync(join(folder, fileName), code);
}

/**
 * By which of the views often opened a script is taken, in one word, for all but those that `main` takes itself. A script
 * takes only what at least the same views take, so that files gathered by that word never take each other in a ring.
 */
function oftenTaken(main, infoOf) {
  const taken = (script, found = new Set()) => {
    if (found.has(script)) return found;
    found.add(script);
    for (const other of infoOf(script).importedIds) taken(other, found);
    return found;
  };
  const first = taken(main);
  const scripts = new Set(first);
  for (const script of scripts) {
    const { importedIds, dynamicallyImportedIds } = infoOf(script);
    for (const other of [...importedIds, ...dynamicallyImportedIds]) scripts.add(other);
  }
  const views = new Map();
  for (const view of OFTEN_OPENED) {
    const entry = [...scripts].find((script) => infoOf(script).exports.includes(view));
    if (entry === undefined) throw new Error(`No script of the application has the view ${view}.`);
    for (const script of taken(entry)) if (!first.has(script)) views.set(script, [...(views.get(script) ?? []), view]);
  }
  return new Map([...views].map(([script, by]) => [script, by.join('-')]));
}
