import { after, behind, below, connectionsOf, inside, part, removal } from '../author.js';
import type { Circuit } from '../../connection-map/index.js';
import { doing } from '../author.js';
import type { Piece } from '../template.js';
import { loomPlug } from '../systems/battery-and-loom.js';

const driveline = connectionsOf('driveline');
const flangeBolts = { count: 4, what: 'M10×1.25 × 35, 16 mm, locking nut', singleUse: true };

/** Transfer box, its lever, and the shaft to the front axle. */
export const transferBox: Piece = {
  parts: [
    part('transfer-box', 'transfer box', 'under-middle', 'driveline', { massKg: 46, ridesWith: 'gearbox' }),
    part('transfer-lever', 'transfer lever', 'cabin', 'driveline', { massKg: 1 }),
    part('front-propshaft', 'front propeller shaft', 'under-front', 'driveline', {
      massKg: 9,
      removal: removal('Lower the front propeller shaft out', below, [1, 3, 8]),
    }),
    part('front-axle', 'front axle', 'under-front', 'driveline', { massKg: 140 }),
  ],
  connections: [
    driveline.shaft(
      'front-prop-box',
      'the front propeller shaft at the transfer box',
      ['transfer-box', 'front-propshaft'],
      below,
      [3, 6, 15],
      {
        tools: ['16 mm ratchet', '16 mm spanner', 'paint marker'],
        set: flangeBolts,
        tip: 'Paint across both flanges. The shaft must not fall on the exhaust.',
        nm: 65,
        back: 'Paint marks together, new locking nuts.',
      },
    ),
    driveline.shaft(
      'front-prop-axle',
      'the front propeller shaft at the axle',
      ['front-propshaft', 'front-axle'],
      below,
      [3, 6, 15],
      {
        tools: ['16 mm ratchet', '16 mm spanner', 'paint marker'],
        set: flangeBolts,
        nm: 65,
      },
    ),
    driveline.bolted('front-axle-springs', 'the front axle', ['front-axle', 'body'], below, [60, 90, 150], {
      tools: ['22 mm ratchet'],
      set: { count: 8, what: 'M14×1.5 U-bolt nut, 22 mm' },
      nm: 130,
    }),
    driveline.linkage(
      'transfer-rod',
      'the transfer rod at the box',
      ['transfer-box', 'transfer-lever'],
      below,
      [2, 4, 10],
      {
        tools: ['pick', 'pliers'],
        set: { count: 1, what: 'split pin and washer', singleUse: true },
        tip: 'Into high range first. Count the threads of the rod.',
        back: 'New split pin. Try high, low and neutral.',
        adjust: { what: 'gears', gears: ['high', 'neutral', 'low'], inLine: true, at: 'at the lever' },
      },
    ),
    driveline.bolted('transfer-lever-base', 'the transfer lever base', ['transfer-lever', 'body'], inside, [4, 8, 15], {
      tools: ['10 mm ratchet'],
      set: { count: 4, what: 'M6×1.0 × 20, 10 mm' },
    }),
    driveline.bolted(
      'transfer-bolts',
      'the transfer box on the gearbox',
      ['transfer-box', 'gearbox'],
      below,
      [15, 30, 60],
      {
        hands: 2,
        tools: ['17 mm ratchet', 'long extension', 'engine hoist', 'rated slings'],
        cautions: ['heavy', 'under-load'],
        tip: 'Its weight on the sling before the last bolt is out.',
        set: { count: 8, what: 'M10×1.5 × 45, 17 mm' },
        access: [behind('front-propshaft', 'The shaft is in the way of two bolts.')],
        nm: 48,
      },
    ),
    driveline.hose(
      'transfer-breather',
      'the breather hoses of gearbox and transfer box',
      ['transfer-box', 'body'],
      below,
      [1, 2, 5],
      {
        set: { count: 2, what: 'spring band clip' },
        access: [after('loom-bell-clips', 'They lie behind the loom bracket.')],
        tip: 'Tie the ends up high: water comes in there.',
      },
    ),
    driveline.cable(
      'speedometer-cable',
      'the speedometer cable at the transfer box',
      ['transfer-box', 'body'],
      below,
      [1, 2, 6],
      {
        when: { fuel: ['carburettor', 'diesel-mechanical'] },
        tools: ['pliers'],
        set: { count: 1, what: 'knurled nut M18' },
        handTight: 'By fingers, as far as they go.',
      },
    ),
    loomPlug('transfer-switch', 'the four-wheel-drive lamp switch', 'transfer-box', below),
  ],
};

/** Oil of the transfer box. It is drained when the box is parted from the gearbox. */
export const transferOil: Circuit = {
  id: 'transfer-oil',
  name: 'Transfer box oil',
  fluid: 'gear oil',
  grade: 'by the maker’s number, 75W-90 as a rule',
  capacityL: 1.9,
  drainsL: 1.7,
  level: { by: 'overflow' },
  drain: {
    ...doing('Drain the transfer box oil', below, [5, 8, 15], { tools: ['drain tray', '24 mm socket'] }),
    needs: [],
    access: [],
  },
  fill: doing('Fill the transfer box oil', below, [5, 8, 15], {
    tools: ['hand pump'],
    tip: 'Until it runs out of the level hole.',
  }),
};
