import { after, behind, below, connectionsOf, doing, inside, onGround, part, removal, tail, top } from '../author.js';
import { forCylinders, sized } from '../cylinders.js';
import type { Piece } from '../template.js';
import { loomPlug } from '../systems/battery-and-loom.js';

const mounts = connectionsOf('mounts', { cautions: ['under-load'] });
const body = connectionsOf('body');
const driveline = connectionsOf('driveline');
const electrics = connectionsOf('electrics', { needs: ['battery-isolated'] });

/** A small engine on a deck under a hinged cover, driving gearbox and blower by belts. */
export const engineDeck: Piece = {
  parts: [
    part('body', 'frame', 'outside', 'body'),
    ...forCylinders((one) => part('engine', 'engine', 'bay-top', 'mounts', { massKg: sized(62, one, '2') })),
    part('deck-cover', 'engine cover with its grille', 'bay-top', 'body', {
      coversBay: true,
      afterLeakCheck: true,
      massKg: 9,
      removal: removal('Lift the engine cover away', tail, [1, 2, 5], { hands: 2 }),
    }),
    part('side-panel', 'side panel', 'bay-right', 'body', {
      massKg: 3,
      removal: removal('Take the side panel away', top, [1, 1, 3]),
    }),
    part('belt-guard', 'belt guard', 'bay-left', 'body', {
      massKg: 2,
      removal: removal('Take the belt guard away', top, [1, 1, 3]),
    }),
    part('drive-clutch', 'drive pulley on the crankshaft', 'bay-left', 'driveline', { massKg: 5, ridesWith: 'engine' }),
    part('drive-vbelt', 'drive belt to the gearbox', 'bay-left', 'driveline', { massKg: 1, ridesWith: 'engine' }),
    part('gearbox', 'gearbox with its pulley', 'under-rear', 'driveline', { massKg: 38 }),
    part('idler', 'belt tensioner', 'bay-left', 'driveline', { massKg: 1 }),
    part('silencer', 'silencer', 'bay-rear', 'exhaust', {
      massKg: 5,
      removal: removal('Lift the silencer away', tail, [1, 2, 5], { tip: 'It stays hot for half an hour.' }),
    }),
    part('fuel-tank', 'fuel tank', 'bay-right', 'fuel', { massKg: 4 }),
    part('hour-meter', 'dash with hour meter and key', 'cabin', 'electrics', { massKg: 1 }),
    part('seat-switch', 'seat switch', 'cabin', 'electrics', { massKg: 1 }),
    part('work-pump', 'hydraulic work pump', 'bay-front', 'driveline', { massKg: 6 }),
    part('choke-control', 'choke control', 'cabin', 'fuel', { massKg: 1, when: { fuel: ['carburettor'] } }),
  ],
  connections: [
    body.clip('cover-stay', 'the stay of the engine cover', ['deck-cover', 'body'], tail, [1, 1, 2], {
      cautions: ['spring'],
    }),
    body.bolted('cover-hinges', 'the engine cover hinges', ['deck-cover', 'body'], tail, [2, 3, 6], {
      hands: 2,
      tools: ['10 mm ratchet'],
      set: { count: 4, what: 'M6×1.0 × 20, 10 mm' },
      access: [after('cover-stay', 'The stay holds it to the frame.')],
    }),
    body.bolted('side-panel-screws', 'the side panel', ['side-panel', 'body'], top, [1, 3, 6], {
      tools: ['10 mm ratchet'],
      set: { count: 4, what: 'M6×1.0 × 16, 10 mm' },
    }),
    body.bolted('guard-screws', 'the belt guard', ['belt-guard', 'body'], top, [1, 3, 6], {
      tools: ['10 mm ratchet'],
      set: { count: 3, what: 'M6×1.0 × 16, 10 mm' },
    }),
    driveline.strap(
      'drive-belt-off',
      'the drive belt from the gearbox pulley',
      ['drive-vbelt', 'gearbox'],
      top,
      [2, 4, 10],
      {
        tools: ['belt lever', 'paint marker'],
        cautions: ['spring'],
        access: [
          behind('belt-guard', 'The guard covers it.'),
          after('drive-belt-idler', 'With the tensioner on it, the belt takes fingers along.', 'safety'),
        ],
        tip: 'Mark its direction. Turn the pulley by hand, mind your fingers.',
        back: 'By its mark. A thumb’s width of play.',
        adjust: { what: 'tension', at: 'in the longest free span' },
      },
    ),
    driveline.strap('drive-belt-idler', 'the tensioner from the belt', ['drive-vbelt', 'idler'], top, [1, 2, 5], {
      tools: ['spring hook'],
      cautions: ['spring'],
      access: [behind('belt-guard', 'The guard covers it.')],
    }),
    driveline.bolted('idler-bolt', 'the belt tensioner', ['idler', 'body'], top, [2, 3, 6], {
      tools: ['13 mm ratchet'],
      set: { count: 1, what: 'M8×1.25 × 60, 13 mm' },
      nm: 22,
    }),
    driveline.strap(
      'drive-belt-pulley',
      'the drive belt on the engine pulley',
      ['drive-vbelt', 'drive-clutch'],
      top,
      [1, 2, 4],
    ),
    driveline.bolted(
      'drive-clutch-bolt',
      'the drive pulley on the crankshaft',
      ['drive-clutch', 'engine'],
      top,
      [5, 10, 30],
      {
        tools: ['16 mm ratchet', 'pulley puller'],
        set: { count: 1, what: 'M10×1.25 × 60, 16 mm' },
        tip: 'The taper wants the proper puller; a hammer bends the crank.',
        nm: 60,
      },
    ),
    driveline.bolted('gearbox-bolts', 'the gearbox', ['gearbox', 'body'], below, [15, 30, 60], {
      tools: ['17 mm ratchet'],
      set: { count: 4, what: 'M10×1.5 × 40, 17 mm' },
      nm: 48,
    }),
    driveline.bolted('work-pump-bolts', 'the work pump from the engine', ['work-pump', 'engine'], top, [4, 8, 15], {
      tools: ['13 mm ratchet', 'strap'],
      set: { count: 2, what: 'M8×1.25 × 30, 13 mm' },
      tip: 'Its hoses stay on. Hang it on a strap.',
      nm: 22,
    }),
    driveline.hose('work-pump-hoses', 'the work pump hoses', ['work-pump', 'body'], top, [5, 10, 20], {
      tools: ['22 mm spanner', 'plugs and caps'],
      set: { count: 2, what: 'M18×1.5 union, 22 mm' },
    }),
    connectionsOf('exhaust', { cautions: ['eyes'] }).bolted(
      'silencer-nuts',
      'the silencer at the cylinder head',
      ['silencer', 'engine'],
      tail,
      [3, 6, 20],
      {
        tools: ['13 mm ratchet', 'penetrant'],
        set: { count: 4, what: 'M8 copper nut, 13 mm', singleUse: true },
        nm: 22,
        loose: 'silencer',
      },
    ),
    connectionsOf('exhaust').bolted('silencer-bracket', 'the silencer bracket', ['silencer', 'body'], tail, [1, 3, 6], {
      tools: ['13 mm ratchet'],
      set: { count: 2, what: 'M8×1.25 × 25, 13 mm' },
      nm: 22,
      loose: 'silencer',
      torqueAfter: [{ connection: 'silencer-nuts', why: 'Brackets come last: they hold the pipe as it lies.' }],
    }),
    connectionsOf('fuel', { cautions: ['fuel'] }).hose(
      'tank-hose',
      'the fuel hose at the tank',
      ['fuel-tank', 'fuel-lines'],
      top,
      [1, 2, 5],
      {
        needs: ['fuel-closed', 'battery-isolated'],
        cautions: ['fuel'],
        set: { count: 1, what: 'spring band clip' },
      },
    ),
    connectionsOf('fuel').strap('tank-strap', 'the fuel tank strap', ['fuel-tank', 'body'], top, [2, 3, 6]),
    connectionsOf('fuel').clip('tank-breather', 'the tank breather', ['fuel-tank', 'body'], top, [1, 1, 2]),
    connectionsOf('fuel').cable(
      'choke-control-cable',
      'the choke control at the carburettor',
      ['carburettor', 'choke-control'],
      top,
      [1, 2, 5],
      {
        tools: ['8 mm spanner'],
        set: { count: 1, what: 'pinch screw M5' },
      },
    ),
    connectionsOf('fuel').bolted(
      'choke-control-nut',
      'the choke control at the dash',
      ['choke-control', 'body'],
      inside,
      [1, 3, 6],
      {
        tools: ['14 mm spanner'],
        set: { count: 1, what: 'thin nut M10, 14 mm' },
      },
    ),
    electrics.plug('dash-plug', 'the engine loom at the dash', ['loom', 'hour-meter'], inside, [1, 2, 4]),
    electrics.bolted('dash-screws', 'the dash', ['hour-meter', 'body'], inside, [3, 5, 10], {
      tools: ['T25 driver'],
      set: { count: 4, what: 'T25 sheet screw 5 × 16' },
    }),
    electrics.plug('seat-switch-plug', 'the seat switch plug', ['loom', 'seat-switch'], inside, [1, 1, 3]),
    electrics.clip('seat-switch-clip', 'the seat switch', ['seat-switch', 'body'], inside, [1, 2, 4]),
    loomPlug('kill-wire', 'the stop wire at the coil', 'engine', top, {
      tip: 'Off, the engine cannot be stopped with the key. Back on before anything is cranked.',
      back: 'Try the key before the first start.',
      when: { fuel: ['carburettor'] },
    }),
    electrics.ground('deck-ground', 'the ground strap on the deck', ['engine', 'body'], top, [1, 2, 5], {
      tools: ['13 mm ratchet', 'wire brush'],
      set: { count: 1, what: 'M8×1.25 × 16, 13 mm' },
      nm: 18,
      back: 'Bright metal under the eye.',
    }),
    mounts.bolted('deck-front', 'the two front engine bolts on the deck', ['engine', 'body'], top, [2, 4, 12], {
      tools: ['13 mm ratchet', '13 mm spanner'],
      set: { count: 2, what: 'M8×1.25 × 50, 13 mm, locking nut', singleUse: true },
      carriesLoad: true,
      nm: 25,
    }),
    mounts.bolted('deck-rear', 'the two rear engine bolts on the deck', ['engine', 'body'], below, [2, 4, 12], {
      hands: 2,
      tools: ['13 mm ratchet', '13 mm spanner'],
      set: { count: 2, what: 'M8×1.25 × 50, 13 mm, locking nut', singleUse: true },
      carriesLoad: true,
      access: [behind('silencer', 'The silencer covers the heads.')],
      tip: 'Slots: paint where it stood, the belt line depends on it.',
      nm: 25,
      back: 'To the paint marks, then look along the pulleys with a straight edge.',
    }),
  ],
  conditions: [
    {
      id: 'engine-slung',
      name: 'Engine on the hoist',
      takesLoad: true,
      // It stands on its deck until it is raised.
      fromBelow: true,
      established: {
        by: 'step',
        access: [behind('deck-cover', 'The hoist comes in over it.')],
        step: doing('Sling the engine and take the weight', onGround(tail), [4, 8, 15], {
          hands: 2,
          tools: ['engine hoist', 'rated sling'],
          cautions: ['under-load', 'heavy'],
          tip: 'Too heavy for two backs. Sling at the eye, just snug.',
        }),
      },
      released: doing('Let the hoist down and unhook', onGround(tail), [1, 3, 6], { cautions: ['under-load'] }),
    },
  ],
};
