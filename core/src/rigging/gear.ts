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

/** One leg of sling or chain; rated as it hangs straight. */
export interface Sling {
  readonly id: string;
  readonly name: string;
  readonly ratedKg: number;
  readonly lengthMm: number;
}

/** A stand or a jack: what it is rated for, and between which heights it holds. */
export interface Support {
  readonly id: string;
  readonly name: string;
  readonly ratedKg: number;
  readonly lowestMm: number;
  readonly highestMm: number;
}

export interface Dolly {
  readonly id: string;
  readonly name: string;
  readonly ratedKg: number;
  /** From the floor to what stands on it. */
  readonly deckMm: number;
}

/** What a shop lifts with. */
export interface LiftingGear {
  readonly hoists: readonly Hoist[];
  readonly levellers: readonly Leveller[];
  readonly slings: readonly Sling[];
  readonly stands: readonly Support[];
  readonly jacks: readonly Support[];
  readonly dollies: readonly Dolly[];
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
  slings: [
    { id: 'short-chain', name: 'Short chain leg', ratedKg: 1_120, lengthMm: 600 },
    { id: 'long-chain', name: 'Long chain leg', ratedKg: 1_120, lengthMm: 1_000 },
    { id: 'round-sling', name: 'Round sling', ratedKg: 2_000, lengthMm: 1_000 },
  ],
  stands: [
    { id: 'stand', name: 'Axle stand', ratedKg: 1_500, lowestMm: 290, highestMm: 430 },
    { id: 'tall-stand', name: 'Tall axle stand', ratedKg: 3_000, lowestMm: 400, highestMm: 610 },
  ],
  jacks: [
    { id: 'trolley-jack', name: 'Trolley jack', ratedKg: 2_000, lowestMm: 130, highestMm: 500 },
    { id: 'gearbox-jack', name: 'Gearbox jack', ratedKg: 500, lowestMm: 180, highestMm: 850 },
  ],
  dollies: [{ id: 'low-dolly', name: 'Low dolly', ratedKg: 700, deckMm: 160 }],
};
