import {
  behind,
  below,
  chore,
  connectionsOf,
  doing,
  inside,
  nose,
  onGround,
  part,
  removal,
  top,
  wheelLeft,
} from '../author.js';
import type { Piece } from '../template.js';
import { fuelSafe, opened, pressureFirst, railDown } from '../systems/fuel-shut.js';

const body = connectionsOf('body');
const fuel = connectionsOf('fuel', { cautions: ['fuel'] });
const steering = connectionsOf('steering');
const tilted = { needs: ['cab-tilted'] } as const;

/** A cab that tilts over the engine, and what stands on the frame round it: tank, steps, silencer box, steering oil. */
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
      coversBay: true,
      massKg: 12,
      removal: removal('Lift the sound panels out', top, [2, 4, 8]),
    }),
    part('front-crossbeam', 'front crossbeam with the cab lock', 'bay-front', 'body', {
      massKg: 28,
      removal: removal('Lift the front crossbeam out', nose, [3, 6, 12], { hands: 2, cautions: ['heavy'] }),
    }),
    part('fuel-tank', 'chassis fuel tank', 'under-middle', 'fuel', { massKg: 40 }),
    part('steering-reservoir', 'steering oil bottle', 'bay-left', 'steering', { massKg: 3 }),
    part('silencer', 'silencer box on the frame', 'under-middle', 'exhaust', { massKg: 110 }),
    part('flex-pipe', 'flexible exhaust pipe', 'under-front', 'exhaust', {
      massKg: 9,
      removal: removal('Take the flexible exhaust pipe out', below, [2, 4, 10], { cautions: ['eyes'] }),
    }),
    part('tag-tank-steps', 'steps and battery box cover', 'bay-left', 'body', {
      massKg: 18,
      removal: removal('Lift the steps away', wheelLeft, [2, 4, 8]),
    }),
  ],
  connections: [
    body.bolted('panel-clips', 'the sound panels round the engine', ['engine-tunnel', 'body'], top, [3, 6, 12], {
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
    fuel.hose('tank-feed', 'the tank feed at the engine', ['engine', 'fuel-tank'], top, [2, 4, 10], {
      needs: ['cab-tilted', 'tank-closed', 'battery-isolated'],
      tools: ['22 mm spanner', 'plugs and caps', 'rags'],
      set: { count: 1, what: 'M18×1.5 union, 22 mm' },
      tip: 'The tank stands higher than you think: plug it at once.',
      nm: 40,
    }),
    fuel.hose('tank-return', 'the tank return at the engine', ['engine', 'fuel-tank'], top, [2, 3, 8], {
      needs: ['cab-tilted', 'tank-closed', 'battery-isolated'],
      tools: ['19 mm spanner', 'plugs and caps'],
      set: { count: 1, what: 'M16×1.5 union, 19 mm' },
      nm: 35,
    }),
    fuel.strap('tank-straps', 'the chassis tank straps', ['fuel-tank', 'body'], below, [10, 20, 40], {
      tools: ['19 mm ratchet'],
      set: { count: 2, what: 'M12×1.75 × 120 strap bolt, 19 mm' },
    }),
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
    connectionsOf('electrics', { needs: ['battery-isolated'] }).plug(
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
      givesReach: ['bay-top'],
      stops: ['pedal', 'steering'],
      established: {
        by: 'step',
        access: [],
        step: doing('Tilt the cab and lock it over', onGround(nose), [5, 10, 20], {
          hands: 2,
          tools: ['pump handle', 'cab prop'],
          cautions: ['heavy'],
          tip: 'Cab empty, room in front, doors shut. All the way over, the lock seen to catch, the prop in. Nobody under it before.',
          moves: ['weight'],
        }),
      },
      released: doing('Lower the cab and lock it', onGround(nose), [5, 10, 20], {
        hands: 2,
        cautions: ['heavy'],
        tip: 'Nobody beneath. Look that no hose lies on the lock.',
        moves: ['weight'],
      }),
    },
    railDown('Let the low side down at the filter on the frame', wheelLeft),
    fuelSafe(
      'fuel-closed',
      'Fuel closed off',
      'Close the fuel at the filter on the frame',
      wheelLeft,
      [2, 4, 8],
      {
        tools: ['clamp', 'rags', 'drain tray', 'extinguisher'],
        tip: 'No cock there: the hose is clamped before the filter. Bleed screw open, rag and tray under it, until it has run empty.',
      },
      opened('Open the fuel again at the filter on the frame', wheelLeft),
    ),
    fuelSafe(
      'tank-closed',
      'Chassis tanks closed',
      'Close the cocks of the chassis tanks',
      wheelLeft,
      [2, 5, 10],
      {
        tools: ['rags', 'extinguisher'],
        tip: 'Feed and return, both tanks. No cock: the hoses are clamped at the tank, cap opened once to let its pressure out.',
      },
      opened('Open the cocks of the chassis tanks again', wheelLeft),
    ),
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
          tip: 'Both engine eyes and the gearbox sling. Look at the plate of crane, beam and slings.',
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
      grade: 'the maker’s own; kinds are never mixed',
      capacityL: 4.2,
      drainsL: 3,
      level: { by: 'marks' },
      drain: {
        ...doing('Draw the steering oil out of its bottle', top, [3, 6, 12], { tools: ['syringe', 'drain tray'] }),
        needs: ['cab-tilted'],
        access: [],
      },
      fill: doing('Fill the steering oil to its mark', onGround(top), [3, 5, 10], {
        tools: ['funnel'],
        tip: 'Its rest goes in when it is bled, from lock to lock, with the cab down.',
      }),
    },
  ],
  chores: [
    ...(pressureFirst.chores ?? []),
    chore(
      'look-from-above',
      'back',
      doing('Coolant under test pressure: look over every joint from above', top, [5, 8, 20], {
        tools: ['pressure tester', 'lamp'],
        tip: 'Cab still over, panels still off: once it is down nobody sees these. The fuel joints as well, cocks open.',
      }),
      {
        why: 'What leaks under the panels is not seen from beneath.',
        where: { comesOut: 'engine', condition: 'cab-tilted', drained: 'coolant' },
        after: [{ circuit: 'coolant' }, { condition: 'tank-closed' }],
        before: [{ part: 'engine-tunnel' }, { condition: 'cab-tilted' }],
      },
    ),
    chore(
      'bleed-steering',
      'back',
      doing('Bleed the steering from lock to lock, engine off', onGround(nose), [6, 10, 20], {
        hands: 2,
        tools: ['turning plates', 'funnel'],
        tip: 'Front wheels on turning plates. One at the wheel, slowly, one at the bottle: never below its mark.',
        moves: ['steering'],
      }),
      {
        why: 'Air in it howls, and the wheel kicks.',
        where: { drained: 'steering-oil' },
        after: [{ circuit: 'steering-oil' }],
        before: [{ holdPoint: 'pre-start' }],
      },
    ),
  ],
};
