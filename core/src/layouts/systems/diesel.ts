import { connectionsOf, part, top } from '../author.js';
import { CYLINDER_NUMBERS, forCylinders, withCylinder } from '../cylinders.js';
import type { Piece } from '../template.js';
import { loomPlug, underCover } from './battery-and-loom.js';

const DIESEL = ['diesel-rail', 'diesel-mechanical'] as const;
const fuel = connectionsOf('fuel', { cautions: ['fuel'] });
const electrics = connectionsOf('electrics', { needs: ['battery-isolated'] });
const lines = { tools: ['quick-connector tool', 'rags', 'plugs and caps'], back: 'Click, then pull on it.' };

/** The one hands hardly get at. */
const UNDER_THE_COWL = 4;

/** Diesel: common rail with its plugs, or a mechanical pump with its cable. */
export const diesel: Piece = {
  parts: [
    part('fuel-filter', 'fuel filter', 'bay-right', 'fuel', { massKg: 2, when: { fuel: DIESEL } }),
    part('high-pressure-pump', 'high-pressure fuel pump', 'bay-left', 'fuel', {
      massKg: 6,
      ridesWith: 'engine',
      when: { fuel: ['diesel-rail'] },
    }),
    part('injection-pump', 'injection pump', 'bay-left', 'fuel', {
      massKg: 12,
      ridesWith: 'engine',
      when: { fuel: ['diesel-mechanical'] },
    }),
  ],
  connections: [
    loomPlug('rail-sensor', 'the fuel rail pressure sensor', 'engine', top, {
      when: { fuel: ['diesel-rail'] },
      access: [underCover],
    }),
    loomPlug('pump-valve', 'the fuel pump metering valve', 'high-pressure-pump', top),
    ...CYLINDER_NUMBERS.map((number) => ({
      ...loomPlug(`injector-${number}`, `injector ${number}`, 'engine', top, {
        when: { fuel: ['diesel-rail'], ...withCylinder(number) },
        access: [underCover],
        ...(number === UNDER_THE_COWL ? { tip: 'Under the cowl edge; a bent pick helps the catch.' } : {}),
      }),
      ...(number === UNDER_THE_COWL ? { minutes: { low: 1, likely: 2, high: 6 } } : {}),
    })),
    electrics.cable('glow-bar', 'the glow plug feed', ['engine', 'loom'], top, [2, 3, 6], {
      when: { fuel: DIESEL },
      tools: ['8 mm socket'],
      set: { count: 1, what: 'M5 nut, 8 mm' },
      access: [underCover],
      nm: 4,
    }),
    fuel.pipe(
      'fuel-feed',
      'the fuel feed at the high-pressure pump',
      ['high-pressure-pump', 'fuel-filter'],
      top,
      [2, 3, 8],
      {
        ...lines,
        needs: ['fuel-depressurised', 'battery-isolated'],
        tip: 'Cap both ends at once: dirt here costs injectors.',
      },
    ),
    fuel.hose('fuel-return', 'the fuel return at the rail', ['engine', 'fuel-filter'], top, [2, 3, 8], {
      ...lines,
      when: { fuel: ['diesel-rail'] },
      needs: ['fuel-depressurised', 'battery-isolated'],
      access: [underCover],
    }),
    fuel.pipe(
      'injection-feed',
      'the fuel feed at the injection pump',
      ['injection-pump', 'fuel-filter'],
      top,
      [3, 5, 10],
      {
        needs: ['fuel-closed', 'battery-isolated'],
        tools: ['17 mm spanner', 'rags', 'plugs and caps'],
        set: {
          count: 1,
          what: 'M12×1.5 banjo bolt, 17 mm',
          note: 'two copper washers, new ones on the way back',
          singleUse: false,
        },
        tip: 'Wash round it first. Cap both ends at once.',
        nm: 28,
        back: 'New copper washers. Bled at the filter before the first crank.',
      },
    ),
    fuel.hose(
      'injection-return',
      'the fuel return at the injection pump',
      ['injection-pump', 'fuel-filter'],
      top,
      [2, 3, 8],
      {
        needs: ['fuel-closed', 'battery-isolated'],
        tools: ['17 mm spanner', 'rags', 'plugs and caps'],
        set: {
          count: 1,
          what: 'M12×1.5 banjo bolt, 17 mm',
          note: 'the one with the small hole: not to be swapped with the feed',
        },
        nm: 28,
        back: 'This banjo bolt has the small hole.',
      },
    ),
    loomPlug('stop-solenoid', 'the stop solenoid', 'injection-pump', top),
    fuel.clamp('fuel-filter-clamp', 'the fuel filter clamp', ['fuel-filter', 'body'], top, [1, 2, 4], {
      cautions: [],
      tools: ['10 mm ratchet'],
      set: { count: 1, what: 'M6×1.0 × 25, 10 mm' },
    }),
    fuel.pipe(
      'rail-pipe',
      'the steel pipe from the high-pressure pump to the rail',
      ['high-pressure-pump', 'engine'],
      top,
      [3, 6, 15],
      {
        needs: ['fuel-depressurised', 'battery-isolated'],
        tools: ['17 mm flare spanner', 'rags', 'plugs and caps'],
        set: { count: 2, what: 'M14×1.5 union, 17 mm', note: 'a new pipe on the way back' },
        tip: 'Only once the rail has had its wait. Never bent, never used twice.',
        nm: 28,
        back: 'New pipe, both unions by hand first.',
      },
    ),
    ...forCylinders(({ count, firingOrder }) =>
      fuel.pipe(
        'injection-pipes',
        'the steel pipes from the injection pump to the injectors',
        ['injection-pump', 'engine'],
        top,
        [2 * count, 4 * count - 1, 7 * count + 2],
        {
          needs: ['fuel-closed', 'battery-isolated'],
          tools: ['17 mm flare spanner', 'rags', 'plugs and caps'],
          set: {
            count: 2 * count,
            what: 'M14×1.5 union, 17 mm',
            note: 'tagged by cylinder; the clamps between them stay on',
          },
          tip: 'As one bundle, in its clamps. Caps on every end at once.',
          nm: 25,
          back: `By the firing order, ${firingOrder} as a rule, what the maker says goes; every union by hand first. Bled before they are drawn up.`,
        },
      ),
    ),
    fuel.bolted('pump-bolts', 'the high-pressure pump', ['high-pressure-pump', 'engine'], top, [5, 10, 25], {
      tools: ['13 mm ratchet'],
      set: { count: 3, what: 'M8×1.25 × 35, 13 mm' },
      nm: 25,
    }),
    fuel.bolted('injection-pump-nuts', 'the injection pump', ['injection-pump', 'engine'], top, [15, 30, 60], {
      tools: ['13 mm ratchet', 'paint marker'],
      set: { count: 3, what: 'M8 stud nut, 13 mm' },
      tip: 'Paint across flange and case: the timing is there.',
      nm: 22,
    }),
  ],
};
