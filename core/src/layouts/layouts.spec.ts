import fc from 'fast-check';
import { partsById, waysOut, type ConnectionMap } from '../connection-map/index.js';
import { pairwise } from '../testing/pairwise.js';
import { workOf } from '../work/index.js';
import {
  ChoiceError,
  clashes,
  completed,
  compose,
  lintMap,
  OPTION_IDS,
  OPTIONS,
  TEMPLATES,
  templateOf,
  unknownNames,
  usualMap,
  type Choices,
  type Template,
} from './index.js';

const named = TEMPLATES.map((template) => [template.layout, template] as const);
const has = (map: ConnectionMap, connection: string) => map.connections.some(({ id }) => id === connection);

/** Any choices this layout offers, whether they can stand together or not. */
const anyChoices = (template: Template): fc.Arbitrary<Choices> =>
  fc.record(
    Object.fromEntries(template.options.map(({ option, choices }) => [option, fc.constantFrom(...choices)])),
  ) as fc.Arbitrary<Choices>;

/** Choices that can stand together. */
const standing = (template: Template) => anyChoices(template).filter((choices) => clashes(choices).length === 0);

describe.each(named)('the layout %s', (_layout, template) => {
  it('speaks only of what it has', () => expect(unknownNames(template, TEMPLATES)).toEqual([]));

  it('has nothing wrong with it as it usually is, by every powerpack and route', () =>
    expect(lintMap(compose(template))).toEqual([]));

  it('has nothing wrong with it with any two choices that can stand together, and is not too small or too large', () => {
    const table = pairwise(template);
    for (const { option, choices } of template.options)
      for (const choice of choices) expect(table.some((row) => row[option] === choice)).toBe(true);
    const sizes = table.map((choices) => {
      const map = compose(template, choices);
      expect({ choices, problems: lintMap(map) }).toEqual({ choices, problems: [] });
      return map.connections.length;
    });
    expect(Math.max(...sizes)).toBeGreaterThanOrEqual(45);
    expect(Math.max(...sizes)).toBeLessThanOrEqual(140);
  });

  it('has nothing wrong with it in whatever else can exist', () => {
    fc.assert(
      fc.property(standing(template), fc.nat(), (choices, pick) => {
        const map = compose(template, choices);
        const ways = waysOut(map);
        const way = ways[pick % ways.length];
        expect(lintMap(map, way ? [way] : [])).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });

  it('takes for granted, where nobody knows, something that it offers', () => {
    for (const { choices, unsure } of template.options) expect(choices).toContain(unsure);
  });

  it('can be written to a file and read back without loss', () => {
    const map = compose(template);
    expect(JSON.parse(JSON.stringify(map))).toEqual(map);
  });
});

describe('composing', () => {
  const cradle = templateOf('transverse-cradle');

  it('has every option asked by some layout, and every choice offered by some', () => {
    for (const option of OPTION_IDS) {
      const offered = new Set(
        TEMPLATES.flatMap(({ options, always }) => [
          ...options.filter((one) => one.option === option).flatMap(({ choices }) => choices),
          ...(always[option] === undefined ? [] : [always[option]]),
        ]),
      );
      expect([...offered].sort()).toEqual(Object.keys(OPTIONS[option].choices).sort());
    }
  });

  it('keeps the refrigerant closed by swinging the compressor aside, or has it recovered before a hose is opened', () => {
    const aside = compose(cradle, { refrigerant: 'swung-aside' });
    expect(partsById(aside).get('compressor')?.ridesWith).toBeUndefined();
    const [way] = waysOut(aside);
    const steps = workOf({ map: aside, powerpack: way?.powerpack.id ?? '', route: way?.route.id ?? '' }).operations;
    expect(steps.has('open:compressor-bolts')).toBe(true);
    expect(steps.has('make:refrigerant-recovered')).toBe(false);

    const opened = compose(cradle, { refrigerant: 'opened' });
    expect(partsById(opened).get('compressor')?.ridesWith).toBe('engine');
    const work = workOf({ map: opened, powerpack: 'cradle', route: 'under' });
    expect(work.operations.has('make:refrigerant-recovered')).toBe(true);
    expect(work.operations.get('make:refrigerant-recovered')?.cautions).toContain('refrigerant');

    expect(compose(cradle, { refrigerant: 'none' }).parts.map(({ id }) => id)).not.toContain('condenser');
  });

  it('loosens a hub nut with the wheel on the ground, before the wheel comes off', () => {
    const map = compose(cradle, { driveshafts: 'hub-nuts' });
    const { precedence, operations } = workOf({ map, powerpack: 'engine-with-gearbox', route: 'top' });
    expect(operations.get('open:hub-left-nut')?.height).toBe('ground');
    expect(
      precedence.some(({ before, after }) => before === 'open:hub-left-nut' && after === 'open:wheel-left-bolts'),
    ).toBe(true);
    expect(has(compose(cradle, { driveshafts: 'inner-flanges' }), 'hub-left-nut')).toBe(false);
  });

  it('reaches converter bolts through the window, two people, one at the crank', () => {
    const map = usualMap('longitudinal-automatic');
    const { precedence, operations } = workOf({ map, powerpack: 'engine', route: 'top-engine' });
    expect(operations.get('open:converter-bolts')).toMatchObject({ hands: 2 });
    expect(operations.get('open:converter-bolts')?.tip).toContain('turns the crank by hand');
    expect(
      precedence.some(({ before, after }) => before === 'remove:window-cover' && after === 'open:converter-bolts'),
    ).toBe(true);
  });

  it('has as many coils, pipes, plugs and covers as it has cylinders and heads, and its weight and oil', () => {
    const lengthwise = templateOf('longitudinal-manual');
    const [four, eight] = (['4', 'v8'] as const).map((cylinders) =>
      compose(lengthwise, { cylinders, fuel: 'petrol-port' }),
    ) as [ConnectionMap, ConnectionMap];
    const coils = (map: ConnectionMap) => map.connections.filter(({ id }) => id.startsWith('coil-')).length;
    const plugs = (map: ConnectionMap) => map.renewals?.find(({ id }) => id === 'spark-plugs')?.parts[0]?.count;
    expect([coils(four), plugs(four), four.cylinders?.count]).toEqual([4, 4, 4]);
    expect([coils(eight), plugs(eight), eight.cylinders?.count]).toEqual([8, 8, 8]);
    const coilsUnder = (id: string) =>
      eight.connections.find((one) => one.id === id)?.access.flatMap((need) => ('open' in need ? need.open : []));
    expect(coilsUnder('head-cover-bolts')).toEqual(['coil-1', 'coil-2', 'coil-3', 'coil-4']);
    expect(coilsUnder('head-cover-2-bolts')).toEqual(['coil-5', 'coil-6', 'coil-7', 'coil-8']);
    expect([has(four, 'downpipe-second-bank'), has(eight, 'downpipe-second-bank')]).toEqual([false, true]);
    expect(has(compose(lengthwise, { cylinders: 'v8', boost: 'turbo' }), 'crossover-pipe')).toBe(true);
    const engineKg = (map: ConnectionMap) => partsById(map).get('engine')?.massKg ?? 0;
    expect(engineKg(eight)).toBeGreaterThan(engineKg(four) * 1.3);
    const oilL = (map: ConnectionMap) => map.circuits.find(({ id }) => id === 'engine-oil')?.capacityL ?? 0;
    expect(oilL(eight)).toBeGreaterThan(oilL(four) + 1);
    const pipes = compose(lengthwise, { cylinders: '5', fuel: 'diesel-mechanical' }).connections.find(
      ({ id }) => id === 'injection-pipes',
    );
    expect(pipes?.fasteners[0]?.count).toBe(10);
    expect(pipes?.refit.note).toContain('1-2-4-5-3');
  });

  it('leaves the converter in a transverse automatic whose engine is drawn off it, and knows no clutch', () => {
    const map = usualMap('transverse-automatic');
    const { operations, precedence } = workOf({ map, powerpack: 'engine', route: 'top-engine' });
    expect(
      precedence.some(({ before, after }) => before === 'open:converter-bolts' && after === 'open:bell-housing'),
    ).toBe(true);
    expect(operations.get('lower:onto-shaft')?.title).toContain('drive plate');
    expect([...operations.values()].map(({ title }) => title).join()).not.toMatch(/clutch/i);
    expect(has(map, 'selector-cable-end')).toBe(true);
  });

  it('knows lock tabs, split pins, shields against theft, and washers of which one side only sits', () => {
    const said = TEMPLATES.flatMap((template) =>
      pairwise(template).flatMap((choices) =>
        compose(template, choices).connections.flatMap(({ fasteners, refit }) =>
          fasteners.map(({ what, note = '', washers = [] }) => `${what} ${note} ${washers.join()} ${refit.note ?? ''}`),
        ),
      ),
    ).join('\n');
    for (const words of [/lock tabs bent up.*New lock tabs/, /split pin/, /shield against theft/, /wave,flat,clip/])
      expect(said).toMatch(words);
    expect(said).toMatch(/its step to the rubber.*Thick washer/);
    expect(said).toMatch(/its chamfer to the head.*Thick washer/);
  });

  it('opens the bell housing for a gearbox alone, and nothing that holds the engine', () => {
    const { operations } = workOf({ map: usualMap('longitudinal-manual'), powerpack: 'gearbox', route: 'under' });
    expect(operations.has('open:bell-housing')).toBe(true);
    expect(operations.has('make:engine-held')).toBe(true);
    expect(operations.has('open:mount-left')).toBe(false);
    expect(operations.has('make:powerpack-supported')).toBe(false);
  });

  it('parts the powerpack under the machine when it leaves split', () => {
    const { operations } = workOf({
      map: usualMap('longitudinal-manual'),
      powerpack: 'engine-with-gearbox',
      route: 'split',
    });
    expect(operations.has('open:bell-housing')).toBe(true);
    expect(operations.has('lift:gearbox-out')).toBe(true);
  });

  it('empties the air of a heavy one before anybody signs for it, and tilts the cab only then', () => {
    const { precedence } = workOf({ map: usualMap('heavy-tilt-cab'), powerpack: 'engine-with-gearbox', route: 'top' });
    const beforeSigning = precedence.filter(({ after }) => after === 'hold:made-safe').map(({ before }) => before);
    expect(beforeSigning).toEqual(
      expect.arrayContaining(['make:air-released', 'make:tank-closed', 'open:battery-negative']),
    );
    expect(beforeSigning).not.toContain('make:cab-tilted');
  });

  it('has the high voltage switched off by qualified people before anything orange is opened', () => {
    const map = compose(templateOf('longitudinal-automatic'), { hybrid: 'yes' });
    const { operations, precedence } = workOf({ map, powerpack: 'engine-with-gearbox', route: 'top' });
    expect(operations.get('make:high-voltage-off')?.cautions).toContain('high-voltage');
    expect(
      precedence.some(({ before, after }) => before === 'make:high-voltage-off' && after === 'open:phase-cables'),
    ).toBe(true);
  });

  it('leaves out what would be in the way where it is not on the machine', () => {
    const bare = compose(cradle, { undertray: 'no' });
    const reached = bare.connections.flatMap(({ access }) => access);
    expect(reached.some((need) => 'removed' in need && need.removed === 'undertray')).toBe(false);
  });

  it('says why choices cannot stand together, and which a layout does not offer', () => {
    expect(() => compose(cradle, { fuel: 'carburettor', throttle: 'electronic' })).toThrow(
      'A carburettor is opened by a cable.',
    );
    expect(() => compose(cradle, { fuel: 'diesel-rail', canister: 'yes' })).toThrow(/too little vapour/);
    expect(() => compose(cradle, { brakes: 'air' })).toThrow(/not among the answers/);
  });

  it('says why some choices cannot stand together', () => {
    fc.assert(
      fc.property(
        anyChoices(cradle).filter((choices) => clashes(choices).length > 0),
        (choices) => expect(() => compose(cradle, choices)).toThrow(ChoiceError),
      ),
      { numRuns: 100, seed: 3 },
    );
  });

  it('fills in what nobody chose with what can stand beside what they did', () => {
    expect(completed(cradle, { fuel: 'carburettor' })).toMatchObject({ throttle: 'cable', hybrid: 'no' });
    expect(completed(cradle, { fuel: 'diesel-rail' })).toMatchObject({ canister: 'no', throttle: 'electronic' });
  });

  it('finds what is wrong with a map that somebody spoiled', () => {
    const map = usualMap('utility-belt');
    const spoil = (change: Partial<ConnectionMap>) =>
      lintMap({ ...map, ...change })
        .map(({ words }) => words)
        .join('\n');
    expect(
      spoil({ parts: [...map.parts, { id: 'loose', name: 'loose thing', zone: 'cabin', system: 'body' }] }),
    ).toMatch(/Nothing holds the loose thing/);
    expect(
      spoil({ connections: map.connections.map((one) => (one.id === 'guard-screws' ? { ...one, tools: [] } : one)) }),
    ).toMatch(/no tool is named/);
    expect(
      spoil({
        connections: map.connections.map((one) => (one.id === 'guard-screws' ? { ...one, fasteners: [] } : one)),
      }),
    ).toMatch(/no fastener is named/);
    expect(spoil({ routes: map.routes.map((route) => ({ ...route, liftSteps: [] })) })).toMatch(
      /nothing of the way out/,
    );
    const heavy = map.parts.map((part) => (part.id === 'silencer' ? { ...part, massKg: 44 } : part));
    expect(spoil({ parts: heavy })).toMatch(/The silencer weighs 44 kg, and one person takes it out/);
    const [guard] = map.connections.filter(({ id }) => id === 'guard-screws');
    const with1 = (change: object) =>
      spoil({ connections: map.connections.map((one) => (one === guard ? { ...one, ...change } : one)) });
    expect(with1({ tools: ['13 mm ratchet'] })).toMatch(/No tool named for it fits “M6×1.0 × 16, 10 mm”/);
    expect(with1({ fasteners: [{ count: 1, what: 'M6×1.0 × 40, 10 mm, locking nut' }] })).toMatch(/turns with its nut/);
    const automatic = usualMap('longitudinal-automatic');
    const inside = automatic.connections.map((one) =>
      one.id === 'flexplate-bolts' ? { ...one, access: [{ open: 'flexplate-bolts', why: 'So' }] } : one,
    );
    expect(lintMap({ ...automatic, connections: inside })[0]?.words).toMatch(/can never be reached/);
    expect(
      spoil({
        connections: map.connections.map((one) =>
          one.id === 'guard-screws' ? { ...one, access: [{ open: 'drive-belt-off', why: 'So' }] } : one,
        ),
      }),
    ).toMatch(/wait for each other/);
  });
});
