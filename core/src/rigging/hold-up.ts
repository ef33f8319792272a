import type { Dolly, Sling, Support } from './gear.js';
import { DYNAMIC } from './hoist.js';
import { GRAVITY, type SlingLeg } from './slings.js';

/** What is wrong with a piece of gear for what it is to do. */
export type Lack = 'too short' | 'rated too low' | 'does not go low enough' | 'does not go high enough';

/** A piece of gear held against what it is to do; with nothing wrong it is what the figures ask for, no more. */
export interface Held<Gear> {
  readonly gear: Gear;
  readonly wrong: readonly Lack[];
}

/** Each of `slings` held against one leg: long enough, and rated for its pull with a quarter more for the jerk. */
export function slingsFor(slings: readonly Sling[], leg: SlingLeg): readonly Held<Sling>[] {
  const pullKg = (leg.tensionN / GRAVITY) * DYNAMIC;
  return slings.map((gear) => ({
    gear,
    wrong: lacks([
      [gear.lengthMm < leg.lengthMm, 'too short'],
      [gear.ratedKg < pullKg, 'rated too low'],
    ]),
  }));
}

/** Each of `supports` held against a load that moves: from how low to how high, with a quarter more for the jerk. */
export function supportsFor(
  supports: readonly Support[],
  { massKg, lowMm, highMm }: { readonly massKg: number; readonly lowMm: number; readonly highMm: number },
): readonly Held<Support>[] {
  return supports.map((gear) => ({
    gear,
    wrong: lacks([
      [gear.ratedKg < massKg * DYNAMIC, 'rated too low'],
      [gear.lowestMm > lowMm, 'does not go low enough'],
      [gear.highestMm < highMm, 'does not go high enough'],
    ]),
  }));
}

/** Each of `dollies` held against what stands on it. */
export function dolliesFor(dollies: readonly Dolly[], massKg: number): readonly Held<Dolly>[] {
  return dollies.map((gear) => ({ gear, wrong: lacks([[gear.ratedKg < massKg * DYNAMIC, 'rated too low']]) }));
}

function lacks(asked: readonly (readonly [boolean, Lack])[]): readonly Lack[] {
  return asked.flatMap(([is, lack]) => (is ? [lack] : []));
}
