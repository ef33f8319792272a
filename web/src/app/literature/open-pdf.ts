import { getDocument, PDFWorker, type PDFDocumentProxy } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Pictured } from '../photos/pictured';
import type { OpenLiterature } from './open-literature';
import { startPdfWorker } from './start-pdf-worker';

/** The longer edge of a drawn page: small print is read on it at twice its width. */
const LONGER_EDGE_PX = 2_600;
/** What a PDF need not bring along: letters of other scripts, the fonts every reader has, and what unpacks scans. */
const BESIDE = { cMapUrl: '/pdf/cmaps/', standardFontDataUrl: '/pdf/fonts/', wasmUrl: '/pdf/unpack/' } as const;

/** A PDF, read in a worker. Nothing that may be programmed into it is run. */
export async function openPdf(address: string): Promise<OpenLiterature> {
  const port = startPdfWorker();
  const reading = getDocument({
    url: new URL(address, document.baseURI).href,
    worker: PDFWorker.create({ port }),
    enableXfa: false,
    ...BESIDE,
  });
  const close = () => void reading.destroy().finally(() => port.terminate());
  try {
    const pdf = await reading.promise;
    return { draw: (page) => drawn(pdf, page), words: (page) => wordsOn(pdf, page), close };
  } catch (error) {
    close();
    throw error;
  }
}

async function drawn(pdf: PDFDocumentProxy, number: number): Promise<Pictured> {
  const page = await pdf.getPage(number);
  const asItIs = page.getViewport({ scale: 1 });
  const viewport = page.getViewport({ scale: LONGER_EDGE_PX / Math.max(asItIs.width, asItIs.height) });
  const canvas = document.createElement('canvas');
  Object.assign(canvas, { width: Math.ceil(viewport.width), height: Math.ceil(viewport.height) });
  await page.render({ canvas, viewport }).promise;
  page.cleanup();
  return { image: canvas, width: canvas.width, height: canvas.height };
}

async function wordsOn(pdf: PDFDocumentProxy, number: number): Promise<string> {
  const page = await pdf.getPage(number);
  const { items } = await page.getTextContent();
  return items.map((item) => ('str' in item ? item.str : '')).join(' ');
}
