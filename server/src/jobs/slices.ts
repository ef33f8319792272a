/** So much of a ledger is gone through before somebody else has a turn. */
export const SLICE = 1_000;

/** `items` in pieces of {@link SLICE}. */
export function* slices<Item>(items: readonly Item[]): Generator<readonly Item[]> {
  for (let from = 0; from < items.length; from += SLICE) yield items.slice(from, from + SLICE);
}
