import { readFile } from 'node:fs/promises';
import { ENDING_OF, LITERATURE_TYPES, MOST_LITERATURE, textPages, type LiteratureType } from '@brisk/core/literature';
import { badInput } from '../http/problem.js';
import { tidied } from '../photos/tidied.js';
import { pagesOfPdf } from './pages-of-pdf.js';

/** Longest edge of a kept sheet: the small print of a wiring diagram is read on it. */
const LONGEST_PX = 6_000;

/** A file as it was sent, or where it was put, and what it says it is. */
export interface LiteratureToRead {
  readonly bytes?: Uint8Array;
  readonly path?: string;
  readonly as: LiteratureType;
}

/** A file of the literature as it is going to be kept. */
export interface ReadLiterature {
  readonly type: LiteratureType;
  readonly pages: number;
  readonly data: Uint8Array;
}

/** What the file called `name` is, by its ending. */
export function typeOf(name: string): LiteratureType {
  return LITERATURE_TYPES.find((type) => name.endsWith(`.${ENDING_OF[type]}`)) ?? 'text';
}

/**
 * Looks whether a file is what it says, and counts its pages. A PDF is kept to the byte, a picture upright and without
 * what stands beside it, a text in UTF-8. Throws `bad-input` with a sentence for the person.
 */
export async function readLiterature({ bytes, path, as }: LiteratureToRead): Promise<ReadLiterature> {
  const data = bytes ?? (await readFile(path ?? ''));
  if (data.length === 0) refused('The file is empty. Nothing was kept.');
  switch (as) {
    case 'pdf':
      return { type: 'pdf', pages: within(await pagesOfPdf(data)), data };
    case 'picture':
      return { type: 'picture', pages: 1, data: (await tidied(Buffer.from(data), LONGEST_PX)).data };
    case 'text': {
      if (data.length > MOST_LITERATURE.textBytes)
        refused(
          `A text of more than ${MOST_LITERATURE.textBytes / 1_000} kB is no notes: save it as a PDF. Nothing was kept.`,
        );
      const text = textIn(data);
      return { type: 'text', pages: within(textPages(text).length), data: Buffer.from(text) };
    }
  }
}

function within(pages: number): number {
  return pages <= MOST_LITERATURE.pages
    ? pages
    : refused(`It has ${pages} pages; ${MOST_LITERATURE.pages} are taken at once. Keep the chapters that are needed.`);
}

/** The text in `data`: UTF-8, UTF-16 where it says so, otherwise the letters of an older Windows. */
function textIn(data: Uint8Array): string {
  const [first, second] = data;
  if (first === 0xff && second === 0xfe) return new TextDecoder('utf-16le').decode(data);
  if (data.includes(0)) refused('That is no text: there is more in it than letters. Nothing was kept.');
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(data);
  } catch {
    return new TextDecoder('windows-1252').decode(data);
  }
}

function refused(words: string): never {
  badInput([{ field: 'file', words }]);
}
