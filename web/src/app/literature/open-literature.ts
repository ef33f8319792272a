import type { LiteratureType } from '@brisk/core/literature';
import type { Pictured } from '../photos/pictured';

/** A file of the literature that is open: its pages are drawn, and their words are read. */
export interface OpenLiterature {
  /** The page as a picture. Pages count from 1. */
  draw(page: number): Promise<Pictured>;
  /** The words on the page; none where it is a picture of words. */
  words(page: number): Promise<string>;
  close(): void;
}

/** Where the clean copy of a file comes from. */
export function cleanCopyAddress(file: string): string {
  return `/api/literature/${encodeURIComponent(file)}`;
}

/** Opens a file. Fails where it is not here. What draws a PDF is only loaded for one. */
export async function openLiterature(file: string, type: LiteratureType): Promise<OpenLiterature> {
  const address = cleanCopyAddress(file);
  switch (type) {
    case 'pdf':
      return (await import('./open-pdf')).openPdf(address);
    case 'picture':
      return (await import('./open-sheet')).openSheet(address);
    case 'text':
      return (await import('./open-text')).openText(address);
  }
}
