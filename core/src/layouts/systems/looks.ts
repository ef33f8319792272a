import { below, doing, inside, onGround, top } from '../author.js';
import type { CheckScope, CheckStep, StepSpec } from '../../connection-map/index.js';

const check = (id: string, when: CheckStep['when'], spec: StepSpec, where?: CheckScope): CheckStep => ({
  id,
  when,
  ...(where ? { where } : {}),
  ...spec,
});

/** First start and handover, for an engine cooled by `cooled`. */
export const looks = (cooled: 'coolant' | 'air'): readonly CheckStep[] => [
  check(
    'prime-oil',
    'before-start',
    doing('Crank with the fuel off until oil pressure shows', onGround(inside), [3, 6, 15], {
      cautions: ['exhaust-gas'],
      tip: 'Bursts of ten seconds at most, half a minute between. No pressure: stop.',
      moves: ['crank'],
    }),
    { comesOut: 'engine' },
  ),
  check(
    'prime-fuel',
    'before-start',
    doing('Prime the fuel, look for leaks', onGround(top), [3, 5, 12], {
      cautions: ['fuel'],
      tip: 'Key on and off five times, or work the hand pump; look at every joint each time.',
    }),
    { opened: 'fuel' },
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
  check('levels', 'after-start', doing('Stop, let it stand, set every level', onGround(top), [5, 10, 20])),
  check('leaks', 'after-start', doing('Look underneath for leaks', below, [3, 6, 12])),
  check(
    'test-run',
    'handover',
    doing('Short run through every gear', onGround(inside), [10, 20, 40], { tip: 'Brakes first.' }),
  ),
  check('heat-cycle', 'handover', doing('After a heat cycle: re-check torque and levels', below, [10, 20, 40])),
  check(
    'on-its-wheels',
    'handover',
    doing('On its wheels: wheels by the figure, levels, tools counted', onGround(top), [3, 6, 12], {
      tools: ['torque wrench'],
      tip: 'Wheel bolts once more after the run. Where the steering was parted, the wheels are measured before it leaves.',
    }),
  ),
];
