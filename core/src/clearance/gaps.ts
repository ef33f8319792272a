import { flat, gapOf, type Flat } from '../shape/index.js';
import { meets, pairOf, turned, type Body, type Pose, type Scene } from './scene.js';

const { abs, hypot, max, min } = Math;
/** What sums of figures are off by. */
const ROUNDING_MM = 1e-9;

/** The nearest two things at a pose: how far apart, in mm; below zero how deep they are in each other. */
export interface Gap {
  readonly mm: number;
  readonly moving: Body;
  readonly still: Body;
}

interface Pair {
  readonly moving: Body;
  readonly still: Body;
  /** Which of the moving bodies. */
  readonly of: number;
  readonly outline: Flat;
  readonly box: readonly [x0: number, x1: number, z0: number, z1: number];
}

/** Exact gaps of a scene. A pair counts only where the two reach to the same place across the machine. */
export class Gaps {
  private readonly pairs: readonly Pair[];
  /** The farthest corner of what moves from its pivot, in mm. */
  readonly reachMm: number;
  private readonly tilts = new Map<
    number,
    { readonly outlines: readonly Flat[]; readonly boxes: readonly Pair['box'][] }
  >();
  private outlines: readonly Flat[] = [];
  private boxes: readonly Pair['box'][] = [];

  constructor(readonly scene: Scene) {
    const { moving, still, pivot } = scene;
    const outlines = new Map(still.map((theirs) => [theirs, flat(theirs.outline)]));
    this.pairs = moving.flatMap((mine, of) =>
      still
        .filter((theirs) => meets(scene, mine, theirs))
        .map((theirs): Pair => {
          const outline = outlines.get(theirs) ?? flat(theirs.outline);
          return { moving: mine, still: theirs, of, outline, box: boxOf(outline) };
        }),
    );
    this.reachMm = max(
      0,
      ...moving.flatMap(({ outline }) => outline.map(({ x, z }) => hypot(x - pivot.x, z - pivot.z))),
    );
  }

  /** The nearest pair at `pose`, or nothing where every gap is `enoughMm` or more. */
  at(pose: Pose, enoughMm = Infinity): Gap | undefined {
    let nearest: Pair | undefined;
    let best = enoughMm;
    this.each(
      pose,
      () => best,
      (pair, gap) => {
        if (gap >= best) return;
        best = gap;
        nearest = pair;
      },
    );
    return nearest && { mm: best, moving: nearest.moving, still: nearest.still };
  }

  /** The nearest `count` pairs of different things at `pose`, nearest first. */
  nearest(pose: Pose, count: number, withinMm: number): readonly Gap[] {
    const byThings = new Map<string, Gap>();
    this.each(
      pose,
      () => withinMm,
      ({ moving, still }, mm) => {
        const key = pairOf(moving, still);
        if (mm < (byThings.get(key)?.mm ?? withinMm)) byThings.set(key, { mm, moving, still });
      },
    );
    return [...byThings.values()].sort((one, other) => one.mm - other.mm).slice(0, count);
  }

  /**
   * No two things come nearer than this on the straight way from `from` to `to`, turning evenly; at most `toMm` below
   * what is true. Looked at in halves until what may have moved between two looks cannot matter: no corner moves farther
   * than the shift and its radius by the angle. Stops early below `floorMm`.
   */
  along(from: Pose, to: Pose, floorMm = -Infinity, enoughMm = Infinity, toMm = 0.25): number {
    let least = enoughMm;
    const look = (a: number, b: number): void => {
      const middle = poseBetween(from, to, (a + b) / 2);
      const half = (travelMm(from, to, this.reachMm) * (b - a)) / 2;
      const gap = this.at(middle, least + half)?.mm ?? least + half;
      const sure = gap - half;
      if (sure >= least - ROUNDING_MM) return;
      if (half <= toMm || gap < floorMm) {
        least = min(least, sure);
        return;
      }
      look(a, (a + b) / 2);
      if (least >= floorMm) look((a + b) / 2, b);
    };
    look(0, 1);
    return least;
  }

  /** Every pair that may be nearer than `within` says, with its gap. */
  private each(pose: Pose, within: () => number, take: (pair: Pair, mm: number) => void): void {
    const { pivot } = this.scene;
    this.turnTo(pose.tiltDeg);
    const dx = pivot.x + pose.xMm;
    const dz = pivot.z + pose.zMm;
    for (const pair of this.pairs) {
      const box = this.boxes[pair.of] as Pair['box'];
      const apartX = max(pair.box[0] - (box[1] + dx), box[0] + dx - pair.box[1]);
      const apartZ = max(pair.box[2] - (box[3] + dz), box[2] + dz - pair.box[3]);
      const enough = within();
      if (max(apartX, apartZ) >= max(0, enough)) continue;
      take(pair, gapOf(pair.outline, this.outlines[pair.of] as Flat, dx, dz, enough));
    }
  }

  private turnTo(tiltDeg: number): void {
    let turnedTo = this.tilts.get(tiltDeg);
    if (!turnedTo) {
      const outlines = this.scene.moving.map(({ outline }) => flat(turned(outline, this.scene.pivot, tiltDeg)));
      turnedTo = { outlines, boxes: outlines.map(boxOf) };
      if (this.tilts.size > MOST_TILTS) this.tilts.clear();
      this.tilts.set(tiltDeg, turnedTo);
    }
    this.outlines = turnedTo.outlines;
    this.boxes = turnedTo.boxes;
  }
}

/** So many tilts are kept turned. */
const MOST_TILTS = 2_000;

/** The pose a share of the way from one to another. */
export function poseBetween(from: Pose, to: Pose, share: number): Pose {
  return {
    xMm: from.xMm + share * (to.xMm - from.xMm),
    zMm: from.zMm + share * (to.zMm - from.zMm),
    tiltDeg: from.tiltDeg + share * (to.tiltDeg - from.tiltDeg),
  };
}

/** How far any corner within `reachMm` of the pivot moves at most between two poses, in mm. */
export function travelMm(from: Pose, to: Pose, reachMm: number): number {
  const shift = hypot(to.xMm - from.xMm, to.zMm - from.zMm);
  return shift + (reachMm * abs(to.tiltDeg - from.tiltDeg) * Math.PI) / 180;
}

function boxOf(outline: Flat): Pair['box'] {
  let [x0, x1, z0, z1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let at = 0; at < outline.length; at += 2) {
    const [x, z] = [outline[at] as number, outline[at + 1] as number];
    x0 = min(x0, x);
    x1 = max(x1, x);
    z0 = min(z0, z);
    z1 = max(z1, z);
  }
  return [x0, x1, z0, z1];
}
