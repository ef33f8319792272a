import { box, hard, letInto, type PartShape, type SolidSpec } from '../../shape/index.js';

/**
 * Shafts, hubs and wheels of the axle called `axle`; the shafts begin at the gearbox, which is beside the engine where
 * that lies across, and in the middle of the machine where it lies lengthwise.
 */
export function drivenWheels(
  axle: 'front-axle' | 'rear-axle',
  gearbox: 'beside' | 'centre' = 'beside',
): Readonly<Record<string, PartShape>> {
  return {
    'shaft-left': swinging(
      ['gearbox', 'hub-left'],
      box(
        [`${axle}-22`, `${axle}+22`],
        [gearbox === 'beside' ? 'tail' : 'centre+115', 'left-wing+60'],
        ['ground+285', 'ground+330'],
      ),
    ),
    'shaft-right': swinging(
      ['gearbox', 'hub-right', 'downpipe', 'engine', 'flywheel'],
      box(
        [`${axle}-22`, `${axle}+22`],
        ['right-wing-60', gearbox === 'beside' ? 'bell' : 'centre-115'],
        ['ground+285', 'ground+330'],
      ),
    ),
    'hub-left': hard(
      box([`${axle}-85`, `${axle}+85`], ['left-wing+62', 'left-wing+115'], ['ground+215', 'ground+410']),
    ),
    'hub-right': hard(
      box([`${axle}-85`, `${axle}+85`], ['right-wing-115', 'right-wing-62'], ['ground+215', 'ground+410']),
    ),
    'wheel-left': hard(box([`${axle}-305`, `${axle}+305`], ['left-wing+117', 'left-side'], ['ground', 'ground+610'])),
    'wheel-right': hard(
      box([`${axle}-305`, `${axle}+305`], ['right-side', 'right-wing-117'], ['ground', 'ground+610']),
    ),
    'lower-arms': letInto(
      ['cradle', 'rear-cradle'],
      box([`${axle}-110`, `${axle}+90`], ['left-rail-10', 'left-wing+60'], ['ground+185', 'ground+220']),
      box([`${axle}-110`, `${axle}+90`], ['right-wing-60', 'right-rail+10'], ['ground+185', 'ground+220']),
    ),
  };
}

const swinging = (into: readonly string[], solid: SolidSpec): PartShape => ({ ...letInto(into, solid), swings: true });
