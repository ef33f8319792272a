import { Gaps, SEATED, type Gap, type Pose, type WayThrough } from '../clearance/index.js';
import { spreadBetween } from '../shape/index.js';
import type { LiftLeg, LiftOf } from './legs.js';

/** What a way comes to for the crew. */
export interface Verdict {
  readonly goes: boolean;
  /** The room there is once it has left its seat; how much too tight it is where it does not go. In mm. */
  readonly mm: number;
  /** How much nearer the narrowest place may be, with what nobody measured yet; in mm. */
  readonly unsureMm: number;
}

/** What only touches as it is drawn does not hold; deeper than this, in mm, nothing goes. */
const TOUCHES_MM = 0.1;

/** Whether a way lets anything through. */
export function goesThrough({ clearanceMm }: WayThrough): boolean {
  return clearanceMm > -TOUCHES_MM;
}

/** What `way` of `leg` comes to. */
export function verdictOf({ shape }: Pick<LiftOf, 'shape'>, leg: LiftLeg, way: WayThrough): Verdict {
  const { clearanceMm, onTheWayMm, pinch } = way;
  const goes = goesThrough(way);
  const thing = (id: string | undefined) => [...leg.moving, ...leg.still].find((one) => one.id === id);
  const [one, other] = [thing(pinch?.moving.id), thing(pinch?.still.id)];
  return {
    goes,
    mm: goes ? onTheWayMm : -clearanceMm,
    unsureMm: one && other ? spreadBetween(shape, one, other) : 0,
  };
}

/** The two things that are deepest in each other where they sit: by what was measured, which cannot be. */
export function seatedInEachOther({ scene }: LiftLeg): Gap | undefined {
  return new Gaps(scene).at(SEATED, 0);
}

/** Where on its way a pose is, in words. */
export function poseWords({ xMm, zMm, tiltDeg }: Pose): string {
  const parts = [
    Math.abs(zMm) >= 5 ? `${Math.round(Math.abs(zMm))} mm ${zMm > 0 ? 'up' : 'down'}` : '',
    Math.abs(xMm) >= 5 ? `${Math.round(Math.abs(xMm))} mm ${xMm > 0 ? 'to the nose' : 'to the tail'}` : '',
    Math.abs(tiltDeg) >= 1 ? `${tiltDeg > 0 ? 'tail' : 'nose'} ${Math.round(Math.abs(tiltDeg))}° down` : 'level',
  ];
  return parts.filter((part) => part !== '').join(', ');
}
