/**
 * Literature: files kept with a job, as they came and with what is drawn on their pages, and which page belongs to which
 * step, joint or part.
 */
export {
  ENDING_OF,
  LITERATURE_TYPES,
  LITERATURE_TYPE_WORDS,
  MOST_LITERATURE,
  type KeptLiterature,
  type LiteratureType,
} from './kept.js';
export { LETTERS_A_LINE, LINES_A_PAGE, textPages } from './text-pages.js';
export { pagesFor, pagesForPart, pinnedToWords, type PageFor } from './pages-for.js';
