import type { Route } from '../../connection-map/index.js';
import { liftStep } from '../author.js';
import { bodyOff, bodyOn, gearboxDown, gearboxUp } from '../systems/ways.js';

const overIt = [
  { part: 'bonnet', why: 'The hoist boom needs the space above.' },
  { part: 'slam-panel', why: 'It narrows the opening.' },
  { part: 'strut-brace', why: 'It crosses the opening.' },
  { part: 'airbox', why: 'It stands over the gearbox.' },
  { part: 'expansion-bottle', why: 'The engine turns past it.' },
  { part: 'radiator', why: 'The powerpack needs the hand’s width in front.' },
];
const shafts = [
  { part: 'shaft-left', why: 'It has to be clear of the gearbox.' },
  { part: 'shaft-right', why: 'It has to be clear of the gearbox.' },
];

/** How the engine comes back onto a gearbox that stayed: over its shaft, or against its converter. */
const ONTO = {
  shaft: { words: 'Turn the crank by hand until the splines mesh', tip: 'Faces together by hand, never by bolts.' },
  converter: {
    words: 'Turn the drive plate to its paint mark and bring the faces together',
    tip: 'The converter turns freely behind it all the way, or it is not home. By hand, never by bolts.',
  },
};

/** The ways out of a machine with its engine across on a cradle; `takes` is what the engine meets at the gearbox. */
export const routesOf = (takes: keyof typeof ONTO): readonly Route[] => [
  {
    id: 'under',
    name: 'Down on the cradle, body raised off',
    powerpacks: ['cradle'],
    blockedBy: [
      { part: 'airbox', why: 'It stands over the gearbox.' },
      { part: 'downpipe', why: 'It hangs behind the cradle.' },
      { part: 'wheel-left', why: 'The hub is reached behind it.' },
      { part: 'wheel-right', why: 'The hub is reached behind it.' },
    ],
    supports: ['powerpack-on-dolly'],
    liftSteps: bodyOff,
    lowerSteps: bodyOn,
  },
  {
    id: 'top',
    name: 'Out of the top',
    powerpacks: ['engine-with-gearbox'],
    blockedBy: [...overIt, ...shafts, { part: 'downpipe', why: 'It catches behind the bulkhead.' }],
    supports: ['powerpack-supported'],
    liftSteps: [
      liftStep(
        'first-inch',
        'Raise 50 mm and look all round',
        'Left, right, below, behind. If the crane works harder, something is still on.',
        [2, 4, 8],
      ),
      liftStep(
        'turn',
        'Turn the gearbox end down and past the leg',
        'Gearbox low on the leveller; somebody watches the inner wing.',
        [4, 10, 25],
      ),
      liftStep(
        'clear-nose',
        'Raise over the nose and roll clear',
        'A hand’s width all round; somebody watches each side.',
        [4, 8, 20],
      ),
      liftStep('set-down', 'Set it down on the stand', 'Level first. The sump never carries it.', [3, 6, 12]),
    ],
    lowerSteps: [
      liftStep('over-nose', 'Over the nose, gearbox end down', 'Loom and cables tied away.', [4, 8, 20]),
      liftStep('turn-back', 'Turn it in past the leg and level out', 'Shafts held clear of the seals.', [5, 12, 30]),
      liftStep('on-mounts', 'Lower until the mount holes line up', 'A bar in the hole, never a finger.', [4, 8, 20]),
    ],
  },
  {
    id: 'top-engine',
    name: 'Out of the top, gearbox stays',
    powerpacks: ['engine'],
    blockedBy: [...overIt, { part: 'downpipe', why: 'It catches behind the bulkhead.' }],
    supports: ['powerpack-supported', 'gearbox-supported'],
    liftSteps: [
      liftStep(
        'first-inch',
        'Raise 50 mm, draw it off the gearbox',
        takes === 'shaft'
          ? 'Straight off the shaft; the jack keeps the gearbox level.'
          : 'Straight; the converter stays in the gearbox, a strip across it at once. The jack keeps the gearbox level.',
        [4, 8, 20],
      ),
      liftStep(
        'clear-nose',
        'Raise over the nose and roll clear',
        'A hand’s width all round; somebody watches each side.',
        [4, 8, 20],
      ),
      liftStep('set-down', 'Set it down on the stand', 'Level first. The sump never carries it.', [3, 6, 12]),
    ],
    lowerSteps: [
      liftStep('over-nose', 'Over the nose and down beside the gearbox', 'Loom and hoses tied away.', [4, 8, 20]),
      liftStep('onto-shaft', ONTO[takes].words, ONTO[takes].tip, [4, 10, 30], { meets: true }),
      liftStep('on-mounts', 'Lower until the mount holes line up', 'A bar in the hole, never a finger.', [4, 8, 20]),
    ],
  },
  {
    id: 'under-gearbox',
    name: 'Gearbox down and out below',
    powerpacks: ['gearbox'],
    blockedBy: [
      ...shafts,
      { part: 'airbox', why: 'It stands over the gearbox.' },
      { part: 'roll-mount', why: 'It sits where the gearbox comes down.' },
    ],
    supports: ['engine-held', 'gearbox-supported'],
    liftSteps: gearboxDown,
    lowerSteps: gearboxUp,
  },
];
