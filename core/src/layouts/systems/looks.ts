import { below, doing, inside, nose, onGround, top, waiting } from '../author.js';
import type { CheckScope, CheckStep, StepSpec } from '../../connection-map/index.js';
import type { Choices } from '../options.js';
import type { OfferedCheck } from '../template.js';

type Fuel = NonNullable<Choices['fuel']>;
type With = NonNullable<OfferedCheck['with']>;

const check = (
  id: string,
  when: CheckStep['when'],
  spec: StepSpec & Pick<CheckStep, 'wait'>,
  where?: CheckScope,
  wanted?: With,
): OfferedCheck => ({
  id,
  when,
  ...(where ? { where } : {}),
  ...(wanted ? { with: wanted } : {}),
  ...spec,
});

/** How each kind of engine is kept from firing while it is cranked for oil. */
const KEPT_FROM_FIRING: readonly (readonly [readonly Fuel[], string])[] = [
  [['petrol-port', 'petrol-direct', 'single-point'], 'Pump relay or fuse out, as the maker says.'],
  [['carburettor'], 'Coil lead off and earthed, fuel tap shut; both as they were once the pressure stands.'],
  [['diesel-rail'], 'Pump metering valve or injectors unplugged, as the maker says.'],
  [['diesel-mechanical'], 'Stop lever held, or the stop solenoid unplugged.'],
];

const primeOil = [
  ...KEPT_FROM_FIRING.map(([fuel, how]) => crankedForOil(fuel, how)),
  // There is no starter to crank it in bursts: its own drive turns it.
  check(
    'prime-oil',
    'before-start',
    doing(
      'Have the drive turn the engine by command, fuel off, until oil pressure shows',
      onGround(inside),
      [3, 8, 20],
      {
        tools: ['diagnostic tester'],
        cautions: ['exhaust-gas', 'high-voltage'],
        tip: 'By the tester, as the maker says, injectors unplugged or shut off by it; nobody at belt or crank. No pressure in the time the maker gives: stop.',
        moves: ['crank'],
      },
    ),
    { comesOut: 'engine' },
    { hybrid: ['yes'] },
  ),
];

function crankedForOil(fuel: readonly Fuel[], how: string): OfferedCheck {
  return check(
    'prime-oil',
    'before-start',
    doing('Crank with the fuel off until oil pressure shows', onGround(inside), [3, 6, 15], {
      cautions: ['exhaust-gas'],
      tip: `${how} Bursts of ten seconds at most, half a minute between. No pressure: stop.`,
      moves: ['crank'],
    }),
    { comesOut: 'engine' },
    { fuel, hybrid: ['no'] },
  );
}

const primeFuel = (
  fuel: readonly Fuel[],
  title: string,
  tip: string,
  {
    minutes = [3, 5, 12] as const,
    ...more
  }: Partial<Pick<StepSpec, 'tools' | 'hands' | 'moves'>> & {
    readonly minutes?: readonly [number, number, number];
  } = {},
) =>
  check(
    'prime-fuel',
    'before-start',
    doing(title, onGround(top), minutes, { cautions: ['fuel'], tip, ...more }),
    { opened: 'fuel' },
    { fuel },
  );

/** What sets where the wheels point; parted, they are measured before the machine leaves. */
const STEERS = [
  'cradle-bolts',
  ...['left', 'right'].flatMap((side) => [
    `track-rod-${side}`,
    `toe-link-${side}`,
    `hub-${side}-ball-joint`,
    `hub-${side}-strut`,
  ]),
];

/** What an automatic wants besides: its level is read running, warm, after every gear has been through. */
const automaticLevel = check(
  'gearbox-level',
  'after-start',
  doing('Set the automatic’s level: running, in park, at the temperature the maker gives', onGround(top), [5, 10, 20], {
    tools: ['funnel', 'thermometer'],
    cautions: ['exhaust-gas'],
    tip: 'Foot on the brake, through every gear first. Too much froths as badly as too little.',
  }),
  { drained: 'gearbox-oil' },
);

/** First start and handover, for an engine cooled by `cooled`; with an `automatic` gearbox, for that too. */
export const looks = (cooled: 'coolant' | 'air', gearbox: 'automatic' | 'other' = 'other'): readonly OfferedCheck[] => [
  ...primeOil,
  primeFuel(
    ['petrol-port', 'petrol-direct', 'single-point'],
    'Pump fuse or relay back in, prime the fuel by the key, look for leaks',
    'Key on and off five times, no cranking; look at every joint each time.',
  ),
  primeFuel(
    ['carburettor'],
    'Fill the float bowl, look for leaks',
    'Tap open, by the hand lever of the pump or in short bursts until the bowl is full.',
  ),
  primeFuel(
    ['diesel-rail'],
    'Prime the fuel at the filter, look for leaks',
    'Hand pump until it goes hard, or by the key; nothing of the high-pressure side is opened.',
  ),
  primeFuel(
    ['diesel-mechanical'],
    'Bleed filter, pump and injector pipes',
    'Filter first, until no bubble comes, then the pump; then the pipes half a turn loose while one cranks, closed one by one. Spray goes through skin: rag, distance, eyes.',
    { minutes: [6, 12, 30], tools: ['17 mm spanner', 'rags', 'fuel can'], hands: 2, moves: ['crank'] },
  ),
  check(
    'first-fire',
    'before-start',
    doing('First firing: seconds only, then stop and look', onGround(inside), [2, 4, 10], {
      hands: 2,
      tools: ['extinguisher'],
      cautions: ['exhaust-gas', 'fuel'],
      tip: 'One at the key, one at the bay with the extinguisher, away from belt and fan. Oil pressure within seconds, no fuel anywhere, no noise that was not there. Stopped, then looked all round, then run.',
      moves: ['crank'],
    }),
    { comesOut: 'engine' },
  ),
  ...(cooled === 'coolant'
    ? [
        check(
          'warm-up',
          'after-start',
          doing('Warm up and bleed the coolant', onGround(top), [15, 25, 45], {
            cautions: ['hot-coolant', 'exhaust-gas'],
            tip: 'Heater hot, funnel raised, until no bubbles. Stop for no oil pressure, knocking, fuel leak, overheating.',
          }),
          { drained: 'coolant' },
        ),
        check(
          'run-warm',
          'after-start',
          doing('Run it warm, look and listen', onGround(top), [5, 10, 20], {
            cautions: ['exhaust-gas'],
            tip: 'Stop for no oil pressure, knocking, fuel leak, overheating.',
          }),
          { notDrained: 'coolant' },
        ),
      ]
    : [
        check(
          'warm-up',
          'after-start',
          doing('Warm up and watch oil pressure and temperature', onGround(top), [10, 20, 40], {
            cautions: ['exhaust-gas'],
            tip: 'Every cooling sheet fitted? Stop for no oil pressure, knocking, fuel leak, oil past its mark.',
          }),
        ),
      ]),
  ...(gearbox === 'automatic' ? [automaticLevel] : []),
  check('levels', 'after-start', doing('Stop, let it stand, set every level', onGround(top), [5, 10, 20])),
  check(
    'codes-after',
    'after-start',
    doing(
      'Read the codes again; what was only unplugged is cleared, what comes back is written down',
      onGround(inside),
      [3, 6, 15],
      { tools: ['diagnostic tester'] },
    ),
    { opened: 'electrics' },
    { fuel: ['petrol-port', 'petrol-direct', 'single-point', 'diesel-rail'] },
  ),
  check('leaks', 'after-start', doing('Look underneath for leaks', below, [3, 6, 12])),
  check('cold-again', 'handover', {
    ...waiting('Let it stand until it is cold right through', nose, [180, 240, 480], { cautions: ['hot-metal'] }),
    tip: 'That was the first heat cycle. Over night is best; so many hours as the maker says at the least.',
  }),
  check(
    'heat-cycle',
    'handover',
    doing('Cold: torque once more what is marked for it, look at every level', below, [10, 20, 40], {
      tools: ['torque wrench'],
    }),
  ),
  check(
    'test-run',
    'handover',
    doing('Short run through every gear', onGround(inside), [10, 20, 40], { tip: 'Brakes first.' }),
  ),
  check(
    'resealed',
    'handover',
    doing('Have the tachograph’s sender sealed again by an approved workshop', onGround(top), [10, 20, 60], {
      tip: 'By the rules of the country: without its seal it is not driven on the road. The old seal goes with the papers.',
    }),
    { touches: ['tachograph'] },
  ),
  check(
    'wheels-measured',
    'handover',
    doing('Have the wheels measured and set', onGround(top), [20, 40, 90], {
      tip: 'Where it is measured counts as a short run too: easy there, and straight there.',
    }),
    { touches: STEERS },
  ),
  check(
    'wheel-bolts-again',
    'handover',
    doing('Wheel bolts once more by the figure', onGround(top), [2, 4, 8], {
      tools: ['torque wrench', '17 mm socket'],
      tip: 'After the run, wheels on the ground; again after fifty kilometres or an hour at work.',
    }),
    { touches: ['wheel-left-bolts', 'wheel-right-bolts'] },
  ),
  check(
    'on-its-wheels',
    'handover',
    doing('On its wheels: levels once more, tools counted', onGround(top), [3, 6, 12]),
  ),
];
