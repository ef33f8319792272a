import { after, behind, below, chore, connectionsOf, doing, nose, part, removal, top } from '../author.js';
import { CYLINDER_NUMBERS, forCylinders, IN_TWO_BANKS } from '../cylinders.js';
import type { Piece } from '../template.js';
import { aboveTray } from './battery-and-loom.js';

const engine = connectionsOf('driveline');

/** A cover over the cylinders from one number to another, with their coils in it. */
const headCover = (suffix: string, name: string, from: number, to: number) =>
  engine.bolted(`head-cover${suffix}-bolts`, name, [`head-cover${suffix}`, 'engine'], top, [5, 10, 20], {
    tools: ['10 mm ratchet'],
    set: {
      count: 4 + 2 * (to - from + 1),
      what: 'M6×1.0 × 30, 10 mm flange',
      note: 'sleeves and rubbers stay with their bolts',
    },
    access: [
      behind('engine-cover', 'The engine cover lies over it.'),
      ...CYLINDER_NUMBERS.filter((number) => number >= from && number <= to).map((number) =>
        after(`coil-${number}`, 'The coils sit in it.'),
      ),
    ],
    nm: 9,
    back: 'Sealant in the corners where the maker wants it; from the middle outwards.',
  });

/** Covers of an engine with its cylinders in a row or in a V, and what turns at its front; off only while it is on the bench. */
export const insideTheEngine: Piece = {
  parts: [
    part('sump', 'sump', 'under-front', 'driveline', {
      ridesWith: 'engine',
      builtIn: true,
      removal: removal('Cut the sump free and take it off', below, [4, 8, 20], {
        tools: ['scraper', 'rubber mallet'],
        tip: 'A blade along the sealant; never a screwdriver in the face. Look what lies in it before it is washed.',
      }),
    }),
    part('head-cover', 'cylinder head cover', 'bay-top', 'driveline', {
      ridesWith: 'engine',
      builtIn: true,
      removal: removal('Lift the cylinder head cover off', top, [1, 2, 5], {
        tip: 'Clean round it first: what falls in stays in.',
      }),
    }),
    part('head-cover-2', 'cylinder head cover of the second bank', 'bay-top', 'driveline', {
      when: IN_TWO_BANKS,
      ridesWith: 'engine',
      builtIn: true,
      removal: removal('Lift the second bank’s head cover off', top, [1, 2, 5], {
        tip: 'Clean round it first: what falls in stays in.',
      }),
    }),
    part('front-pulley', 'crank pulley', 'bay-front', 'driveline', {
      ridesWith: 'engine',
      movesWith: 'crank',
      removal: removal('Draw the crank pulley off', nose, [2, 5, 15], { tools: ['puller'] }),
    }),
    part('timing-cover', 'timing cover', 'bay-front', 'driveline', {
      ridesWith: 'engine',
      builtIn: true,
      removal: removal('Take the timing cover off', nose, [1, 3, 8]),
    }),
  ],
  connections: [
    engine.bolted('sump-bolts', 'the sump', ['sump', 'engine'], below, [12, 20, 40], {
      tools: ['10 mm ratchet', 'long extension'],
      set: { count: 18, what: 'M6×1.0 × 20, 10 mm flange' },
      circuit: 'engine-oil',
      access: [aboveTray],
      nm: 10,
      back: 'Clean and dry faces, sealant or gasket as the maker says; all in by hand, then from the middle outwards.',
    }),
    ...forCylinders(({ count, arranged }) =>
      headCover('', 'the cylinder head cover', 1, arranged === 'v' ? count / 2 : count),
    ),
    ...forCylinders(
      ({ count }) => headCover('-2', 'the head cover of the second bank', count / 2 + 1, count),
      ({ arranged }) => arranged === 'v',
    ),
    engine.bolted('front-pulley-bolt', 'the crank pulley', ['front-pulley', 'engine'], nose, [5, 12, 30], {
      hands: 2,
      tools: ['22 mm socket', 'breaker bar', 'crank holder'],
      set: { count: 1, what: 'M14×1.5 × 55, 22 mm', washers: ['thick with its chamfer to the head'], singleUse: true },
      back: 'Thick washer with its chamfer to the head: the other way round the bolt sits on its own neck.',
      access: [
        after('belt-run', 'The belt runs on it.'),
        behind('fan', 'The fan turns in front of it.'),
        behind('fan-shroud', 'No room for the bar with the shroud in.'),
      ],
      moves: ['crank'],
      tip: 'One holds the crank at the flywheel, never at the timing pins.',
      nm: 110,
      deg: 90,
    }),
    engine.bolted('timing-cover-bolts', 'the timing cover', ['timing-cover', 'engine'], nose, [6, 12, 25], {
      tools: ['10 mm ratchet'],
      set: [
        { count: 8, what: 'M6×1.0 × 25, 10 mm flange' },
        { count: 2, what: 'M6×1.0 × 50, 10 mm flange', note: 'long ones at the dowels' },
      ],
      access: [behind('front-pulley', 'It holds the cover down.')],
      nm: 9,
    }),
  ],
  chores: [
    chore(
      'hung-for-sump',
      'bench',
      doing('Hold the engine at its mount brackets, so that nothing rests on the sump', nose, [8, 15, 30], {
        hands: 2,
        tools: ['engine stand', 'engine hoist', 'rated slings'],
        cautions: ['under-load'],
        tip: 'A stand that grips it there, blocks at both ends; not by the bell face, where the gearbox is or comes again. Rocked by hand before the hoist goes slack.',
        moves: ['weight'],
      }),
      {
        why: 'With the sump off it has nothing to stand on.',
        where: { comesOut: 'engine' },
        after: [],
        before: [{ undone: 'sump-bolts' }],
      },
    ),
    chore(
      'crank-locked',
      'bench',
      doing('Turn the crank to its mark, pin crank and cams, photograph every mark', nose, [8, 15, 30], {
        tools: ['crank socket and bar', 'timing pins', 'paint marker', 'lamp'],
        tip: 'Forwards only, at the crank bolt. Marks on old belt or chain and wheels as well: the paint outlives the memory.',
        moves: ['crank'],
      }),
      {
        why: 'Off by a tooth it does not run, and by two the valves meet the pistons.',
        photo: true,
        pins: 'in',
        after: [{ undone: 'timing-cover' }],
        before: [{ renewal: 'timing-drive' }],
      },
    ),
    chore(
      'crank-turned',
      'bench',
      doing('Pins out, turn the crank twice by hand, look that every mark meets again', nose, [4, 8, 20], {
        tools: ['crank socket and bar', 'lamp'],
        tip: 'Slowly. Where it stops, stop: something meets something. Once more at the marks before the cover goes on.',
        moves: ['crank'],
      }),
      {
        why: 'The last moment at which a tooth out costs ten minutes.',
        recalls: 'crank-locked',
        pins: 'out',
        after: [{ renewal: 'timing-drive' }],
        before: [{ part: 'timing-cover' }, { connection: 'timing-cover-bolts' }],
      },
    ),
    chore(
      'mark-belt',
      'bench',
      doing('Mark the belt’s direction and photograph its way round', nose, [1, 2, 4], {
        tools: ['paint marker', 'lamp'],
      }),
      {
        why: 'Run in one way, it is laid on the same way.',
        photo: true,
        after: [],
        before: [{ undone: 'belt-run' }],
      },
    ),
    chore(
      'belt-by-mark',
      'bench',
      doing('Hold the belt to its mark and its drawing before it is laid on', nose, [1, 2, 4]),
      {
        why: 'The wrong way round it wears the other flank, and one rib off it throws itself.',
        recalls: 'mark-belt',
        after: [{ undone: 'belt-run' }, { part: 'drive-belt' }],
        before: [{ connection: 'belt-run' }],
      },
    ),
    chore(
      'pump-pinned',
      'bench',
      doing('Crank to its mark, pin the injection pump, mark pump to flange, photograph', nose, [5, 10, 25], {
        tools: ['crank socket and bar', 'pump pin', 'paint marker', 'lamp'],
        tip: 'Forwards only. Pinned before its bolts are touched.',
        moves: ['crank'],
      }),
      {
        why: 'Its place to the crank is the injection timing.',
        photo: true,
        pins: 'in',
        // A bar on the pulley bolt would be a bar on the pin.
        after: [{ undone: 'front-pulley-bolt' }],
        before: [{ undone: 'pump-bolts' }],
      },
    ),
    chore(
      'pump-set',
      'bench',
      doing('Crank and pump at their marks, pin in, before the pump goes on', nose, [4, 8, 20], {
        tools: ['crank socket and bar', 'pump pin'],
        tip: 'By the photo. The pin comes out before the crank is turned again.',
        moves: ['crank'],
      }),
      {
        why: 'Bolted up first, it is set by luck.',
        recalls: 'pump-pinned',
        pins: 'in',
        after: [{ undone: 'pump-bolts' }, { chore: 'crank-turned' }],
        before: [{ part: 'high-pressure-pump' }, { connection: 'pump-bolts' }],
      },
    ),
    chore('pump-pin-out', 'bench', doing('Pin out of the injection pump, and count it', nose, [1, 1, 3]), {
      why: 'Left in, it breaks the first time somebody turns the crank.',
      where: { touches: ['pump-bolts'] },
      pins: 'out',
      after: [{ connection: 'pump-bolts' }],
      before: [{ connection: 'front-pulley-bolt' }, { holdPoint: 'pre-lower' }],
    }),
  ],
};
