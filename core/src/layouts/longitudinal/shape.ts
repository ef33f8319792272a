import type { LayoutShape } from '../../shape/index.js';
import { frontBay, inTheFrontBay, tunnel } from '../shapes/front-bay.js';
import { axleBeam, roundALengthwiseEngine } from '../shapes/lengthwise.js';
import {
  automaticGearboxShapes,
  dieselShapes,
  inlineEngine,
  manualGearboxShapes,
  onTheEngine,
  petrolShapes,
} from '../shapes/on-the-engine.js';
import { lengthwiseWays } from '../shapes/legs.js';
import { flanks, ORIGINS, sides, tunnelWalls } from '../shapes/planes.js';

/** A V takes 60 mm more to either side, and the body round it as much. */
const WIDE = {
  ...sides({ rail: 455, tower: 540, wing: 670, side: 920 }),
  ...tunnelWalls(315),
  ...flanks(225),
} as const;

const common = {
  pulleyTo: 'nose',
  coldTo: 'left',
  planes: {
    ...ORIGINS,
    slam: ['front-axle', 440],
    nose: ['slam', 240],
    radiator: ['slam', -50],
    bulkhead: ['front-axle', -365],
    scuttle: ['bulkhead', 110],
    'rear-axle': ['front-axle', -2820],
    'tail-end': ['rear-axle', -880],
    ...sides({ rail: 395, tower: 480, wing: 610, side: 860 }),
    ...tunnelWalls(255),
    floor: ['ground', 255],
    'rail-under': ['ground', 380],
    'rail-top': ['rail-under', 140],
    beam: ['ground', 360],
    'tunnel-top': ['ground', 725],
    sill: ['ground', 840],
    cowl: ['ground', 920],
    lid: ['ground', 985],
    bell: ['bulkhead', 30],
    pulley: ['bell', 590],
    tail: ['bell', -680],
    centre: ['middle', 0],
    ...flanks(165),
    crank: ['ground', 445],
    deck: ['crank', 225],
    top: ['crank', 425],
    sump: ['crank', -225],
    pan: ['crank', -155],
  },
  withCylinders: {
    row5: { pulley: ['bell', 680], slam: ['front-axle', 530], sill: ['ground', 855] },
    row6: { pulley: ['bell', 770], slam: ['front-axle', 620], sill: ['ground', 855] },
    v6: { pulley: ['bell', 540], ...WIDE },
    v8: { pulley: ['bell', 610], slam: ['front-axle', 460], ...WIDE },
  },
  bay: [...frontBay, tunnel, axleBeam],
  weight: { massKg: 1980, frontShare: 0.53 },
  ways: lengthwiseWays,
} as const satisfies Partial<LayoutShape>;

const parts = {
  ...inTheFrontBay,
  ...onTheEngine,
  ...petrolShapes,
  ...dieselShapes,
  ...roundALengthwiseEngine,
  ...inlineEngine,
};

/** Lengthwise at the front, manual gearbox. */
export const longitudinalManualShape: LayoutShape = { ...common, parts: { ...parts, ...manualGearboxShapes } };

/** Lengthwise at the front, automatic gearbox, a size longer. */
export const longitudinalAutomaticShape: LayoutShape = {
  ...common,
  planes: { ...common.planes, tail: ['bell', -760], pan: ['crank', -185] },
  parts: { ...parts, ...automaticGearboxShapes },
};
