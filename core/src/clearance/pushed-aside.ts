import type { Interval } from '../shape/index.js';
import { Gaps } from './gaps.js';
import { nearestOn } from './nearest-on.js';
import { closely } from './refine.js';
import { furtherOn, placed, type Pose, type Scene } from './scene.js';
import { COARSE, outOf, wayThrough, type WayThrough } from './way-through.js';
import { WIDE_MM } from './widest-way.js';

/** A load pushed aside once on its way: where it is pushed, how far, and what that comes to. */
export interface PushedAside {
  /** To the left above zero. */
  readonly yMm: number;
  readonly at: Pose;
  /** The way until there, and from there, pushed aside. */
  readonly before: readonly Pose[];
  readonly after: readonly Pose[];
  /** Nothing comes nearer while it is pushed. */
  readonly meanwhileMm: number;
  /** Nothing comes nearer than this before, meanwhile and after. */
  readonly clearanceMm: number;
  readonly gainMm: number;
}

/** Farther than this nobody pushes what hangs, in mm. */
const FARTHEST_MM = 80;
/** What is kept free beside what it was pushed past, in mm. */
const BESIDE_MM = 10;
/** It is pushed once it hangs clear of its seat by so much, in mm. */
const OFF_THE_SEAT_MM = 20;
const PLACES_TRIED = 4;
const LOOK_EVERY_MM = 30;
/** Less is not worth a push, in mm. */
const WORTH_MM = 5;

/**
 * Whether pushing the load aside before its narrowest place lets it pass beside what is narrow there: tried at a few places
 * of `way` before it, just as far as the two reach past each other across. The push itself is held against everything
 * between where it was and where it is then, the rest of the way is looked for anew. Yields after each that was tried.
 */
export function* pushedAside(scene: Scene, way: WayThrough): Generator<number, PushedAside | undefined> {
  const { pinch } = way;
  if (!pinch) return undefined;
  const gaps = new Gaps(scene);
  const nowMm = way.clearanceMm < 0 ? way.clearanceMm : way.onTheWayMm;
  const pushes = [
    pinch.still.across[1] - pinch.moving.across[0] + BESIDE_MM,
    pinch.still.across[0] - pinch.moving.across[1] - BESIDE_MM,
  ].filter((yMm) => Math.abs(yMm) <= FARTHEST_MM);
  const before = placesBefore(gaps, way, pinch.pose);
  let best: PushedAside | undefined;
  let tried = 0;
  for (const { at, poses } of before)
    for (const yMm of pushes) {
      yield tried / (before.length * pushes.length);
      tried += 1;
      const meanwhileMm = new Gaps(reachingTo(scene, yMm)).at(at, WIDE_MM)?.mm ?? WIDE_MM;
      const soFar = nearestOn(gaps, poses);
      // Round its seat things are close by nature; in each other they must not be there either.
      const leastMm = Math.min(meanwhileMm, soFar.wayMm, soFar.seatMm < 0 ? soFar.seatMm : WIDE_MM);
      if (leastMm < Math.max(nowMm, best?.clearanceMm ?? -Infinity) + WORTH_MM) continue;
      const search = wayThrough(pushedFrom(scene, at, yMm), COARSE);
      let step = search.next();
      while (!step.done) step = search.next();
      if (!step.value) continue;
      const clearanceMm = Math.min(leastMm, step.value.clearanceMm);
      if (clearanceMm >= Math.max(nowMm + WORTH_MM, best?.clearanceMm ?? 0))
        best = {
          yMm,
          at,
          before: cornersUntil(way.poses, poses),
          after: step.value.poses.map((pose) => furtherOn(at, pose)),
          meanwhileMm,
          clearanceMm,
          gainMm: clearanceMm - nowMm,
        };
    }
  return best;
}

/** The corners of a way that are among the `poses` looked at on it, and the last of these. */
function cornersUntil(corners: readonly Pose[], poses: readonly Pose[]): readonly Pose[] {
  const same = (one: Pose, other: Pose) =>
    one.xMm === other.xMm && one.zMm === other.zMm && one.tiltDeg === other.tiltDeg;
  return poses.filter((pose, index) => index === poses.length - 1 || corners.some((corner) => same(corner, pose)));
}

/** Places of `way` before its narrowest where the load hangs clear of its seat, each with the way until there. */
function placesBefore(gaps: Gaps, way: WayThrough, pinch: Pose) {
  const isOut = outOf(gaps.scene);
  const poses = closely(way.poses, LOOK_EVERY_MM, gaps.reachMm);
  const far = (pose: Pose) => Math.hypot(pose.xMm - pinch.xMm, pose.zMm - pinch.zMm, pose.tiltDeg - pinch.tiltDeg);
  const narrowest = poses.reduce((best, pose, index) => (far(pose) < far(poses[best] ?? pose) ? index : best), 0);
  const able = poses
    .slice(0, narrowest)
    .map((at, index) => ({ at, poses: poses.slice(0, index + 1) }))
    .filter(({ at }) => Math.abs(at.zMm) >= OFF_THE_SEAT_MM && !isOut(at));
  const step = Math.max(1, Math.ceil(able.length / PLACES_TRIED));
  return able.filter((_place, index) => (able.length - 1 - index) % step === 0);
}

/** `scene` with what moves reaching to where it is and to `yMm` beside that. */
function reachingTo(scene: Scene, yMm: number): Scene {
  return {
    ...scene,
    moving: scene.moving.map((body) => ({
      ...body,
      across: [body.across[0] + Math.min(0, yMm), body.across[1] + Math.max(0, yMm)] as const,
    })),
  };
}

/** `scene` with what moves at `at` and `yMm` aside, as if it sat there. */
export function pushedFrom(scene: Scene, at: Pose, yMm: number): Scene {
  const less = ([low, high]: Interval, by: number): Interval => [Math.min(0, low - by), Math.max(0, high - by)];
  return {
    ...scene,
    moving: scene.moving.map((body) => ({
      ...body,
      outline: placed(body.outline, scene.pivot, at),
      across: [body.across[0] + yMm, body.across[1] + yMm] as const,
    })),
    pivot: { x: scene.pivot.x + at.xMm, z: scene.pivot.z + at.zMm },
    tiltDeg: less(scene.tiltDeg, at.tiltDeg),
    xMm: less(scene.xMm, at.xMm),
    zMm: less(scene.zMm, at.zMm),
  };
}
