import { overlapOf, type Interval, type Point } from '../shape/index.js';

/** One convex body of the scene, and the part or feature of the bay it belongs to. */
export interface Body {
  readonly id: string;
  readonly name: string;
  readonly outline: readonly Point[];
  readonly across: Interval;
}

/** Where a powerpack is: moved from its seat by so much along and up, tail down by so much about its pivot. */
export interface Pose {
  readonly xMm: number;
  readonly zMm: number;
  readonly tiltDeg: number;
}

export const SEATED: Pose = { xMm: 0, zMm: 0, tiltDeg: 0 };

/** The pose `further` on from `at`. */
export function furtherOn(at: Pose, { xMm, zMm, tiltDeg }: Pose): Pose {
  return { xMm: at.xMm + xMm, zMm: at.zMm + zMm, tiltDeg: at.tiltDeg + tiltDeg };
}

/** How far `pose` is on from `at`. */
export function onFrom(at: Pose, { xMm, zMm, tiltDeg }: Pose): Pose {
  return { xMm: xMm - at.xMm, zMm: zMm - at.zMm, tiltDeg: tiltDeg - at.tiltDeg };
}

/** By which side it leaves, and which way it goes once it is out. */
export interface WayOut {
  readonly exit: 'up' | 'down' | 'back';
  readonly towards: 'nose' | 'tail';
}

/** What moves, what stays, and how far the gear can move it. */
export interface Scene {
  readonly moving: readonly Body[];
  readonly still: readonly Body[];
  /** Pairs that are let into each other by design, as {@link pairOf} writes them: they are not held apart. */
  readonly nested?: ReadonlySet<string>;
  /** What it turns about: its centre of gravity, seated. */
  readonly pivot: Point;
  readonly out: WayOut;
  /** How far it may be tilted, tail down above zero, in degrees. */
  readonly tiltDeg: Interval;
  /** How far it may be moved from its seat, in mm. */
  readonly xMm: Interval;
  readonly zMm: Interval;
}

/** The name of a pair: what moves, then what stays. */
export const pairOf = (moving: Body, still: Body): string => `${moving.id} ${still.id}`;

/** Whether a moving and a still body have to be kept apart: they reach to the same place across, and are not nested. */
export function meets({ nested }: Pick<Scene, 'nested'>, moving: Body, still: Body): boolean {
  return overlapOf(moving.across, still.across) > 0 && !(nested?.has(pairOf(moving, still)) ?? false);
}

/** A scene that cannot be searched; `message` is for the crew. */
export class SceneError extends Error {
  override readonly name = 'SceneError';
}

/** So many bodies are more than a machine has. */
export const MOST_BODIES = 600;

/** Throws {@link SceneError} for a scene with nothing in it, or with more than a machine has. */
export function checkScene({ moving, still }: Scene): void {
  if (moving.length === 0) throw new SceneError('Nothing is on the hook: no part of the powerpack has a shape.');
  if (moving.length + still.length > MOST_BODIES)
    throw new SceneError(
      `${moving.length + still.length} shapes are more than can be searched; ${MOST_BODIES} are the most.`,
    );
}

/** `outline` turned tail down by `tiltDeg` about `pivot`, relative to it. */
export function turned(outline: readonly Point[], pivot: Point, tiltDeg: number): readonly Point[] {
  const angle = (tiltDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return outline.map(({ x, z }) => {
    const [dx, dz] = [x - pivot.x, z - pivot.z];
    return { x: dx * cos - dz * sin, z: dx * sin + dz * cos };
  });
}

/** `outline` at `pose`, in the machine. */
export function placed(outline: readonly Point[], pivot: Point, { xMm, zMm, tiltDeg }: Pose): readonly Point[] {
  return turned(outline, pivot, tiltDeg).map(({ x, z }) => ({ x: x + pivot.x + xMm, z: z + pivot.z + zMm }));
}
