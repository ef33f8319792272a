import { ChoiceError, completed, type Choices, type Template } from '../layouts/index.js';

type Chosen = readonly [option: string, choice: string];
const keyOf = (one: Chosen, other: Chosen) =>
  [one, other]
    .map(([option, choice]) => `${option}=${choice}`)
    .sort()
    .join();

/**
 * Choices of `template` in which every two that can stand together do so somewhere: each row begins with a pair that no
 * row has yet and takes along as many others as it can.
 */
export function pairwise(template: Template): readonly Choices[] {
  const chosen = template.options.map(({ option, choices }) => choices.map((choice): Chosen => [option, choice]));
  const missing = new Map<string, Choices>();
  chosen.forEach((mine, index) => {
    for (const one of mine)
      for (const other of chosen.slice(index + 1).flat()) {
        const pair: Choices = Object.fromEntries([one, other]);
        if (canStand(template, pair)) missing.set(keyOf(one, other), pair);
      }
  });
  const rows: Choices[] = [];
  for (const pair of missing.values()) {
    let row = pair;
    for (const mine of chosen) {
      const [option] = mine[0] ?? [];
      if (option === undefined || option in row) continue;
      const gain = ([name, choice]: Chosen) =>
        Object.entries(row).filter((other) => missing.has(keyOf([name, choice], other))).length;
      const best = mine
        .filter(([name, choice]) => canStand(template, { ...row, [name]: choice }))
        .sort((one, other) => gain(other) - gain(one))[0];
      if (best) row = { ...row, [best[0]]: best[1] };
    }
    rows.push(row);
    const entries = Object.entries(row);
    entries.forEach((one, index) => {
      for (const other of entries.slice(index + 1)) missing.delete(keyOf(one, other));
    });
  }
  return rows;
}

/** Whether `choices` can stand together once the rest is filled in. */
function canStand(template: Template, choices: Choices): boolean {
  try {
    completed(template, choices);
    return true;
  } catch (error) {
    if (error instanceof ChoiceError) return false;
    throw error;
  }
}
