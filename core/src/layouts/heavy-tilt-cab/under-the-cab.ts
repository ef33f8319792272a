import {
  after,
  behind,
  below,
  connectionsOf,
  doing,
  inside,
  nose,
  onGround,
  part,
  removal,
  top,
  wheelLeft,
  wheelRight,
} from '../author.js';
import type { Piece } from '../template.js';
import { loomPlug } from '../systems/battery-and-loom.js';

const mounts = connectionsOf('mounts', { cautions: ['under-load'] });
const body = connectionsOf('body');
const fuel = connectionsOf('fuel', { cautions: ['fuel'] });
const driveline = connectionsOf('driveline');
const steering = connectionsOf('steering');
const first = 'Front mounts before the gearbox mounts, or the frame is left twisted.';
const tilted = { needs: ['cab-tilted'] } as const;

/** A cab that tilts over the engine, chassis rails, tanks and batteries on the frame, a splitter gearbox with a booster. */
export const underTheCab: Piece = {
  parts: [
    part('body', 'chassis frame', 'outside', 'body'),
    part('engine', 'engine', 'bay-top', 'mounts', { massKg: 1060 }),
    part('cab', 'tilting cab', 'cabin', 'body', { massKg: 1200 }),
    part('air-ram', 'intake stack and its boot', 'bay-rear', 'air', {
      massKg: 14,
      removal: removal('Lift the intake stack off', top, [2, 4, 10], { hands: 2, cautions: ['heavy'] }),
    }),
    part('engine-tunnel', 'sound panels round the engine', 'bay-top', 'body', {
      massKg: 12,
      removal: removal('Lift the sound panels out', top, [2, 4, 8]),
    }),
    part('front-crossbeam', 'front crossbeam with the cab lock', 'bay-front', 'body', {
      massKg: 28,
      removal: removal('Lift the front crossbeam out', nose, [3, 6, 12], { hands: 2, cautions: ['heavy'] }),
    }),
    part('fuel-tank', 'chassis fuel tank', 'under-middle', 'fuel', { massKg: 40 }),
    part('clutch-booster', 'clutch booster', 'under-middle', 'driveline', { massKg: 6, ridesWith: 'gearbox' }),
    part('clutch-pedal-line', 'clutch fluid line', 'under-front', 'driveline', { massKg: 1 }),
    part('shift-tube', 'shift tube', 'under-front', 'driveline', { massKg: 5 }),
    part('retarder', 'retarder', 'under-middle', 'driveline', { massKg: 58, ridesWith: 'gearbox' }),
    part('steering-reservoir', 'steering oil bottle', 'bay-left', 'steering', { massKg: 3 }),
    part('silencer', 'silencer box on the frame', 'under-middle', 'exhaust', { massKg: 110 }),
    part('flex-pipe', 'flexible exhaust pipe', 'under-front', 'exhaust', {
      massKg: 9,
      removal: removal('Take the flexible exhaust pipe out', below, [2, 4, 10], { cautions: ['eyes'] }),
    }),
    part('gearbox-bearer', 'gearbox cross bearer', 'under-middle', 'mounts', {
      massKg: 32,
      removal: removal('Lower the gearbox cross bearer', below, [4, 8, 20], {
        hands: 2,
        cautions: ['under-load', 'heavy'],
        tip: 'On a jack of its own: it is heavier than it looks.',
      }),
    }),
    part('tag-tank-steps', 'steps and battery box cover', 'bay-left', 'body', {
      massKg: 18,
      removal: removal('Lift the steps away', wheelLeft, [2, 4, 8]),
    }),
  ],
  connections: [
    body.bolted('panel-clips', 'the sound panels', ['engine-tunnel', 'body'], top, [3, 6, 12], {
      ...tilted,
      tools: ['13 mm ratchet'],
      set: { count: 10, what: 'M8×1.25 × 20, 13 mm' },
    }),
    body.bolted('crossbeam-bolts', 'the front crossbeam', ['front-crossbeam', 'body'], nose, [6, 12, 25], {
      ...tilted,
      hands: 2,
      tools: ['24 mm ratchet', 'paint marker'],
      set: { count: 8, what: 'M16×1.5 × 50, 24 mm flange' },
      nm: 260,
    }),
    body.bolted(
      'step-bolts',
      'the steps and the battery box cover',
      ['tag-tank-steps', 'body'],
      wheelLeft,
      [3, 6, 15],
      {
        tools: ['17 mm ratchet', 'penetrant'],
        set: { count: 6, what: 'M10×1.5 × 30, 17 mm' },
      },
    ),
    connectionsOf('air').hose(
      'stack-boot',
      'the intake stack at the cab boot',
      ['air-ram', 'cab'],
      top,
      [1, 2, 5],
      tilted,
    ),
    connectionsOf('air').clamp('stack-clamp', 'the intake stack at the filter', ['air-ram', 'airbox'], top, [2, 4, 8], {
      ...tilted,
      tools: ['8 mm socket'],
      set: { count: 1, what: 'wide worm clamp 160, 8 mm' },
    }),
    body.bolted('cab-pivots', 'the cab pivots', ['cab', 'body'], nose, [60, 90, 150], {
      tools: ['27 mm ratchet'],
      cautions: ['heavy'],
      set: { count: 4, what: 'M18×1.5 × 90, 27 mm' },
      nm: 380,
    }),
    fuel.hose('tank-feed', 'the fuel feed from the chassis tank', ['engine', 'fuel-tank'], top, [2, 4, 10], {
      needs: ['cab-tilted'],
      tools: ['22 mm spanner', 'plugs and caps', 'rags'],
      set: { count: 1, what: 'M18×1.5 union, 22 mm' },
      tip: 'The tank stands higher than you think: plug it at once.',
      nm: 40,
    }),
    fuel.hose('tank-return', 'the fuel return to the chassis tank', ['engine', 'fuel-tank'], top, [2, 3, 8], {
      needs: ['cab-tilted'],
      tools: ['19 mm spanner', 'plugs and caps'],
      set: { count: 1, what: 'M16×1.5 union, 19 mm' },
      nm: 35,
    }),
    fuel.strap('tank-straps', 'the chassis tank straps', ['fuel-tank', 'body'], below, [10, 20, 40], {
      tools: ['19 mm ratchet'],
      set: { count: 2, what: 'M12×1.75 × 120 strap bolt, 19 mm' },
    }),
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
      },
    ),
    driveline.linkage('shift-tube-cab', 'the shift tube at the cab', ['shift-tube', 'cab'], below, [2, 4, 8]),
    driveline.bolted('retarder-bolts', 'the retarder', ['retarder', 'gearbox'], below, [20, 40, 80], {
      hands: 2,
      tools: ['19 mm ratchet'],
      cautions: ['heavy'],
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
    ...[5, 6].map((number) =>
      loomPlug(`injector-${number}`, `injector ${number}`, 'engine', top, { when: { fuel: ['diesel-rail'] } }),
    ),
    loomPlug('retarder-plug', 'the retarder plug', 'retarder', below),
    loomPlug('tachograph', 'the tachograph sender', 'gearbox', below, {
      tip: 'Sealed by law: note the seal before it is touched; a licensed workshop seals it again.',
    }),
    loomPlug('range-switches', 'the splitter and range switches', 'gearbox', below),
    connectionsOf('exhaust', { cautions: ['eyes'] }).clamp(
      'flex-clamp-turbo',
      'the flexible pipe at the turbocharger',
      ['flex-pipe', 'engine'],
      below,
      [4, 8, 30],
      {
        tools: ['15 mm ratchet', 'penetrant'],
        set: { count: 1, what: 'band clamp 100 with T bolt, 15 mm' },
        back: 'New clamp when the bolt was hot. Gas-tight, or the cab fills.',
      },
    ),
    connectionsOf('exhaust', { cautions: ['eyes'] }).clamp(
      'flex-clamp-box',
      'the flexible pipe at the silencer box',
      ['flex-pipe', 'silencer'],
      below,
      [4, 8, 30],
      {
        tools: ['15 mm ratchet', 'penetrant'],
        set: { count: 1, what: 'band clamp 120 with T bolt, 15 mm' },
      },
    ),
    connectionsOf('exhaust').bolted(
      'silencer-brackets',
      'the silencer box on the frame',
      ['silencer', 'body'],
      below,
      [15, 30, 60],
      {
        tools: ['19 mm ratchet'],
        set: { count: 6, what: 'M12×1.75 × 40, 19 mm' },
        nm: 80,
      },
    ),
    steering.hose(
      'steering-pump-feed',
      'the steering oil hose at the pump',
      ['engine', 'steering-reservoir'],
      top,
      [3, 5, 12],
      {
        needs: ['cab-tilted'],
        tools: ['8 mm socket', 'plugs and caps', 'drain tray'],
        circuit: 'steering-oil',
        set: { count: 1, what: 'worm clamp 32, 8 mm' },
      },
    ),
    steering.pipe(
      'steering-pump-pressure',
      'the steering pressure pipe at the pump',
      ['engine', 'steering-reservoir'],
      top,
      [3, 6, 15],
      {
        needs: ['cab-tilted'],
        tools: ['24 mm flare spanner', 'plugs and caps'],
        circuit: 'steering-oil',
        set: { count: 1, what: 'M20×1.5 union, 24 mm' },
        nm: 55,
      },
    ),
    steering.bolted(
      'steering-reservoir-bracket',
      'the steering oil bottle',
      ['steering-reservoir', 'body'],
      top,
      [2, 4, 8],
      {
        tools: ['13 mm ratchet'],
        set: { count: 2, what: 'M8×1.25 × 25, 13 mm' },
      },
    ),
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
    connectionsOf('electrics', { needs: ['battery-isolated'] }).cable(
      'chassis-loom',
      'the engine loom at the chassis box',
      ['loom', 'body'],
      wheelLeft,
      [3, 6, 12],
      {
        set: { count: 3, what: 'round plug with collar' },
        access: [behind('tag-tank-steps', 'It is behind the steps.')],
      },
    ),
    connectionsOf('heating').hose(
      'cab-heater-hoses',
      'the cab heater hoses at the engine',
      ['engine', 'cab'],
      top,
      [3, 5, 12],
      {
        when: { heater: ['yes'] },
        needs: ['cab-tilted'],
        tools: ['7 mm socket'],
        circuit: 'coolant',
        set: { count: 2, what: 'worm clamp 20–32, 7 mm' },
      },
    ),
    body.plug('cab-switch', 'the cab lock switch', ['front-crossbeam', 'body'], nose, [1, 1, 3]),
    connectionsOf('cooling').bolted(
      'bottle-hose-cab',
      'the expansion tank from the cab wall',
      ['expansion-bottle', 'cab'],
      inside,
      [2, 4, 8],
      {
        tools: ['13 mm ratchet'],
        set: { count: 3, what: 'M8×1.25 × 20, 13 mm' },
      },
    ),
  ],
  conditions: [
    {
      id: 'cab-tilted',
      name: 'Cab tilted and locked',
      makeSafe: true,
      established: {
        by: 'step',
        access: [],
        step: doing('Tilt the cab and lock it over', onGround(nose), [5, 10, 20], {
          hands: 2,
          tools: ['pump handle', 'cab prop'],
          cautions: ['heavy'],
          tip: 'Cab empty, room in front, doors shut. All the way over, and the lock seen to catch.',
        }),
      },
      released: doing('Lower the cab and lock it', onGround(nose), [5, 10, 20], {
        hands: 2,
        cautions: ['heavy'],
        tip: 'Nobody beneath. Look that no hose lies on the lock.',
      }),
    },
    {
      id: 'powerpack-supported',
      name: 'Powerpack on the gantry',
      takesLoad: true,
      established: {
        by: 'step',
        access: [],
        step: doing('Hook on and take the weight with the gantry', nose, [10, 20, 40], {
          hands: 2,
          tools: ['gantry crane', 'spreader beam', 'rated slings'],
          cautions: ['under-load'],
          tip: 'Both engine eyes and the gearbox sling. Rated for a ton and a half; look at the plate.',
        }),
      },
      released: doing('Let the gantry down and unhook', nose, [5, 8, 15], { hands: 2, cautions: ['under-load'] }),
    },
  ],
  circuits: [
    {
      id: 'steering-oil',
      name: 'Steering oil',
      fluid: 'steering oil',
      capacityL: 4.2,
      drainsL: 3,
      drain: {
        ...doing('Draw the steering oil out of its bottle', top, [3, 6, 12], { tools: ['syringe', 'drain tray'] }),
        needs: ['cab-tilted'],
        access: [],
      },
      fill: doing('Fill the steering oil and bleed it lock to lock', onGround(nose), [8, 15, 30], {
        hands: 2,
        tools: ['funnel'],
        tip: 'Front wheels on turning plates, slowly from lock to lock.',
      }),
    },
  ],
};
