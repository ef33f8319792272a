import { block, box, drum, hard, letInto, soft, type LayoutShape } from '../../shape/index.js';
import { upAcross } from '../shapes/legs.js';
import { flanks, ORIGINS, sides } from '../shapes/planes.js';

/** A small engine across a deck at the tail, its drive pulley to the left, the gearbox below and before it. */
export const utilityBeltShape: LayoutShape = {
  pulleyTo: 'left',
  coldTo: 'nose',
  planes: {
    ...ORIGINS,
    nose: ['front-axle', 420],
    'rear-axle': ['front-axle', -1420],
    'tail-end': ['rear-axle', -560],
    slam: ['tail-end', 60],
    bulkhead: ['rear-axle', 330],
    ...sides({ rail: 330, side: 560 }),
    floor: ['ground', 430],
    'rail-top': ['floor', 60],
    sill: ['ground', 700],
    lid: ['ground', 1080],
    bell: ['middle', -170],
    pulley: ['bell', 345],
    centre: ['rear-axle', -130],
    ...flanks(120),
    crank: ['ground', 660],
    deck: ['crank', 130],
    top: ['crank', 270],
    sump: ['crank', -150],
  },
  withCylinders: {
    row1: { pulley: ['bell', 330] },
    row3: { pulley: ['bell', 405] },
  },
  bay: [
    {
      id: 'deck',
      name: 'engine deck',
      solids: [box(['tail-end', 'bulkhead'], ['right-side', 'left-side'], ['floor', 'rail-top'])],
    },
    {
      id: 'seat-wall',
      name: 'wall behind the seat',
      solids: [box(['bulkhead', 'bulkhead+40'], ['right-side', 'left-side'], ['rail-top', 'lid-60'])],
    },
    {
      id: 'tail-frame',
      name: 'tail frame',
      solids: [box(['tail-end', 'slam'], ['right-side', 'left-side'], ['rail-top', 'rail-top+8'])],
    },
  ],
  weight: { massKg: 640, frontShare: 0.38 },
  ways: { top: [upAcross], rear: [{ exit: 'back', by: 'hoist', tiltDeg: [-4, 4] }] },
  parts: {
    engine: hard(
      block(['bell', 'bell>pulley*0.85'], ['hot', 'cold'], ['sump+40', 'deck']),
      block(['bell+20', 'bell>pulley*0.8'], ['hot+15', 'cold-15'], ['deck', 'top']),
      block(['bell+40', 'bell>pulley*0.75'], ['hot+20', 'cold-20'], ['sump', 'sump+40']),
    ),
    'drive-clutch': letInto(
      ['engine', 'drive-vbelt', 'belt-guard'],
      drum(['bell>pulley*0.86', 'pulley'], 'centre', 'crank', 90),
    ),
    'drive-vbelt': letInto(
      ['drive-clutch', 'idler', 'gearbox', 'belt-guard'],
      block(['pulley-30', 'pulley-10'], ['centre-85', 'centre+85'], ['crank-95', 'crank+95']),
    ),
    'belt-guard': letInto(
      ['drive-clutch', 'drive-vbelt'],
      block(['pulley+5', 'pulley+25'], ['centre-150', 'centre+190'], ['crank-140', 'crank+140']),
    ),
    idler: letInto(
      ['drive-vbelt'],
      block(['pulley-38', 'pulley-5'], ['centre+95', 'centre+150'], ['crank-130', 'crank-70']),
    ),
    gearbox: letInto(
      ['drive-vbelt'],
      box(['rear-axle-80', 'rear-axle+120'], ['middle-160', 'middle+200'], ['ground+180', 'floor-8']),
    ),
    alternator: hard(block(['bell+210', 'bell+310'], ['cold+5', 'cold+110'], ['crank+40', 'crank+150'])),
    starter: hard(block(['bell+15', 'bell+170'], ['cold+5', 'cold+80'], ['crank-70', 'crank+5'])),
    'intake-manifold': hard(block(['bell+60', 'bell+205'], ['cold+2', 'cold+65'], ['deck+5', 'deck+75'])),
    'throttle-body': letInto(
      ['intake-manifold'],
      block(['bell+90', 'bell+150'], ['cold+66', 'cold+120'], ['deck+5', 'deck+70']),
    ),
    carburettor: letInto(
      ['intake-manifold'],
      block(['bell+80', 'bell+160'], ['cold+66', 'cold+140'], ['deck-10', 'deck+90']),
    ),
    'single-injector': letInto(
      ['intake-manifold'],
      block(['bell+80', 'bell+160'], ['cold+66', 'cold+140'], ['deck-10', 'deck+80']),
    ),
    'fuel-rail': letInto(
      ['intake-manifold'],
      block(['bell+60', 'bell+220'], ['cold+5', 'cold+30'], ['deck+76', 'deck+100']),
    ),
    'petrol-pump': hard(block(['bell-50', 'bell-2'], ['centre-40', 'centre+40'], ['crank-20', 'crank+70'])),
    'lift-pump': hard(block(['bell-50', 'bell-2'], ['centre+45', 'centre+110'], ['crank-20', 'crank+60'])),
    'high-pressure-pump': hard(block(['bell+175', 'bell+208'], ['cold+5', 'cold+90'], ['crank-60', 'crank+35'])),
    'injection-pump': hard(block(['bell+175', 'bell+205'], ['cold+5', 'cold+90'], ['crank-70', 'crank+38'])),
    'gas-valve': hard(block(['bell+225', 'bell+290'], ['cold-10', 'cold+50'], ['deck+30', 'deck+90'])),
    turbo: hard(block(['bell+60', 'bell+180'], ['hot-5', 'hot-90'], ['deck-60', 'deck+40'])),
    fan: letInto(
      ['fan-shroud'],
      block(['bell-90', 'bell-55'], ['centre-120', 'centre+120'], ['crank-60', 'crank+180']),
    ),
    'fan-shroud': letInto(
      ['fan', 'radiator'],
      block(['bell-120', 'bell-50'], ['centre-150', 'centre+150'], ['crank-90', 'crank+210']),
    ),
    radiator: letInto(
      ['fan-shroud'],
      block(['bell-165', 'bell-121'], ['centre-165', 'centre+165'], ['crank-110', 'crank+230']),
    ),
    'charge-cooler': hard(block(['bell-215', 'bell-170'], ['centre-150', 'centre+150'], ['crank-100', 'crank+60'])),
    'oil-cooler': hard(block(['bell-235', 'bell-220'], ['centre-100', 'centre+100'], ['crank+70', 'crank+200'])),
    'expansion-bottle': hard(block(['bell-160', 'bell-90'], ['centre+180', 'centre+280'], ['crank+110', 'crank+230'])),
    airbox: hard(block(['bell+230', 'pulley-20'], ['hot-70', 'cold-30'], ['top+38', 'top+130'])),
    silencer: hard(block(['bell+10', 'bell+330'], ['hot-10', 'hot-130'], ['crank+20', 'crank+130'])),
    'deck-cover': hard(box(['tail-end', 'bulkhead-20'], ['right-side', 'left-side'], ['lid', 'lid+30'])),
    'side-panel': hard(box(['tail-end+30', 'bulkhead-30'], ['right-side-20', 'right-side'], ['rail-top', 'lid-20'])),
    undertray: hard(box(['tail-end+40', 'rear-axle-120'], ['right-rail', 'left-rail'], ['floor-60', 'floor-45'])),
    battery: hard(
      box(['bulkhead-150', 'bulkhead-15'], ['right-side+30', 'right-side+220'], ['rail-top+5', 'rail-top+180']),
    ),
    'battery-second': hard(
      box(['bulkhead-150', 'bulkhead-15'], ['right-side+230', 'right-side+400'], ['rail-top+5', 'rail-top+180']),
    ),
    loom: soft(
      box(['tail-end+80', 'bulkhead-10'], ['right-side+25', 'right-side+45'], ['rail-top+190', 'rail-top+210']),
      box(['bulkhead-25', 'bulkhead-5'], ['right-side', 'left-side'], ['rail-top+190', 'rail-top+210']),
    ),
    'control-unit': hard(
      box(['bulkhead-200', 'bulkhead-160'], ['right-side+30', 'right-side+180'], ['rail-top+200', 'rail-top+320']),
    ),
    'fuel-tank': hard(
      box(['bulkhead-330', 'bulkhead-20'], ['left-side-190', 'left-side-25'], ['rail-top+5', 'rail-top+260']),
    ),
    'fuel-lines': soft(
      box(['rear-axle', 'bulkhead-60'], ['left-side-210', 'left-side-195'], ['rail-top+10', 'rail-top+25']),
    ),
    'fuel-filter': hard(
      box(['bulkhead-330', 'bulkhead-260'], ['left-side-290', 'left-side-220'], ['rail-top+30', 'rail-top+150']),
    ),
    'boost-valve': hard(
      box(['bulkhead-330', 'bulkhead-270'], ['right-side+30', 'right-side+80'], ['rail-top+10', 'rail-top+60']),
    ),
    canister: hard(
      box(['bulkhead-340', 'bulkhead-210'], ['right-side+30', 'right-side+130'], ['rail-top+70', 'rail-top+180']),
    ),
    'pedal-cable': soft(box(['rear-axle', 'bulkhead+300'], ['middle+60', 'middle+75'], ['rail-top+5', 'rail-top+20'])),
    compressor: hard(block(['bell+230', 'bell+330'], ['cold+5', 'cold+100'], ['crank-90', 'crank+10'])),
    'work-pump': hard(block(['bell+20', 'bell+150'], ['cold+85', 'cold+190'], ['crank-140', 'crank-60'])),
    'hour-meter': hard(
      box(['front-axle-200', 'front-axle-100'], ['middle-120', 'middle+120'], ['ground+850', 'ground+960']),
    ),
    'seat-switch': soft(
      box(['bulkhead+80', 'bulkhead+130'], ['middle-30', 'middle+30'], ['rail-top+160', 'rail-top+190']),
    ),
    'choke-control': soft(
      box(['bulkhead+42', 'bulkhead+70'], ['left-side-120', 'left-side-90'], ['rail-top+200', 'rail-top+230']),
    ),
  },
};
