/** `query` as words to look for; none where nothing is asked. */
export function wordsAsked(query: string): readonly string[] {
  return query
    .toLowerCase()
    .split(/[\s,]+/)
    .filter((word) => word !== '');
}

/** Whether every one of `words` begins a word of `text`. */
export function answersAll(text: string, words: readonly string[]): boolean {
  const here = text.toLowerCase();
  return words.every((word) => {
    for (let at = here.indexOf(word); at >= 0; at = here.indexOf(word, at + 1))
      if (at === 0 || !/[\p{L}\d]/u.test(here[at - 1] ?? '')) return true;
    return false;
  });
}
