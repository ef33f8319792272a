/** Builds the web application, and beside each of its files what goes over the line instead of it. */
import { copyFileSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { gatherChunks } from './gather-chunks.mjs';
import { root, run, shortRun } from './say.mjs';

const web = join(root, 'web');
// Published ready to run: it goes along as it is.
const READS_PDFS = 'pdf.worker.min.mjs';
copyFileSync(join(root, 'node_modules/pdfjs-dist/legacy/build', READS_PDFS), join(web, 'public', READS_PDFS));
await run(...shortRun('ng', 'build', '--progress=false'), { cwd: web });

const built = join(web, 'dist/browser');
await gatherChunks(built);
// What a device keeps is known by its content, which has just become another.
await run(...shortRun('ngsw-config', 'dist/browser', 'ngsw-config.json'), { cwd: web });

for (const entry of readdirSync(built, { recursive: true, withFileTypes: true })) {
  if (!/\.(m?js|css|svg|webmanifest)$/.test(entry.name)) continue;
  const file = join(entry.parentPath, entry.name);
  const bytes = readFileSync(file);
  writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  // Browsers take it on an encrypted line, and from their own machine.
  writeFileSync(`${file}.br`, brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }));
}
