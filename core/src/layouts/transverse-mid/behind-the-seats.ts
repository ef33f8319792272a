import {
  after,
  behind,
  below,
  connectionsOf,
  inside,
  part,
  removal,
  tail,
  top,
  wheelLeft,
  wheelRight,
} from '../author.js';
import { forCylinders, sized } from '../cylinders.js';
import type { Piece } from '../template.js';

const mounts = connectionsOf('mounts', { cautions: ['under-load'] });
const body = connectionsOf('body');
const cooling = connectionsOf('cooling');

/** An engine across, behind the seats: lid, service panel, long coolant pipes to the nose, a rear cradle. */
export const behindTheSeats: Piece = {
  parts: [
    part('body', 'body', 'outside', 'body'),
    ...forCylinders((one) => part('engine', 'engine', 'bay-top', 'mounts', { massKg: sized(132, one) })),
    part('lid', 'engine lid', 'bay-top', 'body', {
      coversBay: true,
      afterLeakCheck: true,
      massKg: 14,
      removal: removal('Lift the engine lid away', tail, [2, 4, 8], {
        hands: 2,
        cautions: ['heavy'],
        tip: 'One at each side. Stand it on foam, tied.',
      }),
    }),
    part('service-panel', 'service panel behind the seats', 'cabin', 'body', {
      massKg: 5,
      removal: removal('Take the service panel out', inside, [1, 3, 6]),
    }),
    part('rear-cradle', 'rear cradle', 'under-rear', 'mounts', { massKg: 22 }),
    part('coolant-pipes', 'coolant pipes to the nose', 'under-middle', 'cooling', { massKg: 6 }),
    part('brace-bar', 'chassis brace', 'under-middle', 'body', {
      massKg: 7,
      removal: removal('Lower the chassis brace', below, [1, 3, 6]),
    }),
    part('hand-brake-cables', 'parking brake cables', 'under-middle', 'body', { massKg: 2 }),
  ],
  connections: [
    body.clip('lid-struts', 'the lid struts', ['lid', 'body'], tail, [1, 2, 4], {
      hands: 2,
      tools: ['small screwdriver'],
      cautions: ['spring'],
      set: { count: 2, what: 'spring clip on ball end' },
      tip: 'Somebody holds the lid before the clips come out.',
    }),
    body.plug('lid-lamp', 'the plug of lid lamp and fan', ['lid', 'body'], tail, [1, 1, 3]),
    body.bolted('lid-hinges', 'the lid hinges', ['lid', 'body'], tail, [3, 5, 10], {
      hands: 2,
      tools: ['10 mm ratchet', 'paint marker'],
      cautions: ['heavy'],
      set: { count: 4, what: 'M6×1.0 × 20, 10 mm' },
      access: [
        after('lid-struts', 'The struts push the lid off its hinges.', 'safety'),
        after('lid-lamp', 'The lead tears when the lid goes.'),
      ],
      nm: 10,
    }),
    body.bolted('service-panel-screws', 'the service panel', ['service-panel', 'body'], inside, [4, 8, 15], {
      tools: ['10 mm ratchet', 'T25 driver'],
      set: { count: 10, what: 'M6×1.0 × 16, 10 mm' },
      tip: 'Seats forward or out. Foil over the trim.',
    }),
    body.bolted('brace-bar-bolts', 'the chassis brace', ['brace-bar', 'body'], below, [3, 6, 12], {
      tools: ['16 mm ratchet'],
      set: { count: 6, what: 'M10×1.5 × 25, 16 mm flange' },
      nm: 50,
    }),
    cooling.hose(
      'pipe-hose-feed',
      'the coolant hose between engine and coolant pipe',
      ['engine', 'coolant-pipes'],
      below,
      [2, 4, 10],
      {
        tools: ['hose clip pliers', 'drain tray'],
        circuit: 'coolant',
        cautions: ['hot-coolant'],
        set: { count: 1, what: 'spring band clip' },
        access: [behind('undertray', 'The undertray covers it.')],
        tip: 'The pipes to the nose hold litres more than the block: tray, and a plug in the pipe.',
        back: 'Bleed at the nose as well; the long way round keeps air.',
      },
    ),
    cooling.hose(
      'pipe-hose-return',
      'the coolant hose between coolant pipe and thermostat',
      ['coolant-pipes', 'engine'],
      below,
      [2, 4, 10],
      {
        tools: ['hose clip pliers', 'drain tray'],
        circuit: 'coolant',
        cautions: ['hot-coolant'],
        set: { count: 1, what: 'spring band clip' },
      },
    ),
    cooling.clamp(
      'coolant-pipe-clamps',
      'the coolant pipe clamps along the floor',
      ['coolant-pipes', 'body'],
      below,
      [10, 20, 40],
      {
        tools: ['10 mm ratchet'],
        set: { count: 6, what: 'M6×1.0 × 16, 10 mm' },
      },
    ),
    mounts.bolted('mount-right', 'the right engine mount', ['engine', 'body'], top, [4, 8, 20], {
      tools: ['16 mm ratchet', 'long extension'],
      set: { count: 3, what: 'M10×1.25 × 55, 16 mm', singleUse: true },
      carriesLoad: true,
      access: [behind('service-panel', 'It is reached through the panel behind the seats.')],
      nm: 58,
    }),
    mounts.bolted('mount-left', 'the left gearbox mount', ['gearbox', 'body'], wheelLeft, [4, 8, 20], {
      tools: ['18 mm ratchet', 'long extension'],
      set: { count: 2, what: 'M12×1.25 × 65, 18 mm', singleUse: true },
      carriesLoad: true,
      nm: 80,
      torqueAfter: [{ connection: 'mount-right', why: 'The right mount sets the height.' }],
    }),
    mounts.bolted('mount-front', 'the front torque mount', ['engine', 'rear-cradle'], below, [2, 5, 12], {
      tools: ['16 mm ratchet'],
      cautions: [],
      set: { count: 1, what: 'M12×1.25 × 80, 16 mm' },
      nm: 65,
      loose: 'torque mounts',
      torqueAfter: [
        { connection: 'mount-right', why: 'Torque mounts with the weight on the upper two.' },
        { connection: 'mount-left', why: 'Torque mounts with the weight on the upper two.' },
      ],
    }),
    mounts.bolted('mount-rear', 'the rear torque mount', ['gearbox', 'rear-cradle'], below, [2, 5, 12], {
      tools: ['16 mm ratchet'],
      cautions: [],
      set: { count: 1, what: 'M12×1.25 × 80, 16 mm' },
      nm: 65,
      loose: 'torque mounts',
    }),
    mounts.bolted('cradle-bolts', 'the rear cradle at the body', ['rear-cradle', 'body'], below, [8, 15, 40], {
      hands: 2,
      tools: ['19 mm ratchet', 'breaker bar', 'paint marker'],
      set: { count: 6, what: 'M14×1.5 × 80, 19 mm flange' },
      carriesLoad: true,
      tip: 'Paint round every washer: the rear wheels point where it sits.',
      nm: 120,
      back: 'To the paint marks, then have the wheels measured.',
    }),
    body.cable(
      'hand-brake-clips',
      'the parking brake cables from the cradle',
      ['hand-brake-cables', 'rear-cradle'],
      below,
      [2, 4, 10],
      {
        tools: ['10 mm ratchet'],
        set: { count: 2, what: 'M6×1.0 × 16, 10 mm' },
      },
    ),
    body.cable(
      'hand-brake-run',
      'the parking brake cables along the floor',
      ['hand-brake-cables', 'body'],
      below,
      [5, 10, 20],
    ),
    ...(['left', 'right'] as const).map((side) =>
      connectionsOf('driveline').linkage(
        `toe-link-${side}`,
        `the ${side} toe link`,
        ['rear-cradle', `hub-${side}`],
        side === 'left' ? wheelLeft : wheelRight,
        [3, 6, 15],
        {
          tools: ['16 mm ratchet', 'paint marker'],
          set: { count: 1, what: 'M12×1.25 × 70 eccentric, 16 mm' },
          access: [behind(`wheel-${side}`, 'The wheel is in the way.')],
          tip: 'Paint the eccentric: it sets the toe.',
          nm: 75,
        },
      ),
    ),
  ],
};
