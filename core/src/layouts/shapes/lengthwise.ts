import { block, box, hard, letInto, side, type BayFeature, type PartShape } from '../../shape/index.js';

/** Round an engine that lies lengthwise at the front, with its gearbox in the tunnel behind it. */
export const roundALengthwiseEngine: Readonly<Record<string, PartShape>> = {
  'heat-shield': hard(block(['bell-430', 'bell-182'], ['centre-165', 'centre-156'], ['crank-120', 'crank+20'])),
  downpipe: letInto(
    ['turbo', 'engine', 'heat-shield'],
    block(['bell>pulley*0.36', 'bell>pulley*0.52'], ['hot-25', 'hot-120'], ['crank-90', 'deck-60']),
    side(
      [
        ['bell-60', 'crank-185'],
        ['bell>pulley*0.52', 'crank-120'],
        ['bell>pulley*0.52', 'crank-60'],
        ['bell-60', 'crank-125'],
      ],
      ['hot-22', 'hot-75'],
    ),
  ),
  'exhaust-rear': hard(
    box(['rear-axle-500', 'rear-axle-260'], ['middle-260', 'middle+40'], ['floor-60', 'floor+100']),
    block(['tail-300', 'bell-130'], ['centre-240', 'centre-192'], ['pan-30', 'pan+20']),
  ),
  'bulkhead-shield': hard(
    box(['bulkhead+3', 'bulkhead+9'], ['tunnel-right+30', 'tunnel-left-30'], ['tunnel-top+15', 'cowl-15']),
  ),
  crossmember: hard(box(['tail+110', 'tail+190'], ['tunnel-right-30', 'tunnel-left+30'], ['pan-85', 'pan-35'])),
  propshaft: letInto(
    ['gearbox', 'rear-axle'],
    box(['rear-axle+120', 'tail-5'], ['middle-45', 'middle+45'], ['crank-100', 'crank-10']),
  ),
  'rear-axle': hard(
    box(['rear-axle-120', 'rear-axle+125'], ['middle-130', 'middle+130'], ['ground+200', 'ground+420']),
    box(['rear-axle-60', 'rear-axle+60'], ['right-side+130', 'left-side-130'], ['ground+260', 'ground+360']),
  ),
  'gear-lever': letInto(
    ['gearbox', 'tunnel'],
    box(['tail+150', 'tail+190'], ['middle-20', 'middle+20'], ['crank+110', 'crank+420']),
  ),
  'lever-boot': letInto(
    ['gear-lever'],
    box(['tail+90', 'tail+260'], ['middle-85', 'middle+85'], ['tunnel-top+45', 'tunnel-top+105']),
  ),
  selector: hard(box(['tail+110', 'tail+290'], ['middle-70', 'middle+70'], ['tunnel-top+45', 'tunnel-top+165'])),
  'steering-box': hard(
    box(['front-axle+150', 'front-axle+270'], ['left-rail-75', 'left-rail-4'], ['rail-under+10', 'rail-top+20']),
  ),
  'drive-motor': letInto(
    ['gearbox', 'converter'],
    block(['bell-360', 'bell-175'], ['centre-150', 'centre+150'], ['crank-150', 'crank+140']),
  ),
};

/** The beam that carries the front wheels, under the engine. */
export const axleBeam: BayFeature = {
  id: 'axle-beam',
  name: 'front axle beam',
  solids: [box(['front-axle-15', 'front-axle+105'], ['right-rail', 'left-rail'], ['sump-90', 'sump-15'])],
};
