import { behind, below, connectionsOf, part, removal, top, wheelLeft, wheelRight } from '../author.js';
import { forCylinders, sized } from '../cylinders.js';
import type { Piece } from '../template.js';

const mounts = connectionsOf('mounts', { cautions: ['under-load'] });
const first = 'Engine mounts before the gearbox mount, or the rubber is left twisted.';

/** A ladder frame under the body: mounts on brackets of the frame, a skid plate, a crossmember between the rails. */
export const ladderFrame: Piece = {
  parts: [
    part('body', 'frame and body', 'outside', 'body'),
    ...forCylinders((one) => part('engine', 'engine', 'bay-top', 'mounts', { massKg: sized(232, one) })),
    part('skid-plate', 'skid plate', 'under-front', 'body', {
      afterLeakCheck: true,
      massKg: 14,
      removal: removal('Lower the skid plate', below, [1, 3, 6], { hands: 2, cautions: ['heavy', 'eyes'] }),
    }),
    part('crossmember', 'gearbox crossmember', 'under-middle', 'mounts', {
      massKg: 14,
      removal: removal('Lower the gearbox crossmember out', below, [2, 5, 12], {
        hands: 2,
        cautions: ['under-load', 'heavy'],
        tip: 'Spread by rust, it may need a jack between the rails.',
      }),
    }),
  ],
  connections: [
    connectionsOf('body').bolted('skid-plate-bolts', 'the skid plate', ['skid-plate', 'body'], below, [4, 8, 25], {
      tools: ['17 mm ratchet', 'penetrant'],
      cautions: ['eyes', 'heavy'],
      set: { count: 6, what: 'M10×1.5 × 30, 17 mm' },
      tip: 'Jack under it before the last two.',
      nm: 45,
    }),
    connectionsOf('electrics', { needs: ['battery-isolated'] }).ground(
      'frame-ground',
      'the ground strap from frame to body',
      ['engine', 'body'],
      top,
      [1, 3, 6],
      {
        tools: ['13 mm ratchet', 'wire brush'],
        set: { count: 1, what: 'M8×1.25 × 20, 13 mm' },
        nm: 20,
        back: 'Bright metal under the eye: rubber parts body and frame.',
      },
    ),
    mounts.bolted('mount-left', 'the left engine mount at the frame', ['engine', 'body'], wheelLeft, [4, 8, 25], {
      hands: 2,
      tools: ['18 mm ratchet', '18 mm spanner', 'long extension'],
      set: { count: 2, what: 'M12×1.75 × 80, 18 mm, locking nut', singleUse: true },
      carriesLoad: true,
      tip: 'One holds the head through the wheel arch, one turns the nut.',
      nm: 85,
    }),
    mounts.bolted('mount-right', 'the right engine mount at the frame', ['engine', 'body'], wheelRight, [4, 8, 25], {
      hands: 2,
      tools: ['18 mm ratchet', '18 mm spanner', 'long extension'],
      set: { count: 2, what: 'M12×1.75 × 80, 18 mm, locking nut', singleUse: true },
      carriesLoad: true,
      nm: 85,
    }),
    mounts.bolted(
      'gearbox-mount',
      'the gearbox mount at the crossmember',
      ['gearbox', 'crossmember'],
      below,
      [2, 4, 12],
      {
        tools: ['17 mm ratchet'],
        set: { count: 4, what: 'M10×1.5 × 30, 17 mm' },
        carriesLoad: true,
        nm: 48,
        torqueAfter: [
          { connection: 'mount-left', why: first },
          { connection: 'mount-right', why: first },
        ],
      },
    ),
    mounts.bolted(
      'crossmember-bolts',
      'the gearbox crossmember at the frame',
      ['crossmember', 'body'],
      below,
      [5, 10, 30],
      {
        hands: 2,
        tools: ['19 mm ratchet', '19 mm spanner', 'penetrant'],
        set: { count: 8, what: 'M12×1.75 × 40, 19 mm' },
        carriesLoad: true,
        access: [
          { open: 'gearbox-mount', why: 'The gearbox is parted from it first.', because: 'load path' },
          behind('front-propshaft', 'The shaft passes under it.'),
        ],
        nm: 90,
      },
    ),
  ],
};
