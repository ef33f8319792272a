import type { Connection, Station } from '../connection-map/index.js';
import type { Extent, Place, Point, Solid } from '../shape/index.js';

/** From where a machine is looked at. */
export const VIEWS = ['above', 'left', 'right', 'below', 'inside'] as const;
export type View = (typeof VIEWS)[number];

/** A point of a picture, in mm of the machine: `u` to the right, `v` down. */
export interface Spot {
  readonly u: number;
  readonly v: number;
}

/** A rectangle of a picture, in mm. */
export interface Frame {
  readonly u: readonly [number, number];
  readonly v: readonly [number, number];
}

const VIEW_OF: Readonly<Record<Station, View>> = {
  'bay-top': 'above',
  front: 'above',
  rear: 'above',
  'wheel-left': 'left',
  'wheel-right': 'right',
  underside: 'below',
  cabin: 'inside',
  bench: 'left',
};

/** The view of the person who opens a connection: the one in which it is drawn. */
export function viewOf({ station }: Pick<Connection, 'station'>): View {
  return VIEW_OF[station];
}

/** Where `place` is seen in `view`: the nose to the left, but from the right, where it is to the right. */
export function seenFrom(view: View, { x, y, z }: Place): Spot {
  switch (view) {
    case 'above':
    case 'inside':
      return { u: -x, v: y };
    case 'below':
      return { u: -x, v: -y };
    case 'left':
      return { u: -x, v: -z };
    case 'right':
      return { u: x, v: -z };
  }
}

/** What is seen of a solid: its outline from the side; from above and below the rectangle it fills. */
export function outlineFrom(view: View, { outline, across }: Solid): readonly Spot[] {
  if (view === 'left' || view === 'right') return outline.map(({ x, z }) => seenFrom(view, { x, y: 0, z }));
  const xs = outline.map(({ x }: Point) => x);
  const [low, high] = [Math.min(...xs), Math.max(...xs)];
  const corner = (x: number, y: number) => seenFrom(view, { x, y, z: 0 });
  return [corner(high, across[0]), corner(high, across[1]), corner(low, across[1]), corner(low, across[0])];
}

/** How near something is to who looks, in mm; what is nearer covers the rest. */
export function nearness(view: View, { y, z }: Extent): number {
  switch (view) {
    case 'above':
    case 'inside':
      return z[1];
    case 'below':
      return -z[0];
    case 'left':
      return y[1];
    case 'right':
      return -y[0];
  }
}

/** Whether two rectangles have something in common. */
export function framesMeet(one: Frame, other: Frame): boolean {
  return one.u[0] < other.u[1] && one.u[1] > other.u[0] && one.v[0] < other.v[1] && one.v[1] > other.v[0];
}

/** The rectangle round `spots` with `roomMm` on every side; a metre square where there are none. */
export function frameRound(spots: readonly Spot[], roomMm: number): Frame {
  if (spots.length === 0) return { u: [-500, 500], v: [-500, 500] };
  const range = (values: readonly number[]) => [Math.min(...values) - roomMm, Math.max(...values) + roomMm] as const;
  return { u: range(spots.map(({ u }) => u)), v: range(spots.map(({ v }) => v)) };
}
