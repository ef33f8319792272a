import { below, connectionsOf, part, removal, top, behind } from '../author.js';
import { forCylinders, sized } from '../cylinders.js';
import type { Piece } from '../template.js';
import { crossmemberMount, sideMounts } from '../systems/engine-mounts.js';

const body = connectionsOf('body');

/** What an engine standing lengthwise behind the front axle has round it, whatever its gearbox. */
export const lengthwise: Piece = {
  parts: [
    part('body', 'body', 'outside', 'body'),
    ...forCylinders((one) => part('engine', 'engine', 'bay-top', 'mounts', { massKg: sized(186, one) })),
    part('bulkhead-shield', 'bulkhead heat shield', 'bay-rear', 'body', {
      massKg: 1,
      removal: removal('Slide the bulkhead heat shield out', top, [1, 2, 4]),
    }),
    part('crossmember', 'gearbox crossmember', 'under-middle', 'mounts', {
      massKg: 8,
      removal: removal('Lower the gearbox crossmember out', below, [1, 3, 8], {
        cautions: ['under-load'],
        tip: 'Mark which way round it sits.',
      }),
    }),
  ],
  connections: [
    body.bolted('bulkhead-shield-nuts', 'the bulkhead heat shield', ['bulkhead-shield', 'body'], top, [2, 4, 8], {
      tools: ['10 mm ratchet', 'long extension'],
      set: { count: 4, what: 'M6 large-washer nut, 10 mm' },
      access: [behind('airbox', 'The right-hand nuts are behind the air filter box.')],
      nm: 8,
      beforeLowering: 'With the engine in, no hand gets behind the head any more.',
    }),
    connectionsOf('driveline').clip(
      'gearbox-breather',
      'the gearbox breather hose clip',
      ['gearbox', 'body'],
      below,
      [1, 2, 4],
      {
        set: { count: 1, what: 'push clip 7 mm hole', singleUse: true },
        access: [behind('propshaft', 'Only reachable past the shaft.')],
      },
    ),
    ...sideMounts,
    ...crossmemberMount,
  ],
};
