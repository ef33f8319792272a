/** A place in the plane of a joint, in mm. */
export interface PlaceMm {
  readonly xMm: number;
  readonly yMm: number;
}

/** Up to so many bolts every order is looked at (through their subsets); above it is built bolt by bolt. */
const MOST_EXACT = 10;
/** Two orders are as even as each other within this share of the joint’s radius. */
const AS_EVEN = 1e-9;

/**
 * The order in which the bolts at `holes` are tightened, as indices: at every moment the tightened ones lie balanced about
 * the middle of the joint, which is centre outwards for rows and grids and a star for circles; of orders that are as even,
 * the one that does not go from a bolt to its neighbour. Up to {@link MOST_EXACT} bolts no order is more even.
 */
export function tighteningOrder(holes: readonly PlaceMm[]): readonly number[] {
  return holes.length <= MOST_EXACT ? mostEven(holes) : builtUp(holes);
}

/** Clockwise round the middle, seen with y downwards, from the one nearest to twelve o’clock: what a hurried hand does. */
export function clockwiseOrder(holes: readonly PlaceMm[]): readonly number[] {
  const middle = middleOf(holes);
  const angle = ({ xMm, yMm }: PlaceMm) =>
    (Math.atan2(xMm - middle.xMm, middle.yMm - yMm) + 2 * Math.PI) % (2 * Math.PI);
  return holes
    .map((hole, index) => ({ index, angle: angle(hole) }))
    .sort((one, other) => one.angle - other.angle)
    .map(({ index }) => index);
}

/**
 * How far the tightened bolts lie off the middle on average, in shares of the joint’s radius: the mean over k of
 * |centroid of the first k − centroid of all| / radius. Nought would be balanced all the time.
 */
export function unevennessOf(holes: readonly PlaceMm[], order: readonly number[]): number {
  const radius = radiusOf(holes);
  if (radius === 0 || order.length === 0) return 0;
  const offs = offsets(holes);
  let [x, y, sum] = [0, 0, 0];
  order.forEach((index, at) => {
    x += offs[index]?.x ?? 0;
    y += offs[index]?.y ?? 0;
    sum += Math.hypot(x, y) / (at + 1);
  });
  return sum / order.length / radius;
}

interface Offset {
  readonly x: number;
  readonly y: number;
}

/**
 * The most even order of all: how uneven the rest of a way is depends on the set that is tight and on the bolt it ended
 * with, so the best rest of each is worked out from the end (Held and Karp 1962). Of ways that are as even, the one that
 * goes least often from a bolt to its neighbour, then the one that keeps farthest from what is tight already, then the one
 * that begins with the first holes of the drawing.
 */
function mostEven(holes: readonly PlaceMm[]): readonly number[] {
  const count = holes.length;
  const radius = radiusOf(holes);
  if (count < 2 || radius === 0) return holes.map((_, index) => index);
  const { between, neighbours } = distances(holes);
  const offs = offsets(holes);
  const whole = 2 ** count - 1;
  const off = new Float64Array(whole + 1);
  for (let set = 1; set <= whole; set += 1) {
    let [x, y, size] = [0, 0, 0];
    for (let bolt = 0; bolt < count; bolt += 1)
      if (set & (1 << bolt)) {
        x += offs[bolt]?.x ?? 0;
        y += offs[bolt]?.y ?? 0;
        size += 1;
      }
    off[set] = Math.hypot(x, y) / size / radius;
  }
  const even = new Float64Array((whole + 1) * count);
  const shy = new Float64Array((whole + 1) * count);
  const next = new Int8Array((whole + 1) * count).fill(-1);
  const nearest = new Float64Array(count);
  for (let set = whole - 1; set >= 0; set -= 1) {
    let size = 0;
    nearest.fill(Infinity);
    for (let one = 0; one < count; one += 1) {
      if (!(set & (1 << one))) continue;
      size += 1;
      for (let other = 0; other < count; other += 1)
        nearest[other] = Math.min(nearest[other] ?? Infinity, between(one, other));
    }
    for (let last = 0; last < count; last += 1) {
      if (set !== 0 && !(set & (1 << last))) continue;
      const at = set * count + last;
      let [bestEven, bestShy] = [Infinity, Infinity];
      for (let bolt = 0; bolt < count; bolt += 1) {
        if (set & (1 << bolt)) continue;
        const then = (set | (1 << bolt)) * count + bolt;
        const uneven = (off[set | (1 << bolt)] ?? 0) + (even[then] ?? 0);
        const away = set === 0 ? 0 : (nearest[bolt] ?? 0) / radius / (size * size);
        // A neighbour weighs more than any distance does.
        const near = (set !== 0 && neighbours(last, bolt) ? count : 0) - away + (shy[then] ?? 0);
        if (uneven < bestEven - AS_EVEN || (uneven < bestEven + AS_EVEN && near < bestShy - AS_EVEN)) {
          bestEven = Math.min(uneven, bestEven);
          bestShy = near;
          next[at] = bolt;
        }
      }
      even[at] = bestEven;
      shy[at] = bestShy;
    }
  }
  const order: number[] = [];
  for (let [set, bolt] = [0, next[0] ?? -1]; bolt >= 0; bolt = next[set * count + bolt] ?? -1) {
    order.push(bolt);
    set |= 1 << bolt;
  }
  return order;
}

/** A bolt’s neighbours are those about as near to it as the nearest. */
const AS_NEAR = 1.05;

function distances(holes: readonly PlaceMm[]) {
  const apart = holes.map((one) => holes.map((other) => Math.hypot(one.xMm - other.xMm, one.yMm - other.yMm)));
  const between = (one: number, other: number) => apart[one]?.[other] ?? 0;
  const nearest = apart.map((own, at) => Math.min(...own.filter((_, other) => other !== at)));
  const isNear = (own: number, other: number) => between(own, other) <= AS_NEAR * (nearest[own] ?? 0);
  const near = holes.map((_, one) => holes.map((_hole, other) => isNear(one, other) || isNear(other, one)));
  return { between, neighbours: (one: number, other: number) => near[one]?.[other] ?? false };
}

/** Bolt by bolt: the one that keeps the tightened ones nearest to the middle; of equals no neighbour, then the farthest. */
function builtUp(holes: readonly PlaceMm[]): readonly number[] {
  const offs = offsets(holes);
  const apart = distances(holes);
  const slack = AS_EVEN * Math.max(1, radiusOf(holes));
  const left = new Set(holes.keys());
  const order: number[] = [];
  let [x, y] = [0, 0];
  while (left.size > 0) {
    const last = order.at(-1);
    const rated = [...left].map((index) => ({
      index,
      off: Math.hypot(x + (offs[index]?.x ?? 0), y + (offs[index]?.y ?? 0)) / (order.length + 1),
      next: Number(last !== undefined && apart.neighbours(last, index)),
      nearest: Math.min(...order.map((one) => apart.between(one, index))),
    }));
    const least = Math.min(...rated.map(({ off }) => off));
    const [next] = rated
      .filter(({ off }) => off <= least + slack)
      .sort((one, other) => one.next - other.next || other.nearest - one.nearest || one.index - other.index);
    if (!next) break;
    order.push(next.index);
    left.delete(next.index);
    x += offs[next.index]?.x ?? 0;
    y += offs[next.index]?.y ?? 0;
  }
  return order;
}

function middleOf(holes: readonly PlaceMm[]): PlaceMm {
  const sum = holes.reduce(({ xMm, yMm }, hole) => ({ xMm: xMm + hole.xMm, yMm: yMm + hole.yMm }), { xMm: 0, yMm: 0 });
  return { xMm: sum.xMm / Math.max(1, holes.length), yMm: sum.yMm / Math.max(1, holes.length) };
}

function offsets(holes: readonly PlaceMm[]): readonly Offset[] {
  const middle = middleOf(holes);
  return holes.map(({ xMm, yMm }) => ({ x: xMm - middle.xMm, y: yMm - middle.yMm }));
}

function radiusOf(holes: readonly PlaceMm[]): number {
  return Math.max(0, ...offsets(holes).map(({ x, y }) => Math.hypot(x, y)));
}

/**
 * Holes that were touched straight after a neighbour, though neither the next in `order` nor without one farther off still
 * left: so tightened, a joint is drawn to one side. `touched`: holes in the order they were; the neighbours of a hole are the
 * two nearest to it.
 */
export function besideTheLast(
  holes: readonly PlaceMm[],
  order: readonly number[],
  touched: readonly number[],
): readonly number[] {
  const neighbours = (hole: number): readonly number[] => {
    const from = holes[hole];
    const apart = ({ xMm, yMm }: PlaceMm) => Math.hypot(xMm - (from?.xMm ?? 0), yMm - (from?.yMm ?? 0));
    return [...holes.entries()]
      .filter(([other]) => other !== hole)
      .sort(([, one], [, other]) => apart(one) - apart(other))
      .slice(0, 2)
      .map(([other]) => other);
  };
  const left = new Set(holes.keys());
  return touched.filter((hole, at) => {
    const wanted = order.find((one) => left.has(one));
    left.delete(hole);
    const last = touched[at - 1];
    if (last === undefined || last === hole || hole === wanted) return false;
    const near = neighbours(last);
    return near.includes(hole) && [...left].some((other) => !near.includes(other));
  });
}
