import { after, behind, below, chore, connectionsOf, doing, nose, onGround, part, top } from '../author.js';
import type { Piece } from '../template.js';
import { aboveTray, loomPlug } from './battery-and-loom.js';

const cooling = connectionsOf('cooling');
const steering = connectionsOf('steering');
const cold = connectionsOf('refrigerant', { cautions: ['refrigerant'] });

/** The belt that drives the pumps. */
export const driveBelt: Piece = {
  parts: [
    part('drive-belt', 'drive belt', 'bay-front', 'cooling', { movesWith: 'crank', massKg: 1, ridesWith: 'engine' }),
  ],
  connections: [
    cooling.strap(
      'belt-off',
      'the drive belt from the steering pump',
      ['drive-belt', 'steering-pump'],
      nose,
      [2, 3, 8],
      {
        tools: ['16 mm long spanner', 'paint marker'],
        cautions: ['spring'],
        access: [behind('fan-shroud', 'No room for the tensioner spanner with the shroud in.')],
        back: 'By the drawing; every rib in its groove.',
      },
    ),
    cooling.strap(
      'belt-compressor',
      'the drive belt from the compressor',
      ['drive-belt', 'compressor'],
      nose,
      [1, 2, 6],
      {
        when: { refrigerant: ['swung-aside'] },
        cautions: ['spring'],
        access: [after('belt-off', 'It is the same belt; the tension comes off at the steering pump.')],
      },
    ),
    cooling.strap('belt-run', 'the drive belt on the crank pulley', ['drive-belt', 'engine'], nose, [2, 4, 10], {
      set: { count: 1, what: 'ribbed belt' },
    }),
  ],
  chores: [
    chore(
      'draw-belt',
      'out',
      doing('Photograph or draw the belt’s way round, mark its direction', nose, [1, 2, 4], {
        tools: ['paint marker', 'lamp'],
      }),
      {
        why: 'Off, nobody remembers which side of which pulley it ran.',
        after: [{ part: 'fan-shroud' }],
        before: ['belt-off', 'belt-compressor', 'belt-run'].map((connection) => ({ connection })),
      },
    ),
  ],
};

/** A hydraulic steering pump that is swung aside with its hoses on. */
export const steeringPump: Piece = {
  parts: [
    part('steering-pump', 'steering pump', 'bay-left', 'steering', { massKg: 4, when: { steering: ['hydraulic'] } }),
    part('steering-box', 'steering gear', 'under-front', 'steering', {
      movesWith: 'steering',
      massKg: 12,
      when: { steering: ['hydraulic'] },
    }),
  ],
  connections: [
    steering.bolted(
      'steering-pump-bolts',
      'the steering pump from its bracket',
      ['steering-pump', 'engine'],
      top,
      [3, 6, 15],
      {
        tools: ['13 mm ratchet', 'strap'],
        set: { count: 3, what: 'M8×1.25 × 90, 13 mm', note: 'one is 15 mm shorter, at the top' },
        access: [after('belt-off', 'The belt pulls on the pump.')],
        tip: 'Swing it aside, upright, tied to the inner wing: no hose carries it.',
        nm: 22,
      },
    ),
    steering.hose('steering-hoses', 'the steering hoses', ['steering-pump', 'steering-box'], top, [5, 10, 25], {
      tools: ['17 mm flare spanner', 'plugs and caps'],
      set: { count: 2, what: 'M14×1.5 union, 17 mm' },
      nm: 32,
    }),
    steering.bolted('steering-box-bolts', 'the steering gear', ['steering-box', 'body'], below, [10, 20, 40], {
      tools: ['18 mm ratchet'],
      set: { count: 3, what: 'M12×1.5 × 60, 18 mm' },
      nm: 90,
    }),
  ],
};

/** The refrigerant circuit: swung aside closed, or opened after a certified person has recovered it. */
export const refrigerant: Piece = {
  parts: [
    part('condenser', 'condenser', 'bay-front', 'refrigerant', {
      massKg: 4,
      when: { refrigerant: ['swung-aside', 'opened'] },
    }),
    part('compressor', 'refrigerant compressor', 'bay-right', 'refrigerant', {
      massKg: 7,
      when: { refrigerant: ['swung-aside'] },
    }),
    part('compressor', 'refrigerant compressor', 'bay-right', 'refrigerant', {
      massKg: 7,
      ridesWith: 'engine',
      when: { refrigerant: ['opened'] },
    }),
  ],
  connections: [
    cold.bolted('condenser-clips', 'the condenser from the radiator', ['condenser', 'radiator'], nose, [3, 5, 12], {
      tools: ['10 mm ratchet', 'strap'],
      set: { count: 4, what: 'M6×1.0 × 16, 10 mm flange' },
      access: [behind('slam-panel', 'The front cross panel sits over it.')],
      tip: 'Tie it forward to the bumper bar: no pipe of it carries it, or is bent.',
    }),
    cold.clip('condenser-feet', 'the condenser feet', ['condenser', 'body'], nose, [1, 2, 4]),
    cold.bolted('compressor-bolts', 'the compressor from its bracket', ['compressor', 'engine'], below, [4, 8, 20], {
      tools: ['13 mm ratchet', 'strap'],
      set: { count: 3, what: 'M8×1.25 × 100, 13 mm', note: 'two long, one short' },
      access: [
        after('belt-compressor', 'The belt pulls on the compressor.'),
        behind('undertray', 'The undertray covers it.'),
      ],
      tip: 'Hang it on a strap, never on a hose. What is closed of its circuit stays closed.',
      nm: 22,
    }),
    cold.pipe(
      'compressor-hoses',
      'the refrigerant hoses at the compressor',
      ['compressor', 'condenser'],
      below,
      [4, 8, 20],
      {
        tools: ['13 mm ratchet', 'plugs and caps'],
        needs: ['refrigerant-recovered'],
        set: { count: 2, what: 'M8×1.25 × 30, 13 mm' },
        access: [aboveTray],
        tip: 'Only once the recovery is on paper. Cap both ends at once: the oil drinks water.',
        nm: 20,
        back: 'New O-rings. Filled by a certified person, after the leak test.',
      },
    ),
    loomPlug('compressor-clutch', 'the compressor clutch plug', 'compressor', below, {
      access: [aboveTray],
    }),
  ],
  conditions: [
    {
      id: 'refrigerant-recovered',
      name: 'Refrigerant recovered',
      makeSafe: true,
      when: { refrigerant: ['swung-aside', 'opened'] },
      established: {
        by: 'step',
        access: [],
        step: doing('Have the refrigerant recovered by a certified person', onGround(nose), [20, 40, 90], {
          cautions: ['refrigerant'],
          tip: 'Arranged beforehand; the amount and the name go on paper. Nobody vents it.',
        }),
      },
      released: doing(
        'Have the refrigerant circuit evacuated, leak-tested and charged by a certified person',
        onGround(nose),
        [40, 60, 120],
        {
          cautions: ['refrigerant'],
          tip: 'Arranged beforehand, once every joint of it is closed. The amount on the plate; the paper stays with the job.',
        },
      ),
    },
  ],
};
