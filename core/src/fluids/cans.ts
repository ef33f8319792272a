import { FluidError } from './fluid-error.js';

/** Whole cans that hold so much, largest first, and what is left over. */
export interface Cans {
  readonly cans: readonly { readonly sizeL: number; readonly count: number }[];
  readonly litres: number;
  readonly leftL: number;
}

/** Cans are reckoned in tenths of a litre; a shop’s sizes come no finer. */
const TENTHS = 10;
const MOST_L = 2_000;
/** A hundredth of a litre short is a drop in the funnel. */
const A_DROP_L = 0.01;

/**
 * The whole cans of `sizesL` that hold at least `litres` with least left over, and of those the fewest. Exact: the least
 * number of cans for every tenth of a litre up to one can more than is needed. Throws {@link FluidError} without a size, or
 * for more than anybody pours.
 */
export function wholeCans(litres: number, sizesL: readonly number[]): Cans {
  const sizes = [...new Set(sizesL.map((size) => Math.round(size * TENTHS)))].sort((one, other) => other - one);
  if (sizes.length === 0 || sizes.some((size) => size < 1))
    throw new FluidError('Say which cans there are: a can holds a tenth of a litre or more.');
  if (!(litres >= 0 && litres <= MOST_L)) throw new FluidError(`From 0 to ${MOST_L} l are reckoned in cans.`);
  const need = Math.ceil((litres - A_DROP_L) * TENTHS);
  if (need <= 0) return { cans: [], litres: 0, leftL: 0 };
  const most = need + (sizes.at(-1) ?? 0);
  const fewest = new Array<number>(most + 1).fill(Infinity);
  const taken = new Array<number>(most + 1).fill(0);
  fewest[0] = 0;
  for (let tenths = 1; tenths <= most; tenths += 1)
    for (const size of sizes) {
      const cans = (fewest[tenths - size] ?? Infinity) + 1;
      if (cans >= (fewest[tenths] ?? Infinity)) continue;
      fewest[tenths] = cans;
      taken[tenths] = size;
    }
  let total = need;
  while (fewest[total] === Infinity) total += 1;
  const counts = new Map<number, number>();
  for (let left = total; left > 0; left -= taken[left] ?? left)
    counts.set(taken[left] ?? 0, (counts.get(taken[left] ?? 0) ?? 0) + 1);
  return {
    cans: [...counts].sort(([one], [other]) => other - one).map(([size, count]) => ({ sizeL: size / TENTHS, count })),
    litres: total / TENTHS,
    leftL: Math.max(0, total / TENTHS - litres),
  };
}
