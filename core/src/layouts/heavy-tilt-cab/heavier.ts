import type { Caution, FastenerSet, Part } from '../../connection-map/index.js';
import { below, minutes, nose, removal, top, type Time } from '../author.js';
import type { Change } from '../template.js';

interface Heavier {
  readonly set: FastenerSet | readonly FastenerSet[];
  readonly tools: readonly string[];
  readonly time: Time;
  readonly nm?: number;
  readonly deg?: number;
  readonly hands?: 1 | 2;
  /** What stands on the way out. */
  readonly tip?: string;
  readonly cautions?: readonly Caution[];
  /** What stands on the way back. */
  readonly back?: string;
}

const heavier = ({ set, tools, time, nm, deg, hands, tip, cautions, back }: Heavier): Change => ({
  fasteners: 'count' in set ? [set] : set,
  tools,
  minutes: minutes(...time),
  ...(hands ? { hands } : {}),
  ...(tip === undefined ? {} : { tip }),
  ...(cautions ? { cautions } : {}),
  refit: {
    minutes: minutes(...time),
    ...(nm === undefined ? {} : { torque: { targetNm: nm, ...(deg === undefined ? {} : { angleDeg: deg }) } }),
    ...(back === undefined ? {} : { note: back }),
  },
});

const wideClamp = (count: number, size: string): FastenerSet => ({
  count,
  what: `wide spring-loaded clamp ${size}, 11 mm`,
});
const hose = (size: string, time: Time): Change =>
  heavier({ set: wideClamp(1, size), tools: ['11 mm socket', 'long extension', 'drain tray'], time, nm: 9 });
const flange = heavier({
  set: { count: 8, what: 'M14×1.5 × 55, 21 mm, locking nut', singleUse: true },
  tools: ['21 mm ratchet', '21 mm spanner', 'breaker bar', 'paint marker'],
  time: [8, 15, 35],
  nm: 145,
  hands: 2,
  back: 'Paint marks together, new locking nuts.',
});

const ground = (more: Pick<FastenerSet, 'note'> = {}): Change =>
  heavier({
    set: { count: 1, what: 'M12×1.75 × 25, 19 mm flange', ...more },
    tools: ['19 mm ratchet', 'wire brush'],
    time: [2, 4, 10],
    nm: 60,
    back: 'Bright metal under the eye.',
  });

/** What shared pieces hold with a car’s fasteners, as a heavy vehicle holds it. */
export const HEAVIER: Readonly<Record<string, Change>> = {
  'bell-housing': heavier({
    set: [
      { count: 12, what: 'M12×1.75 × 60, 19 mm flange' },
      { count: 4, what: 'M12×1.75 × 110, 19 mm flange', note: 'long ones at the lifting eyes' },
    ],
    tools: ['19 mm ratchet', 'long extension', 'universal joint', 'breaker bar'],
    time: [25, 45, 100],
    nm: 85,
    hands: 2,
    back: 'Dowels in, faces together by hand; the shaft meshes by turning. Never pull a gearbox in with its bolts.',
  }),
  'flywheel-bolts': heavier({
    set: { count: 10, what: 'M14×1.5 × 45, 22 mm', singleUse: true },
    tools: ['22 mm ratchet', 'breaker bar', 'flywheel holder', 'hoist or gearbox jack', 'rated slings', 'guide studs'],
    time: [25, 45, 90],
    nm: 60,
    deg: 120,
    hands: 2,
    tip: 'Two guide studs in, its weight on sling or jack before the last bolt is out. Feet and fingers clear.',
    cautions: ['under-load'],
    back: 'Hung in over the guide studs; its weight let go once three bolts hold it.',
  }),
  'turbo-nuts': heavier({
    set: { count: 4, what: 'M10 copper nut, 17 mm', note: 'lock tabs bent up against them', singleUse: true },
    tools: ['17 mm ratchet', 'penetrant', 'chisel'],
    back: 'New lock tabs, bent up against a flat of each nut once it has its figure.',
    time: [15, 30, 70],
    nm: 45,
    hands: 2,
    cautions: ['heavy'],
    tip: 'One holds it while the last nut comes off.',
  }),
  'prop-rear': flange,
  'prop-centre': heavier({
    set: { count: 2, what: 'M12×1.75 × 50, 19 mm flange' },
    tools: ['19 mm ratchet'],
    time: [4, 8, 20],
    nm: 85,
    hands: 2,
  }),
  'starter-bolts': heavier({
    set: { count: 3, what: 'M12×1.75 × 45, 19 mm' },
    tools: ['19 mm ratchet', 'long extension'],
    time: [8, 15, 35],
    nm: 80,
    hands: 2,
  }),
  'starter-cable': heavier({
    set: { count: 2, what: 'M10 copper-faced nut, 17 mm', note: 'two cables on one stud' },
    tools: ['17 mm ratchet', 'long extension'],
    time: [4, 7, 15],
    nm: 24,
    back: 'Rubber cap over the nut.',
  }),
  'engine-ground': ground({ note: 'toothed washer under the eye' }),
  'gearbox-ground': ground(),
  'upper-hose': hose('60–70', [3, 6, 15]),
  'lower-hose': hose('60–70', [3, 6, 15]),
  'charge-hose-hot': hose('90–100', [4, 7, 15]),
  'charge-hose-cold': hose('90–100', [3, 6, 12]),
  'intake-duct': heavier({
    set: { count: 1, what: 'worm clamp 140–160, 7 mm' },
    tools: ['7 mm socket'],
    time: [2, 4, 10],
    nm: 5,
    back: 'Look inside with a lamp before it goes on.',
  }),
  'airbox-bolts': heavier({
    set: { count: 4, what: 'M10×1.5 × 30, 17 mm' },
    tools: ['17 mm ratchet'],
    time: [3, 6, 12],
  }),
  'radiator-brackets': heavier({
    set: { count: 4, what: 'M10×1.5 × 40, 17 mm flange', note: 'rubber sleeves stay in the frame' },
    tools: ['17 mm ratchet'],
    time: [5, 9, 20],
    nm: 46,
  }),
  'fan-nut': heavier({
    set: { count: 6, what: 'M8×1.25 × 25, 13 mm' },
    tools: ['13 mm ratchet', 'long extension'],
    time: [4, 8, 18],
    nm: 25,
    hands: 2,
  }),
  'sump-bolts': heavier({
    set: { count: 24, what: 'M10×1.5 × 30, 16 mm flange' },
    tools: ['16 mm ratchet', 'long extension'],
    time: [25, 45, 90],
    nm: 32,
    hands: 2,
    back: 'Clean and dry faces, gasket as the maker says; all in by hand, then from the middle outwards.',
  }),
  'head-cover-bolts': heavier({
    set: { count: 18, what: 'M8×1.25 × 40, 13 mm flange', note: 'one cover for each two cylinders' },
    tools: ['13 mm ratchet'],
    time: [12, 25, 50],
    nm: 22,
    back: 'From the middle outwards.',
  }),
  'front-pulley-bolt': heavier({
    set: { count: 6, what: 'M16×1.5 × 70, 24 mm', singleUse: true },
    tools: ['24 mm socket', 'breaker bar', 'crank holder'],
    time: [15, 30, 60],
    nm: 200,
    deg: 90,
    hands: 2,
    tip: 'One holds the crank at the flywheel, never at the timing pins. The damper weighs: slung before the last bolt.',
    cautions: ['heavy'],
    back: 'The damper on its dowel; crosswise, then the angle.',
  }),
  'timing-cover-bolts': heavier({
    set: { count: 18, what: 'M10×1.5 × 40, 16 mm flange', note: 'four long ones at the mounts' },
    tools: ['16 mm ratchet'],
    time: [20, 40, 80],
    nm: 48,
    hands: 2,
  }),
  'intake-bolts': heavier({
    set: { count: 14, what: 'M10×1.5 × 45, 16 mm' },
    tools: ['16 mm ratchet'],
    time: [20, 35, 70],
    nm: 45,
    hands: 2,
  }),
  'alternator-bolts': heavier({
    set: { count: 3, what: 'M12×1.75 × 110, 19 mm' },
    tools: ['19 mm ratchet', '19 mm spanner'],
    time: [10, 20, 40],
    nm: 80,
  }),
  'pump-bolts': heavier({
    set: { count: 4, what: 'M10×1.5 × 45, 16 mm' },
    tools: ['16 mm ratchet'],
    time: [12, 25, 50],
    nm: 50,
  }),
  'injection-pipes': heavier({
    set: { count: 12, what: 'M14×1.5 union, 17 mm', note: 'tagged by cylinder; the clamps between them stay on' },
    tools: ['17 mm flare spanner', 'rags', 'plugs and caps'],
    time: [15, 30, 60],
    nm: 28,
    back: 'By the firing order, 1-5-3-6-2-4 as a rule, what the maker says goes; every union by hand first. Bled before they are drawn up.',
  }),
  'shroud-bolts': heavier({
    set: { count: 8, what: 'M8×1.25 × 20, 13 mm flange' },
    tools: ['13 mm ratchet'],
    time: [4, 7, 15],
  }),
};

/** Masses and lifting of what shared pieces give a car’s weight. */
export const HEAVIER_PARTS: Readonly<Record<string, Partial<Omit<Part, 'id'>>>> = {
  gearbox: { massKg: 285 },
  flywheel: { massKg: 62 },
  battery: { massKg: 55, zone: 'bay-left' },
  'battery-second': { massKg: 55, zone: 'bay-left' },
  radiator: { massKg: 46 },
  'charge-cooler': { massKg: 24 },
  'fan-shroud': { massKg: 6 },
  fan: { massKg: 11 },
  starter: { massKg: 14 },
  alternator: { massKg: 11 },
  compressor: { massKg: 9 },
  sump: {
    massKg: 34,
    removal: removal('Cut the sump free and let it down', below, [8, 15, 35], {
      hands: 2,
      tools: ['scraper', 'rubber mallet', 'jack'],
      cautions: ['heavy'],
      tip: 'A blade along the gasket; never a screwdriver in the face. Look what lies in it before it is washed.',
    }),
  },
  'front-pulley': {
    massKg: 42,
    removal: removal('Draw the vibration damper off', nose, [5, 12, 30], {
      hands: 2,
      tools: ['puller', 'hoist or gearbox jack', 'rated slings'],
      cautions: ['heavy'],
      tip: 'Slung before it comes free. Never struck: its rubber and its balance suffer.',
    }),
  },
  turbo: {
    massKg: 24,
    removal: removal('Lift the turbocharger off', top, [4, 8, 20], {
      hands: 2,
      cautions: ['heavy'],
      tip: 'Tape over every opening; nothing falls into it.',
    }),
  },
  propshaft: { massKg: 48 },
  'rear-axle': { massKg: 780 },
  airbox: { massKg: 16, zone: 'bay-rear' },
  'oil-cooler': { massKg: 7 },
};
