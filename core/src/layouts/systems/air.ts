import { after, behind, below, connectionsOf, part, removal, top } from '../author.js';
import type { Piece } from '../template.js';
import { loomPlug, underCover } from './battery-and-loom.js';

const air = connectionsOf('air');
const METERED = ['petrol-port', 'petrol-direct', 'diesel-rail'] as const;
const WITH_BODY = ['petrol-port', 'petrol-direct'] as const;

/** From the air filter to the manifold: ducts, charge pipes, throttle, exhaust-gas return. */
export const airPath: Piece = {
  parts: [
    part('airbox', 'air filter box', 'bay-right', 'air', {
      massKg: 4,
      removal: removal('Lift the air filter box out', top, [1, 2, 4], {
        tip: 'Tape over the open mouth at once.',
      }),
    }),
    part('intake-manifold', 'intake manifold', 'bay-left', 'air', {
      massKg: 5,
      ridesWith: 'engine',
      removal: removal('Lift the intake manifold off', top, [2, 4, 10], {
        tip: 'Rags into the ports at once, and count them.',
      }),
    }),
    part('throttle-body', 'throttle body', 'bay-left', 'air', {
      massKg: 2,
      ridesWith: 'engine',
      when: { fuel: WITH_BODY },
    }),
    part('turbo', 'turbocharger', 'bay-right', 'air', {
      massKg: 8,
      ridesWith: 'engine',
      when: { boost: ['turbo'] },
      removal: removal('Lift the turbocharger off', top, [2, 4, 10], {
        tip: 'Tape over every opening; nothing falls into it.',
      }),
    }),
    part('charge-cooler', 'charge cooler', 'bay-front', 'air', {
      massKg: 5,
      ridesWith: 'radiator',
      when: { boost: ['turbo'] },
    }),
    part('boost-valve', 'boost control valve', 'bay-right', 'air', { massKg: 1, when: { boost: ['turbo'] } }),
    part('gas-valve', 'exhaust-gas valve', 'bay-top', 'air', {
      massKg: 3,
      ridesWith: 'engine',
      when: { gasReturn: ['yes'] },
    }),
    part('pedal-cable', 'accelerator cable', 'bay-rear', 'air', { massKg: 1, when: { throttle: ['cable'] } }),
  ],
  connections: [
    air.bolted('airbox-bolts', 'the air filter box', ['airbox', 'body'], top, [1, 2, 5], {
      tools: ['10 mm ratchet'],
      set: { count: 2, what: 'M6×1.0 × 20, 10 mm flange' },
    }),
    air.hose('intake-duct', 'the intake duct at the turbocharger', ['airbox', 'turbo'], top, [1, 2, 5], {
      tools: ['7 mm socket'],
      set: { count: 1, what: 'worm clamp 60–80, 7 mm' },
      tip: 'Tape over the mouth: a dropped washer there is a new turbocharger.',
      nm: 4,
      back: 'Look inside with a lamp before it goes on.',
    }),
    air.hose(
      'intake-duct-throttle',
      'the intake duct at the throttle body',
      ['airbox', 'throttle-body'],
      top,
      [1, 2, 5],
      {
        when: { boost: ['none'] },
        tools: ['7 mm socket'],
        set: { count: 1, what: 'worm clamp 60–80, 7 mm' },
        tip: 'Tape over the mouth.',
        back: 'Look inside with a lamp before it goes on.',
      },
    ),
    air.hose('intake-duct-manifold', 'the intake duct at the manifold', ['airbox', 'intake-manifold'], top, [1, 2, 5], {
      when: { boost: ['none'], fuel: ['diesel-rail', 'diesel-mechanical'] },
      tools: ['7 mm socket'],
      set: { count: 1, what: 'worm clamp 60–80, 7 mm' },
      tip: 'Tape over the mouth.',
    }),
    air.bolted(
      'filter-bowl-single',
      'the air bowl on the injector unit',
      ['airbox', 'single-injector'],
      top,
      [1, 2, 4],
      {
        tools: ['10 mm ratchet'],
        set: { count: 1, what: 'wing nut M6' },
        tip: 'Rag in the mouth at once.',
      },
    ),
    air.bolted(
      'filter-bowl-carburettor',
      'the air bowl on the carburettor',
      ['airbox', 'carburettor'],
      top,
      [1, 2, 4],
      {
        tools: ['10 mm ratchet'],
        set: { count: 1, what: 'wing nut M6' },
        tip: 'Rag in the mouth at once.',
      },
    ),
    air.hose('breather-hose', 'the breather hose', ['engine', 'airbox'], top, [1, 1, 4], { access: [underCover] }),
    air.hose('charge-hose-hot', 'the charge hose at the turbocharger', ['turbo', 'charge-cooler'], below, [2, 4, 10], {
      tools: ['11 mm socket', 'long extension'],
      set: { count: 1, what: 'spring-loaded clamp, 11 mm' },
      access: [behind('undertray', 'The undertray covers it.')],
      nm: 7,
    }),
    air.hose(
      'charge-hose-cold',
      'the charge hose at the intake manifold',
      ['charge-cooler', 'intake-manifold'],
      top,
      [1, 3, 6],
      {
        tools: ['11 mm socket'],
        set: { count: 1, what: 'spring-loaded clamp, 11 mm' },
        nm: 7,
      },
    ),
    air.bolted('charge-cooler-pins', 'the charge cooler', ['charge-cooler', 'radiator'], top, [5, 10, 25], {
      tools: ['10 mm ratchet'],
      set: { count: 4, what: 'M6×1.0 × 16, 10 mm flange' },
    }),
    air.hose('boost-hose', 'the small vacuum hose to the boost actuator', ['turbo', 'boost-valve'], top, [1, 1, 3], {
      access: [behind('airbox', 'The air filter box stands over it.')],
      tip: 'Mark it: swapped with the one beside it, the engine goes into limp mode.',
    }),
    air.bolted('boost-valve-bracket', 'the boost valve bracket', ['boost-valve', 'body'], top, [1, 2, 4], {
      tools: ['10 mm ratchet'],
      set: { count: 2, what: 'M6×1.0 × 12, 10 mm flange' },
    }),
    loomPlug('boost-sensor', 'the boost pressure sensor', 'intake-manifold', top, { when: { boost: ['turbo'] } }),
    loomPlug('manifold-sensor', 'the manifold pressure sensor', 'intake-manifold', top, {
      when: { boost: ['none'], fuel: ['petrol-port', 'petrol-direct', 'single-point'] },
    }),
    loomPlug('air-meter', 'the air mass meter', 'airbox', top, { when: { fuel: METERED } }),
    loomPlug('throttle-plug', 'the throttle motor', 'throttle-body', top, { when: { throttle: ['electronic'] } }),
    loomPlug('throttle-sensor', 'the throttle position sensor', 'throttle-body', top, {
      when: { throttle: ['cable'] },
    }),
    ...(
      [
        ['throttle-cable', 'throttle-body', 'throttle body'],
        ['single-throttle-cable', 'single-injector', 'injector unit'],
        ['carburettor-cable', 'carburettor', 'carburettor'],
        ['injection-pump-cable', 'injection-pump', 'injection pump'],
      ] as const
    ).map(([id, at, name]) =>
      air.linkage(id, `the accelerator cable at the ${name}`, [at, 'pedal-cable'], top, [1, 2, 6], {
        tools: ['10 mm spanner'],
        set: { count: 1, what: 'cable clip and adjuster nut' },
        tip: 'Mark the adjuster before it moves.',
        back: 'Full pedal gives full opening, and it springs back by itself.',
        adjust: { what: 'free-play', from: 1, to: 3, at: 'in the cable, foot off' },
      }),
    ),
    air.clip(
      'pedal-cable-clips',
      'the accelerator cable clips on the bulkhead',
      ['pedal-cable', 'body'],
      top,
      [1, 2, 4],
    ),
    loomPlug('gas-valve-plug', 'the exhaust-gas valve', 'gas-valve', top, {
      when: { fuel: ['petrol-port', 'petrol-direct', 'single-point', 'diesel-rail'] },
      access: [underCover],
    }),
    air.bolted('gas-pipe-bracket', 'the bracket of the hot gas pipe', ['gas-valve', 'gearbox'], top, [2, 4, 12], {
      tools: ['13 mm ratchet', 'penetrant'],
      cautions: ['eyes'],
      set: { count: 2, what: 'M8×1.25 × 20, 13 mm' },
      nm: 22,
      back: 'Loose until valve and pipe are in line, or the pipe cracks.',
    }),
    connectionsOf('cooling').hose(
      'gas-cooler-hose',
      'the coolant hose of the exhaust-gas cooler at the expansion bottle',
      ['gas-valve', 'expansion-bottle'],
      top,
      [1, 3, 6],
      {
        tools: ['hose clip pliers'],
        circuit: 'coolant',
        cautions: ['hot-coolant'],
        set: { count: 1, what: 'spring band clip' },
      },
    ),
    air.bolted('gas-valve-bolts', 'the exhaust-gas valve', ['gas-valve', 'engine'], top, [5, 10, 25], {
      tools: ['10 mm ratchet'],
      set: { count: 4, what: 'M6×1.0 × 20, 10 mm' },
      nm: 10,
    }),
    air.bolted('throttle-body-bolts', 'the throttle body', ['throttle-body', 'intake-manifold'], top, [4, 8, 15], {
      tools: ['10 mm ratchet'],
      set: { count: 4, what: 'M6×1.0 × 45, 10 mm flange' },
      nm: 9,
    }),
    air.pipe('turbo-oil-feed', 'the oil feed of the turbocharger', ['turbo', 'engine'], top, [3, 6, 15], {
      tools: ['15 mm spanner', 'plugs and caps', 'rags'],
      set: { count: 1, what: 'M12×1.5 banjo bolt, 15 mm', note: 'two copper washers, new ones on the way back' },
      tip: 'Cap both ends at once: a crumb in it ends the bearing.',
      nm: 20,
      back: 'Oil into the bearing first, turned by hand; new copper washers.',
    }),
    air.pipe('turbo-oil-return', 'the oil return of the turbocharger', ['turbo', 'engine'], below, [3, 6, 15], {
      tools: ['10 mm ratchet', 'drain tray', 'plugs and caps'],
      set: { count: 2, what: 'M6×1.0 × 20, 10 mm flange' },
      tip: 'Some runs out. Look whether it is free: coked, it smokes.',
      nm: 9,
      back: 'New gasket, falling all the way.',
    }),
    air.bolted('turbo-nuts', 'the turbocharger', ['turbo', 'engine'], top, [10, 20, 45], {
      tools: ['13 mm ratchet', 'penetrant'],
      set: { count: 4, what: 'M8 copper nut, 13 mm', singleUse: true },
      nm: 25,
    }),
    air.bolted('intake-bolts', 'the intake manifold', ['intake-manifold', 'engine'], top, [10, 20, 40], {
      tools: ['11 mm ratchet'],
      set: { count: 8, what: 'M7×1.0 × 30, 11 mm' },
      access: [after('throttle-body-bolts', 'The throttle body sits over two of the bolts.')],
      nm: 15,
    }),
  ],
};

/** Vacuum for a brake servo: from a pump on a diesel, from the manifold on a petrol engine. */
export const brakeVacuum: Piece = {
  parts: [
    part('brake-servo', 'brake servo', 'bay-left', 'air', { massKg: 5, when: { brakes: ['vacuum'] } }),
    part('vacuum-pump', 'vacuum pump', 'bay-rear', 'air', {
      massKg: 1,
      ridesWith: 'engine',
      when: { brakes: ['vacuum'], fuel: ['diesel-rail', 'diesel-mechanical', 'petrol-direct'] },
    }),
  ],
  connections: [
    air.hose('servo-hose', 'the brake servo vacuum hose', ['vacuum-pump', 'brake-servo'], top, [1, 1, 4], {
      tip: 'Quick connector: press both ears, then pull.',
      back: 'Listen for the click, then pull on it. No vacuum, no brakes.',
    }),
    air.hose(
      'servo-hose-manifold',
      'the brake servo vacuum hose at the manifold',
      ['intake-manifold', 'brake-servo'],
      top,
      [1, 1, 4],
      {
        when: { fuel: ['petrol-port', 'single-point', 'carburettor'] },
        tools: ['hose clip pliers'],
        set: { count: 1, what: 'spring band clip' },
        back: 'The arrow of the valve points to the engine. No vacuum, no brakes.',
      },
    ),
    air.bolted(
      'servo-studs',
      'the brake servo',
      ['brake-servo', 'body'],
      { station: 'cabin', height: 'either' },
      [15, 25, 45],
      {
        tools: ['13 mm ratchet'],
        set: { count: 4, what: 'M8 nut, 13 mm' },
        nm: 22,
      },
    ),
    air.bolted('vacuum-bolts', 'the vacuum pump', ['vacuum-pump', 'engine'], top, [5, 10, 25], {
      tools: ['10 mm ratchet'],
      set: { count: 3, what: 'M6×1.0 × 25, 10 mm' },
      nm: 10,
    }),
  ],
};
