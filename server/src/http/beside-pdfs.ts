import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import express, { Router } from 'express';

/** Folders of the PDF reader, by the address they are served at: letters of other scripts, usual fonts, what unpacks scans. */
const FOLDERS = { '/pdf/cmaps': 'cmaps', '/pdf/fonts': 'standard_fonts', '/pdf/unpack': 'wasm' } as const;

/** Serves what PDFs do not bring along and the reader in the browser asks for. */
export function besidePdfs(): Router {
  const home = dirname(createRequire(import.meta.url).resolve('pdfjs-dist/package.json'));
  const router = Router();
  for (const [address, folder] of Object.entries(FOLDERS))
    router.use(address, express.static(join(home, folder), { index: false, maxAge: '1d' }));
  return router;
}
