import { below, connectionsOf } from '../author.js';

const mounts = connectionsOf('mounts', { cautions: ['under-load'] });

/** Its thick washer has two sides, and only one of them sits. */
const SIDE_MOUNT_BOLT = {
  count: 1,
  what: 'M12×1.5 × 70, 18 mm, locking nut',
  washers: ['thick with its step to the rubber'],
  singleUse: true,
};
const STEP_TO_THE_RUBBER = 'Thick washer with its step in the rubber: turned round, the mount is clamped and hums.';

/** Two rubber mounts beside a lengthwise engine. */
export const sideMounts = [
  mounts.bolted(
    'mount-left',
    'the left engine mount',
    ['engine', 'body'],
    { station: 'wheel-left', height: 'raised' },
    [3, 6, 20],
    {
      hands: 2,
      tools: ['18 mm ratchet', '18 mm spanner', 'long extension', 'pry bar'],
      set: SIDE_MOUNT_BOLT,
      back: STEP_TO_THE_RUBBER,
      carriesLoad: true,
      access: [
        {
          open: 'mount-right',
          why: 'Right side first: the steering shaft leaves no room once it tips.',
          because: 'load path',
        },
      ],
      nm: 75,
    },
  ),
  mounts.bolted(
    'mount-right',
    'the right engine mount',
    ['engine', 'body'],
    { station: 'wheel-right', height: 'raised' },
    [3, 6, 20],
    {
      hands: 2,
      tools: ['18 mm ratchet', '18 mm spanner', 'long extension', 'pry bar'],
      set: SIDE_MOUNT_BOLT,
      back: STEP_TO_THE_RUBBER,
      carriesLoad: true,
      nm: 75,
    },
  ),
];

const engineMountsFirst = 'Engine mounts before the gearbox mount, or the rubber is left twisted.';

/** The gearbox mount on its crossmember. */
export const crossmemberMount = [
  mounts.bolted(
    'gearbox-mount',
    'the gearbox mount at the crossmember',
    ['gearbox', 'crossmember'],
    below,
    [2, 4, 12],
    {
      tools: ['16 mm ratchet'],
      set: { count: 2, what: 'M10×1.5 × 30, 16 mm flange' },
      carriesLoad: true,
      nm: 48,
      torqueAfter: [
        { connection: 'mount-left', why: engineMountsFirst },
        { connection: 'mount-right', why: engineMountsFirst },
      ],
    },
  ),
  mounts.bolted(
    'crossmember-bolts',
    'the gearbox crossmember at the rails',
    ['crossmember', 'body'],
    below,
    [4, 7, 20],
    {
      hands: 2,
      tools: ['18 mm ratchet', 'pry bar'],
      set: { count: 4, what: 'M12×1.75 × 35, 18 mm flange' },
      carriesLoad: true,
      access: [{ open: 'gearbox-mount', why: 'The gearbox is parted from it first.', because: 'load path' }],
      nm: 85,
    },
  ),
];
