import { after, behind, below, connectionsOf, nose, onGround, part, removal, top } from '../author.js';
import type { Piece } from '../template.js';

/** A cover over the top of the engine. */
export const engineCover: Piece = {
  parts: [
    part('engine-cover', 'engine cover', 'bay-top', 'body', {
      afterLeakCheck: true,
      massKg: 2,
      ridesWith: 'engine',
      removal: removal('Take the engine cover away', top, [1, 1, 2]),
    }),
  ],
  connections: [
    connectionsOf('body').clip('engine-cover-posts', 'the engine cover', ['engine-cover', 'engine'], top, [1, 1, 2], {
      set: { count: 4, what: 'rubber post' },
      tip: 'Lift at the posts. Look whether a rubber stays behind.',
    }),
  ],
};

const panel = connectionsOf('body');

/** Bonnet, the panel over the radiator, the tower brace: what closes a bay at the front. */
export const frontPanels: Piece = {
  parts: [
    part('bonnet', 'bonnet', 'bay-top', 'body', {
      massKg: 18,
      coversBay: true,
      afterLeakCheck: true,
      removal: removal('Lift the bonnet away', onGround(nose), [2, 4, 8], {
        hands: 2,
        cautions: ['heavy'],
        tip: 'One at each corner. Stand it on foam, against a wall, tied.',
      }),
    }),
    part('slam-panel', 'front cross panel', 'bay-front', 'body', {
      afterLeakCheck: true,
      massKg: 5,
      removal: removal('Take the front cross panel out', nose, [1, 2, 5], {
        tip: 'Leave the release cable hanging at the left.',
      }),
    }),
    part('strut-brace', 'tower brace', 'bay-top', 'body', {
      massKg: 3,
      removal: removal('Lift the tower brace off', top, [1, 1, 3]),
    }),
  ],
  connections: [
    panel.hose('bonnet-washer-hose', 'the washer hose to the bonnet', ['bonnet', 'body'], nose, [1, 1, 2]),
    panel.clip('bonnet-struts', 'the bonnet struts', ['bonnet', 'body'], nose, [1, 2, 4], {
      hands: 2,
      tools: ['small screwdriver'],
      cautions: ['spring'],
      set: { count: 2, what: 'spring clip on ball end' },
      tip: 'Somebody holds the bonnet before the clips come out.',
    }),
    panel.bolted('bonnet-hinges', 'the bonnet hinges', ['bonnet', 'body'], onGround(nose), [3, 5, 10], {
      hands: 2,
      tools: ['13 mm ratchet', 'paint marker'],
      cautions: ['heavy'],
      set: { count: 4, what: 'M8×1.25 × 20, 13 mm hex, captive washer' },
      access: [
        after('bonnet-struts', 'The struts push the bonnet off its hinges.', 'safety'),
        after('bonnet-washer-hose', 'The hose tears when the bonnet goes.'),
      ],
      tip: 'Paint round each hinge first: it goes back to its marks.',
      nm: 22,
      back: 'To the paint marks, then look at the gaps.',
    }),
    panel.bolted('slam-panel-bolts', 'the front cross panel', ['slam-panel', 'body'], nose, [3, 5, 10], {
      tools: ['10 mm ratchet'],
      set: [
        { count: 6, what: 'M6×1.0 × 16, 10 mm flange' },
        { count: 2, what: 'M6×1.0 × 30, 10 mm flange', note: 'the two long ones by the catch' },
      ],
      nm: 9,
    }),
    panel.cable('bonnet-release', 'the bonnet release cable from the catch', ['slam-panel', 'body'], nose, [1, 2, 4], {
      tools: ['pliers'],
      access: [behind('bonnet', 'With the cable off, a shut bonnet stays shut.')],
      back: 'Try the catch with a screwdriver before the bonnet goes on.',
    }),
    panel.bolted('brace-bolts', 'the tower brace', ['strut-brace', 'body'], onGround(top), [2, 3, 6], {
      tools: ['15 mm ratchet'],
      set: { count: 4, what: 'M10×1.5 × 25, 15 mm flange' },
      tip: 'With the wheels on the ground, or the towers move.',
      nm: 45,
      back: 'Wheels on the ground.',
    }),
  ],
};

/** A tray under the engine. */
export const undertray: Piece = {
  parts: [
    part('undertray', 'undertray', 'under-front', 'body', {
      afterLeakCheck: true,
      massKg: 4,
      when: { undertray: ['yes'] },
      removal: removal('Drop the undertray', below, [1, 2, 5], { cautions: ['eyes'] }),
    }),
  ],
  connections: [
    panel.bolted('undertray-screws', 'the undertray', ['undertray', 'body'], below, [4, 6, 14], {
      tools: ['10 mm ratchet', 'T25 driver'],
      cautions: ['eyes'],
      set: [
        { count: 8, what: 'M6×1.0 × 20, 10 mm flange' },
        { count: 4, what: 'T25 sheet screw 5 × 16' },
      ],
      tip: 'Rear ones first, so it hangs and does not drop on you.',
    }),
  ],
};
