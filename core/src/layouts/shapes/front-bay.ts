import { box, hard, letInto, profile, soft, type BayFeature, type PartShape } from '../../shape/index.js';

/** What stays of a body that has its bay at the front, whichever way the engine lies in it. */
export const frontBay: readonly BayFeature[] = [
  {
    id: 'bulkhead',
    name: 'bulkhead',
    solids: [box(['bulkhead-50', 'bulkhead'], ['right-wing', 'left-wing'], ['tunnel-top', 'cowl+90'])],
  },
  {
    id: 'cowl',
    name: 'cowl',
    solids: [box(['bulkhead', 'scuttle'], ['right-wing', 'left-wing'], ['cowl', 'cowl+60'])],
  },
  {
    id: 'rails',
    name: 'rails',
    solids: [
      box(['bulkhead', 'nose-90'], ['left-rail', 'left-rail+75'], ['rail-under', 'rail-top']),
      box(['bulkhead', 'nose-90'], ['right-rail-75', 'right-rail'], ['rail-under', 'rail-top']),
    ],
  },
  {
    id: 'towers',
    name: 'towers',
    solids: [
      box(['front-axle-115', 'front-axle+115'], ['left-tower', 'left-wing'], ['rail-top', 'sill+60']),
      box(['front-axle-115', 'front-axle+115'], ['right-wing', 'right-tower'], ['rail-top', 'sill+60']),
    ],
  },
  {
    id: 'wings',
    name: 'wings',
    solids: [
      box(['bulkhead', 'nose-60'], ['left-wing', 'left-wing+55'], ['rail-top', 'sill+80']),
      box(['bulkhead', 'nose-60'], ['right-wing-55', 'right-wing'], ['rail-top', 'sill+80']),
    ],
  },
  {
    id: 'lower-beam',
    name: 'lower crossbeam',
    solids: [box(['radiator-20', 'nose'], ['right-rail', 'left-rail'], ['beam-90', 'beam'])],
  },
  {
    id: 'floor',
    name: 'floor',
    solids: [
      box(['rear-axle+350', 'bulkhead'], ['tunnel-left', 'left-side'], ['floor', 'floor+70']),
      box(['rear-axle+350', 'bulkhead'], ['right-side', 'tunnel-right'], ['floor', 'floor+70']),
      box(['bulkhead-50', 'bulkhead'], ['tunnel-left', 'left-wing'], ['floor', 'tunnel-top']),
      box(['bulkhead-50', 'bulkhead'], ['right-wing', 'tunnel-right'], ['floor', 'tunnel-top']),
    ],
  },
];

/** The tunnel a gearbox lies in, wider and higher at its mouth. */
export const tunnel: BayFeature = {
  id: 'tunnel',
  name: 'tunnel',
  solids: [
    box(['rear-axle+350', 'bulkhead'], ['tunnel-left', 'tunnel-left+40'], ['floor', 'tunnel-top']),
    box(['rear-axle+350', 'bulkhead'], ['tunnel-right-40', 'tunnel-right'], ['floor', 'tunnel-top']),
    profile(
      [
        ['rear-axle+350', 'tunnel-top-75'],
        ['bulkhead-330', 'tunnel-top-75'],
        ['bulkhead-50', 'tunnel-top'],
        ['bulkhead-50', 'tunnel-top+40'],
        ['rear-axle+350', 'tunnel-top+40'],
      ],
      ['tunnel-right', 'tunnel-left'],
    ),
  ],
};

/** Parts that sit in such a bay and are fixed to the body. */
export const inTheFrontBay: Readonly<Record<string, PartShape>> = {
  battery: hard(
    box(['bulkhead+20', 'bulkhead+195'], ['right-wing+10', 'right-wing+235'], ['rail-top+30', 'rail-top+220']),
  ),
  'battery-second': hard(
    box(['slam-135', 'slam+40'], ['left-wing-205', 'left-wing-10'], ['rail-top+30', 'rail-top+220']),
  ),
  loom: soft(
    box(['bulkhead+5', 'bulkhead+30'], ['right-wing', 'left-wing'], ['cowl-60', 'cowl-35']),
    box(['bulkhead+5', 'slam'], ['left-wing-30', 'left-wing-5'], ['sill-60', 'sill-35']),
    box(['bulkhead+5', 'slam'], ['right-wing+5', 'right-wing+30'], ['sill-60', 'sill-35']),
  ),
  'control-unit': hard(
    box(['bulkhead-290', 'bulkhead-110'], ['right-wing+80', 'right-wing+260'], ['cowl-200', 'cowl-150']),
  ),
  bonnet: hard(box(['scuttle-40', 'nose'], ['right-side', 'left-side'], ['lid', 'lid+45'])),
  'slam-panel': hard(box(['slam', 'slam+90'], ['right-wing+40', 'left-wing-40'], ['sill-50', 'sill'])),
  'strut-brace': hard(
    box(['front-axle-25', 'front-axle+25'], ['right-wing+15', 'left-wing-15'], ['sill+62', 'sill+92']),
  ),
  undertray: hard(box(['bulkhead+40', 'radiator-30'], ['right-rail+10', 'left-rail-10'], ['sump-112', 'sump-99'])),
  'fuel-lines': soft(
    box(['rear-axle', 'bulkhead'], ['tunnel-right-90', 'tunnel-right-60'], ['floor-25', 'floor-5']),
    box(['bulkhead', 'bulkhead+25'], ['tunnel-right-90', 'tunnel-right-60'], ['floor', 'sill-80']),
  ),
  'ignition-coil': hard(box(['slam-30', 'slam+50'], ['right-wing+10', 'right-wing+80'], ['sill-150', 'sill-65'])),
  canister: hard(box(['slam-30', 'slam+80'], ['right-wing+10', 'right-wing+120'], ['rail-top+5', 'rail-top+118'])),
  'fuel-filter': hard(
    box(['slam-240', 'slam-160'], ['right-wing+215', 'right-wing+290'], ['rail-top+20', 'rail-top+160']),
  ),
  airbox: hard(box(['slam-300', 'slam-50'], ['right-wing+10', 'right-wing+205'], ['rail-top+60', 'sill-65'])),
  'charge-cooler': hard(
    box(['radiator+92', 'radiator+150'], ['right-rail+40', 'left-rail-40'], ['beam+10', 'beam+165']),
  ),
  'boost-valve': hard(box(['slam-112', 'slam-50'], ['left-wing-85', 'left-wing-35'], ['sill-60', 'sill-10'])),
  'pedal-cable': soft(box(['bulkhead', 'bulkhead+190'], ['left-wing-300', 'left-wing-285'], ['cowl-75', 'cowl-62'])),
  'brake-servo': hard(box(['bulkhead', 'bulkhead+215'], ['left-wing-270', 'left-wing-45'], ['cowl-270', 'cowl-45'])),
  'fan-shroud': letInto(
    ['fan'],
    box(['radiator-75', 'radiator-4'], ['right-rail+20', 'left-rail-20'], ['beam+20', 'sill-80']),
  ),
  radiator: letInto(
    ['fan-shroud'],
    box(['radiator', 'radiator+45'], ['right-rail+5', 'left-rail-5'], ['beam+8', 'sill-62']),
  ),
  'expansion-bottle': hard(
    box(['bulkhead+25', 'bulkhead+145'], ['right-wing+245', 'right-wing+370'], ['sill-130', 'sill+40']),
  ),
  heater: hard(
    box(['bulkhead-330', 'bulkhead-70'], ['tunnel-right', 'tunnel-left'], ['tunnel-top+55', 'tunnel-top+235']),
  ),
  'oil-cooler': hard(box(['radiator+92', 'radiator+150'], ['right-rail+60', 'left-rail-60'], ['beam+175', 'beam+290'])),
  condenser: hard(box(['radiator+55', 'radiator+78'], ['right-rail+15', 'left-rail-15'], ['beam+20', 'sill-90'])),
  'steering-column': letInto(
    ['bulkhead', 'floor', 'rack'],
    profile(
      [
        ['bulkhead-520', 'cowl+30'],
        ['bulkhead+110', 'floor+110'],
        ['bulkhead+110', 'floor+160'],
        ['bulkhead-520', 'cowl+80'],
      ],
      ['left-rail-85', 'left-rail-40'],
    ),
  ),
  inverter: hard(box(['slam-320', 'slam-145'], ['left-wing-250', 'left-wing-15'], ['sill-140', 'sill+35'])),
};
