import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { BoxReading } from './reading.js';

/** What is wrong with the simulated engine. */
export const BOX_FAULTS = [
  'none',
  'flat-battery',
  'bad-ground',
  'air-in-fuel',
  'dead-injector',
  'weak-cylinder',
  'no-oil-pressure',
  'stuck-thermostat',
] as const;
export type BoxFault = (typeof BOX_FAULTS)[number];

/** The simulated box sends so often, in ms: ten readings a second. */
export const BOX_EVERY_MS = 100;

const REST_S = 2;
const BURST_S = 8;
const RUN_S = 20;
const PAUSE_S = 6;
const CYLINDERS = 4;
const IDLE_RPM = 850;
const REST_BAR = 0;
/** Of a healthy battery and a healthy starter. */
const REST_V = 12.6;
const CRANK_V = 10.6;
const CRANK_A = 180;
const CRANK_RPM = 220;

/**
 * Readings of a made-up engine that is cranked burst after burst until it runs, and anew, without end; the same seed gives the same
 * readings. What `fault` does: a flat battery sinks and turns it slowly; a bad ground takes the current away at good volts; air in
 * the fuel lets it fire only in the third burst; a dead injector makes it run rough; a weak cylinder shows in the starter’s
 * current; without oil pressure it runs and shows none; a stuck thermostat lets it boil.
 */
export function* simulatedBox(fault: BoxFault, seed: number): Generator<BoxReading, never> {
  const random = xoroshiro128plus(seed);
  const noise = (of: number) => (uniformFloat64(random) - 0.5) * 2 * of;
  let atMs = 0;
  let coolantC = 18;
  const peaks = Array.from(
    { length: CYLINDERS },
    (_, cylinder) => CRANK_A * (fault === 'weak-cylinder' && cylinder === 2 ? 0.78 : 1),
  );
  const reading = (more: Partial<BoxReading>): BoxReading => {
    atMs += BOX_EVERY_MS;
    const restV = fault === 'flat-battery' ? 11.7 : REST_V;
    return {
      atMs,
      volts: tenths(restV + noise(0.03)),
      amps: 0,
      rpm: 0,
      oilBar: REST_BAR,
      coolantC: tenths(coolantC),
      fuelBar: tenths(fault === 'air-in-fuel' ? 0.4 : 3.5),
      ...more,
    };
  };
  for (let burst = 1; ; burst += 1) {
    for (let s = 0; s < REST_S; s += BOX_EVERY_MS / 1_000) yield reading({});
    const firesAfterS =
      fault === 'flat-battery' || fault === 'bad-ground' || (fault === 'air-in-fuel' && burst % 3 !== 0)
        ? Infinity
        : 1.8;
    let s = 0;
    for (; s < Math.min(BURST_S, firesAfterS); s += BOX_EVERY_MS / 1_000) yield cranking(s);
    if (s >= firesAfterS) for (let ran = 0; ran < RUN_S; ran += BOX_EVERY_MS / 1_000) yield running(ran);
    for (let pause = 0; pause < PAUSE_S; pause += BOX_EVERY_MS / 1_000) yield reading({});
  }

  function cranking(s: number): BoxReading {
    const flat = fault === 'flat-battery';
    const ground = fault === 'bad-ground';
    return reading({
      volts: tenths((flat ? 9.4 - 0.15 * s : ground ? 12.1 : CRANK_V) + noise(0.08)),
      amps: Math.round((ground ? 70 : flat ? 150 : CRANK_A) + (s < 0.3 ? 160 : 0) + noise(6)),
      rpm: Math.round((ground ? 60 : flat ? 110 : CRANK_RPM) + noise(8)),
      oilBar: tenths(fault === 'no-oil-pressure' ? 0 : Math.max(0, Math.min(1.2, (s - 1) * 0.6))),
      fuelBar: tenths(fault === 'air-in-fuel' ? Math.min(3.5, 0.4 + 0.02 * s) : 3.5 + noise(0.05)),
      peaksA: peaks.map((peak) => Math.round(peak * (ground ? 0.4 : flat ? 0.8 : 1) + noise(4))),
    });
  }

  function running(s: number): BoxReading {
    coolantC = Math.min(
      fault === 'stuck-thermostat' ? 125 : 92,
      coolantC + (fault === 'stuck-thermostat' ? 0.9 : 0.25),
    );
    const rough = fault === 'dead-injector' ? noise(130) : noise(12);
    return reading({
      volts: tenths(14.1 + noise(0.05)),
      rpm: Math.round(IDLE_RPM + 350 * Math.exp(-s) + rough),
      oilBar: tenths(fault === 'no-oil-pressure' ? 0 : Math.max(0, 2.6 + noise(0.1))),
      fuelBar: tenths(3.5 + noise(0.05)),
    });
  }
}

function tenths(figure: number): number {
  return Math.round(figure * 10) / 10;
}
