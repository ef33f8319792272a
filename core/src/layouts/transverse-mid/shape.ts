import { block, box, hard, letInto, soft, type LayoutShape } from '../../shape/index.js';
import { drivenWheels } from '../shapes/driven-wheels.js';
import { inTheFrontBay } from '../shapes/front-bay.js';
import { inlineEngine, manualGearboxShapes, onTheEngine, petrolShapes } from '../shapes/on-the-engine.js';
import { downWithTheBody, gearboxOffAcross, upAcross } from '../shapes/legs.js';
import { flanks, ORIGINS, sides, tunnelWalls } from '../shapes/planes.js';

/** Across, behind the seats: intake to the bulkhead, exhaust to the tail, gearbox on the left. */
export const transverseMidShape: LayoutShape = {
  pulleyTo: 'right',
  coldTo: 'nose',
  planes: {
    ...ORIGINS,
    nose: ['front-axle', 780],
    'rear-axle': ['front-axle', -2420],
    'tail-end': ['rear-axle', -700],
    slam: ['rear-axle', -420],
    bulkhead: ['rear-axle', 690],
    scuttle: ['bulkhead', -80],
    ...sides({ rail: 480, tower: 530, wing: 640, side: 900 }),
    ...tunnelWalls(120),
    floor: ['ground', 150],
    'rail-under': ['ground', 390],
    'rail-top': ['rail-under', 120],
    'tunnel-top': ['ground', 390],
    sill: ['ground', 830],
    cowl: ['ground', 930],
    lid: ['ground', 960],
    bell: ['middle', -40],
    pulley: ['bell', 450],
    tail: ['bell', -335],
    centre: ['rear-axle', 260],
    ...flanks(155),
    crank: ['ground', 385],
    deck: ['crank', 210],
    top: ['crank', 390],
    sump: ['crank', -190],
    pan: ['crank', -145],
  },
  withCylinders: {
    row3: { pulley: ['bell', 370] },
    v6: { pulley: ['bell', 440], centre: ['rear-axle', 315], ...flanks(210) },
    v8: { pulley: ['bell', 450], centre: ['rear-axle', 315], ...flanks(210) },
  },
  bay: [
    {
      id: 'bulkhead',
      name: 'bulkhead',
      solids: [box(['bulkhead', 'bulkhead+50'], ['right-wing', 'left-wing'], ['floor', 'cowl+120'])],
    },
    {
      id: 'roof-edge',
      name: 'edge of the roof',
      solids: [box(['scuttle', 'bulkhead'], ['right-wing', 'left-wing'], ['cowl+60', 'cowl+120'])],
    },
    {
      id: 'rails',
      name: 'rails',
      solids: [
        box(['slam', 'bulkhead'], ['left-rail', 'left-rail+70'], ['rail-under', 'rail-top']),
        box(['slam', 'bulkhead'], ['right-rail-70', 'right-rail'], ['rail-under', 'rail-top']),
      ],
    },
    {
      id: 'towers',
      name: 'towers',
      solids: [
        box(['rear-axle-110', 'rear-axle+110'], ['left-tower', 'left-wing'], ['rail-top', 'sill+20']),
        box(['rear-axle-110', 'rear-axle+110'], ['right-wing', 'right-tower'], ['rail-top', 'sill+20']),
      ],
    },
    {
      id: 'wings',
      name: 'rear wings',
      solids: [
        box(['tail-end+40', 'bulkhead'], ['left-wing', 'left-wing+55'], ['rail-top+100', 'sill+60']),
        box(['tail-end+40', 'bulkhead'], ['right-wing-55', 'right-wing'], ['rail-top+100', 'sill+60']),
      ],
    },
    {
      id: 'tail-panel',
      name: 'tail panel',
      solids: [box(['slam-70', 'slam'], ['right-wing', 'left-wing'], ['rail-under', 'sill'])],
    },
    {
      id: 'floor',
      name: 'floor',
      solids: [box(['front-axle-400', 'bulkhead'], ['right-side', 'left-side'], ['floor', 'floor+60'])],
    },
  ],
  weight: { massKg: 1240, frontShare: 0.42 },
  ways: { under: [downWithTheBody], top: [upAcross], 'under-gearbox': [gearboxOffAcross] },
  parts: {
    ...inTheFrontBay,
    ...onTheEngine,
    ...petrolShapes,
    ...inlineEngine,
    ...manualGearboxShapes,
    ...drivenWheels('rear-axle'),
    battery: hard(
      box(['bulkhead-190', 'bulkhead-15'], ['right-wing+10', 'right-wing+150'], ['rail-top+30', 'rail-top+220']),
    ),
    'battery-second': hard(
      box(['bulkhead-380', 'bulkhead-205'], ['right-wing+10', 'right-wing+110'], ['rail-top+30', 'rail-top+220']),
    ),
    loom: soft(
      box(['bulkhead-30', 'bulkhead-5'], ['right-wing', 'left-wing'], ['cowl-80', 'cowl-55']),
      box(['slam+20', 'bulkhead-5'], ['left-wing-30', 'left-wing-5'], ['sill-60', 'sill-35']),
    ),
    'control-unit': hard(
      box(['bulkhead+60', 'bulkhead+120'], ['right-wing+120', 'right-wing+300'], ['floor+300', 'floor+420']),
    ),
    undertray: hard(box(['slam+60', 'bulkhead-60'], ['right-rail+10', 'left-rail-10'], ['floor-62', 'floor-49'])),
    'fuel-lines': soft(box(['bulkhead-25', 'bulkhead-5'], ['right-wing+200', 'right-wing+230'], ['floor', 'sill-120'])),
    'ignition-coil': hard(box(['slam+20', 'slam+100'], ['right-wing+10', 'right-wing+80'], ['sill-150', 'sill-65'])),
    canister: hard(box(['slam+110', 'slam+220'], ['right-wing+10', 'right-wing+110'], ['rail-top+10', 'rail-top+170'])),
    airbox: hard(box(['centre-80', 'centre+150'], ['left-rail-320', 'left-rail-80'], ['crank+215', 'sill-10'])),
    'boost-valve': hard(box(['slam+20', 'slam+80'], ['left-wing-85', 'left-wing-35'], ['sill-60', 'sill-10'])),
    'pedal-cable': soft(
      box(['bulkhead-200', 'bulkhead-5'], ['left-wing-300', 'left-wing-285'], ['cowl-95', 'cowl-82']),
    ),
    'charge-cooler': hard(
      box(['rear-axle+120', 'bulkhead-205'], ['right-wing+5', 'right-wing+105'], ['rail-top+225', 'sill-20']),
    ),
    'brake-servo': hard(
      box(['front-axle-330', 'front-axle-110'], ['left-wing-270', 'left-wing-45'], ['ground+600', 'ground+820']),
    ),
    'expansion-bottle': hard(
      box(['slam+15', 'slam+135'], ['right-wing+120', 'right-wing+260'], ['sill-150', 'sill+20']),
    ),
    heater: hard(box(['front-axle-560', 'front-axle-300'], ['middle-150', 'middle+150'], ['ground+560', 'ground+740'])),
    'oil-cooler': hard(
      box(['rear-axle+120', 'rear-axle+330'], ['left-wing-95', 'left-wing-15'], ['rail-top+30', 'rail-top+200']),
    ),
    lid: hard(box(['slam', 'scuttle'], ['right-wing', 'left-wing'], ['lid', 'lid+40'])),
    'service-panel': hard(box(['bulkhead+52', 'bulkhead+58'], ['middle-380', 'middle+380'], ['floor+80', 'cowl-80'])),
    'rear-cradle': letInto(
      ['downpipe', 'brace-bar', 'undertray', 'lower-arms'],
      box(['rear-axle-230', 'rear-axle+470'], ['left-rail+5', 'left-rail+75'], ['floor-10', 'floor+45']),
      box(['rear-axle-230', 'rear-axle+470'], ['right-rail-75', 'right-rail-5'], ['floor-10', 'floor+45']),
      box(['rear-axle+420', 'rear-axle+470'], ['right-rail', 'left-rail'], ['floor-10', 'floor+40']),
      box(['rear-axle-230', 'rear-axle-160'], ['right-rail', 'left-rail'], ['floor-10', 'floor+40']),
    ),
    'coolant-pipes': hard(box(['front-axle+100', 'bulkhead-60'], ['middle-60', 'middle+60'], ['floor-35', 'floor-5'])),
    'brace-bar': letInto(
      ['coolant-pipes'],
      box(['bulkhead-130', 'bulkhead-70'], ['right-rail', 'left-rail'], ['floor-45', 'floor-12']),
    ),
    'hand-brake-cables': soft(
      box(['rear-axle', 'bulkhead+300'], ['middle+150', 'middle+180'], ['floor-25', 'floor-5']),
    ),
    downpipe: letInto(
      ['turbo', 'engine', 'heat-shield', 'rear-cradle', 'shaft-right', 'exhaust-rear'],
      block(['bell>pulley*0.36', 'bell>pulley*0.52'], ['hot-22', 'hot-125'], ['crank-120', 'deck-60']),
      box(['rear-axle-140', 'hot-22'], ['middle-190', 'middle-100'], ['ground+235', 'ground+280']),
    ),
    'heat-shield': hard(box(['slam+30', 'slam+120'], ['middle-320', 'middle+320'], ['ground+545', 'ground+552'])),
    'exhaust-rear': letInto(
      ['downpipe', 'rear-cradle'],
      box(['slam+10', 'rear-axle-150'], ['middle-330', 'middle+330'], ['ground+270', 'ground+480']),
    ),
    'gear-cables': soft(box(['centre+60', 'bulkhead'], ['left-rail-190', 'left-rail-160'], ['crank+140', 'crank+165'])),
    'lower-arms': letInto(
      ['rear-cradle'],
      box(['rear-axle-110', 'rear-axle+140'], ['left-rail-10', 'left-wing+60'], ['ground+185', 'ground+220']),
      box(['rear-axle-110', 'rear-axle+140'], ['right-wing-60', 'right-rail+10'], ['ground+185', 'ground+220']),
    ),
  },
};
