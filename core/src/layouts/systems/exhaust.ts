import { behind, below, connectionsOf, part, removal } from '../author.js';
import { IN_TWO_BANKS } from '../cylinders.js';
import type { PartId } from '../../connection-map/index.js';
import type { When } from '../options.js';
import type { Piece } from '../template.js';
import { loomPlug } from './battery-and-loom.js';

const exhaust = connectionsOf('exhaust', { cautions: ['eyes'] });
const ENGINE_OUTWARDS = 'From the engine outwards, so that nothing pulls on the manifold.';
const copperNuts = { count: 3, what: 'M8 copper nut, 13 mm', singleUse: true };

/** The front pipe where it leaves the engine; `aligned` is what has to be in line before it is drawn up. */
const frontPipe = (
  id: string,
  name: string,
  between: readonly [PartId, PartId],
  when: When | undefined,
  aligned: string,
) =>
  exhaust.bolted(id, name, between, below, [5, 10, 40], {
    ...(when ? { when } : {}),
    tools: ['13 mm ratchet', 'long extension', 'penetrant'],
    set: copperNuts,
    access: [behind('heat-shield', 'The heat shield covers the exhaust nuts.')],
    tip: 'Soak them first and let them stand. Studs may come out with the nuts.',
    nm: 24,
    again: true,
    loose: 'exhaust',
    back: `New gasket, new nuts, loose until ${aligned} in line.`,
  });

/** From the engine to the rear exhaust: shield, front pipe, sensors, hangers. */
export const exhaustSystem: Piece = {
  parts: [
    part('heat-shield', 'exhaust heat shield', 'under-middle', 'exhaust', {
      massKg: 2,
      removal: removal('Work the heat shield out', below, [1, 3, 8], { cautions: ['eyes'] }),
    }),
    part('downpipe', 'exhaust front pipe', 'under-middle', 'exhaust', {
      massKg: 9,
      removal: removal('Lower the exhaust front pipe out', below, [3, 6, 15], {
        hands: 2,
        cautions: ['eyes'],
        tip: 'Do not let it hang on a sensor lead or bend the flexible piece.',
      }),
    }),
    part('exhaust-rear', 'rear exhaust', 'under-rear', 'exhaust', { massKg: 14 }),
  ],
  connections: [
    exhaust.bolted('heat-shield-nuts', 'the exhaust heat shield', ['heat-shield', 'body'], below, [2, 5, 15], {
      tools: ['10 mm ratchet', 'penetrant'],
      set: { count: 4, what: 'M6 large-washer nut, 10 mm' },
      tip: 'The nuts pull through the shield: a big washer on the way back.',
    }),
    frontPipe('downpipe-turbo', 'the front pipe at the turbocharger', ['downpipe', 'turbo'], undefined, 'the pipe is'),
    frontPipe(
      'downpipe-manifold',
      'the front pipe at the exhaust manifold',
      ['downpipe', 'engine'],
      { boost: ['none'] },
      'the pipe is',
    ),
    frontPipe(
      'downpipe-second-bank',
      'the front pipe at the manifold of the second bank',
      ['downpipe', 'engine'],
      { boost: ['none'], ...IN_TWO_BANKS },
      'both banks and the pipe are',
    ),
    exhaust.bolted(
      'crossover-pipe',
      'the crossover pipe from the second bank to the turbocharger',
      ['turbo', 'engine'],
      { station: 'bay-top', height: 'either' },
      [6, 12, 40],
      {
        when: IN_TWO_BANKS,
        tools: ['13 mm ratchet', 'long extension', 'penetrant'],
        set: copperNuts,
        tip: 'Soak them first and let them stand. Its bellows tear when it hangs on one end.',
        nm: 24,
        again: true,
        back: 'New gaskets; both ends by hand before either is drawn up.',
      },
    ),
    exhaust.bolted(
      'downpipe-bracket',
      'the front pipe bracket on the gearbox',
      ['downpipe', 'gearbox'],
      below,
      [2, 4, 12],
      {
        tools: ['13 mm ratchet'],
        set: { count: 2, what: 'M8×1.25 × 25, 13 mm flange' },
        nm: 22,
        loose: 'exhaust',
        torqueAfter: [{ connection: 'downpipe-flange', why: 'Brackets come last: they hold the pipe as it lies.' }],
      },
    ),
    exhaust.bolted(
      'downpipe-flange',
      'the front pipe at the middle flange',
      ['downpipe', 'exhaust-rear'],
      below,
      [4, 8, 30],
      {
        tools: ['15 mm ratchet', '15 mm spanner', 'penetrant'],
        set: { count: 2, what: 'M10×1.5 × 45 with spring and nut, 15 mm', note: 'spring under the head' },
        nm: 35,
        loose: 'exhaust',
        torqueAfter: [
          { connection: 'downpipe-turbo', why: ENGINE_OUTWARDS },
          { connection: 'downpipe-manifold', why: ENGINE_OUTWARDS },
          { connection: 'downpipe-second-bank', why: ENGINE_OUTWARDS },
        ],
        back: 'New gasket ring.',
      },
    ),
    exhaust.strap('exhaust-hangers', 'the rear exhaust hangers', ['exhaust-rear', 'body'], below, [3, 6, 15]),
    loomPlug('oxygen-before', 'the oxygen sensor before the catalyst', 'downpipe', below, {
      when: { exhaust: ['catalyst'], fuel: ['petrol-port', 'petrol-direct', 'single-point'] },
      tip: 'Follow its lead to the plug; never turn the sensor with the lead on.',
    }),
    loomPlug('oxygen-second-bank', 'the oxygen sensor of the second bank', 'downpipe', below, {
      when: { exhaust: ['catalyst'], fuel: ['petrol-port', 'petrol-direct'], boost: ['none'], ...IN_TWO_BANKS },
      tip: 'Tag it apart from the first bank’s: swapped, both run wrong.',
    }),
    loomPlug('oxygen-after', 'the oxygen sensor behind the catalyst', 'downpipe', below, {
      when: { exhaust: ['catalyst'], fuel: ['petrol-port', 'petrol-direct'] },
    }),
    loomPlug(
      'exhaust-sensor',
      'the exhaust temperature sensor',
      'downpipe',
      { station: 'bay-top', height: 'either' },
      {
        when: { exhaust: ['catalyst'], fuel: ['diesel-rail'] },
      },
    ),
  ],
};
