import { connectionsOf, part, top } from '../author.js';
import { CYLINDER_NUMBERS, forCylinders, withCylinder } from '../cylinders.js';
import type { Piece } from '../template.js';
import { loomPlug, underCover } from './battery-and-loom.js';

const INJECTED = ['petrol-port', 'petrol-direct'] as const;
const WITH_COILS = INJECTED;
const WITH_DISTRIBUTOR = ['single-point', 'carburettor'] as const;

const fuel = connectionsOf('fuel', { cautions: ['fuel'] });
const pressed = {
  needs: ['fuel-depressurised', 'battery-isolated'],
  tools: ['quick-connector tool', 'rags', 'plugs and caps'],
};
const electrics = connectionsOf('electrics', { needs: ['battery-isolated'] });
const air = connectionsOf('air');

/** Petrol in its four ways, from the lines on the body to the sparks. */
export const petrol: Piece = {
  parts: [
    part('fuel-lines', 'fuel lines on the body', 'bay-right', 'fuel', {
      massKg: 1,
      when: { fuel: ['petrol-port', 'petrol-direct', 'single-point', 'carburettor'] },
    }),
    part('fuel-rail', 'fuel rail', 'bay-left', 'fuel', { massKg: 2, ridesWith: 'engine', when: { fuel: INJECTED } }),
    part('petrol-pump', 'high-pressure petrol pump', 'bay-top', 'fuel', {
      massKg: 2,
      ridesWith: 'engine',
      when: { fuel: ['petrol-direct'] },
    }),
    part('single-injector', 'injector unit', 'bay-top', 'fuel', {
      massKg: 3,
      ridesWith: 'engine',
      when: { fuel: ['single-point'] },
    }),
    part('carburettor', 'carburettor', 'bay-top', 'fuel', {
      massKg: 3,
      ridesWith: 'engine',
      when: { fuel: ['carburettor'] },
    }),
    part('lift-pump', 'fuel lift pump', 'bay-right', 'fuel', {
      massKg: 1,
      ridesWith: 'engine',
      when: { fuel: ['carburettor'] },
    }),
    part('distributor', 'distributor', 'bay-rear', 'electrics', {
      massKg: 2,
      ridesWith: 'engine',
      when: { fuel: WITH_DISTRIBUTOR },
    }),
    part('ignition-coil', 'ignition coil', 'bay-right', 'electrics', { massKg: 1, when: { fuel: WITH_DISTRIBUTOR } }),
    part('canister', 'vapour canister', 'bay-right', 'fuel', { massKg: 2, when: { canister: ['yes'] } }),
  ],
  connections: [
    fuel.pipe('petrol-feed', 'the fuel feed at the rail', ['fuel-rail', 'fuel-lines'], top, [2, 3, 8], {
      ...pressed,
      when: { fuel: ['petrol-port'] },
      tip: 'Rag round it: some always comes. Cap both ends.',
      back: 'Click, then pull on it.',
    }),
    fuel.hose(
      'petrol-return',
      'the fuel return at the pressure regulator',
      ['fuel-rail', 'fuel-lines'],
      top,
      [2, 3, 8],
      {
        ...pressed,
        when: { fuel: ['petrol-port'] },
        tools: [...pressed.tools, '7 mm socket'],
        set: { count: 1, what: 'worm clamp 12–16, 7 mm' },
      },
    ),
    fuel.pipe(
      'petrol-feed-direct',
      'the fuel feed at the high-pressure pump',
      ['petrol-pump', 'fuel-lines'],
      top,
      [2, 4, 9],
      {
        ...pressed,
        tip: 'Only the low side is opened; the steel pipe to the rail stays on.',
        back: 'Click, then pull on it.',
      },
    ),
    fuel.hose('single-feed', 'the fuel feed at the injector unit', ['single-injector', 'fuel-lines'], top, [2, 4, 8], {
      ...pressed,
      tools: [...pressed.tools, '7 mm socket'],
      set: { count: 1, what: 'worm clamp 12–16, 7 mm' },
    }),
    fuel.hose(
      'single-return',
      'the fuel return at the injector unit',
      ['single-injector', 'fuel-lines'],
      top,
      [2, 3, 8],
      {
        ...pressed,
        tools: [...pressed.tools, '7 mm socket'],
        set: { count: 1, what: 'worm clamp 12–16, 7 mm' },
        tip: 'Tag feed and return apart: swapped, it starts and dies.',
      },
    ),
    fuel.hose('lift-pump-feed', 'the tank hose at the lift pump', ['lift-pump', 'fuel-lines'], top, [2, 3, 8], {
      needs: ['fuel-closed', 'battery-isolated'],
      tools: ['clamp', 'rags', 'plugs and caps', '7 mm socket'],
      set: { count: 1, what: 'worm clamp 10–16, 7 mm' },
      tip: 'The tank may stand higher than the pump: clamp or plug it at once.',
    }),
    fuel.cable('choke-cable', 'the choke cable at the carburettor', ['carburettor', 'body'], top, [2, 3, 8], {
      cautions: [],
      tools: ['8 mm spanner', 'small screwdriver'],
      set: { count: 1, what: 'pinch screw M5' },
      back: 'Choke knob in, then a hair of slack.',
      adjust: { what: 'free-play', from: 0.5, to: 2, at: 'in the cable, knob in' },
    }),
    loomPlug('idle-valve', 'the idle cut-off valve', 'carburettor', top),
    loomPlug('single-injector-plug', 'the injector unit plug', 'single-injector', top),
    ...CYLINDER_NUMBERS.map((number) =>
      loomPlug(`petrol-injector-${number}`, `injector ${number}`, 'fuel-rail', top, {
        when: withCylinder(number),
        access: [underCover],
      }),
    ),
    loomPlug('petrol-pump-valve', 'the pump metering valve', 'petrol-pump', top, { access: [underCover] }),
    loomPlug('petrol-rail-sensor', 'the fuel rail pressure sensor', 'fuel-rail', top, {
      when: { fuel: ['petrol-direct'] },
      tip: 'Under the intake manifold, by feel.',
    }),
    ...CYLINDER_NUMBERS.map((number) =>
      loomPlug(`coil-${number}`, `ignition coil ${number}`, 'engine', top, {
        when: { fuel: WITH_COILS, ...withCylinder(number) },
        access: [underCover],
      }),
    ),
    loomPlug('distributor-plug', 'the distributor plug', 'distributor', top),
    ...forCylinders(({ firingOrder }) =>
      electrics.cable(
        'coil-lead',
        'the high-tension lead from the coil',
        ['distributor', 'ignition-coil'],
        top,
        [1, 1, 3],
        {
          tip: 'Pull at the boot. Mark number one on the cap.',
          back: `Finger along every plug lead: by the firing order, ${firingOrder} as a rule; what the maker says goes.`,
        },
      ),
    ),
    electrics.bolted('coil-bracket', 'the ignition coil bracket', ['ignition-coil', 'body'], top, [1, 2, 5], {
      tools: ['10 mm ratchet'],
      set: { count: 2, what: 'M6×1.0 × 16, 10 mm' },
    }),
    fuel.clip('fuel-line-clips', 'the fuel line clips on the body', ['fuel-lines', 'body'], top, [3, 6, 12], {
      cautions: [],
      set: { count: 3, what: 'push clip 7 mm hole', singleUse: true },
    }),
    fuel.hose('canister-hose', 'the vapour hose to the canister', ['intake-manifold', 'canister'], top, [1, 1, 4], {
      when: { fuel: ['petrol-port', 'petrol-direct', 'single-point'] },
      tip: 'Thin and easily forgotten. It breaks when it is old: both hands.',
      back: 'Click. Off, it idles high and smells of fuel.',
    }),
    fuel.hose('canister-hose-plain', 'the vapour hose to the canister', ['carburettor', 'canister'], top, [1, 1, 4], {
      when: { canister: ['yes'] },
    }),
    loomPlug('canister-valve', 'the canister valve', 'canister', top, {
      when: { fuel: ['petrol-port', 'petrol-direct', 'single-point'] },
    }),
    fuel.clip('canister-clip', 'the canister clip', ['canister', 'body'], top, [1, 1, 3]),
    fuel.bolted('rail-bolts', 'the fuel rail', ['fuel-rail', 'engine'], top, [5, 10, 20], {
      tools: ['10 mm ratchet'],
      set: { count: 2, what: 'M6×1.0 × 30, 10 mm flange' },
      nm: 10,
    }),
    fuel.bolted('petrol-pump-bolts', 'the high-pressure petrol pump', ['petrol-pump', 'engine'], top, [5, 10, 20], {
      tools: ['T30 driver'],
      set: { count: 2, what: 'M6×1.0 × 25, T30' },
      nm: 10,
    }),
    air.bolted('single-injector-bolts', 'the injector unit', ['single-injector', 'engine'], top, [5, 10, 20], {
      tools: ['T30 driver'],
      set: { count: 4, what: 'M6×1.0 × 60, T30' },
      nm: 9,
    }),
    air.bolted('carburettor-nuts', 'the carburettor', ['carburettor', 'engine'], top, [5, 10, 20], {
      tools: ['12 mm spanner'],
      set: { count: 4, what: 'M8 stud nut, 12 mm' },
      nm: 15,
    }),
    fuel.bolted('lift-pump-bolts', 'the fuel lift pump', ['lift-pump', 'engine'], top, [5, 8, 15], {
      tools: ['13 mm ratchet'],
      set: { count: 2, what: 'M8×1.25 × 30, 13 mm' },
      nm: 20,
    }),
    electrics.clamp('distributor-clamp', 'the distributor clamp', ['distributor', 'engine'], top, [3, 5, 10], {
      tools: ['13 mm spanner', 'paint marker'],
      set: { count: 1, what: 'M8×1.25 × 25, 13 mm' },
      tip: 'Paint across foot and block, or the timing is lost.',
      nm: 18,
    }),
  ],
};
