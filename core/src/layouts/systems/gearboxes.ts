import { after, behind, below, connectionsOf, doing, inside, nose, onGround, part, top } from '../author.js';
import type { Circuit, LevelSpec } from '../../connection-map/index.js';
import type { When } from '../options.js';
import type { Piece } from '../template.js';
import { aboveTray, loomPlug } from './battery-and-loom.js';
import type { Litres } from './cooling.js';

const driveline = connectionsOf('driveline');
const cooling = connectionsOf('cooling');

/** Gearbox oil, drained at its plug; pumped in from below, or poured into the tube of its stick. */
export const gearboxOil = (
  litres: Litres,
  grade = 'gear oil by the maker’s number, 75W-80 as a rule',
  level: LevelSpec = { by: 'overflow' },
): Circuit => ({
  id: 'gearbox-oil',
  name: 'Gearbox oil',
  fluid: 'gearbox oil',
  grade,
  ...litres,
  level,
  drain: {
    ...doing('Drain the gearbox oil', below, [6, 10, 18], {
      tools: ['drain tray', '8 mm hex'],
      tip: 'Filler plug first: a gearbox drained that cannot be filled stays drained.',
    }),
    needs: [],
    access: [aboveTray],
  },
  fill:
    level.by === 'stick'
      ? doing('Fill the gearbox oil through its tube, short of the cold mark', onGround(top), [6, 10, 20], {
          tools: ['long funnel', 'filter sieve'],
          tip: 'Drain plug in first, with a new washer. Slowly, and counted: the rest goes in running, warm, by its stick.',
        })
      : doing('Fill the gearbox oil', below, [8, 15, 25], {
          tools: ['hand pump'],
          tip: 'Drain plug in first, with a new washer. To the overflow now; the level is set as the maker says.',
        }),
});

/** Engine and gearbox bolted together; load hangs on it once one of them is free. */
export const bellHousing: Piece = {
  connections: [
    driveline.bolted('bell-housing', 'the bell housing', ['engine', 'gearbox'], below, [15, 30, 70], {
      hands: 2,
      tools: ['16 mm ratchet', 'long extension', 'universal joint'],
      cautions: ['under-load'],
      set: [
        { count: 7, what: 'M10×1.5 × 45, 16 mm flange' },
        { count: 3, what: 'M10×1.5 × 90, 16 mm flange', note: 'long ones at the starter and the top' },
      ],
      carriesLoad: true,
      access: [
        after('starter-bolts', 'Two of the bolts hold the starter.'),
        after('loom-bell-clips', 'The loom bracket sits under two bolt heads.'),
        after(
          'converter-bolts',
          'With the bell undone nobody turns the crank any more: the converter is free of its plate first.',
        ),
      ],
      tip: 'Crack them all, then out bit by bit. Draw a card: the lengths differ.',
      nm: 45,
      back: 'Dowels in, faces together by hand; the shaft meshes by turning. Never pull a gearbox in with its bolts.',
    }),
  ],
};

/** A manual gearbox with its clutch. */
export const manualGearbox: Piece = {
  parts: [
    part('gearbox', 'gearbox', 'under-middle', 'driveline', { massKg: 48 }),
    part('flywheel', 'flywheel and clutch', 'under-middle', 'driveline', {
      movesWith: 'crank',
      massKg: 16,
      ridesWith: 'engine',
    }),
    part('clutch-cylinder', 'clutch slave cylinder', 'under-middle', 'driveline', {
      movesWith: 'pedal',
      massKg: 1,
      when: { clutch: ['hydraulic'] },
    }),
    part('clutch-cable', 'clutch cable', 'bay-left', 'driveline', {
      movesWith: 'pedal',
      massKg: 1,
      when: { clutch: ['cable'] },
    }),
  ],
  connections: [
    driveline.bolted('flywheel-bolts', 'the flywheel', ['flywheel', 'engine'], below, [15, 30, 60], {
      tools: ['17 mm ratchet', 'flywheel holder'],
      set: { count: 8, what: 'M10×1.0 × 22, 17 mm', singleUse: true },
      access: [after('bell-housing', 'It is behind the bell housing.')],
      nm: 60,
      deg: 60,
      thread: 'threadlocker',
      eachRead: true,
    }),
    driveline.bolted(
      'clutch-cylinder-bolts',
      'the clutch cylinder from the bell housing',
      ['clutch-cylinder', 'gearbox'],
      below,
      [2, 4, 8],
      {
        tools: ['13 mm ratchet', 'strap'],
        set: { count: 2, what: 'M8×1.25 × 25, 13 mm flange' },
        tip: 'Its line stays on. Rubber band round it, and nobody touches the pedal.',
        nm: 22,
      },
    ),
    driveline.pipe('clutch-line', 'the clutch line on the body', ['clutch-cylinder', 'body'], below, [3, 6, 12], {
      tools: ['11 mm flare spanner', 'plugs and caps'],
      set: { count: 1, what: 'M10×1.0 union, 11 mm' },
      nm: 15,
    }),
    driveline.linkage(
      'clutch-cable-end',
      'the clutch cable at the release lever',
      ['clutch-cable', 'gearbox'],
      below,
      [2, 4, 8],
      {
        tools: ['pliers'],
        tip: 'Slack off the adjuster first; count its threads.',
        back: 'To the counted threads, then set the free play.',
        adjust: { what: 'free-play', from: 15, to: 25, at: 'at the pedal' },
      },
    ),
    driveline.clip('clutch-cable-clips', 'the clutch cable clips', ['clutch-cable', 'body'], top, [1, 2, 4]),
    loomPlug('reverse-lamp', 'the reversing lamp switch', 'gearbox', below),
    loomPlug('road-speed', 'the road speed sensor', 'gearbox', below, {
      when: { fuel: ['petrol-port', 'petrol-direct', 'single-point', 'diesel-rail'] },
    }),
  ],
};

/** An automatic gearbox with its converter, cooler pipes and main plug. */
export const automaticGearbox: Piece = {
  parts: [
    part('gearbox', 'gearbox', 'under-middle', 'driveline', { massKg: 82 }),
    part('converter', 'torque converter', 'under-middle', 'driveline', {
      movesWith: 'crank',
      chargedWith: 'gearbox-oil',
      massKg: 14,
      ridesWith: 'gearbox',
    }),
    part('flexplate', 'drive plate', 'under-middle', 'driveline', {
      movesWith: 'crank',
      massKg: 4,
      ridesWith: 'engine',
    }),
    part('window-cover', 'inspection cover', 'under-middle', 'driveline', {
      massKg: 1,
      ridesWith: 'gearbox',
      removal: { ...doing('Take the inspection cover off the bell housing', below, [1, 1, 3]) },
    }),
    part('selector', 'gear selector', 'cabin', 'driveline', { massKg: 3 }),
  ],
  connections: [
    driveline.bolted('window-screws', 'the inspection cover', ['window-cover', 'gearbox'], below, [1, 3, 6], {
      tools: ['10 mm ratchet'],
      set: { count: 3, what: 'M6×1.0 × 12, 10 mm flange' },
      access: [aboveTray],
    }),
    driveline.bolted('converter-bolts', 'the converter bolts', ['converter', 'flexplate'], below, [8, 15, 40], {
      moves: ['crank'],
      hands: 2,
      tools: ['15 mm socket', 'crank socket and bar', 'paint marker'],
      set: { count: 6, what: 'M8×1.25 × 14, 15 mm', singleUse: true },
      access: [behind('window-cover', 'Each bolt is reached through the window, one after the other.')],
      tip: 'One turns the crank by hand, forwards only, and brings each bolt to the window. Paint plate and converter.',
      nm: 32,
      thread: 'threadlocker',
      eachRead: true,
      back: 'Paint marks together; all six started before any is pulled down.',
    }),
    driveline.shaft(
      'converter-shaft',
      'the converter on the input shaft',
      ['converter', 'gearbox'],
      below,
      [2, 4, 10],
      {
        access: [after('bell-housing', 'It is behind the bell housing.')],
        back: 'Push and turn until it drops in three times, then measure its depth.',
      },
    ),
    driveline.bolted('flexplate-bolts', 'the drive plate', ['flexplate', 'engine'], below, [10, 20, 40], {
      tools: ['17 mm ratchet'],
      set: { count: 8, what: 'M10×1.0 × 22, 17 mm', singleUse: true },
      access: [after('bell-housing', 'It is behind the bell housing.')],
      nm: 60,
      deg: 45,
      thread: 'threadlocker',
      eachRead: true,
    }),
    cooling.pipe(
      'gearbox-cooler-pipes',
      'the gearbox cooler pipes at the radiator',
      ['gearbox', 'radiator'],
      nose,
      [3, 6, 18],
      {
        tools: ['19 mm flare spanner', 'plugs and caps'],
        circuit: 'gearbox-oil',
        set: { count: 2, what: 'M16×1.5 union, 19 mm' },
        tip: 'Hold the radiator stub with a second spanner, or it twists off.',
        nm: 25,
        back: 'New O-rings with a smear of oil.',
      },
    ),
    cooling.clamp('gearbox-cooler-clip', 'the cooler pipe clamp on the sump', ['gearbox', 'engine'], below, [1, 2, 4], {
      tools: ['10 mm ratchet'],
      set: { count: 1, what: 'M6×1.0 × 20, 10 mm flange' },
      access: [aboveTray],
    }),
    loomPlug('gearbox-main', 'the gearbox main plug', 'gearbox', below, {
      access: [behind('heat-shield', 'The heat shield stands in front of it.')],
      tip: 'Quarter turn of the collar. Bag over both halves: oil kills it.',
      back: 'Dry both halves. Turn the collar to its stop.',
    }),
    loomPlug('output-speed', 'the gearbox output speed sensor', 'gearbox', below),
    loomPlug('park-switch', 'the park and neutral switch', 'gearbox', below, {
      tip: 'Unplugged, the starter does not turn: tag it.',
    }),
    driveline.bolted(
      'filler-tube',
      'the gearbox filler tube at the cylinder head',
      ['gearbox', 'engine'],
      top,
      [1, 3, 8],
      {
        tools: ['10 mm ratchet'],
        set: { count: 1, what: 'M6×1.0 × 16, 10 mm flange' },
        circuit: 'gearbox-oil',
        tip: 'Rag in the tube: whatever falls in goes through the valves.',
        nm: 9,
        back: 'New O-ring at its foot, then the screw.',
      },
    ),
    driveline.cable('park-lock', 'the park lock cable at the gearbox lever', ['gearbox', 'body'], below, [2, 4, 10], {
      tools: ['pick', 'pliers'],
      set: { count: 1, what: 'spring clip on ball end' },
      tip: 'Selector in park, key out.',
      back: 'Key comes out in park and nowhere else: try it.',
    }),
    driveline.hose('gearbox-vent', 'the gearbox vent hose', ['gearbox', 'body'], below, [1, 2, 4], {
      tip: 'Its end is tied up high.',
    }),
    driveline.linkage(
      'selector-rod',
      'the selector rod at the gearbox lever',
      ['gearbox', 'selector'],
      below,
      [1, 3, 8],
      {
        tools: ['pick'],
        set: { count: 1, what: 'spring clip', washers: ['wave', 'flat', 'clip'] },
        tip: 'Lever in park first. Count the threads on the adjuster.',
        back: 'Half turns on the adjuster; try every gear.',
        adjust: { what: 'gears', gears: ['P', 'R', 'N', 'D'], inLine: true, at: 'at the lever' },
      },
    ),
    driveline.bolted('selector-base', 'the gear selector base', ['selector', 'body'], inside, [6, 10, 20], {
      tools: ['10 mm ratchet'],
      set: { count: 4, what: 'M6×1.0 × 20, 10 mm' },
    }),
  ],
};

/** A lever straight on top of a gearbox that stands lengthwise. */
export const leverOnTop: Piece = {
  parts: [
    part('gear-lever', 'gear lever', 'cabin', 'driveline', { massKg: 2 }),
    part('lever-boot', 'lever boot and console', 'cabin', 'body', {
      massKg: 2,
      removal: doing('Lift the console and boot off the lever', inside, [1, 2, 5]),
    }),
  ],
  connections: [
    driveline.clip('lever-boot-clips', 'the lever boot and console', ['lever-boot', 'body'], inside, [2, 5, 12], {
      tools: ['trim fork', 'T20 driver'],
      set: { count: 4, what: 'T20 sheet screw 4 × 16' },
    }),
    driveline.linkage('lever-joint', 'the gear lever at the gearbox', ['gear-lever', 'gearbox'], inside, [2, 5, 15], {
      tools: ['pin punch', 'circlip pliers'],
      access: [behind('lever-boot', 'The joint is under the boot.')],
      set: { count: 1, what: 'roll pin 6 × 30', note: 'reachable only with the lever in reverse', singleUse: true },
      tip: 'Into reverse first: only there does the pin show.',
      back: 'New pin. Try every gear.',
      adjust: { what: 'gears', gears: ['1', '2', '3', '4', '5', 'R'], at: 'engine off' },
    }),
    driveline.clip('lever-seat', 'the gear lever seat', ['gear-lever', 'body'], inside, [1, 2, 5]),
  ],
};

/** A lever that is moved through a gate, by a foot on the clutch. */
const WITH_A_GATE = { clutch: ['hydraulic', 'cable'] } as const;

/** One cable from a selector with P to a gearbox that stands across. */
export const selectorCable = (when?: When): Piece => ({
  parts: [part('selector-cable', 'selector cable', 'bay-left', 'driveline', { massKg: 1, ...(when ? { when } : {}) })],
  connections: [
    driveline.linkage(
      'selector-cable-end',
      'the selector cable at the gearbox',
      ['selector-cable', 'gearbox'],
      top,
      [2, 3, 8],
      {
        tools: ['trim fork'],
        access: [behind('airbox', 'The air filter box stands over it.')],
        set: { count: 1, what: 'ball end and clip' },
        tip: 'Selector in park, mark the adjuster.',
        back: 'Selector and lever both in park while the adjuster is locked.',
        adjust: { what: 'gears', gears: ['P', 'R', 'N', 'D'], inLine: true, at: 'at the lever' },
      },
    ),
    driveline.clip(
      'selector-cable-grommet',
      'the selector cable at the bulkhead',
      ['selector-cable', 'body'],
      inside,
      [2, 4, 10],
    ),
  ],
});

/** Two cables from the lever to a gearbox that stands across; where there is no pedal, one from the selector. */
export const gearCables: Piece = {
  parts: [
    part('gear-cables', 'gear cables', 'bay-left', 'driveline', { massKg: 2, when: WITH_A_GATE }),
    ...(selectorCable({ clutch: ['none'] }).parts ?? []),
  ],
  connections: [
    ...(selectorCable().connections ?? []),
    driveline.linkage(
      'gear-cable-select',
      'the select cable at the gearbox',
      ['gear-cables', 'gearbox'],
      top,
      [2, 3, 8],
      {
        tools: ['trim fork'],
        access: [behind('airbox', 'The air filter box stands over it.')],
        set: { count: 1, what: 'ball end and clip' },
        tip: 'Mark the adjuster. Lever off the ball, never by the cable.',
        back: 'Lever in neutral while the adjuster is locked. Try every gear.',
        adjust: { what: 'gears', gears: ['1', '2', '3', '4', '5', 'R'], inLine: true, at: 'across the gate' },
      },
    ),
    driveline.linkage(
      'gear-cable-shift',
      'the shift cable at the gearbox',
      ['gear-cables', 'gearbox'],
      top,
      [2, 3, 8],
      {
        tools: ['trim fork'],
        access: [behind('airbox', 'The air filter box stands over it.')],
        set: { count: 1, what: 'ball end and clip' },
        adjust: { what: 'gears', gears: ['1', '2', '3', '4', '5', 'R'], at: 'fore and aft' },
      },
    ),
    driveline.clip(
      'gear-cable-grommet',
      'the gear cables at the bulkhead',
      ['gear-cables', 'body'],
      inside,
      [3, 6, 12],
    ),
  ],
};
