import type { Deed } from '../../connection-map/index.js';
import { below, chore, doing, nose, waiting, type Where } from '../author.js';
import type { Piece } from '../template.js';

const opened = (connections: readonly string[]): readonly Deed[] => connections.map((connection) => ({ connection }));

/** Where the rusted fasteners of a layout are. */
interface Rust {
  /** Where they are reached from. */
  readonly where?: Where;
  /** Parts that cover them. */
  readonly behind?: readonly string[];
  /** What else is too hot to be touched, though it is not rusted. */
  readonly hot?: readonly string[];
  readonly called?: string;
}

/**
 * What hot metal and rusted fasteners want before hands and spanners are at them: time to cool, then penetrant and time
 * for it to creep in. `nuts`: the connections of the exhaust on this layout.
 */
export const coolAndSoak = (
  nuts: readonly string[],
  { where = below, behind = [], hot = [], called = 'exhaust nuts' }: Rust = {},
): Piece => {
  const rusted = opened(nuts);
  return {
    chores: [
      chore(
        'cool-down',
        'out',
        waiting('Let engine and exhaust cool until a bare hand stays on them', nose, [1, 30, 90], {
          cautions: ['hot-coolant', 'hot-metal'],
          tip: 'Cold already: say so and go on.',
        }),
        {
          why: 'What is hot scalds and burns.',
          after: [{ holdPoint: 'made-safe' }],
          before: [{ circuit: 'coolant' }, ...opened(hot), ...rusted, { chore: 'soak-exhaust' }],
        },
      ),
      chore(
        'soak-exhaust',
        'out',
        doing(`Brush the ${called} and soak them`, where, [1, 3, 6], {
          tools: ['wire brush', 'penetrant'],
          cautions: ['eyes'],
        }),
        {
          why: 'Penetrant wants time before a spanner is on the nut.',
          after: behind.map((part) => ({ part })),
          before: [...rusted, { chore: 'soak-exhaust-in' }],
        },
      ),
      chore('soak-exhaust-in', 'out', waiting('Let the penetrant creep in', nose, [5, 15, 60]), {
        why: 'A nut turned dry takes its stud along.',
        after: [{ chore: 'soak-exhaust' }],
        before: rusted,
      }),
    ],
  };
};

/** The front pipe of an engine whose exhaust runs under the machine, behind its heat shield. */
export const frontPipeSoaked: Piece = coolAndSoak(
  ['downpipe-turbo', 'downpipe-manifold', 'downpipe-second-bank', 'downpipe-flange'],
  {
    behind: ['heat-shield'],
    hot: ['downpipe-bracket'],
  },
);
