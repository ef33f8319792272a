import { LETTERS_A_LINE, LINES_A_PAGE, textPages } from '@brisk/core/literature';
import type { Pictured } from '../photos/pictured';
import type { OpenLiterature } from './open-literature';

const LETTER_PX = 26;
const LINE_PX = 38;
const MARGIN_PX = 60;
/** How wide a letter of the typewriter face is, of its height. */
const WIDE = 0.6;

/** A text as pages of a typewriter. */
export async function openText(address: string): Promise<OpenLiterature> {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`${answer.status}`);
  const pages = textPages(await answer.text());
  await document.fonts.ready;
  const lines = (page: number) => pages[page - 1] ?? [];
  return {
    draw: (page) => Promise.resolve(typed(lines(page))),
    words: (page) => Promise.resolve(lines(page).join(' ')),
    close: () => undefined,
  };
}

function typed(lines: readonly string[]): Pictured {
  const canvas = document.createElement('canvas');
  const width = Math.ceil(2 * MARGIN_PX + LETTERS_A_LINE * LETTER_PX * WIDE);
  const height = 2 * MARGIN_PX + Math.max(12, Math.min(LINES_A_PAGE, lines.length)) * LINE_PX;
  Object.assign(canvas, { width, height });
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This browser draws nothing.');
  pen.fillStyle = '#ffffff';
  pen.fillRect(0, 0, width, height);
  pen.fillStyle = '#1d1b16';
  pen.font = `${LETTER_PX}px "B612 Mono", monospace`;
  pen.textBaseline = 'top';
  // A browser without our face has wider letters: none is lost at the edge.
  lines.forEach((line, at) => pen.fillText(line, MARGIN_PX, MARGIN_PX + at * LINE_PX, width - 2 * MARGIN_PX));
  return { image: canvas, width, height };
}
