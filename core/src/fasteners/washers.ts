/** Washers and sleeves as somebody writes them in a row, from the head on: “wave, flat, clip”. */
export function readWashers(words: string): readonly string[] {
  return words
    .split(/[,;]/)
    .map((word) => word.trim())
    .filter((word) => word !== '');
}
