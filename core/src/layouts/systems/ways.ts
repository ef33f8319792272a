import type { LiftStep, LowerStep, PartId } from '../../connection-map/index.js';
import { liftStep } from '../author.js';

/** Up and over the nose. */
export const fourStepsUp = (over: string): readonly ReturnType<typeof liftStep>[] => [
  liftStep(
    'first-inch',
    'Raise 50 mm and look all round',
    'Left, right, below, behind. If the crane works harder, something is still on.',
    [2, 4, 8],
  ),
  liftStep(
    'tail-down',
    'Tail down on the leveller, forward off the tunnel',
    'The tail drops as the nose comes up.',
    [4, 8, 20],
  ),
  liftStep(
    'clear-nose',
    `Raise ${over}`,
    'A hand’s width at the cowl and at the nose; somebody watches each.',
    [4, 8, 20],
  ),
  liftStep('set-down', 'Roll clear and set down on the stand', 'Level first. The sump never carries it.', [4, 8, 15]),
];

/** Over the nose and down. */
export const backFromAbove: readonly ReturnType<typeof liftStep>[] = [
  liftStep('over-nose', 'Over the nose, tail down', 'Everything that could slide is seated and strapped.', [4, 8, 20]),
  liftStep(
    'into-tunnel',
    'Back into its place and level out',
    'Loom, pumps and hoses tied away; look at every step.',
    [5, 10, 25],
  ),
  liftStep('on-mounts', 'Lower until the mount holes line up', 'A bar in the hole, never a finger.', [4, 8, 20]),
];

/** The engine alone goes forward off a gearbox that stays on its jack, then up. */
export const engineUp: readonly ReturnType<typeof liftStep>[] = [
  liftStep(
    'off-the-gearbox',
    'Draw the engine forward off the gearbox',
    'Straight, until it is clear of the shaft. The jack keeps the gearbox level.',
    [4, 8, 20],
  ),
  liftStep(
    'clear-nose',
    'Raise over the nose',
    'A hand’s width at the cowl and at the nose; somebody watches each.',
    [4, 8, 20],
  ),
  liftStep('set-down', 'Roll clear and set down on the stand', 'Level first. The sump never carries it.', [4, 8, 15]),
];

/** The engine alone comes down and back onto the gearbox. */
export const engineDown: readonly ReturnType<typeof liftStep>[] = [
  liftStep(
    'over-nose',
    'Over the nose and down in front of the gearbox',
    'Loom, pumps and hoses tied away.',
    [4, 8, 20],
  ),
  liftStep(
    'onto-gearbox',
    'Turn the crank by hand and bring the faces together',
    'The gap is the same all round. By hand, never with the bolts.',
    [5, 12, 35],
    { meets: true },
  ),
  liftStep('on-mounts', 'Lower until the mount holes line up', 'A bar in the hole, never a finger.', [4, 8, 20]),
];

const jack = {
  station: 'underside',
  tools: ['transmission jack', 'strap'],
  cautions: ['under-load', 'stands'],
} as const;

/** The gearbox comes away under an engine that stays. */
export const gearboxDown: readonly ReturnType<typeof liftStep>[] = [
  liftStep(
    'gearbox-back',
    'Draw the gearbox back off the dowels',
    'Straight, until the shaft is clear. The engine must not tip on its hold.',
    [3, 6, 20],
    jack,
  ),
  liftStep(
    'gearbox-low',
    'Lower the gearbox on the jack, watch lines and loom',
    'A hand’s breadth at a time; look above it.',
    [3, 6, 15],
    jack,
  ),
  liftStep('gearbox-out', 'Roll the gearbox out and block it', 'Nobody under it.', [2, 4, 8], jack),
];

/** The gearbox goes up to an engine that stayed. */
export const gearboxUp: readonly ReturnType<typeof liftStep>[] = [
  liftStep(
    'gearbox-under',
    'Roll the gearbox under and strap it to the jack',
    'Input shaft greased, release bearing or converter looked at.',
    [3, 6, 12],
    jack,
  ),
  liftStep(
    'gearbox-raise',
    'Raise it until the faces are parallel',
    'The gap is the same all round, or it is not straight.',
    [4, 8, 25],
    jack,
  ),
  liftStep(
    'gearbox-home',
    'Push it home on the dowels',
    'By hand. If it does not go, something is not in line.',
    [3, 8, 30],
    { ...jack, meets: true },
  ),
];

const dolly = {
  station: 'underside',
  tools: ['powerpack dolly', 'lift or two jacks'],
  cautions: ['under-load', 'stands'],
} as const;

/** The body goes up and leaves the powerpack standing. */
export const bodyOff: readonly ReturnType<typeof liftStep>[] = [
  liftStep(
    'body-up',
    'Raise the body 50 mm and look all round',
    'Brake hoses, loom, shafts: what moves with the body is still on.',
    [3, 5, 10],
    dolly,
  ),
  liftStep(
    'body-clear',
    'Raise the body until the highest part is clear',
    'A little left, a little right. Somebody watches each tower.',
    [5, 10, 25],
    dolly,
  ),
  liftStep(
    'roll-out',
    'Roll the powerpack out from under it',
    'Body on its stands before anybody reaches in.',
    [3, 6, 12],
    dolly,
  ),
];

/** The body comes down over the powerpack. */
export const bodyOn: readonly ReturnType<typeof liftStep>[] = [
  liftStep(
    'roll-under',
    'Roll the powerpack under the bay',
    'Loom and hoses tied up; nothing hangs in the way.',
    [3, 6, 12],
    dolly,
  ),
  liftStep(
    'body-down',
    'Let the body down over it',
    'A little left, a little right, and look at each step.',
    [6, 12, 30],
    dolly,
  ),
  liftStep('holes-line-up', 'The last inch: holes line up', 'A bar in the hole, never a finger.', [4, 8, 20], dolly),
];

/** Between gearbox and engine of a split powerpack: the hoist takes what the stand had. */
export const standAway = liftStep(
  'stand-away',
  'Hoist tight, then the stand away from under the engine',
  'Nobody reaches under it. It hangs level before it goes on.',
  [2, 4, 8],
  { tools: ['engine hoist', 'engine stand'] },
);

/** The engine stands before a gearbox is offered up to it. */
export const standBack = liftStep(
  'stand-back',
  'Set the stand under the engine again',
  'On its wood, the hoist still snug, before anybody brings the gearbox.',
  [3, 5, 10],
  { tools: ['engine hoist', 'engine stand', 'wood block'] },
);

const besideIt = {
  station: 'wheel-left',
  tools: ['transmission jack'],
  cautions: ['under-load', 'stands'],
  kept: true,
} as const;

/** The jack that stood under a gearbox while its mounts came off, once the hoist has all of it. */
const jackAway = liftStep(
  'jack-away',
  'Hoist tight, then roll the jack out from under the gearbox',
  'From the side, by its handle: nobody reaches under what hangs.',
  [2, 3, 6],
  besideIt,
);

/** The jack that stands under a gearbox before anybody goes beneath it to its mounts. */
const jackBack = liftStep(
  'jack-back',
  'Roll the jack under the gearbox again, hoist still snug',
  'From the side, wood on it, up until it just touches. Nobody beneath before it stands there.',
  [2, 4, 8],
  { ...besideIt, tools: ['transmission jack', 'wood block'] },
);

/** `steps` of a powerpack that leaves on the hoist, with the jack taken from under it once it hangs. */
export const jackOutFirst = ([first, ...more]: readonly LiftStep[]): readonly LiftStep[] =>
  first ? [first, jackAway, ...more] : [];

/** `steps` of the way in, with the jack under it again at their end. */
export const jackUnderLast = (steps: readonly LowerStep[]): readonly LowerStep[] => [...steps, jackBack];

/** With the last of `steps` the `unit` is down on its mounts, and another one is brought to it afterwards. */
export const sitting = (unit: PartId, steps: readonly LowerStep[]): readonly LowerStep[] =>
  steps.map((step, index) => (index === steps.length - 1 ? { ...step, sits: unit } : step));
