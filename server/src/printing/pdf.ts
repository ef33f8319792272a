import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';

const require = createRequire(import.meta.url);
/** TrueType as it is: the compressed kind is unpacked anew for every document, which takes longer than the document. */
const face = (name: string) => require.resolve(`@expo-google-fonts/barlow/${name}/Barlow_${name}.ttf`);

pdfmake.setFonts({
  Barlow: {
    normal: face('400Regular'),
    bold: face('700Bold'),
    italics: face('400Regular_Italic'),
    bolditalics: face('700Bold_Italic'),
  },
});
// Nothing is fetched, and nothing is read but the fonts above.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.includes('@expo-google-fonts'));

/** `document` as the bytes of a PDF. */
export function pdfOf(document: TDocumentDefinitions): Promise<Buffer> {
  return pdfmake.createPdf(document).getBuffer();
}

/** Millimetres as points. */
export function mm(millimetres: number): number {
  return (millimetres * 72) / 25.4;
}
