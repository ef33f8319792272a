import { overlapOf } from '../shape/index.js';
import { gridOver } from './field.js';
import { Gaps, travelMm, type Gap } from './gaps.js';
import { checkScene, SEATED, turned, type Pose, type Scene } from './scene.js';
import { nearestOn } from './nearest-on.js';
import { closely, refined } from './refine.js';
import { shortened } from './shorten.js';
import { SEAT_MM, WIDE_MM, widestWay } from './widest-way.js';

/** The narrowest place of a way. */
export interface Pinch extends Gap {
  readonly pose: Pose;
}

/** A way out of the bay, from the seat until it is clear. */
export interface WayThrough {
  readonly poses: readonly Pose[];
  /** Nothing comes nearer than this anywhere on it, in mm, as checked exactly; below zero it does not go. */
  readonly clearanceMm: number;
  /** Nothing comes nearer than this once it has left its seat. */
  readonly onTheWayMm: number;
  /** How near the nearest thing is where it sits. */
  readonly seatedMm: number;
  /** Where that is, looked at from so close that it is no more than a few mm beside it; absent where it is wide everywhere. */
  readonly pinch?: Pinch;
}

/** How finely a way is looked for. */
export interface Fineness {
  readonly cellMm: number;
  readonly stepDeg: number;
  /** How finely narrow places are looked at. */
  readonly finestMm: number;
}
/** The first answer, and the one to go by. */
export const COARSE: Fineness = { cellMm: 40, stepDeg: 5, finestMm: 20 };
export const FINE: Fineness = { cellMm: 20, stepDeg: 1.5, finestMm: 1.25 };

/**
 * The way of greatest smallest clearance from the seat to clear of the machine: found on a grid, pushed to the middle of
 * what it passes, shortened without giving clearance up, and every piece of it checked by exact distance, turning
 * included; so `clearanceMm` is never more than there is. A way that does not go is the one that would overlap least.
 * Yields the share done; nothing where the gear’s limits let nothing out at all. Throws `SceneError`.
 */
export function* wayThrough(scene: Scene, fineness: Fineness): Generator<number, WayThrough | undefined> {
  checkScene(scene);
  const gaps = new Gaps(scene);
  const isOut = outOf(scene);
  const grid = gridOver(scene, fineness.cellMm, fineness.stepDeg);
  const found = yield* widestWay(scene, grid, isOut, { reachMm: gaps.reachMm, seatedMm: seatedMm(gaps) });
  if (!found) return undefined;
  const poses = yield* refined(gaps, found.poses, fineness);
  const short = yield* shortened(gaps, poses);
  return judged(gaps, short);
}

/** `poses` with its clearance and its narrowest place, exactly. */
export function judged(gaps: Gaps, poses: readonly Pose[]): WayThrough {
  const { seatMm, wayMm } = nearestOn(gaps, poses);
  const pinch = pinchOf(gaps, poses);
  return {
    poses,
    clearanceMm: Math.min(seatMm, wayMm),
    onTheWayMm: wayMm,
    seatedMm: seatedMm(gaps),
    ...(pinch ? { pinch } : {}),
  };
}

function seatedMm(gaps: Gaps): number {
  return gaps.at(SEATED, WIDE_MM)?.mm ?? WIDE_MM;
}

/** Looked at every so many mm of the farthest corner’s way. */
const LOOK_EVERY_MM = 8;

function pinchOf(gaps: Gaps, poses: readonly Pose[]): Pinch | undefined {
  let pinch: Pinch | undefined;
  for (const pose of closely(poses, LOOK_EVERY_MM, gaps.reachMm)) {
    if (travelMm(SEATED, pose, gaps.reachMm) < SEAT_MM) continue;
    const gap = gaps.at(pose, pinch?.mm ?? WIDE_MM);
    if (gap && (!pinch || gap.mm < pinch.mm)) pinch = { ...gap, pose };
  }
  return pinch;
}

/** How far above, below or behind everything it has to be to be clear, in mm. */
const CLEAR_BY_MM = 60;

/**
 * Whether a pose is clear of the machine: above everything ahead of it, below everything ahead of it, or behind it all.
 * What is on the other side of it stays where it is and is not met any more.
 */
export function outOf({ moving, still, pivot, out }: Scene): (pose: Pose) => boolean {
  const met = still.filter(({ across }) => moving.some((mine) => overlapOf(mine.across, across) > 0));
  const ahead = out.towards === 'nose' ? 1 : -1;
  const spans = met.map(({ outline }) => ({
    far: Math.max(...outline.map(({ x }) => ahead * x)),
    top: Math.max(...outline.map(({ z }) => z)),
    bottom: Math.min(...outline.map(({ z }) => z)),
  }));
  const extents = new Map<number, { readonly back: number; readonly low: number; readonly high: number }>();
  const extentAt = (tiltDeg: number) => {
    const known = extents.get(tiltDeg);
    if (known) return known;
    const points = moving.flatMap(({ outline }) => turned(outline, pivot, tiltDeg));
    const made = {
      back: Math.min(...points.map(({ x }) => ahead * x)),
      low: Math.min(...points.map(({ z }) => z)),
      high: Math.max(...points.map(({ z }) => z)),
    };
    extents.set(tiltDeg, made);
    return made;
  };
  return ({ xMm, zMm, tiltDeg }) => {
    const { back, low, high } = extentAt(tiltDeg);
    const tailAt = ahead * (pivot.x + xMm) + back - CLEAR_BY_MM;
    const under = pivot.z + zMm + low - CLEAR_BY_MM;
    const over = pivot.z + zMm + high + CLEAR_BY_MM;
    if (out.exit === 'back') return spans.every(({ far }) => far < tailAt);
    return spans.every(({ far, top, bottom }) => far < tailAt || (out.exit === 'up' ? top < under : bottom > over));
  };
}
