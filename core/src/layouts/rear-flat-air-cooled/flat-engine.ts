import {
  after,
  behind,
  below,
  chore,
  connectionsOf,
  doing,
  inside,
  onGround,
  part,
  removal,
  tail,
  top,
} from '../author.js';
import { forCylinders, sized } from '../cylinders.js';
import type { Piece } from '../template.js';
import { loomPlug } from '../systems/battery-and-loom.js';

const mounts = connectionsOf('mounts', { cautions: ['under-load'] });
const body = connectionsOf('body');
const air = connectionsOf('air');
const heating = connectionsOf('heating');
const driveline = connectionsOf('driveline');
const electrics = connectionsOf('electrics', { needs: ['battery-isolated'] });
const HEATED = { heater: ['yes'] } as const;

/** A flat engine behind the gearbox, cooled by its blower, held by four housing bolts and a bearer at the tail. */
export const flatEngine: Piece = {
  parts: [
    part('body', 'body', 'outside', 'body'),
    ...forCylinders((one) => part('engine', 'engine', 'bay-top', 'mounts', { massKg: sized(124, one, 'flat4') })),
    part('gearbox', 'transaxle', 'under-rear', 'driveline', { massKg: 44 }),
    part('flywheel', 'flywheel and clutch', 'under-rear', 'driveline', { massKg: 14, ridesWith: 'engine' }),
    part('blower', 'cooling blower and its housing', 'bay-top', 'cooling', { massKg: 9, ridesWith: 'engine' }),
    part('rear-apron', 'rear apron', 'bay-rear', 'body', {
      massKg: 6,
      removal: removal('Lift the rear apron away', tail, [1, 2, 4], { tip: 'Foam under it; the lip scratches.' }),
    }),
    part('bumper', 'rear bumper', 'bay-rear', 'body', {
      massKg: 11,
      removal: removal('Lift the rear bumper away', tail, [1, 2, 5], { hands: 2 }),
    }),
    part('front-tinware', 'cooling sheet in front of the engine', 'bay-front', 'cooling', {
      massKg: 1,
      removal: removal('Work the front cooling sheet out', top, [1, 3, 8]),
    }),
    part('rear-tinware', 'cooling sheet behind the engine', 'bay-rear', 'cooling', {
      massKg: 1,
      removal: removal('Lift the rear cooling sheet out', top, [1, 2, 4]),
    }),
    part('silencer', 'silencer', 'bay-rear', 'exhaust', { massKg: 12, ridesWith: 'engine' }),
    part('bearer', 'engine bearer', 'under-rear', 'mounts', {
      massKg: 5,
      removal: removal('Take the engine bearer away', below, [1, 2, 4], { cautions: ['under-load'] }),
    }),
    part('heat-valves', 'heater valves', 'under-rear', 'heating', { massKg: 3, ridesWith: 'engine', when: HEATED }),
    part('heater-cables', 'heater cables', 'under-middle', 'heating', { massKg: 1, when: HEATED }),
    part('clutch-lever-cable', 'clutch cable', 'under-middle', 'driveline', { massKg: 1, when: { clutch: ['cable'] } }),
    part('clutch-cylinder', 'clutch slave cylinder', 'under-middle', 'driveline', {
      massKg: 1,
      when: { clutch: ['hydraulic'] },
    }),
    part('shift-rod', 'shift rod', 'cabin', 'driveline', { massKg: 2 }),
    part('oil-cooler', 'outer oil cooler', 'under-rear', 'cooling', { massKg: 4, when: { oilCooler: ['yes'] } }),
  ],
  connections: [
    body.bolted('bumper-bolts', 'the rear bumper', ['bumper', 'body'], tail, [3, 6, 15], {
      hands: 2,
      tools: ['17 mm ratchet', 'penetrant'],
      set: { count: 4, what: 'M10×1.5 × 30, 17 mm' },
      nm: 40,
    }),
    body.bolted('apron-screws', 'the rear apron', ['rear-apron', 'body'], tail, [3, 6, 15], {
      tools: ['10 mm ratchet'],
      set: { count: 8, what: 'M6×1.0 × 16, 10 mm' },
      access: [behind('bumper', 'The bumper is in front of the screws.')],
    }),
    body.bolted(
      'front-tinware-screws',
      'the cooling sheet in front of the engine',
      ['front-tinware', 'engine'],
      top,
      [3, 6, 12],
      {
        tools: ['10 mm ratchet', 'flat driver'],
        set: { count: 5, what: 'M6×1.0 × 12 slotted' },
        access: [
          after('warm-air-left', 'The warm-air hose passes through it.'),
          after('warm-air-right', 'The warm-air hose passes through it.'),
        ],
        back: 'Every sheet goes back: without one, a cylinder burns.',
      },
    ),
    body.bolted(
      'rear-tinware-screws',
      'the cooling sheet behind the engine',
      ['rear-tinware', 'engine'],
      top,
      [2, 5, 10],
      {
        tools: ['10 mm ratchet', 'flat driver'],
        set: { count: 6, what: 'M6×1.0 × 12 slotted' },
        back: 'Every sheet goes back: without one, a cylinder burns.',
      },
    ),
    body.clip('bay-seal', 'the rubber seal round the engine', ['engine', 'body'], top, [2, 4, 10], {
      back: 'Rubber above and below the sheet: hot air must not come back up.',
    }),
    heating.hose('warm-air-left', 'the left warm-air hose at the blower', ['blower', 'body'], top, [1, 2, 4], {
      when: HEATED,
      set: { count: 1, what: 'paper hose clamp' },
    }),
    heating.hose('warm-air-right', 'the right warm-air hose at the blower', ['blower', 'body'], top, [1, 2, 4], {
      when: HEATED,
      set: { count: 1, what: 'paper hose clamp' },
    }),
    heating.hose('heat-duct-left', 'the left heat duct at the valve', ['heat-valves', 'body'], below, [2, 4, 10], {
      tools: ['7 mm socket'],
      set: { count: 1, what: 'worm clamp 60–80, 7 mm' },
    }),
    heating.hose('heat-duct-right', 'the right heat duct at the valve', ['heat-valves', 'body'], below, [2, 4, 10], {
      tools: ['7 mm socket'],
      set: { count: 1, what: 'worm clamp 60–80, 7 mm' },
    }),
    heating.cable('heater-cable-left', 'the left heater cable', ['heat-valves', 'heater-cables'], below, [2, 4, 15], {
      tools: ['10 mm spanner', 'penetrant'],
      set: { count: 1, what: 'barrel clamp M6' },
      tip: 'Hold the barrel; the cable kinks and then it is new cable.',
    }),
    heating.cable('heater-cable-right', 'the right heater cable', ['heat-valves', 'heater-cables'], below, [2, 4, 15], {
      tools: ['10 mm spanner', 'penetrant'],
      set: { count: 1, what: 'barrel clamp M6' },
    }),
    heating.cable(
      'heater-cable-run',
      'the heater cables in the tunnel',
      ['heater-cables', 'body'],
      inside,
      [10, 20, 40],
    ),
    heating.bolted('heat-valve-bolts', 'the heater valves', ['heat-valves', 'engine'], below, [5, 10, 25], {
      tools: ['13 mm ratchet', 'penetrant'],
      set: { count: 4, what: 'M8 copper nut, 13 mm', singleUse: true },
      nm: 22,
    }),
    driveline.linkage(
      'clutch-cable-wing',
      'the clutch cable at the release lever',
      ['clutch-lever-cable', 'gearbox'],
      below,
      [2, 4, 10],
      {
        tools: ['pliers'],
        set: { count: 1, what: 'wing nut M7' },
        tip: 'Count the turns of the wing nut.',
        handTight: 'By fingers, to the counted turns.',
        adjust: { what: 'free-play', from: 10, to: 20, at: 'at the pedal' },
      },
    ),
    driveline.clip(
      'clutch-cable-tube',
      'the clutch cable in the tunnel',
      ['clutch-lever-cable', 'body'],
      inside,
      [5, 10, 20],
    ),
    driveline.bolted(
      'clutch-cylinder-bolts',
      'the clutch cylinder from the transaxle',
      ['clutch-cylinder', 'gearbox'],
      below,
      [2, 4, 8],
      {
        tools: ['13 mm ratchet', 'strap'],
        set: { count: 2, what: 'M8×1.25 × 25, 13 mm flange' },
        tip: 'Its line stays on. Rubber band round it.',
        nm: 22,
      },
    ),
    driveline.pipe('clutch-line', 'the clutch line on the body', ['clutch-cylinder', 'body'], below, [3, 6, 12], {
      tools: ['11 mm flare spanner', 'plugs and caps'],
      set: { count: 1, what: 'M10×1.0 union, 11 mm' },
    }),
    driveline.linkage(
      'shift-coupling',
      'the shift rod coupling under the seat',
      ['shift-rod', 'gearbox'],
      inside,
      [3, 6, 15],
      {
        tools: ['8 mm square key', 'wire cutter'],
        set: { count: 1, what: 'locking screw with wire', singleUse: true },
        tip: 'Under the cover behind the rear seat. Into second first.',
        back: 'New locking wire. Try every gear.',
        adjust: { what: 'gears', gears: ['1', '2', '3', '4', 'R'], at: 'engine off' },
      },
    ),
    driveline.clip('shift-rod-guide', 'the shift rod guide', ['shift-rod', 'body'], inside, [4, 8, 15]),
    driveline.bolted('flywheel-bolts', 'the flywheel gland nut', ['flywheel', 'engine'], below, [10, 20, 45], {
      tools: ['36 mm socket', 'long breaker bar', 'flywheel holder'],
      set: { count: 1, what: 'gland nut, 36 mm' },
      nm: 290,
    }),
    mounts.bolted('bell-upper', 'the two upper housing bolts', ['engine', 'gearbox'], top, [5, 10, 30], {
      hands: 2,
      tools: ['17 mm spanner', '17 mm ratchet'],
      cautions: [],
      set: { count: 2, what: 'M10×1.5 × 70, 17 mm' },
      access: [behind('front-tinware', 'The nut is under the cooling sheet.')],
      tip: 'One lies under the engine and holds the head, one turns the nut.',
      nm: 30,
      supportedBy: ['engine-on-jack', 'gearbox-supported'],
    }),
    mounts.bolted('bell-lower', 'the two lower housing nuts', ['engine', 'gearbox'], below, [3, 6, 15], {
      tools: ['17 mm ratchet', 'long extension'],
      set: { count: 2, what: 'M10 stud nut, 17 mm' },
      carriesLoad: true,
      access: [after('bell-upper', 'Upper ones first; the lower studs guide it out.', 'load path')],
      nm: 30,
    }),
    mounts.bolted('bearer-engine', 'the engine at the rear bearer', ['engine', 'bearer'], below, [3, 6, 15], {
      tools: ['13 mm ratchet'],
      set: { count: 4, what: 'M8×1.25 × 25, 13 mm' },
      carriesLoad: true,
      nm: 22,
    }),
    mounts.bolted('bearer-body', 'the rear bearer at the body', ['bearer', 'body'], below, [3, 6, 15], {
      tools: ['17 mm ratchet', '17 mm spanner'],
      set: { count: 2, what: 'M10×1.5 × 60, 17 mm, locking nut', singleUse: true },
      carriesLoad: true,
      access: [after('bearer-engine', 'The engine is parted from it first.', 'load path')],
      nm: 45,
    }),
    mounts.bolted('gearbox-front-mount', 'the front transaxle mount', ['gearbox', 'body'], below, [4, 8, 20], {
      tools: ['19 mm ratchet'],
      set: { count: 2, what: 'M12×1.5 × 40, 19 mm' },
      carriesLoad: true,
      nm: 60,
    }),
    mounts.bolted('gearbox-rear-mount', 'the transaxle carrier at the body', ['gearbox', 'body'], below, [5, 10, 25], {
      hands: 2,
      tools: ['27 mm socket', 'breaker bar'],
      set: { count: 2, what: 'M18×1.5 × 60, 27 mm' },
      carriesLoad: true,
      access: [after('gearbox-front-mount', 'Front first, with the jack under the middle.', 'load path')],
      nm: 230,
    }),
    connectionsOf('exhaust', { cautions: ['eyes'] }).bolted(
      'silencer-nuts',
      'the silencer',
      ['silencer', 'engine'],
      tail,
      [6, 12, 30],
      {
        tools: ['13 mm ratchet', 'penetrant'],
        set: { count: 4, what: 'M8 copper nut, 13 mm', singleUse: true },
        nm: 22,
      },
    ),
    connectionsOf('exhaust').strap(
      'silencer-straps',
      'the silencer straps at the body',
      ['silencer', 'body'],
      tail,
      [2, 4, 10],
      {
        tools: ['13 mm ratchet'],
        set: { count: 2, what: 'M8×1.25 × 40, 13 mm' },
      },
    ),
    air.bolted('blower-strap', 'the blower housing', ['blower', 'engine'], top, [10, 20, 40], {
      tools: ['13 mm ratchet', 'flat driver'],
      set: { count: 6, what: 'M6×1.0 × 12 slotted' },
    }),
    connectionsOf('cooling').pipe(
      'outer-cooler-lines',
      'the lines of the outer oil cooler',
      ['engine', 'oil-cooler'],
      below,
      [3, 6, 15],
      {
        tools: ['27 mm flare spanner', 'plugs and caps', 'drain tray'],
        circuit: 'engine-oil',
        set: { count: 2, what: 'M26×1.5 union, 27 mm' },
        nm: 45,
      },
    ),
    connectionsOf('cooling').bolted(
      'outer-cooler-bracket',
      'the outer oil cooler',
      ['oil-cooler', 'body'],
      below,
      [2, 4, 8],
      {
        tools: ['10 mm ratchet'],
        set: { count: 3, what: 'M6×1.0 × 20, 10 mm' },
      },
    ),
    electrics.ground(
      'transaxle-strap',
      'the ground strap at the front of the transaxle',
      ['gearbox', 'body'],
      below,
      [2, 4, 8],
      {
        tools: ['17 mm ratchet', 'wire brush'],
        set: { count: 1, what: 'M10×1.5 × 20, 17 mm' },
        nm: 25,
        back: 'Bright metal. Off, the starter pulls its current through the cables.',
      },
    ),
    loomPlug('oil-temperature', 'the oil temperature sender', 'engine', below),
    loomPlug('head-sensor', 'the cylinder head temperature sensor', 'engine', below, {
      when: { fuel: ['petrol-port'] },
    }),
    loomPlug('reverse-lamp', 'the reversing lamp switch', 'gearbox', below),
  ],
  conditions: [
    {
      id: 'engine-on-jack',
      name: 'Engine on the trolley jack',
      takesLoad: true,
      fromBelow: true,
      carries: ['engine'],
      established: {
        by: 'step',
        access: [],
        step: doing('Put the cradle jack under the engine and take the weight', below, [5, 10, 20], {
          hands: 2,
          tools: ['trolley jack', 'engine saddle', 'straps'],
          cautions: ['under-load'],
          tip: 'Saddle under the case, not the sump plate. Just snug.',
        }),
      },
      released: doing('Let the jack down and draw it out', below, [2, 4, 8], { cautions: ['under-load'] }),
    },
  ],
  chores: [
    chore(
      'oil-strainer',
      'back',
      doing('Clean the oil strainer and fit it with new gaskets, cap nuts 7 N·m', below, [5, 10, 20], {
        tools: ['10 mm ratchet', 'torque wrench', 'new gaskets'],
        tip: 'Gasket, strainer, gasket, plate. The studs tear out of the case before the nut feels tight.',
      }),
      {
        why: 'It is the only filter there is.',
        after: [],
        before: [{ circuit: 'engine-oil' }],
      },
    ),
  ],
  circuits: forCylinders((one) => ({
    id: 'engine-oil',
    name: 'Engine oil',
    fluid: 'oil',
    grade: 'by the maker’s approval; single or multigrade for air cooling',
    capacityL: sized(3.5, one, 'flat4'),
    drainsL: sized(2.9, one, 'flat4'),
    fillsLater: [{ what: 'cooler and lines', litres: 0.4, opened: 'outer-cooler-lines' }],
    level: { by: 'stick', marksL: 1 },
    drain: {
      ...doing('Drain the engine oil', below, [6, 10, 20], {
        tools: ['drain tray', '21 mm socket'],
        tip: 'Look for metal on the strainer.',
      }),
      needs: [],
      access: [],
    },
    fill: doing('Fill the engine oil to the start level', onGround(top), [3, 5, 10], { tools: ['funnel'] }),
  })),
};
