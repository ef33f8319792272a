/** Puts what a view takes into a few files: the builder cuts the application wherever two views part ways, into many small ones. */
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { rolldown } from 'rolldown';

/** Where a crew’s day begins, and what is fetched there when it comes: what any of these takes is gathered by which of them take it. */
const OFTEN_OPENED = ['Yard', 'JobShell', 'Plan', 'Strip', 'Refit', 'TorqueStep', 'AskDialog'];

/** The addresses whose page names the scripts of these views, the narrower address before the wider one. */
const SHOWN_AT = [
  ['/{yard}', ['Yard']],
  ['/jobs/:job/plan', ['JobShell', 'Plan']],
  ['/jobs/:job/strip', ['JobShell', 'Strip']],
  ['/jobs/:job/refit', ['JobShell', 'Refit']],
  ['/jobs/:job{/*rest}', ['JobShell']],
];

/**
 * Gathers the scripts of the application built in `folder`, whose first is called `main-…`. It keeps its name, which the page
 * asks for; what none of the views often opened takes stays cut as it was. `scripts-ahead.json` names, for each of the
 * addresses they are shown at, all that is taken there. Throws where one of these views is not there.
 */
export async function gatherChunks(folder) {
  const name = readdirSync(folder).find((file) => /^main-.*\.js$/.test(file));
  const main = join(folder, name);
  const bundle = await rolldown({ input: main, preserveEntrySignatures: 'allow-extension' });
  const before = new Set();
  let views;
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
            const infoOf = (other) => all.getModuleInfo(other);
            views ??= viewsOftenOpened(main, infoOf);
            takenBy ??= oftenTaken(main, views, infoOf);
            return takenBy.get(script) ?? null;
          },
        },
      ],
    },
  });
  await bundle.close();
  for (const script of before) rmSync(script);
  for (const { fileName, code } of output) writeFileSync(join(folder, fileName), code);

  // The page named what the builder had cut the first script into.
  const page = join(folder, 'index.html');
  writeFileSync(page, readFileSync(page, 'utf8').replaceAll(/<link rel="modulepreload"[^>]*>/g, ''));

  const fileOf = (view) => output.find(({ moduleIds }) => moduleIds.includes(views.get(view))).fileName;
  const importsOf = (file) => output.find(({ fileName }) => fileName === file).imports;
  const ahead = SHOWN_AT.map(([path, shown]) => [path, [...taken([name, ...shown.map(fileOf)], importsOf)]]);
  writeFileSync(join(folder, 'scripts-ahead.json'), JSON.stringify(ahead));
}

/** The `scripts`, and all that these cannot do without by what `importsOf` says of each. */
function taken(scripts, importsOf) {
  const found = new Set(scripts);
  for (const script of found) for (const other of importsOf(script)) found.add(other);
  return found;
}

/** The script that each of the views often opened is in. */
function viewsOftenOpened(main, infoOf) {
  const scripts = taken([main], (script) => [...infoOf(script).importedIds, ...infoOf(script).dynamicallyImportedIds]);
  return new Map(
    OFTEN_OPENED.map((view) => {
      const entry = [...scripts].find((script) => infoOf(script).exports.includes(view));
      if (entry === undefined) throw new Error(`No script of the application has the view ${view}.`);
      return [view, entry];
    }),
  );
}

/**
 * By which of the `views` a script is taken, in one word, for all but those that `main` takes itself. A script takes only
 * what at least the same views take, so that files gathered by that word never take each other in a ring.
 */
function oftenTaken(main, views, infoOf) {
  const importsOf = (script) => infoOf(script).importedIds;
  const first = taken([main], importsOf);
  const takenBy = new Map();
  for (const [view, entry] of views)
    for (const script of taken([entry], importsOf))
      if (!first.has(script)) takenBy.set(script, [...(takenBy.get(script) ?? []), view]);
  return new Map([...takenBy].map(([script, by]) => [script, by.join('-')]));
}
