import {
  behind,
  below,
  connectionsOf,
  doing,
  inside,
  nose,
  onGround,
  part,
  removal,
  top,
  type Time,
} from '../author.js';
import type { Circuit } from '../../connection-map/index.js';
import type { Piece } from '../template.js';
import { aboveTray, loomPlug } from './battery-and-loom.js';

const cooling = connectionsOf('cooling');
const heating = connectionsOf('heating');
const clips = (count: number) => ({ count, what: 'spring band clip' });

/** Litres that a circuit holds and what usually runs out of it. */
export interface Litres {
  readonly capacityL: number;
  readonly drainsL: number;
}

/** Minutes to pour or to catch: `time` for what an ordinary engine holds, and longer by the litre for more. */
export function byTheLitre([low, likely, high]: Time, litres: number): Time {
  const more = Math.max(0, litres - ORDINARY_L) * MINUTES_A_LITRE;
  return [Math.round(low + more / 2), Math.round(likely + more), Math.round(high + more * 2)];
}
const ORDINARY_L = 10;
const MINUTES_A_LITRE = 0.5;

/** Coolant, drained at the radiator. */
export const coolant = (litres: Litres): Circuit => ({
  id: 'coolant',
  name: 'Coolant',
  fluid: 'coolant',
  grade: 'the maker’s kind, mixed half and half: down to −37 °C',
  ...litres,
  level: { by: 'marks', fromC: 0, toC: 35 },
  drain: {
    ...doing('Drain the coolant', below, byTheLitre([6, 12, 20], litres.drainsL), {
      tools: ['drain tray', 'pliers'],
      cautions: ['hot-coolant'],
      tip: 'Cap off once it is cold. Measure what you catch: what is missing is still inside.',
    }),
    needs: [],
    access: [behind('undertray', 'The drain cock is above the undertray.')],
  },
  fill: doing('Fill the coolant', onGround(top), byTheLitre([8, 15, 30], litres.capacityL), {
    tools: ['raised funnel'],
    tip: 'Slowly, heater turned to hot, until the hoses are firm. It is topped up again after the first warm-up.',
  }),
});

/** Radiator, hoses, fan and expansion bottle. */
export const radiator: Piece = {
  parts: [
    part('fan', 'fan and its clutch', 'bay-front', 'cooling', {
      movesWith: 'crank',
      massKg: 3,
      ridesWith: 'engine',
      when: { fan: ['engine'] },
      removal: removal('Lift the fan out', nose, [1, 2, 4], {
        tip: 'Stand it upright; a clutch left lying down leaks.',
      }),
    }),
    part('fan-shroud', 'fan shroud', 'bay-front', 'cooling', {
      massKg: 2,
      removal: removal('Lift the fan shroud out', nose, [1, 2, 5]),
    }),
    part('radiator', 'radiator', 'bay-front', 'cooling', {
      massKg: 9,
      removal: removal('Lift the radiator out', nose, [2, 4, 10], {
        hands: 2,
        cautions: ['heavy'],
        tip: 'Straight up out of the lower rubbers, with what is fixed to it. Card over the fins.',
      }),
    }),
    part('expansion-bottle', 'expansion bottle', 'bay-right', 'cooling', {
      massKg: 2,
      removal: removal('Lift the expansion bottle out', top, [1, 1, 3]),
    }),
  ],
  connections: [
    cooling.hose('upper-hose', 'the upper radiator hose at the thermostat', ['radiator', 'engine'], nose, [2, 4, 10], {
      tools: ['hose clip pliers'],
      circuit: 'coolant',
      cautions: ['hot-coolant'],
      set: clips(1),
      tip: 'Twist to break it loose. If it will not be used again, slit it.',
      back: 'Paint mark up; clip clear of the fan.',
    }),
    cooling.hose('lower-hose', 'the lower radiator hose at the water pump', ['radiator', 'engine'], below, [2, 4, 10], {
      tools: ['hose clip pliers', 'drain tray'],
      circuit: 'coolant',
      cautions: ['hot-coolant'],
      set: clips(1),
      access: [aboveTray],
      tip: 'The block still holds a litre or two: tray under it.',
    }),
    cooling.hose(
      'bottle-hose-engine',
      'the expansion hose at the engine',
      ['expansion-bottle', 'engine'],
      top,
      [1, 2, 5],
      {
        tools: ['hose clip pliers'],
        circuit: 'coolant',
        cautions: ['hot-coolant'],
        set: clips(1),
      },
    ),
    cooling.hose(
      'bottle-hose-radiator',
      'the expansion hose at the radiator',
      ['expansion-bottle', 'radiator'],
      nose,
      [1, 2, 5],
      {
        tools: ['hose clip pliers'],
        circuit: 'coolant',
        set: clips(1),
      },
    ),
    cooling.bolted('bottle-bolts', 'the expansion bottle', ['expansion-bottle', 'body'], top, [1, 2, 4], {
      tools: ['10 mm ratchet'],
      set: { count: 2, what: 'M6×1.0 × 20, 10 mm flange' },
    }),
    cooling.bolted('fan-nut', 'the fan nut on the water pump', ['fan', 'engine'], nose, [3, 6, 20], {
      hands: 2,
      tools: ['36 mm thin spanner', 'pulley holder'],
      set: { count: 1, what: 'fan hub nut, 36 mm', note: 'left-hand thread on some; look at the arrow' },
      tip: 'One holds the pulley, one strikes the spanner.',
      nm: 40,
    }),
    cooling.bolted('shroud-bolts', 'the fan shroud', ['fan-shroud', 'radiator'], nose, [2, 3, 6], {
      tools: ['10 mm ratchet'],
      set: { count: 4, what: 'M6×1.0 × 16, 10 mm flange' },
      access: [behind('fan', 'Fan and shroud do not pass each other.')],
    }),
    loomPlug('fan-plug', 'the fan motor plug', 'fan-shroud', nose, { when: { fan: ['electric'] } }),
    cooling.bolted('radiator-brackets', 'the radiator top brackets', ['radiator', 'body'], nose, [2, 3, 6], {
      tools: ['10 mm ratchet'],
      set: { count: 2, what: 'M6×1.0 × 25, 10 mm flange', note: 'rubber sleeve stays in the bracket' },
      access: [
        behind('slam-panel', 'The front cross panel sits over the brackets.'),
        behind('fan-shroud', 'The radiator comes up only without the shroud.'),
      ],
      nm: 9,
    }),
    loomPlug('coolant-sensor', 'the coolant temperature sensor', 'engine', top),
  ],
};

/** Heater hoses from the engine to the cabin. */
export const heaterHoses: Piece = {
  parts: [part('heater', 'heater matrix', 'cabin', 'heating', { massKg: 3, when: { heater: ['yes'] } })],
  connections: [
    heating.hose('heater-feed', 'the heater feed hose at the cylinder head', ['engine', 'heater'], top, [2, 4, 12], {
      tools: ['hose clip pliers'],
      circuit: 'coolant',
      cautions: ['hot-coolant'],
      set: clips(1),
      tip: 'Take it off at the engine, not the matrix: the stub there breaks.',
    }),
    heating.hose('heater-return', 'the heater return hose at the water pipe', ['engine', 'heater'], top, [2, 4, 12], {
      tools: ['hose clip pliers'],
      circuit: 'coolant',
      cautions: ['hot-coolant'],
      set: clips(1),
    }),
    heating.bolted('heater-mounting', 'the heater matrix', ['heater', 'body'], inside, [20, 40, 90], {
      tools: ['T25 driver'],
      set: { count: 4, what: 'T25 sheet screw 5 × 20' },
    }),
  ],
};

/** What filter, cooler and the room between the marks usually are of what an engine holds. */
const FILTER_SHARE = 0.08;
const COOLER_SHARE = 0.07;
const MARKS_SHARE = 0.2;
const tenths = (litres: number) => Math.round(litres * 10) / 10;

/** Engine oil, drained at the sump. */
export const engineOil = (litres: Litres, grade = 'by the maker’s approval, multigrade 5W-30 as a rule'): Circuit => ({
  id: 'engine-oil',
  name: 'Engine oil',
  fluid: 'oil',
  grade,
  ...litres,
  fillsLater: [
    { what: 'the new filter', litres: tenths(litres.capacityL * FILTER_SHARE) },
    { what: 'cooler and lines', litres: tenths(litres.capacityL * COOLER_SHARE), opened: 'oil-cooler-lines' },
  ],
  level: { by: 'stick', marksL: tenths(litres.capacityL * MARKS_SHARE) },
  drain: {
    ...doing('Drain the engine oil', below, byTheLitre([6, 10, 20], litres.drainsL), {
      tools: ['drain tray', '17 mm spanner'],
      tip: 'Look for metal on the plug and in the tray.',
    }),
    needs: [],
    access: [behind('undertray', 'The plug is above the undertray.')],
  },
  fill: doing('Fill the engine oil to the start level', onGround(top), byTheLitre([4, 6, 12], litres.capacityL), {
    tools: ['funnel'],
    tip: 'Again after the first run, when cooler and filter have drunk theirs.',
  }),
});

/** An oil cooler beside the radiator. */
export const oilCooler: Piece = {
  parts: [part('oil-cooler', 'oil cooler', 'bay-front', 'cooling', { massKg: 3, when: { oilCooler: ['yes'] } })],
  connections: [
    cooling.pipe(
      'oil-cooler-lines',
      'the oil cooler lines at the filter head',
      ['engine', 'oil-cooler'],
      below,
      [3, 6, 15],
      {
        tools: ['24 mm flare spanner', 'drain tray', 'plugs and caps'],
        circuit: 'engine-oil',
        set: { count: 2, what: 'M22×1.5 union, 24 mm', note: 'upper line is the long one' },
        access: [behind('undertray', 'The undertray covers the filter head.')],
        nm: 38,
      },
    ),
    cooling.bolted('oil-cooler-bracket', 'the oil cooler bracket', ['oil-cooler', 'body'], nose, [2, 3, 5], {
      tools: ['10 mm ratchet'],
      set: { count: 2, what: 'M6×1.0 × 20, 10 mm flange' },
    }),
  ],
};
