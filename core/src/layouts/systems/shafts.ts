import {
  after,
  behind,
  below,
  chore,
  connectionsOf,
  doing,
  firstBothWays,
  onGround,
  part,
  removal,
  wheelLeft,
  wheelRight,
  type Where,
} from '../author.js';
import type { Piece } from '../template.js';

const driveline = connectionsOf('driveline');
const flangeBolts = { count: 4, what: 'M10×1.0 × 40, 16 mm, locking nut', singleUse: true };
const bothSpanners = ['16 mm ratchet', '16 mm spanner', 'paint marker'];

const onePiece = { propshaft: ['one-piece'] } as const;
const flanges = [{ connection: 'prop-front' }, { connection: 'prop-rear' }];

/** A propeller shaft from the gearbox to the rear axle, in one piece or two. */
export const propellerShaft: Piece = {
  parts: [
    part('propshaft', 'propeller shaft', 'under-rear', 'driveline', {
      massKg: 15,
      removal: removal('Lower the propeller shaft out', below, [2, 4, 10], {
        hands: 2,
        cautions: ['heavy'],
        tip: 'Keep it in line; a joint must not hang bent.',
      }),
    }),
    part('rear-axle', 'rear axle', 'under-rear', 'driveline', { massKg: 120 }),
  ],
  connections: [
    driveline.shaft(
      'prop-front',
      'the propeller shaft at the gearbox flange',
      ['gearbox', 'propshaft'],
      below,
      [4, 7, 18],
      {
        tools: bothSpanners,
        set: flangeBolts,
        access: [behind('downpipe', 'The exhaust runs under the flange.')],
        tip: 'Paint across both flanges: balance depends on it.',
        nm: 70,
        back: 'Paint marks together, new locking nuts.',
      },
    ),
    driveline.bolted('prop-centre', 'the propeller shaft centre bearing', ['propshaft', 'body'], below, [2, 4, 10], {
      when: { propshaft: ['two-piece'] },
      hands: 2,
      tools: ['13 mm ratchet'],
      cautions: ['heavy'],
      set: { count: 2, what: 'M8×1.25 × 30, 13 mm flange' },
      access: [
        after('prop-front', 'The centre bearing keeps the shaft up while the flanges are undone.', 'load path'),
        after('prop-rear', 'The centre bearing keeps the shaft up while the flanges are undone.', 'load path'),
      ],
      nm: 22,
    }),
    driveline.strap(
      'prop-sling',
      'the sling that keeps the propeller shaft up',
      ['propshaft', 'body'],
      below,
      [1, 2, 4],
      {
        when: onePiece,
        tools: ['strap'],
        access: [
          after('prop-front', 'The sling keeps the shaft up while the flanges are undone.', 'load path'),
          after('prop-rear', 'The sling keeps the shaft up while the flanges are undone.', 'load path'),
        ],
        tip: 'Let go only with the shaft in hand.',
        back: 'Shaft lifted into it, then the flanges.',
      },
    ),
    driveline.shaft(
      'prop-rear',
      'the propeller shaft at the axle flange',
      ['propshaft', 'rear-axle'],
      below,
      [4, 7, 18],
      {
        tools: bothSpanners,
        set: flangeBolts,
        nm: 70,
        back: 'Paint marks together, new locking nuts.',
      },
    ),
    driveline.bolted('axle-springs', 'the rear axle', ['rear-axle', 'body'], below, [60, 90, 150], {
      tools: ['22 mm ratchet'],
      set: { count: 8, what: 'M14×1.5 U-bolt nut, 22 mm' },
      nm: 130,
    }),
  ],
  chores: [
    chore(
      'sling-shaft',
      'out',
      doing('Put the sling under the propeller shaft and make it fast', below, [1, 3, 6], { tools: ['strap'] }),
      {
        when: onePiece,
        why: 'Its flanges undone, nothing else holds it.',
        after: [],
        before: flanges,
      },
    ),
    chore('sling-away', 'back', doing('Take the sling from under the propeller shaft', below, [1, 1, 3]), {
      when: onePiece,
      why: 'It has its flanges again, and turns before long.',
      where: { touches: ['prop-front', 'prop-rear'] },
      after: flanges,
      before: [{ holdPoint: 'pre-start' }],
    }),
  ],
};

/** One side of a driven axle: bolted to inner flanges, or pulled out past a swung hub. */
function oneSide(side: 'left' | 'right', wheel: Where): Piece {
  const shaft = `shaft-${side}`;
  const hub = `hub-${side}`;
  const road = `wheel-${side}`;
  const nuts = { driveshafts: ['hub-nuts'] } as const;
  return {
    parts: [
      part(shaft, `${side} drive shaft`, side === 'left' ? 'bay-left' : 'bay-right', 'driveline', {
        massKg: 7,
        when: { driveshafts: ['inner-flanges'] },
        removal: removal(`Tie the ${side} drive shaft up, clear of the gearbox`, below, [2, 4, 8], {
          tools: ['strap'],
          tip: 'It stays in the hub. Level, or the outer joint jams; never by its boot.',
        }),
      }),
      part(shaft, `${side} drive shaft`, side === 'left' ? 'bay-left' : 'bay-right', 'driveline', {
        massKg: 7,
        when: nuts,
        removal: removal(`Draw the ${side} drive shaft out of the hub`, wheel, [2, 5, 15], {
          tip: 'Hold both joints; a boot pulled apart spills its grease.',
        }),
      }),
      part(hub, `${side} hub`, side === 'left' ? 'bay-left' : 'bay-right', 'driveline', {
        massKg: 12,
        movesWith: 'steering',
      }),
      part(road, `${side} wheel`, 'outside', 'driveline', {
        massKg: 16,
        movesWith: 'steering',
        removal: removal(`Take the ${side} wheel off`, wheel, [1, 2, 4]),
      }),
    ],
    chores: [
      chore(
        `crack-${road}`,
        'out',
        doing(`Crack the ${side} wheel bolts loose, no more than a quarter turn`, onGround(wheel), [1, 2, 5], {
          tools: ['17 mm socket', 'breaker bar'],
          tip: 'Wheel on the ground, chocked. They still hold it until it hangs.',
        }),
        {
          why: 'In the air the wheel turns with the bar, and the machine rocks on its stands.',
          // The bar on the hub nut turns against a wheel that is fast.
          after: [{ connection: `${hub}-nut` }],
          before: [{ connection: `${road}-bolts` }],
        },
      ),
    ],
    connections: [
      driveline.bolted(`${road}-bolts`, `the ${side} wheel bolts`, [road, hub], wheel, [2, 3, 6], {
        tools: ['17 mm socket', 'breaker bar'],
        set: { count: 5, what: 'M12×1.5 × 25 wheel bolt, 17 mm' },
        access: [firstBothWays(`${hub}-nut`, 'The wheel never stands on a hub without its nut.', 'safety')],
        torqueHeight: 'ground',
        tip: 'Cracked before it went up. One left in by its last turns until the wheel is held.',
        nm: 110,
        again: true,
        back: 'Started by fingers, crosswise, final figure on the ground.',
      }),
      driveline.bolted(`${hub}-nut`, `the ${side} hub nut`, [shaft, hub], onGround(wheel), [3, 6, 20], {
        when: nuts,
        hands: 2,
        tools: ['32 mm socket', 'long breaker bar'],
        set: { count: 1, what: 'M24×1.5 hub nut, 32 mm, staked', singleUse: true },
        tip: 'Wheel on the ground, somebody on the brake. Never on stands.',
        nm: 220,
        backHeight: 'raised',
        torqueHeight: 'ground',
        back: 'New nut, drawn up snug before the wheel carries anything; final figure on the ground, then staked.',
      }),
      driveline.bolted(`${hub}-ball-joint`, `the ${side} lower ball joint`, [hub, 'lower-arms'], wheel, [4, 8, 25], {
        tools: ['16 mm spanner', 'pry bar'],
        cautions: ['spring'],
        set: { count: 1, what: 'M10×1.5 × 50 pinch bolt, 16 mm', singleUse: true },
        access: [behind(road, 'The hub swings out only without the wheel.')],
        tip: 'Tie the hub up: the brake hose must not carry it.',
        nm: 60,
      }),
      driveline.bolted(`${hub}-strut`, `the ${side} hub at the strut`, [hub, 'body'], wheel, [10, 20, 45], {
        tools: ['18 mm ratchet'],
        set: { count: 2, what: 'M12×1.5 × 60, 18 mm' },
        nm: 90,
      }),
      driveline.shaft(
        `${shaft}-inner`,
        `the ${side} drive shaft out of the gearbox`,
        [shaft, 'gearbox'],
        below,
        [3, 6, 20],
        {
          when: nuts,
          tools: ['pry bar', 'drain tray', 'plugs and caps'],
          circuit: 'gearbox-oil',
          access: [after(`${hub}-ball-joint`, 'The hub has to swing out to give the shaft room.')],
          tip: 'A short sharp pull with the bar. Plug the hole: oil follows.',
          back: 'New clip ring; push until it snaps, then pull on it.',
        },
      ),
      driveline.shaft(
        `${shaft}-flange`,
        `the ${side} drive shaft at the gearbox flange`,
        [shaft, 'gearbox'],
        below,
        [4, 8, 20],
        {
          when: { driveshafts: ['inner-flanges'] },
          tools: ['M10 multi-tooth bit', 'long extension', 'strap'],
          set: { count: 6, what: 'M10×1.5 × 48 multi-tooth, M10 bit', singleUse: true },
          tip: 'Clean the sockets of the bolts first. Tie the shaft up level.',
          nm: 70,
        },
      ),
    ],
  };
}

/** Both drive shafts of a transverse machine, or of one with the engine over the driven axle. */
export const driveShafts: Piece = {
  parts: [
    part('lower-arms', 'lower arms', 'under-front', 'driveline', { massKg: 8 }),
    ...(oneSide('left', wheelLeft).parts ?? []),
    ...(oneSide('right', wheelRight).parts ?? []),
  ],
  connections: [
    driveline.bolted('lower-arm-bolts', 'the lower arms', ['lower-arms', 'body'], below, [10, 20, 45], {
      tools: ['18 mm ratchet'],
      set: { count: 4, what: 'M12×1.5 × 80, 18 mm' },
      nm: 100,
    }),
    ...(oneSide('left', wheelLeft).connections ?? []),
    ...(oneSide('right', wheelRight).connections ?? []),
  ],
  chores: [...(oneSide('left', wheelLeft).chores ?? []), ...(oneSide('right', wheelRight).chores ?? [])],
};
