import { after, below, connectionsOf, doing, onGround, part, tail, top } from '../author.js';
import type { Piece } from '../template.js';

const air = { brakes: ['air'] } as const;
const pressed = connectionsOf('air', { needs: ['air-released'], cautions: ['air-pressure'] });

/** Air from a compressor on the engine: emptied before a line is touched, built up again on the way back. */
export const airBrakes: Piece = {
  parts: [
    part('air-compressor', 'air compressor', 'bay-left', 'air', { massKg: 15, ridesWith: 'engine', when: air }),
    part('air-tanks', 'air tanks and dryer', 'under-middle', 'air', { massKg: 60, when: air }),
  ],
  connections: [
    pressed.pipe(
      'air-delivery',
      'the delivery pipe at the air compressor',
      ['air-compressor', 'air-tanks'],
      top,
      [4, 8, 20],
      {
        tools: ['27 mm flare spanner', 'plugs and caps'],
        set: { count: 1, what: 'M26×1.5 union, 27 mm' },
        tip: 'Coked hard at the pump end. New olive when it will not seal.',
        nm: 75,
      },
    ),
    pressed.hose(
      'air-signal',
      'the governor line at the air compressor',
      ['air-compressor', 'air-tanks'],
      top,
      [1, 2, 5],
      {
        tools: ['13 mm spanner'],
        set: { count: 1, what: 'M10×1.0 push fitting' },
        back: 'Push home, then pull on it.',
      },
    ),
    pressed.pipe(
      'gearbox-air',
      'the air lines at the gearbox shift unit',
      ['gearbox', 'air-tanks'],
      below,
      [4, 7, 15],
      {
        tools: ['plugs and caps', 'paint marker'],
        set: { count: 3, what: 'M12×1.5 push fitting' },
        tip: 'Number all three: swapped, the gears are where nobody looks for them.',
        back: 'By their numbers. Pull on each.',
      },
    ),
    pressed.pipe(
      'clutch-booster-air',
      'the air line at the clutch booster',
      ['air-tanks', 'gearbox'],
      below,
      [2, 4, 8],
      {
        tools: ['plugs and caps'],
        set: { count: 1, what: 'M16×1.5 push fitting' },
        access: [after('gearbox-air', 'The three shift lines run over it.')],
      },
    ),
    connectionsOf('air').strap('air-tank-straps', 'the air tank straps', ['air-tanks', 'body'], below, [10, 20, 40], {
      tools: ['17 mm ratchet'],
      set: { count: 4, what: 'M10×1.5 × 80 strap bolt, 17 mm' },
    }),
    pressed.bolted('air-compressor-bolts', 'the air compressor', ['air-compressor', 'engine'], top, [15, 25, 50], {
      tools: ['17 mm ratchet'],
      set: { count: 4, what: 'M10×1.5 × 35, 17 mm' },
      nm: 48,
    }),
  ],
  conditions: [
    {
      id: 'air-released',
      name: 'Air tanks empty',
      makeSafe: true,
      when: air,
      stops: ['pedal'],
      established: {
        by: 'step',
        access: [],
        step: doing('Chock the wheels and empty every air tank', onGround(tail), [6, 10, 20], {
          tools: ['wheel chocks', 'gloves'],
          cautions: ['air-pressure'],
          tip: 'Chocks first: without air some brakes hold and some let go. Gauges at nought.',
        }),
      },
      released: doing('Build the air up and listen for leaks', onGround(tail), [10, 15, 30], {
        tools: ['shop air', 'soapy water'],
        cautions: ['air-pressure'],
        tip: 'From shop air. Soap on every joint that was opened.',
      }),
    },
  ],
};
