import { chore, doing, nose, top } from '../author.js';
import type { Piece } from '../template.js';

/** Painted edges are covered before anything is lifted over them. */
export const coveredPaint: Piece = {
  chores: [
    chore(
      'cover-paint',
      'out',
      doing('Lay pads over the wings and tape the painted edges', top, [2, 4, 8], { tools: ['pads', 'masking tape'] }),
      {
        why: 'Belt buckles, spanners and swinging parts mark the paint.',
        after: [{ part: 'bonnet' }, { part: 'lid' }],
        before: [
          { part: 'airbox' },
          { part: 'expansion-bottle' },
          { part: 'strut-brace' },
          { part: 'radiator' },
          { condition: 'powerpack-supported' },
        ],
      },
    ),
  ],
};

/** The bay is cleaned and looked over while nothing is in it. */
export const cleanBay: Piece = {
  chores: [
    chore(
      'clean-bay',
      'back',
      doing('Clean the empty bay and look it over: pipes, loom, grommets, rust', nose, [8, 15, 40], {
        tools: ['degreaser', 'brush', 'lamp'],
        cautions: ['eyes'],
      }),
      {
        why: 'Nobody gets there again once the engine is in.',
        where: { comesOut: 'engine' },
        after: [],
        before: [{ part: 'bulkhead-shield' }, { holdPoint: 'pre-lower' }],
      },
    ),
  ],
};
