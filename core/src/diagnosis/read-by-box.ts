import type { StartResult } from '../first-start/index.js';
import { HOTTEST_C, type KeptBurst } from '../instrument/index.js';
import type { Evidence, Machine } from './belief.js';

/** A starter that turns an engine slower than this is slow, one that turns it faster has nothing to compress. */
const SLOW_RPM = 130;
const FAST_RPM = 340;
const SHOWS_BAR = 0.3;
const LOW_OIL_BAR = 0.8;
/** Injection into the ports works at about three to four bar; the maker’s figure wins. */
const NO_FUEL_BAR = 0.5;
const LOW_FUEL_BAR = 2.4;
const HIGH_FUEL_BAR = 5;
/** Manifold of a warm petrol engine at idle; nearer to nought is too little vacuum. */
const LOW_VACUUM_BAR = -0.5;

/**
 * What a bench box read of a burst, as answers of tests: how it turned, its compressions by the ripple, oil, fuel, manifold,
 * temperature and which cylinder adds nothing. Only what the figures tell apart is said; a rhythm shows uneven compressions, not
 * whether all of them are low.
 */
export function readByBox(read: KeptBurst, result: StartResult, machine: Machine): readonly Evidence[] {
  const runs = result === 'runs' || result === 'runs-rough';
  const { crankRpm, noSignal, cylinders, weak, pressureAfterS, oilBar, fuelBar, manifoldBar, hottestC, addsLeast } =
    read;
  const answers: (Evidence | undefined)[] = [
    crankRpm > 0 && result !== 'no-crank'
      ? said('crank', crankRpm < SLOW_RPM ? 'slow' : crankRpm > FAST_RPM ? 'fast' : 'normal')
      : undefined,
    noSignal ? said('rev-signal', 'none') : undefined,
    weak !== undefined
      ? said('compression', 'one')
      : cylinders !== undefined
        ? said('compression', 'even', 'all')
        : undefined,
    pressureAfterS !== undefined
      ? said('oil-gauge', runs && oilBar !== undefined && oilBar < LOW_OIL_BAR ? 'low' : 'shows')
      : oilBar !== undefined && oilBar < SHOWS_BAR
        ? said('oil-gauge', 'none')
        : undefined,
    fuelBar !== undefined && machine.burns === 'petrol-injected'
      ? said(
          'fuel-pressure',
          fuelBar < NO_FUEL_BAR ? 'none' : fuelBar < LOW_FUEL_BAR ? 'low' : fuelBar > HIGH_FUEL_BAR ? 'high' : 'ok',
        )
      : undefined,
    manifoldBar !== undefined && runs && (machine.burns === 'petrol-injected' || machine.burns === 'carburettor')
      ? manifoldBar > LOW_VACUUM_BAR
        ? said('vacuum', 'low')
        : said('vacuum', 'steady', 'flutters')
      : undefined,
    hottestC !== undefined && hottestC > HOTTEST_C ? said('temperature', 'hot') : undefined,
    addsLeast !== undefined ? said('cylinder-drop', 'one') : undefined,
  ];
  return [...answers.filter((one) => one !== undefined), ...byCodes(read.codes ?? [], machine)];
}

/** What a tester says, by the words of it; the first that fits. */
const KINDS: readonly (readonly [answer: string, words: RegExp])[] = [
  ['key', /immobili|key not|transponder/i],
  ['speed', /crank|cam(shaft| sensor)|speed sensor|engine speed/i],
  ['ignition', /misfire|ignition|coil|spark/i],
  ['fuel', /fuel|injector|rail/i],
  ['air', /air|throttle|boost|lean|rich|mixture|manifold|lambda|oxygen/i],
];
/** So many kinds at once are many, of all kinds. */
const MANY = 3;

/** What codes and lamps say, as the answer of the test with the tester; nothing where none of their words is known. */
export function byCodes(codes: readonly string[], { burns }: Machine): readonly Evidence[] {
  if (burns !== 'petrol-injected' && burns !== 'diesel-rail') return [];
  const kinds = new Set(codes.flatMap((code) => KINDS.find(([, words]) => words.test(code))?.[0] ?? []));
  if (kinds.size === 0) return [];
  return [said('codes', ...(kinds.size >= MANY ? ['many'] : kinds))];
}

function said(test: string, ...answers: readonly string[]): Evidence {
  return { test, answers };
}
