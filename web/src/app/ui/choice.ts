/** One of several answers: what is kept, how it is said, and why it cannot be taken, where that is so. */
export interface Choice<Value> {
  readonly value: Value;
  readonly words: string;
  readonly not?: string | undefined;
}

/** The answers of a table of words, in its order. */
export function choicesOf<Word extends string>(
  words: Readonly<Record<Word, string>>,
  order: readonly Word[] = Object.keys(words) as Word[],
): readonly Choice<Word>[] {
  return order.map((value) => ({ value, words: words[value] }));
}
