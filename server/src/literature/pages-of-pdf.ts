import { badInput } from '../http/problem.js';

/** How near its end a PDF has its mark of the end (ISO 32000, 7.5.5), and how much is forgiven behind it. */
const END_WITHIN = 65_536;

/** How many pages the PDF in `data` has. Throws `bad-input` for what is none, breaks off, or is locked. */
export async function pagesOfPdf(data: Uint8Array): Promise<number> {
  const text = (from: number, to?: number) => Buffer.from(data.subarray(from, to)).toString('latin1');
  if (!text(0, 1_024).includes('%PDF-'))
    refused('That file calls itself a PDF and is none. Open it in another program and save it as a PDF.');
  if (!text(Math.max(0, data.length - END_WITHIN)).includes('%%EOF'))
    refused('That PDF breaks off before its end. Fetch it once more; nothing was kept.');
  // Threads that print something need not load it.
  const { getDocument, VerbosityLevel } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  // The reader takes over what it is given.
  const reading = getDocument({ data: Uint8Array.from(data), verbosity: VerbosityLevel.ERRORS, useSystemFonts: false });
  try {
    const { numPages } = await reading.promise;
    return numPages;
  } catch (error) {
    const name = error instanceof Error ? error.name : '';
    if (name === 'PasswordException')
      refused('That PDF is locked with a password. Save a copy without one, as far as you may, and take that.');
    if (name === 'InvalidPDFException') refused('That PDF is damaged: its pages are not found.');
    throw error;
  } finally {
    await reading.destroy();
  }
}

function refused(words: string): never {
  badInput([{ field: 'file', words }]);
}
