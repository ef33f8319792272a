import type { BoomHole, Hoist } from './gear.js';

/** A load that is raised or stopped pulls more than it weighs. */
export const DYNAMIC = 1.25;

/** What a lift asks of a hoist. */
export interface HoistNeed {
  readonly massKg: number;
  /** How high the hook has to come, and how low, from the ground. */
  readonly highestHookMm: number;
  readonly lowestHookMm: number;
  /** From the hoist’s feet to over the load. */
  readonly reachMm: number;
}

/** Whether one hole of a boom does it, and what is wrong with it where it does not. */
export interface HoleJudgement {
  readonly hole: BoomHole;
  readonly loadKg: number;
  readonly wrong: readonly ('too short' | 'rated too low' | 'hook too low' | 'hook too high')[];
}

/** The highest hook of the holes that reach over `reachMm` and are rated for it; nothing where none is. */
export function highestHookMm(hoists: readonly Hoist[], { massKg, reachMm }: Pick<HoistNeed, 'massKg' | 'reachMm'>) {
  const able = hoists
    .flatMap(({ holes }) => holes)
    .filter((hole) => hole.reachMm >= reachMm && hole.ratedKg >= massKg * DYNAMIC);
  return able.length === 0 ? undefined : Math.max(...able.map((hole) => hole.highestHookMm));
}

/** Each hole of `hoist` held against a lift: reach, rating with 1.25 dynamic, hook height. */
export function holesOf({ holes }: Hoist, need: HoistNeed): readonly HoleJudgement[] {
  const loadKg = need.massKg * DYNAMIC;
  return holes.map((hole) => ({
    hole,
    loadKg,
    wrong: [
      ...(hole.reachMm < need.reachMm ? (['too short'] as const) : []),
      ...(hole.ratedKg < loadKg ? (['rated too low'] as const) : []),
      ...(hole.highestHookMm < need.highestHookMm ? (['hook too low'] as const) : []),
      ...(hole.lowestHookMm > need.lowestHookMm ? (['hook too high'] as const) : []),
    ],
  }));
}
