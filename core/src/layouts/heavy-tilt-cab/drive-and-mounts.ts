import { after, below, connectionsOf, part, removal, wheelLeft, wheelRight } from '../author.js';
import type { Piece } from '../template.js';
import { loomPlug } from '../systems/battery-and-loom.js';

const mounts = connectionsOf('mounts', { cautions: ['under-load'] });
const driveline = connectionsOf('driveline');
const first = 'Front mounts before the gearbox mounts, or the frame is left twisted.';

/** Clutch booster, splitter gearbox with its retarder, and what carries engine and gearbox on the frame. */
export const driveAndMounts: Piece = {
  parts: [
    part('clutch-booster', 'clutch booster', 'under-middle', 'driveline', { massKg: 6, ridesWith: 'gearbox' }),
    part('clutch-pedal-line', 'clutch fluid line', 'under-front', 'driveline', { massKg: 1 }),
    part('shift-tube', 'shift tube', 'under-front', 'driveline', { massKg: 5 }),
    part('retarder', 'retarder', 'under-middle', 'driveline', { massKg: 58, ridesWith: 'gearbox' }),
    part('gearbox-bearer', 'gearbox cross bearer', 'under-middle', 'mounts', {
      massKg: 32,
      removal: removal('Lower the gearbox cross bearer', below, [4, 8, 20], {
        hands: 2,
        cautions: ['under-load', 'heavy'],
        tip: 'On a jack of its own: it is heavier than it looks.',
      }),
    }),
  ],
  connections: [
    driveline.bolted(
      'booster-bolts',
      'the clutch booster from the bell housing',
      ['clutch-booster', 'gearbox'],
      below,
      [4, 8, 15],
      {
        tools: ['17 mm ratchet'],
        set: { count: 4, what: 'M10×1.5 × 40, 17 mm' },
        nm: 46,
      },
    ),
    driveline.pipe(
      'booster-line',
      'the clutch fluid line at the booster',
      ['clutch-booster', 'clutch-pedal-line'],
      below,
      [2, 4, 10],
      {
        tools: ['14 mm flare spanner', 'plugs and caps'],
        set: { count: 1, what: 'M12×1.0 union, 14 mm' },
        nm: 18,
        back: 'Bled from below with the pedal up.',
      },
    ),
    driveline.clip(
      'booster-line-clips',
      'the clutch fluid line at the frame',
      ['clutch-pedal-line', 'body'],
      below,
      [2, 4, 8],
    ),
    driveline.linkage(
      'shift-tube-joint',
      'the shift tube at the gearbox',
      ['shift-tube', 'gearbox'],
      below,
      [3, 6, 15],
      {
        needs: ['cab-tilted'],
        tools: ['13 mm ratchet', 'paint marker'],
        set: { count: 1, what: 'M8×1.25 × 40 pinch bolt, 13 mm' },
        tip: 'Paint across the joint; it decides where the gears are.',
        nm: 25,
        adjust: { what: 'gears', gears: ['low', 'high', 'crawler', 'R'], at: 'cab down, engine off' },
      },
    ),
    driveline.linkage('shift-tube-cab', 'the shift tube at the cab', ['shift-tube', 'cab'], below, [2, 4, 8]),
    driveline.bolted('retarder-bolts', 'the retarder', ['retarder', 'gearbox'], below, [20, 40, 80], {
      hands: 2,
      tools: ['19 mm ratchet', 'engine hoist', 'rated slings'],
      cautions: ['heavy', 'under-load'],
      tip: 'Its weight on the sling before the last bolt is out.',
      set: { count: 8, what: 'M12×1.75 × 55, 19 mm' },
      nm: 85,
    }),
    connectionsOf('cooling').hose(
      'retarder-hoses',
      'the coolant hoses of the retarder',
      ['retarder', 'engine'],
      below,
      [4, 8, 20],
      {
        tools: ['8 mm socket', 'drain tray'],
        circuit: 'coolant',
        set: { count: 2, what: 'wide worm clamp 60, 8 mm' },
      },
    ),
    loomPlug('retarder-plug', 'the retarder plug', 'retarder', below),
    loomPlug('tachograph', 'the tachograph sender', 'gearbox', below, {
      tip: 'Sealed by law: note the seal before it is touched; a licensed workshop seals it again.',
    }),
    loomPlug('range-switches', 'the splitter and range switches', 'gearbox', below),
    mounts.bolted('mount-left', 'the left front engine mount', ['engine', 'body'], wheelLeft, [5, 10, 30], {
      hands: 2,
      tools: ['24 mm ratchet', '24 mm spanner', 'breaker bar'],
      set: { count: 2, what: 'M16×1.5 × 110, 24 mm, locking nut', singleUse: true },
      carriesLoad: true,
      nm: 210,
    }),
    mounts.bolted('mount-right', 'the right front engine mount', ['engine', 'body'], wheelRight, [5, 10, 30], {
      hands: 2,
      tools: ['24 mm ratchet', '24 mm spanner', 'breaker bar'],
      set: { count: 2, what: 'M16×1.5 × 110, 24 mm, locking nut', singleUse: true },
      carriesLoad: true,
      nm: 210,
    }),
    mounts.bolted(
      'gearbox-mount',
      'the gearbox at its cross bearer',
      ['gearbox', 'gearbox-bearer'],
      below,
      [5, 10, 30],
      {
        hands: 2,
        tools: ['24 mm ratchet', 'breaker bar'],
        set: { count: 4, what: 'M16×1.5 × 60, 24 mm' },
        carriesLoad: true,
        nm: 210,
        torqueAfter: [
          { connection: 'mount-left', why: first },
          { connection: 'mount-right', why: first },
        ],
      },
    ),
    mounts.bolted(
      'bearer-bolts',
      'the gearbox cross bearer at the frame',
      ['gearbox-bearer', 'body'],
      below,
      [8, 15, 40],
      {
        hands: 2,
        tools: ['24 mm ratchet', '24 mm spanner', 'penetrant'],
        set: { count: 8, what: 'M16×1.5 × 55, 24 mm, locking nut', singleUse: true },
        carriesLoad: true,
        access: [after('gearbox-mount', 'The gearbox is parted from it first.', 'load path')],
        nm: 240,
      },
    ),
  ],
};
