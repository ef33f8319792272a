import { block, box, drum, end, hard, letInto, soft, type LayoutShape } from '../../shape/index.js';
import { drivenWheels } from '../shapes/driven-wheels.js';
import { downOnAJack } from '../shapes/legs.js';
import { flanks, ORIGINS, sides } from '../shapes/planes.js';

/** Low and wide behind the rear axle, its pulley to the tail, the transaxle before it. */
export const rearFlatAirCooledShape: LayoutShape = {
  pulleyTo: 'tail',
  coldTo: 'left',
  planes: {
    ...ORIGINS,
    nose: ['front-axle', 720],
    'rear-axle': ['front-axle', -2400],
    'tail-end': ['rear-axle', -960],
    slam: ['rear-axle', -850],
    bulkhead: ['rear-axle', -40],
    ...sides({ rail: 505, wing: 600, side: 780 }),
    floor: ['ground', 240],
    'rail-top': ['ground', 460],
    sill: ['ground', 760],
    lid: ['ground', 900],
    bell: ['rear-axle', 165],
    pulley: ['bell', 500],
    tail: ['bell', -560],
    centre: ['middle', 0],
    ...flanks(370),
    crank: ['ground', 365],
    deck: ['crank', 130],
    top: ['crank', 300],
    sump: ['crank', -140],
    pan: ['crank', -125],
  },
  withCylinders: {
    flat6: { pulley: ['bell', 600], 'tail-end': ['rear-axle', -1060], slam: ['rear-axle', -950] },
  },
  bay: [
    {
      id: 'bulkhead',
      name: 'bulkhead in front of the engine',
      solids: [box(['bulkhead', 'bulkhead+30'], ['right-wing', 'left-wing'], ['crank+210', 'lid+60'])],
    },
    {
      id: 'side-sheets',
      name: 'sheets beside the engine',
      solids: [
        box(['slam+20', 'bulkhead'], ['left-rail', 'left-wing'], ['rail-top', 'lid']),
        box(['slam+20', 'bulkhead'], ['right-wing', 'right-rail'], ['rail-top', 'lid']),
      ],
    },
    {
      id: 'tail-edge',
      name: 'lower edge of the tail',
      solids: [box(['slam-30', 'slam'], ['right-wing', 'left-wing'], ['sill-160', 'lid'])],
    },
    {
      id: 'axle-tube',
      name: 'axle carrier',
      solids: [box(['rear-axle+520', 'rear-axle+600'], ['right-wing', 'left-wing'], ['ground+400', 'ground+480'])],
    },
    {
      id: 'floor',
      name: 'floor',
      solids: [box(['front-axle-300', 'rear-axle+640'], ['right-side', 'left-side'], ['floor', 'floor+60'])],
    },
  ],
  weight: { massKg: 940, frontShare: 0.41 },
  ways: { rear: [{ ...downOnAJack, drawOffMm: 110 }], 'rear-whole': [downOnAJack] },
  parts: {
    ...drivenWheels('rear-axle', 'centre'),
    engine: hard(
      block(['bell', 'bell>pulley*0.86'], ['centre-130', 'centre+130'], ['sump+10', 'deck']),
      block(['bell+40', 'bell>pulley*0.8'], ['hot', 'centre-130'], ['crank-95', 'crank+125']),
      block(['bell+40', 'bell>pulley*0.8'], ['centre+130', 'cold'], ['crank-95', 'crank+125']),
      block(['bell+90', 'bell>pulley*0.7'], ['centre-90', 'centre+90'], ['sump', 'sump+10']),
      drum(['bell>pulley*0.86', 'pulley'], 'centre', 'crank', 85),
    ),
    blower: letInto(
      ['engine', 'alternator', 'intake-manifold', 'carburettor'],
      end(
        [
          ['centre-190', 'deck'],
          ['centre+190', 'deck'],
          ['centre+170', 'top-40'],
          ['centre+90', 'top'],
          ['centre-90', 'top'],
          ['centre-170', 'top-40'],
        ],
        ['bell+150', 'bell+310'],
      ),
    ),
    alternator: letInto(['blower'], drum(['bell+311', 'bell+460'], 'centre', 'crank+225', 68)),
    'intake-manifold': letInto(
      ['engine'],
      block(['bell+312', 'bell+360'], ['centre-300', 'centre+300'], ['deck', 'deck+30']),
    ),
    'throttle-body': letInto(
      ['intake-manifold', 'alternator'],
      block(['bell+330', 'bell+400'], ['centre+75', 'centre+150'], ['deck+30', 'deck+110']),
    ),
    carburettor: letInto(
      ['intake-manifold', 'alternator'],
      block(['bell+330', 'bell+425'], ['centre+72', 'centre+170'], ['deck+30', 'deck+150']),
    ),
    'single-injector': letInto(
      ['intake-manifold', 'alternator'],
      block(['bell+330', 'bell+415'], ['centre+72', 'centre+160'], ['deck+30', 'deck+135']),
    ),
    'fuel-rail': letInto(
      ['intake-manifold', 'throttle-body', 'alternator'],
      block(['bell+320', 'bell+350'], ['centre-280', 'centre+280'], ['deck+30', 'deck+55']),
    ),
    'petrol-pump': letInto(
      ['intake-manifold', 'alternator'],
      block(['bell+361', 'bell+440'], ['centre-160', 'centre-72'], ['deck', 'deck+110']),
    ),
    'lift-pump': hard(block(['bell+361', 'bell+440'], ['centre-240', 'centre-165'], ['deck', 'deck+90'])),
    distributor: letInto(
      ['alternator'],
      block(['bell+441', 'bell+500'], ['centre-150', 'centre-72'], ['deck', 'deck+140']),
    ),
    turbo: hard(block(['bell+150', 'bell+300'], ['hot-5', 'hot-90'], ['crank-60', 'crank+80'])),
    'gas-valve': hard(block(['bell+340', 'bell+420'], ['centre+180', 'centre+260'], ['deck+35', 'deck+120'])),
    flywheel: letInto(['engine', 'gearbox', 'starter'], drum(['bell-45', 'bell'], 'centre', 'crank', 110)),
    gearbox: letInto(
      ['flywheel', 'engine', 'starter', 'shaft-left', 'shaft-right', 'front-tinware'],
      drum(['bell-110', 'bell'], 'centre', 'crank', 140),
      block(['bell-330', 'bell-110'], ['centre-120', 'centre+120'], ['pan', 'crank+105']),
      block(['tail', 'bell-330'], ['centre-75', 'centre+75'], ['pan+25', 'crank+60']),
    ),
    starter: letInto(
      ['gearbox', 'engine', 'front-tinware'],
      drum(['bell-190', 'bell+5'], 'centre-135', 'crank+75', 38),
    ),
    'clutch-cylinder': letInto(
      ['gearbox'],
      block(['bell-150', 'bell-70'], ['centre+125', 'centre+190'], ['crank-30', 'crank+35']),
    ),
    'clutch-lever-cable': soft(
      box(['rear-axle+100', 'rear-axle+900'], ['middle+90', 'middle+110'], ['floor-30', 'floor-10']),
    ),
    'clutch-cable': soft(
      box(['rear-axle+100', 'rear-axle+900'], ['middle+90', 'middle+110'], ['floor-30', 'floor-10']),
    ),
    silencer: hard(block(['pulley+10', 'pulley+95'], ['hot+20', 'cold-20'], ['sump+15', 'sump+135'])),
    'heat-valves': letInto(
      ['engine'],
      block(['bell+60', 'bell+330'], ['hot-75', 'hot-5'], ['crank-110', 'crank-10']),
      block(['bell+60', 'bell+330'], ['cold+5', 'cold+75'], ['crank-110', 'crank-10']),
    ),
    'oil-cooler': hard(block(['bell+100', 'bell+300'], ['hot-125', 'hot-80'], ['crank-60', 'crank+60'])),
    'rear-apron': hard(box(['slam-25', 'slam-5'], ['right-wing', 'left-wing'], ['ground+330', 'sill-162'])),
    bumper: hard(box(['tail-end', 'slam-35'], ['right-side', 'left-side'], ['ground+380', 'ground+520'])),
    'front-tinware': letInto(
      ['gearbox', 'engine', 'blower'],
      box(['bulkhead-35', 'bulkhead-5'], ['right-rail+5', 'left-rail-5'], ['crank+145', 'crank+150']),
    ),
    'rear-tinware': hard(box(['slam+5', 'slam+60'], ['right-rail+5', 'left-rail-5'], ['crank+155', 'crank+160'])),
    bearer: letInto(
      ['engine', 'silencer'],
      block(['bell>pulley*0.88', 'bell>pulley*0.88+45'], ['right-rail', 'left-rail'], ['sump-45', 'sump+5']),
    ),
    airbox: hard(box(['slam+80', 'bulkhead-210'], ['left-rail-190', 'left-rail-15'], ['crank+210', 'lid-30'])),
    battery: hard(
      box(['rear-axle+700', 'rear-axle+880'], ['right-wing+60', 'right-wing+290'], ['floor+65', 'floor+255']),
    ),
    'battery-second': hard(
      box(['rear-axle+890', 'rear-axle+1070'], ['right-wing+60', 'right-wing+290'], ['floor+65', 'floor+255']),
    ),
    loom: soft(
      box(['slam+30', 'bulkhead-5'], ['left-rail-12', 'left-rail-2'], ['lid-30', 'lid-12']),
      box(['bulkhead-25', 'bulkhead-5'], ['right-rail', 'left-rail'], ['lid-30', 'lid-12']),
    ),
    'control-unit': hard(
      box(['bulkhead+60', 'bulkhead+220'], ['left-wing-260', 'left-wing-100'], ['lid-200', 'lid-150']),
    ),
    'fuel-lines': soft(box(['bulkhead', 'front-axle-300'], ['middle-130', 'middle-110'], ['floor-25', 'floor-8'])),
    'ignition-coil': hard(
      box(['bulkhead-120', 'bulkhead-35'], ['right-rail+5', 'right-rail+65'], ['lid-130', 'lid-45']),
    ),
    canister: hard(box(['slam+40', 'slam+150'], ['right-rail+5', 'right-rail+105'], ['lid-200', 'lid-40'])),
    'boost-valve': hard(box(['slam+160', 'slam+220'], ['right-rail+5', 'right-rail+55'], ['lid-100', 'lid-50'])),
    'pedal-cable': soft(box(['bulkhead', 'front-axle-300'], ['middle+60', 'middle+75'], ['floor-25', 'floor-10'])),
    'expansion-bottle': hard(box(['slam+160', 'slam+260'], ['right-rail+5', 'right-rail+105'], ['lid-210', 'lid-110'])),
    'charge-cooler': hard(box(['slam+270', 'slam+420'], ['right-rail+5', 'right-rail+85'], ['lid-200', 'lid-60'])),
    'heater-cables': soft(
      box(['rear-axle+300', 'front-axle-300'], ['middle-180', 'middle-165'], ['floor-25', 'floor-10']),
    ),
    'shift-rod': letInto(
      ['gearbox'],
      box(['rear-axle+395', 'rear-axle+640'], ['middle-14', 'middle+14'], ['crank-14', 'crank+14']),
    ),
    compressor: hard(block(['bell+320', 'bell+460'], ['hot+10', 'hot+130'], ['crank+130', 'crank+230'])),
    'lower-arms': letInto(
      ['gearbox', 'shaft-left', 'shaft-right'],
      box(['rear-axle-60', 'rear-axle+640'], ['left-wing-70', 'left-wing+10'], ['ground+230', 'ground+300']),
      box(['rear-axle-60', 'rear-axle+640'], ['right-wing-10', 'right-wing+70'], ['ground+230', 'ground+300']),
    ),
  },
};
