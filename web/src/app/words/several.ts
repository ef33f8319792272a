/** "1 step", "4 steps". */
export function several(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** The sentence with its first letter large. */
export function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
