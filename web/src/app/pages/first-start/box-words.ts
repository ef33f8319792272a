import { RESULT_WORDS } from '@brisk/core/first-start';
import type { BoxFault, BurstFrom, BurstTrace } from '@brisk/core/instrument';

/** Faults of the simulated engine, as one picks them. */
export const FAULT_WORDS: Readonly<Record<BoxFault, string>> = {
  none: 'nothing wrong with it',
  'flat-battery': 'flat battery',
  'bad-ground': 'bad ground',
  'air-in-fuel': 'air in the fuel',
  'dead-injector': 'dead injector',
  'dirty-plug': 'dirty spark plug',
  'no-crank-signal': 'no crank signal',
  'timing-out': 'timing out',
  'air-leak': 'air leak',
  'weak-cylinder': 'a weak cylinder',
  'stuck-thermostat': 'thermostat stuck',
  'no-oil-pressure': 'no oil pressure',
  'blocked-return': 'blocked return',
};

/** Where the figures of a burst came from. */
export const FROM_WORDS: Readonly<Record<BurstFrom, string>> = {
  simulated: 'the simulated bench box',
  box: 'a bench box',
  file: 'a trace out of a file',
};

/** What a burst came to, in one sentence: what it did, volts, seconds, speed, and what the trace shows besides. */
export function burstWords(burst: BurstTrace): string {
  const { voltsBefore, voltsLowest, voltsAfter, crankSeconds, crankRpm, result, compressions } = burst;
  return [
    `${RESULT_WORDS[result]}: ${voltsBefore.toFixed(1)} to ${voltsLowest.toFixed(1)} V in ${crankSeconds} s at ${crankRpm} rpm`,
    ...(burst.noSignal ? ['by the current alone: no revolutions are read'] : []),
    ...(voltsAfter === undefined ? [] : [`back to ${voltsAfter.toFixed(1)} V`]),
    ...(burst.pressureAfterS !== undefined
      ? [`oil pressure after ${burst.pressureAfterS.toFixed(1)} s`]
      : burst.oilBar !== undefined
        ? ['no oil pressure']
        : []),
    ...(compressions?.weak === undefined
      ? []
      : compressions.marked
        ? [`cylinder ${compressions.weak} in firing order weak by the current`]
        : [`one of ${compressions.cylinders} compressions weak by the current`]),
    ...(burst.addsLeast === undefined ? [] : [`cylinder ${burst.addsLeast} in firing order adds next to nothing`]),
    ...(burst.codes ? [burst.codes.join(', ')] : []),
  ].join('; ');
}
