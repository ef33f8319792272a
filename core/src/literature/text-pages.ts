/** What fits on a page of text: as much as is read from arm’s length. */
export const LETTERS_A_LINE = 92;
export const LINES_A_PAGE = 56;
const TAB = 4;

/**
 * A text as pages of lines that fit: broken between words where that can be, in the middle of one where it is longer than a
 * line; a form feed begins a page. At least one page.
 */
export function textPages(text: string): readonly (readonly string[])[] {
  const pages = text.replace(/\r\n?/g, '\n').split('\f').flatMap(pagesOf);
  return pages.length > 0 ? pages : [[]];
}

function pagesOf(text: string): readonly (readonly string[])[] {
  const lines = text.replace(/\n$/, '').split('\n').flatMap(brokenLine);
  return Array.from({ length: Math.ceil(lines.length / LINES_A_PAGE) }, (_, page) =>
    lines.slice(page * LINES_A_PAGE, (page + 1) * LINES_A_PAGE),
  );
}

function brokenLine(line: string): readonly string[] {
  const lines: string[] = [];
  let rest = tabbed(line).trimEnd();
  while (rest.length > LETTERS_A_LINE) {
    const space = rest.lastIndexOf(' ', LETTERS_A_LINE);
    // A space in the margin of the line is no place to break it: nothing would be left before it.
    const at = space > 0 && rest.slice(0, space).trim() !== '' ? space : LETTERS_A_LINE;
    lines.push(rest.slice(0, at));
    rest = rest.slice(at).replace(/^ /, '');
  }
  return [...lines, rest];
}

function tabbed(line: string): string {
  let wide = '';
  for (const letter of line) wide += letter === '\t' ? ' '.repeat(TAB - (wide.length % TAB)) : letter;
  return wide;
}
