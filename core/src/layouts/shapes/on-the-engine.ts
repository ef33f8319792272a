import { block, drum, hard, letInto, side, soft, type PartShape } from '../../shape/index.js';

type Shapes = Readonly<Record<string, PartShape>>;

/** Block, head and sump of an engine with its cylinders in a row. */
export const inlineEngine: Shapes = {
  engine: hard(
    block(['bell', 'bell>pulley*0.88'], ['hot', 'cold'], ['crank-60', 'deck']),
    side(
      [
        ['bell+10', 'deck'],
        ['bell>pulley*0.88', 'deck'],
        ['bell>pulley*0.82', 'top'],
        ['bell+40', 'top'],
      ],
      ['hot+20', 'cold-20'],
    ),
    side(
      [
        ['bell+30', 'crank-60'],
        ['bell>pulley*0.8', 'crank-60'],
        ['bell>pulley*0.72', 'crank>sump*0.62'],
        ['bell>pulley*0.5', 'sump'],
        ['bell+50', 'sump'],
      ],
      ['hot+40', 'cold-40'],
    ),
    drum(['bell>pulley*0.88', 'pulley'], 'centre', 'crank', 75),
  ),
  sump: letInto(['engine'], block(['bell+50', 'bell>pulley*0.5'], ['hot+40', 'cold-40'], ['sump', 'crank>sump*0.62'])),
  'head-cover': letInto(
    ['engine', 'head-cover-2'],
    block(['bell+40', 'bell>pulley*0.82'], ['hot+20', 'cold-20'], ['deck>top*0.72', 'top']),
  ),
  'head-cover-2': letInto(
    ['engine', 'head-cover'],
    block(['bell+40', 'bell>pulley*0.82'], ['hot+20', 'centre'], ['deck>top*0.72', 'top']),
  ),
  'timing-cover': letInto(
    ['engine'],
    block(['bell>pulley*0.82', 'bell>pulley*0.88'], ['hot', 'cold'], ['crank-60', 'deck']),
  ),
  'front-pulley': letInto(
    ['engine', 'timing-cover', 'drive-belt'],
    drum(['bell>pulley*0.88', 'pulley'], 'centre', 'crank', 75),
  ),
};

/** What is bolted to such an engine, whatever it burns. */
export const onTheEngine: Shapes = {
  alternator: hard(block(['bell>pulley*0.62', 'bell>pulley*0.9'], ['cold+5', 'cold+128'], ['crank+118', 'crank+243'])),
  starter: letInto(['engine', 'gearbox'], drum(['bell-10', 'bell+190'], 'cold+45', 'crank-20', 44)),
  'drive-belt': letInto(
    ['engine', 'alternator', 'steering-pump', 'compressor'],
    block(['bell>pulley*0.9', 'bell>pulley*0.96'], ['hot-70', 'cold+100'], ['crank-70', 'crank+250']),
  ),
  'steering-pump': hard(
    block(['bell>pulley*0.66', 'bell>pulley*0.9'], ['cold+5', 'cold+110'], ['crank+5', 'crank+115']),
  ),
  compressor: hard(block(['bell>pulley*0.56', 'bell>pulley*0.9'], ['hot-5', 'hot-125'], ['crank-30', 'crank+110'])),
  'vacuum-pump': letInto(['engine'], block(['bell-5', 'bell+40'], ['centre+10', 'centre+110'], ['top-150', 'top-50'])),
  'engine-cover': letInto(
    ['engine', 'fuel-rail'],
    block(['bell+60', 'bell>pulley*0.8'], ['hot+10', 'cold-10'], ['top', 'top+30']),
  ),
  'intake-manifold': hard(
    block(['bell>pulley*0.18', 'bell>pulley*0.6'], ['cold-18', 'cold+125'], ['deck+2', 'deck>top*0.62']),
  ),
  'throttle-body': letInto(
    ['intake-manifold'],
    block(['bell>pulley*0.6', 'bell>pulley*0.6+70'], ['cold+20', 'cold+110'], ['deck+50', 'deck+122']),
  ),
  turbo: letInto(
    ['downpipe'],
    block(['bell>pulley*0.34', 'bell>pulley*0.66'], ['hot-2', 'hot-150'], ['deck-90', 'deck+80']),
  ),
  'gas-valve': letInto(
    ['intake-manifold', 'fuel-rail'],
    block(['bell+8', 'bell+78'], ['cold+5', 'cold+95'], ['deck>top*0.2', 'deck>top*0.9']),
  ),
  flywheel: letInto(['engine', 'gearbox', 'starter'], drum(['bell-45', 'bell'], 'centre', 'crank', 125)),
  fan: letInto(['fan-shroud'], drum(['pulley+8', 'pulley+66'], 'centre', 'crank+110', 190)),
  'air-compressor': hard(
    block(['bell>pulley*0.04', 'bell>pulley*0.28'], ['cold+5', 'cold+160'], ['crank-20', 'crank+260']),
  ),
};

/** Petrol at the engine. */
export const petrolShapes: Shapes = {
  'fuel-rail': letInto(
    ['intake-manifold', 'engine', 'throttle-body'],
    block(['bell>pulley*0.18', 'bell>pulley*0.62'], ['cold-10', 'cold+30'], ['deck>top*0.62', 'deck>top*0.62+35']),
  ),
  'petrol-pump': letInto(['engine'], block(['bell-5', 'bell+40'], ['centre-110', 'centre-20'], ['top-130', 'top-50'])),
  'single-injector': letInto(
    ['intake-manifold'],
    block(['bell>pulley*0.3', 'bell>pulley*0.5'], ['cold+10', 'cold+110'], ['deck>top*0.62', 'deck>top*0.62+95']),
  ),
  carburettor: letInto(
    ['intake-manifold'],
    block(['bell>pulley*0.26', 'bell>pulley*0.5'], ['cold+5', 'cold+120'], ['deck>top*0.62', 'deck>top*0.62+120']),
  ),
  'lift-pump': hard(
    block(['bell>pulley*0.66', 'bell>pulley*0.66+80'], ['hot-2', 'hot-70'], ['crank+115', 'crank+195']),
  ),
  distributor: letInto(
    ['engine', 'petrol-pump'],
    block(['bell-5', 'bell+40'], ['centre-60', 'centre+40'], ['top-160', 'top-55']),
  ),
};

/** Diesel at the engine. */
export const dieselShapes: Shapes = {
  'high-pressure-pump': hard(
    block(['bell>pulley*0.36', 'bell>pulley*0.6'], ['cold+5', 'cold+125'], ['crank+60', 'crank+210']),
  ),
  'injection-pump': hard(
    block(['bell>pulley*0.3', 'bell>pulley*0.61'], ['cold+5', 'cold+135'], ['crank+45', 'crank+200']),
  ),
};

/** A manual gearbox, tapering to its tail. */
export const manualGearboxShapes: Shapes = {
  gearbox: letInto(
    ['flywheel', 'starter', 'engine'],
    drum(['bell-120', 'bell'], 'centre', 'crank', 178),
    side(
      [
        ['bell-120', 'pan'],
        ['bell-120', 'crank+130'],
        ['bell>tail*0.55', 'crank+112'],
        ['tail', 'crank+55'],
        ['tail', 'crank-60'],
        ['bell>tail*0.7', 'pan'],
      ],
      ['centre-110', 'centre+110'],
    ),
  ),
  'clutch-cylinder': letInto(
    ['gearbox'],
    block(['bell-150', 'bell-70'], ['centre+150', 'centre+215'], ['crank-40', 'crank+25']),
  ),
  'clutch-cable': soft(block(['bell-110', 'bell+40'], ['cold+20', 'cold+40'], ['crank', 'deck'])),
};

/** An automatic gearbox with its converter. */
export const automaticGearboxShapes: Shapes = {
  gearbox: letInto(
    ['converter', 'starter', 'window-cover', 'engine', 'flexplate'],
    drum(['bell-170', 'bell'], 'centre', 'crank', 182),
    side(
      [
        ['bell-170', 'pan'],
        ['bell-170', 'crank+150'],
        ['bell>tail*0.5', 'crank+125'],
        ['tail', 'crank+60'],
        ['tail', 'crank-65'],
        ['bell>tail*0.75', 'pan'],
      ],
      ['centre-140', 'centre+140'],
    ),
  ),
  converter: letInto(['gearbox', 'flexplate', 'starter'], drum(['bell-150', 'bell-8'], 'centre', 'crank', 130)),
  flexplate: letInto(['engine', 'gearbox', 'starter', 'converter'], drum(['bell-8', 'bell'], 'centre', 'crank', 135)),
  'window-cover': letInto(
    ['gearbox'],
    block(['bell-60', 'bell'], ['centre-80', 'centre+80'], ['crank-190', 'crank-170']),
  ),
};
