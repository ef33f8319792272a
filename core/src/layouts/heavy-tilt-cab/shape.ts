import { block, box, drum, hard, letInto, side, soft, type LayoutShape } from '../../shape/index.js';
import { dieselShapes, inlineEngine, manualGearboxShapes, onTheEngine } from '../shapes/on-the-engine.js';
import { engineOffLengthwise, gearboxOffLengthwise } from '../shapes/legs.js';
import { flanks, ORIGINS, sides } from '../shapes/planes.js';

/** Between two rails under a cab that is tipped forward; intake on the left, exhaust on the right. */
export const heavyTiltCabShape: LayoutShape = {
  pulleyTo: 'nose',
  coldTo: 'left',
  planes: {
    ...ORIGINS,
    slam: ['front-axle', 900],
    nose: ['slam', 420],
    radiator: ['slam', -40],
    'rear-axle': ['front-axle', -3700],
    'tail-end': ['rear-axle', -1500],
    ...sides({ rail: 415, side: 1250 }),
    'rail-under': ['ground', 700],
    'rail-top': ['rail-under', 280],
    beam: ['ground', 690],
    sill: ['ground', 990],
    bell: ['front-axle', -560],
    pulley: ['bell', 1180],
    tail: ['bell', -880],
    centre: ['middle', 0],
    ...flanks(245),
    crank: ['ground', 940],
    deck: ['crank', 400],
    top: ['crank', 690],
    sump: ['crank', -390],
    pan: ['crank', -240],
  },
  bay: [
    {
      id: 'rails',
      name: 'frame rails',
      solids: [
        box(['tail-end', 'nose-120'], ['left-rail', 'left-rail+80'], ['rail-under', 'rail-top']),
        box(['tail-end', 'nose-120'], ['right-rail-80', 'right-rail'], ['rail-under', 'rail-top']),
      ],
    },
    {
      id: 'axle-beam',
      name: 'front axle beam',
      solids: [
        box(['front-axle-60', 'front-axle+60'], ['right-side+240', 'left-side-240'], ['ground+380', 'ground+490']),
      ],
    },
    {
      id: 'front-bearer',
      name: 'lower front bearer',
      solids: [box(['nose-260', 'nose-120'], ['right-rail', 'left-rail'], ['beam-170', 'beam-40'])],
    },
    {
      id: 'cross-tube',
      name: 'cross tube behind the gearbox',
      solids: [box(['tail-640', 'tail-560'], ['right-rail', 'left-rail'], ['rail-under+40', 'rail-top-40'])],
    },
  ],
  weight: { massKg: 8200, frontShare: 0.66 },
  ways: {
    top: [{ exit: 'up', by: 'hoist', tiltDeg: [-6, 12] }],
    'top-engine': [{ ...engineOffLengthwise, tiltDeg: [-6, 12], drawOffMm: 190 }],
    under: [{ ...gearboxOffLengthwise, drawOffMm: -190 }],
  },
  parts: {
    ...onTheEngine,
    ...dieselShapes,
    ...inlineEngine,
    ...manualGearboxShapes,
    engine: hard(
      block(['bell', 'bell>pulley*0.9'], ['hot', 'cold'], ['crank-80', 'deck']),
      block(['bell+30', 'bell>pulley*0.88'], ['hot+25', 'cold-25'], ['deck', 'top']),
      side(
        [
          ['bell+40', 'crank-80'],
          ['bell>pulley*0.86', 'crank-80'],
          ['bell>pulley*0.84', 'crank>sump*0.55'],
          ['bell>pulley*0.58', 'sump'],
          ['bell+60', 'sump'],
        ],
        ['hot+55', 'cold-55'],
      ),
      drum(['bell>pulley*0.9', 'pulley'], 'centre', 'crank', 130),
    ),
    gearbox: letInto(
      ['flywheel', 'starter', 'engine', 'retarder', 'clutch-booster'],
      drum(['bell-230', 'bell'], 'centre', 'crank', 270),
      side(
        [
          ['bell-230', 'pan'],
          ['bell-230', 'crank+220'],
          ['tail+60', 'crank+190'],
          ['tail', 'crank+110'],
          ['tail', 'crank-120'],
          ['bell>tail*0.8', 'pan'],
        ],
        ['centre-190', 'centre+190'],
      ),
    ),
    flywheel: letInto(['engine', 'gearbox', 'starter'], drum(['bell-110', 'bell'], 'centre', 'crank', 215)),
    starter: letInto(['engine', 'gearbox'], drum(['bell-15', 'bell+300'], 'cold-30', 'crank-130', 60)),
    fan: letInto(['fan-shroud'], drum(['pulley+15', 'pulley+95'], 'centre', 'crank+60', 340)),
    'fan-shroud': letInto(
      ['fan', 'radiator'],
      box(['radiator-140', 'radiator'], ['right-rail+15', 'left-rail-15'], ['beam+30', 'ground+1480']),
    ),
    radiator: letInto(
      ['fan-shroud', 'charge-cooler'],
      box(['radiator', 'radiator+70'], ['right-rail+8', 'left-rail-8'], ['beam+10', 'ground+1560']),
    ),
    'charge-cooler': letInto(
      ['radiator'],
      box(['radiator+70', 'radiator+135'], ['right-rail+20', 'left-rail-20'], ['beam+40', 'ground+1480']),
    ),
    condenser: hard(
      box(['radiator+136', 'radiator+158'], ['right-rail+30', 'left-rail-30'], ['beam+60', 'ground+1400']),
    ),
    'oil-cooler': hard(box(['radiator+170', 'radiator+230'], ['middle-300', 'middle+300'], ['beam+60', 'beam+225'])),
    'front-crossbeam': hard(
      box(['nose-300', 'nose-125'], ['right-rail', 'left-rail'], ['rail-top-40', 'rail-top+120']),
    ),
    cab: soft(box(['front-axle-300', 'nose'], ['right-side', 'left-side'], ['ground+2300', 'ground+3600'])),
    'air-ram': hard(box(['bell-620', 'bell-400'], ['left-rail+480', 'left-rail+780'], ['ground+1250', 'ground+2300'])),
    'engine-tunnel': hard(box(['bell-120', 'pulley-80'], ['hot-170', 'cold+190'], ['top+50', 'top+75'])),
    airbox: hard(box(['bell-620', 'bell-190'], ['left-rail+90', 'left-rail+470'], ['rail-top+30', 'rail-top+420'])),
    'boost-valve': hard(
      box(['bell-120', 'bell-40'], ['right-rail-70', 'right-rail-5'], ['rail-top+10', 'rail-top+90']),
    ),
    battery: hard(
      box(['rear-axle+1500', 'rear-axle+2040'], ['left-rail+120', 'left-rail+380'], ['rail-under', 'rail-under+250']),
    ),
    'battery-second': hard(
      box(['rear-axle+1500', 'rear-axle+2040'], ['left-rail+390', 'left-rail+650'], ['rail-under', 'rail-under+250']),
    ),
    'tag-tank-steps': hard(
      box(['rear-axle+1480', 'rear-axle+2060'], ['left-rail+660', 'left-side'], ['rail-under-150', 'rail-under+300']),
    ),
    loom: soft(
      box(['bell-300', 'nose-150'], ['left-rail+10', 'left-rail+40'], ['rail-top+5', 'rail-top+30']),
      box(['bell-310', 'bell-280'], ['right-rail', 'left-rail+40'], ['rail-top+5', 'rail-top+30']),
    ),
    'fuel-tank': hard(
      box(['rear-axle+700', 'rear-axle+2050'], ['right-side', 'right-rail-120'], ['ground+420', 'ground+1000']),
    ),
    'fuel-lines': soft(
      box(['rear-axle+2050', 'bell+300'], ['right-rail-20', 'right-rail-5'], ['rail-top-60', 'rail-top-40']),
    ),
    'fuel-filter': hard(
      box(['bell+320', 'bell+440'], ['left-rail+85', 'left-rail+200'], ['rail-top-80', 'rail-top+160']),
    ),
    'pedal-cable': soft(
      box(['bell+200', 'nose-300'], ['right-rail+5', 'right-rail+20'], ['rail-top+10', 'rail-top+25']),
    ),
    'steering-reservoir': hard(
      box(['pulley-60', 'pulley+60'], ['left-rail+90', 'left-rail+210'], ['rail-top+180', 'rail-top+380']),
    ),
    'expansion-bottle': hard(
      box(['bell-180', 'bell-60'], ['left-rail-10', 'left-rail+280'], ['ground+1750', 'ground+2000']),
    ),
    silencer: hard(
      box(['rear-axle+2100', 'rear-axle+2700'], ['right-side', 'right-rail-130'], ['ground+420', 'ground+960']),
    ),
    'flex-pipe': letInto(
      ['turbo', 'silencer'],
      block(['bell-430', 'bell>pulley*0.4'], ['hot-105', 'hot-160'], ['crank-60', 'crank+60']),
    ),
    turbo: letInto(
      ['flex-pipe'],
      block(['bell>pulley*0.36', 'bell>pulley*0.62'], ['hot-2', 'hot-165'], ['deck-130', 'deck+110']),
    ),
    'air-tanks': hard(
      box(
        ['rear-axle+200', 'rear-axle+1400'],
        ['left-rail+100', 'left-side-100'],
        ['rail-under-180', 'rail-under+120'],
      ),
    ),
    retarder: letInto(['gearbox', 'propshaft'], drum(['tail-190', 'tail'], 'centre', 'crank-10', 165)),
    'clutch-booster': letInto(
      ['gearbox'],
      block(['bell-420', 'bell-150'], ['centre+185', 'centre+255'], ['crank-140', 'crank-20']),
    ),
    'clutch-pedal-line': soft(
      box(['bell-260', 'nose-350'], ['left-rail-30', 'left-rail-12'], ['rail-top+5', 'rail-top+20']),
    ),
    'shift-tube': soft(
      box(['bell-700', 'nose-500'], ['right-rail+30', 'right-rail+75'], ['rail-top+10', 'rail-top+55']),
    ),
    'gearbox-bearer': hard(box(['tail+180', 'tail+300'], ['right-rail', 'left-rail'], ['pan-110', 'pan-20'])),
    propshaft: letInto(
      ['retarder', 'rear-axle', 'gearbox', 'cross-tube'],
      side(
        [
          ['tail-192', 'crank-70'],
          ['tail-192', 'crank+50'],
          ['rear-axle+200', 'ground+600'],
          ['rear-axle+200', 'ground+480'],
        ],
        ['centre-70', 'centre+70'],
      ),
    ),
    'rear-axle': hard(
      box(['rear-axle-200', 'rear-axle+195'], ['right-side+250', 'left-side-250'], ['ground+330', 'ground+690']),
    ),
  },
};
