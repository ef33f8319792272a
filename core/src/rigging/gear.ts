/** A hole of a hoist’s boom: how far it reaches, and what is stamped beside it. */
export interface BoomHole {
  readonly reachMm: number;
  readonly ratedKg: number;
  readonly lowestHookMm: number;
  readonly highestHookMm: number;
}

export interface Hoist {
  readonly id: string;
  readonly name: string;
  readonly holes: readonly BoomHole[];
}

/** A bar with a screw along which the hook travels. */
export interface Leveller {
  readonly id: string;
  readonly name: string;
  /** How far the hook goes with one turn. */
  readonly leadMm: number;
  /** How far it goes to either side of the middle. */
  readonly travelMm: number;
  readonly ratedKg: number;
}

/** What a shop lifts with. */
export interface LiftingGear {
  readonly hoists: readonly Hoist[];
  readonly levellers: readonly Leveller[];
}

/** What is there until the shop writes down its own: made-up gear of an ordinary size. */
export const FIRST_GEAR: LiftingGear = {
  hoists: [
    {
      id: 'folding-hoist',
      name: 'Folding hoist',
      holes: [
        { reachMm: 920, ratedKg: 1_000, lowestHookMm: 380, highestHookMm: 2_300 },
        { reachMm: 1_060, ratedKg: 750, lowestHookMm: 300, highestHookMm: 2_460 },
        { reachMm: 1_200, ratedKg: 500, lowestHookMm: 220, highestHookMm: 2_600 },
        { reachMm: 1_340, ratedKg: 250, lowestHookMm: 140, highestHookMm: 2_720 },
      ],
    },
    {
      id: 'gantry',
      name: 'Gantry with chain block',
      holes: [{ reachMm: 2_400, ratedKg: 2_000, lowestHookMm: 400, highestHookMm: 3_600 }],
    },
  ],
  levellers: [
    { id: 'leveller', name: 'Leveller with a crank', leadMm: 4, travelMm: 300, ratedKg: 680 },
    { id: 'spreader', name: 'Spreader beam', leadMm: 6, travelMm: 300, ratedKg: 2_000 },
  ],
};
