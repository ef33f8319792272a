import { block, box, hard, letInto, profile, side, type LayoutShape } from '../../shape/index.js';
import { frontBay, inTheFrontBay, tunnel } from '../shapes/front-bay.js';
import { roundALengthwiseEngine } from '../shapes/lengthwise.js';
import { dieselShapes, inlineEngine, manualGearboxShapes, onTheEngine, petrolShapes } from '../shapes/on-the-engine.js';
import { lengthwiseWays } from '../shapes/legs.js';
import { flanks, ORIGINS, sides, tunnelWalls } from '../shapes/planes.js';

/** A V takes 60 mm more to either side, and the body round it as much. */
const WIDE = {
  ...sides({ rail: 425, tower: 620, wing: 680, side: 950 }),
  ...tunnelWalls(325),
  ...flanks(228),
} as const;

/** High on its frame, a live axle under the front of the engine, a transfer box behind the gearbox. */
export const frameFourWheelDriveShape: LayoutShape = {
  pulleyTo: 'nose',
  coldTo: 'left',
  planes: {
    ...ORIGINS,
    slam: ['front-axle', 470],
    nose: ['slam', 190],
    radiator: ['slam', -60],
    bulkhead: ['front-axle', -560],
    scuttle: ['bulkhead', 115],
    'rear-axle': ['front-axle', -2700],
    'tail-end': ['rear-axle', -950],
    ...sides({ rail: 365, tower: 560, wing: 620, side: 890 }),
    ...tunnelWalls(265),
    floor: ['ground', 610],
    'rail-under': ['ground', 470],
    'rail-top': ['rail-under', 150],
    beam: ['ground', 610],
    'tunnel-top': ['ground', 935],
    sill: ['ground', 1110],
    cowl: ['ground', 1180],
    lid: ['ground', 1250],
    bell: ['bulkhead', 30],
    pulley: ['bell', 690],
    tail: ['bell', -690],
    centre: ['middle', 0],
    ...flanks(180),
    crank: ['ground', 670],
    deck: ['crank', 245],
    top: ['crank', 450],
    sump: ['crank', -245],
    pan: ['crank', -165],
  },
  withCylinders: {
    row5: { pulley: ['bell', 790], slam: ['front-axle', 570] },
    row6: { pulley: ['bell', 880], slam: ['front-axle', 660] },
    v6: { pulley: ['bell', 640], ...WIDE },
    v8: { pulley: ['bell', 710], slam: ['front-axle', 490], ...WIDE },
  },
  bay: [...frontBay, tunnel],
  weight: { massKg: 2340, frontShare: 0.52 },
  ways: lengthwiseWays,
  parts: {
    ...inTheFrontBay,
    ...onTheEngine,
    ...petrolShapes,
    ...dieselShapes,
    ...inlineEngine,
    ...roundALengthwiseEngine,
    ...manualGearboxShapes,
    'transfer-box': letInto(
      ['gearbox'],
      block(['tail-300', 'tail'], ['centre-130', 'centre+255'], ['pan-60', 'crank+95']),
    ),
    'transfer-lever': letInto(
      ['transfer-box', 'tunnel'],
      box(['tail-40', 'tail-5'], ['middle+60', 'middle+95'], ['crank+95', 'crank+400']),
    ),
    'front-propshaft': letInto(
      ['transfer-box', 'front-axle', 'crossmember'],
      side(
        [
          ['tail+5', 'pan-30'],
          ['front-axle-75', 'ground+370'],
          ['front-axle-75', 'ground+440'],
          ['tail+5', 'pan+40'],
        ],
        ['centre+190', 'centre+250'],
      ),
    ),
    'front-axle': letInto(
      ['front-propshaft'],
      box(['front-axle-55', 'front-axle+60'], ['right-side+110', 'left-side-110'], ['ground+290', 'ground+400']),
      box(['front-axle-75', 'front-axle+95'], ['middle+140', 'middle+310'], ['ground+260', 'ground+430']),
    ),
    'skid-plate': hard(
      profile(
        [
          ['front-axle+120', 'rail-under-40'],
          ['radiator', 'rail-under+30'],
          ['radiator', 'rail-under+42'],
          ['front-axle+120', 'rail-under-28'],
        ],
        ['right-rail+10', 'left-rail-10'],
      ),
    ),
    propshaft: letInto(
      ['transfer-box', 'rear-axle'],
      side(
        [
          ['tail-302', 'crank-95'],
          ['tail-302', 'crank-5'],
          ['rear-axle+120', 'ground+410'],
          ['rear-axle+120', 'ground+330'],
        ],
        ['centre-50', 'centre+50'],
      ),
    ),
    crossmember: letInto(
      ['front-propshaft'],
      box(['tail+110', 'tail+190'], ['right-rail', 'left-rail'], ['pan-85', 'pan-35']),
    ),
    'rear-axle': hard(
      box(['rear-axle-130', 'rear-axle+120'], ['middle-140', 'middle+140'], ['ground+250', 'ground+490']),
      box(['rear-axle-60', 'rear-axle+60'], ['right-side+120', 'left-side-120'], ['ground+310', 'ground+420']),
    ),
  },
};
