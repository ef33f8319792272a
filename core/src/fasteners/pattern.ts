import type { Connection, FastenerSet } from '../connection-map/index.js';
import { readFastener, type FastenerSpec } from './spec.js';

/** How the holes of a joint lie. */
export const PATTERN_SHAPES = ['circle', 'rectangle', 'bell-housing', 'line', 'free'] as const;
export type PatternShape = (typeof PATTERN_SHAPES)[number];

/** Where one hole is, in millimetres right and down from the left upper corner of the pattern, and what goes into it. */
export interface HolePlace {
  readonly xMm: number;
  readonly yMm: number;
  /** Index among the sets of the joint. */
  readonly set: number;
  /** What is odd about this one: “15 mm shorter”, “with the clip”. */
  readonly note?: string;
}

/** The holes of one joint as somebody looking at it sees them. */
export interface BoltPattern {
  readonly shape: PatternShape;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly holes: readonly HolePlace[];
}

/**
 * `sets`, one hole after the other, evenly along `shape` within a box. A circle begins at the top and goes clockwise; a
 * rectangle goes round its edge from the left upper corner; a bell housing is an arch open at the bottom; free holes
 * begin as rows. Throws a RangeError for a box without a size.
 */
export function positionsOf(
  shape: PatternShape,
  sets: readonly Pick<FastenerSet, 'count'>[],
  widthMm: number,
  heightMm: number,
): BoltPattern {
  if (!(widthMm > 0) || !(heightMm >= 0)) throw new RangeError('A bolt pattern needs a width.');
  const which = sets.flatMap(({ count }, set) => Array.from({ length: count }, () => set));
  const places = placesAlong(shape, which.length, widthMm, heightMm);
  return {
    shape,
    widthMm,
    heightMm,
    holes: which.map((set, index) => {
      const { x, y } = places[index] ?? { x: 0, y: 0 };
      return { xMm: rounded(x), yMm: rounded(y), set };
    }),
  };
}

interface Point {
  readonly x: number;
  readonly y: number;
}

function placesAlong(shape: PatternShape, count: number, width: number, height: number): readonly Point[] {
  const share = (index: number) => (count > 1 ? index / (count - 1) : 0.5);
  switch (shape) {
    case 'circle':
      return each(count, (index) => onEllipse((index / count) * 2 * Math.PI, width, height));
    case 'bell-housing':
      // From the lower left over the top to the lower right: 260 degrees of the arch.
      return each(count, (index) => onEllipse(((share(index) - 0.5) * 260 * Math.PI) / 180, width, height));
    case 'rectangle':
      return each(count, (index) => onRectangle((index / Math.max(1, count)) * 2 * (width + height), width, height));
    case 'line':
      return each(count, (index) => ({ x: share(index) * width, y: height / 2 }));
    case 'free': {
      const columns = Math.max(1, Math.min(count, Math.ceil(Math.sqrt((count * width) / Math.max(1, height)))));
      const rows = Math.max(1, Math.ceil(count / columns));
      return each(count, (index) => ({
        x: (((index % columns) + 0.5) / columns) * width,
        y: ((Math.floor(index / columns) + 0.5) / rows) * height,
      }));
    }
  }
}

function each(count: number, place: (index: number) => Point): readonly Point[] {
  return Array.from({ length: count }, (_, index) => place(index));
}

/** A point on the ellipse in the box, `angle` clockwise from the top. */
function onEllipse(angle: number, width: number, height: number): Point {
  return { x: width / 2 + (Math.sin(angle) * width) / 2, y: height / 2 - (Math.cos(angle) * height) / 2 };
}

/** A point `along` the edge of the box, clockwise from the left upper corner. */
function onRectangle(along: number, width: number, height: number): Point {
  if (along < width) return { x: along, y: 0 };
  if (along < width + height) return { x: width, y: along - width };
  if (along < 2 * width + height) return { x: 2 * width + height - along, y: height };
  return { x: 0, y: 2 * (width + height) - along };
}

function rounded(mm: number): number {
  return Math.round(mm * 10) / 10;
}

/** Holes of about this many diameters apart leave room for a socket. */
const APART = 5;

/** Joints whose bolts lie on a circle. */
const ROUND = /flywheel|drive plate|converter|flange|coupling/i;

/** The pattern a joint begins with before somebody draws its own: by what it is, at a likely size. */
export function usualPattern({ kind, name, carriesLoad }: Connection, sets: readonly FastenerSet[]): BoltPattern {
  const count = sets.reduce((sum, one) => sum + one.count, 0);
  const diameterMm = Math.max(6, ...sets.map((set) => readFastener(set.what).thread?.diameterMm ?? 6));
  const apart = APART * diameterMm;
  if (/bell housing/i.test(name) && count > 3) return positionsOf('bell-housing', sets, 340, 320);
  if ((kind === 'shaft' || ROUND.test(name)) && count > 2) return positionsOf('circle', sets, 90, 90);
  if (count === 4) return positionsOf('rectangle', sets, 1.6 * apart, apart);
  if (count > 4) return positionsOf('rectangle', sets, (count * apart) / 3, (count * apart) / 6);
  if (count === 3 && carriesLoad !== true) return positionsOf('circle', sets, 2 * apart, 2 * apart);
  return positionsOf('line', sets, Math.max(1, (count - 1) * apart), 0);
}

/** A fastener as it is drawn at true scale: shank and head, in millimetres. */
export interface DrawnSize {
  readonly shankMm: number;
  readonly lengthMm: number;
  readonly headAcrossMm: number;
  readonly headHighMm: number;
}

/** Sizes to draw `spec` with; a head nobody measured is drawn as ISO 4017 has it, about 1.6 times the thread. */
export function drawnSize({ thread, lengthMm, drive, driveSize, flanged }: FastenerSpec): DrawnSize {
  const shankMm = thread?.diameterMm ?? 6;
  const flatsMm = drive === 'hex' && driveSize !== undefined ? driveSize : 1.6 * shankMm;
  return {
    shankMm,
    lengthMm: lengthMm ?? 0,
    headAcrossMm: flanged ? flatsMm * 1.3 : flatsMm,
    headHighMm: 0.65 * shankMm,
  };
}

/** Index of the kind of fastener that most holes of `pattern` take; nought where it has none. */
export function commonestSet({ holes }: Pick<BoltPattern, 'holes'>): number {
  const counts = new Map<number, number>();
  for (const { set } of holes) counts.set(set, (counts.get(set) ?? 0) + 1);
  return [...counts].sort((one, other) => other[1] - one[1])[0]?.[0] ?? 0;
}
