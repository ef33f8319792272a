import { block, box, drum, hard, letInto, side, soft, type LayoutShape } from '../../shape/index.js';
import { drivenWheels } from '../shapes/driven-wheels.js';
import { frontBay, inTheFrontBay } from '../shapes/front-bay.js';
import {
  automaticGearboxShapes,
  dieselShapes,
  inlineEngine,
  manualGearboxShapes,
  onTheEngine,
  petrolShapes,
} from '../shapes/on-the-engine.js';
import { downWithTheBody, engineOffAcross, gearboxOffAcross, upAcross } from '../shapes/legs.js';
import { flanks, ORIGINS, sides, tunnelWalls } from '../shapes/planes.js';

const common = {
  pulleyTo: 'right',
  coldTo: 'nose',
  planes: {
    ...ORIGINS,
    slam: ['front-axle', 545],
    nose: ['slam', 220],
    radiator: ['slam', -60],
    bulkhead: ['front-axle', -360],
    scuttle: ['bulkhead', 100],
    'rear-axle': ['front-axle', -2560],
    'tail-end': ['rear-axle', -760],
    ...sides({ rail: 470, tower: 525, wing: 640, side: 890 }),
    'right-rail': ['middle', -505],
    'right-tower': ['middle', -540],
    ...tunnelWalls(130),
    floor: ['ground', 205],
    'rail-under': ['ground', 395],
    'rail-top': ['rail-under', 125],
    beam: ['ground', 330],
    'tunnel-top': ['ground', 400],
    sill: ['ground', 800],
    cowl: ['ground', 890],
    lid: ['ground', 955],
    bell: ['middle', -40],
    pulley: ['bell', 450],
    tail: ['bell', -335],
    centre: ['front-axle', 110],
    ...flanks(150),
    crank: ['ground', 400],
    deck: ['crank', 205],
    top: ['crank', 385],
    sump: ['crank', -195],
    pan: ['crank', -150],
  },
  withCylinders: {
    row3: { pulley: ['bell', 370] },
    row5: {
      pulley: ['bell', 540],
      ...sides({ rail: 560, tower: 615, wing: 730, side: 980 }),
      'right-rail': ['middle', -595],
      'right-tower': ['middle', -630],
    },
    v6: { pulley: ['bell', 440], centre: ['front-axle', 150], slam: ['front-axle', 625], ...flanks(190) },
  },
  bay: frontBay,
  weight: { massKg: 1290, frontShare: 0.61 },
  ways: {
    under: [downWithTheBody],
    top: [upAcross],
    'top-engine': [engineOffAcross],
    'under-gearbox': [gearboxOffAcross],
  },
  parts: {
    ...inTheFrontBay,
    ...onTheEngine,
    ...petrolShapes,
    ...dieselShapes,
    ...inlineEngine,
    ...drivenWheels('front-axle'),
    airbox: hard(box(['centre-70', 'centre+140'], ['left-rail-330', 'left-rail-90'], ['crank+215', 'sill-25'])),
    cradle: letInto(
      ['downpipe', 'rack', 'roll-mount', 'undertray'],
      box(['front-axle-260', 'front-axle+350'], ['left-rail+5', 'left-rail+75'], ['floor-30', 'floor+50']),
      box(['front-axle-260', 'front-axle+350'], ['right-rail-75', 'right-rail-5'], ['floor-30', 'floor+50']),
      box(['front-axle+305', 'front-axle+360'], ['right-rail', 'left-rail'], ['floor-30', 'floor+50']),
      box(['front-axle-260', 'front-axle-150'], ['right-rail', 'left-rail'], ['floor-30', 'floor+45']),
    ),
    rack: letInto(
      ['downpipe'],
      box(['front-axle-235', 'front-axle-165'], ['right-rail-40', 'left-rail+40'], ['floor+55', 'floor+120']),
    ),
    'roll-mount': letInto(
      ['cradle', 'engine'],
      box(['front-axle-150', 'front-axle-35'], ['middle-50', 'middle+40'], ['floor+20', 'floor+110']),
    ),
    'roll-front': letInto(
      ['cradle', 'engine', 'gearbox'],
      box(['front-axle+255', 'front-axle+335'], ['middle+50', 'middle+140'], ['floor+30', 'floor+120']),
    ),
    downpipe: letInto(
      ['turbo', 'engine', 'heat-shield', 'cradle', 'rack', 'shaft-right', 'roll-mount'],
      block(['bell>pulley*0.36', 'bell>pulley*0.52'], ['hot-22', 'hot-125'], ['crank-110', 'deck-60']),
      box(['bulkhead-220', 'hot-40'], ['middle-112', 'middle-22'], ['floor-5', 'floor+90']),
    ),
    'heat-shield': hard(
      box(['bulkhead-800', 'bulkhead-230'], ['tunnel-right+20', 'tunnel-left-20'], ['floor+145', 'floor+152']),
    ),
    'exhaust-rear': letInto(
      ['downpipe'],
      box(['rear-axle-520', 'rear-axle-290'], ['middle-300', 'middle+100'], ['floor-30', 'floor+130']),
      box(['rear-axle-290', 'bulkhead-222'], ['middle-60', 'middle+30'], ['floor+10', 'floor+75']),
    ),
    'fuel-filter': hard(
      box(['front-axle+125', 'front-axle+195'], ['right-wing+10', 'right-wing+90'], ['rail-top+20', 'rail-top+160']),
    ),
    'selector-cable': soft(
      box(['bulkhead', 'centre-60'], ['left-rail-190', 'left-rail-160'], ['crank+140', 'crank+165']),
    ),
    'gear-cables': soft(box(['bulkhead', 'centre-60'], ['left-rail-190', 'left-rail-160'], ['crank+140', 'crank+165'])),
    'drive-motor': letInto(
      ['gearbox'],
      block(['bell-330', 'bell-150'], ['hot-5', 'hot-190'], ['crank-60', 'crank+140']),
    ),
    undertray: hard(box(['bulkhead+110', 'radiator-30'], ['right-rail+10', 'left-rail-10'], ['floor-55', 'floor-42'])),
  },
} as const satisfies LayoutShape;

/** Across the nose, gearbox on the left, intake to the front, exhaust to the bulkhead. */
export const transverseCradleShape: LayoutShape = { ...common, parts: { ...common.parts, ...manualGearboxShapes } };

/** With an automatic gearbox: no longer, and thicker. */
export const transverseAutomaticShape: LayoutShape = {
  ...common,
  planes: { ...common.planes, pan: ['crank', -175] },
  parts: {
    ...common.parts,
    ...automaticGearboxShapes,
    gearbox: letInto(
      ['converter', 'starter', 'window-cover', 'engine', 'flexplate'],
      drum(['bell-170', 'bell'], 'centre', 'crank', 182),
      side(
        [
          ['bell-170', 'pan'],
          ['bell-170', 'crank+140'],
          ['bell>tail*0.8', 'crank+125'],
          ['tail', 'crank+90'],
          ['tail', 'crank-70'],
          ['bell>tail*0.85', 'pan'],
        ],
        ['centre-130', 'centre+130'],
      ),
    ),
  },
};
