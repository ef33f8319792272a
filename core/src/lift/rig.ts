import type { Pose } from '../clearance/index.js';
import {
  DYNAMIC,
  holesOf,
  hookTravelMm,
  judgeLeg,
  levellerFor,
  mostTiltDeg,
  turnsFor,
  slingsFor,
  twoLegs,
  type Held,
  type HoleJudgement,
  type Hoist,
  type Leveller,
  type LiftingGear,
  type Sling,
  type SlingLeg,
} from '../rigging/index.js';
import type { Place } from '../shape/index.js';
import { barAboveCentreMm, HOOK_ABOVE_PICKS_MM, pickHeightMm, type LiftLeg } from './legs.js';

/** Where a powerpack is picked up: shares of the engine’s length from its rear to its front, and the hook’s height. */
export interface Picks {
  readonly rearShare: number;
  readonly frontShare: number;
  /** From the pick points up to the hook, in mm. */
  readonly heightMm: number;
}

export const USUAL_PICKS: Picks = { rearShare: 0.12, frontShare: 0.88, heightMm: HOOK_ABOVE_PICKS_MM };

/** How one leg of a lift hangs, with the shop’s gear held against it. */
export interface Rig {
  readonly massKg: number;
  readonly centre: Place;
  readonly hook: Place;
  readonly picks: readonly [front: Place, rear: Place];
  readonly legs: readonly [front: SlingLeg, rear: SlingLeg];
  readonly judged: readonly [ReturnType<typeof judgeLeg>, ReturnType<typeof judgeLeg>];
  /** The shop’s slings held against the leg that pulls hardest and the one that is longest. */
  readonly slings: readonly Held<Sling>[];
  readonly leveller: Leveller;
  /** Whether that is rated for the weight, with a quarter more for the jerk. */
  readonly levellerRated: boolean;
  /** Turns from level to the steepest tilt of the way, and how far the leveller can tilt it. */
  readonly turns: number;
  readonly steepestDeg: number;
  readonly mostTiltDeg: number;
  readonly hookMm: { readonly lowest: number; readonly highest: number };
  readonly reachMm: number;
  readonly hoists: readonly { readonly hoist: Hoist; readonly holes: readonly HoleJudgement[] }[];
}

/**
 * How `leg` hangs by two pick points on the top of its engine with the hook above its centre of gravity, on its way over
 * `poses`, with the machine raised by `raisedMm`; `overhangMm` is from the machine’s end to that centre, which the boom
 * has to reach over. Throws `RiggingError` where the picks are both to one side of it.
 */
export function rigOf(
  leg: LiftLeg,
  { rearShare, frontShare, heightMm }: Picks,
  poses: readonly Pose[],
  {
    overhangMm,
    raisedMm,
    gear,
  }: { readonly overhangMm: number; readonly raisedMm: number; readonly gear: LiftingGear },
): Rig {
  const { massKg, centre, moving } = leg;
  const engine = (moving.find(({ id }) => id === 'engine') ?? moving[0])?.extent;
  const [x0, x1] = engine?.x ?? [centre.x, centre.x];
  const z = pickHeightMm(moving);
  const pick = (share: number): Place => ({ x: x0 + share * (x1 - x0), y: centre.y, z });
  const [front, rear] = [pick(frontShare), pick(rearShare)];
  const legs = twoLegs(massKg, { aMm: front.x - centre.x, bMm: centre.x - rear.x, heightMm });
  const leveller = levellerFor(gear, massKg);
  const steepestDeg = Math.max(0, ...poses.map(({ tiltDeg }) => Math.abs(tiltDeg)));
  const barMm = barAboveCentreMm(leg);
  const seatedMm = z + heightMm + raisedMm;
  const hookMm = { lowest: seatedMm, highest: Math.max(seatedMm, ...poses.map(({ zMm }) => seatedMm + zMm)) };
  return {
    massKg,
    centre,
    hook: { x: centre.x, y: centre.y, z: z + heightMm },
    picks: [front, rear],
    legs,
    judged: [judgeLeg(legs[0]), judgeLeg(legs[1])],
    slings: slingsFor(gear.slings, {
      ...legs[0],
      lengthMm: Math.max(legs[0].lengthMm, legs[1].lengthMm),
      tensionN: Math.max(legs[0].tensionN, legs[1].tensionN),
    }),
    leveller,
    levellerRated: leveller.ratedKg >= massKg * DYNAMIC,
    turns: turnsFor(leveller, hookTravelMm(barMm, 0, Math.min(steepestDeg, 75))),
    steepestDeg,
    mostTiltDeg: mostTiltDeg(leveller, barMm),
    hookMm,
    reachMm: overhangMm,
    hoists: gear.hoists.map((hoist) => ({
      hoist,
      holes: holesOf(hoist, {
        massKg,
        highestHookMm: hookMm.highest,
        lowestHookMm: hookMm.lowest,
        reachMm: overhangMm,
      }),
    })),
  };
}
