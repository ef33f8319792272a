/** A point of the side view, in mm: `x` along the machine, positive to the nose; `z` up from the ground. */
export interface Point {
  readonly x: number;
  readonly z: number;
}

/** From low to high, in mm. */
export type Interval = readonly [number, number];

/** A convex outline in the side view, anticlockwise, and how far it reaches across (positive to the left). */
export interface Solid {
  readonly outline: readonly Point[];
  readonly across: Interval;
}

/** A point in the machine, in mm: along, across, up. */
export interface Place {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** A box that holds something, in mm. */
export interface Extent {
  readonly x: Interval;
  readonly y: Interval;
  readonly z: Interval;
}

/**
 * The convex hull of `points`, anticlockwise from the lowest x, with no point on an edge between two others
 * (A. M. Andrew’s monotone chain, 1979).
 */
export function hullOf(points: readonly Point[]): readonly Point[] {
  const sorted = [...points].sort((one, other) => one.x - other.x || one.z - other.z);
  const chain = (some: readonly Point[]): readonly Point[] => {
    const kept: Point[] = [];
    for (const point of some) {
      for (;;) {
        const [last, before] = [kept.at(-1), kept.at(-2)];
        if (!last || !before || turn(before, last, point) > 0) break;
        kept.pop();
      }
      kept.push(point);
    }
    return kept.slice(0, -1);
  };
  return [...chain(sorted), ...chain([...sorted].reverse())];
}

/** Twice the area of the triangle, in mm²: above zero where it goes round anticlockwise. */
export function turn(one: Point, two: Point, three: Point): number {
  return (two.x - one.x) * (three.z - one.z) - (two.z - one.z) * (three.x - one.x);
}

/** The area of an anticlockwise outline in mm² and its middle, by the shoelace formula. */
export function areaOf(outline: readonly Point[]): { readonly mm2: number; readonly middle: Point } {
  let twice = 0;
  let x = 0;
  let z = 0;
  outline.forEach((one, index) => {
    const next = outline[(index + 1) % outline.length] ?? one;
    const cross = one.x * next.z - next.x * one.z;
    twice += cross;
    x += (one.x + next.x) * cross;
    z += (one.z + next.z) * cross;
  });
  return { mm2: twice / 2, middle: { x: x / (3 * twice), z: z / (3 * twice) } };
}

/** The box round `solids`, or nothing where there are none. */
export function extentOf(solids: readonly Solid[]): Extent | undefined {
  if (solids.length === 0) return undefined;
  const points = solids.flatMap(({ outline }) => outline);
  const range = (values: readonly number[]): Interval => [Math.min(...values), Math.max(...values)];
  return {
    x: range(points.map(({ x }) => x)),
    y: range(solids.flatMap(({ across }) => across)),
    z: range(points.map(({ z }) => z)),
  };
}

/** The middle of the volume of `solids`: area by width. */
export function middleOf(solids: readonly Solid[]): Place {
  let volume = 0;
  const sum = { x: 0, y: 0, z: 0 };
  for (const { outline, across } of solids) {
    const { mm2, middle } = areaOf(outline);
    const share = mm2 * (across[1] - across[0]);
    volume += share;
    sum.x += share * middle.x;
    sum.y += (share * (across[0] + across[1])) / 2;
    sum.z += share * middle.z;
  }
  return { x: sum.x / volume, y: sum.y / volume, z: sum.z / volume };
}
