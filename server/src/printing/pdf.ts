import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';

const require = createRequire(import.meta.url);
const face = (weight: number, style = 'normal') =>
  require.resolve(`@fontsource/barlow/files/barlow-latin-${weight}-${style}.woff`);

pdfmake.setFonts({
  Barlow: { normal: face(400), bold: face(700), italics: face(400, 'italic'), bolditalics: face(700, 'italic') },
});
// Nothing is fetched, and nothing is read but the fonts above.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.includes('@fontsource'));

/** `document` as the bytes of a PDF. */
export function pdfOf(document: TDocumentDefinitions): Promise<Buffer> {
  return pdfmake.createPdf(document).getBuffer();
}

/** Millimetres as points. */
export function mm(millimetres: number): number {
  return (millimetres * 72) / 25.4;
}
