import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { engineWith, type BoxFault } from './engine-faults.js';
import type { BoxReading } from './reading.js';

/** The simulated box sends so often, in ms: ten readings a second. */
export const BOX_EVERY_MS = 100;

/** Samples of the starter’s current in each reading. */
const RIPPLE = 10;
const REST_S = 2;
const BURST_S = 8;
const PAUSE_S = 6;
const START_C = 18;
const CODES_AFTER_S = 1.5;
/** How much of the current is compression; how wide its hump is, as a share of one compression. */
const RIPPLE_SHARE = 0.28;
const HUMP = 0.22;
const INRUSH_A = 220;
const INRUSH_S = 0.12;

/**
 * Readings of a made-up engine that is cranked burst after burst and runs where it can, without end; the same seed gives the same
 * readings. The crank turns by a model: each compression takes current by how tight its cylinder is, and a mark tells when the
 * first is at its top. What each fault does stands with the faults.
 */
export function* simulatedBox(fault: BoxFault, seed: number): Generator<BoxReading, never> {
  const engine = engineWith(fault);
  const random = xoroshiro128plus(seed);
  const noise = (of: number) => (uniformFloat64(random) - 0.5) * 2 * of;
  const cylinders = engine.compressions.length;
  let atMs = 0;
  let coolantC = START_C;
  /** Cycles of two turns the crank has made. */
  let cycle = uniformFloat64(random);
  const reading = (more: Partial<BoxReading>): BoxReading => {
    atMs += BOX_EVERY_MS;
    return {
      atMs,
      volts: rounded(engine.restV + noise(0.03), 1),
      amps: 0,
      rpm: 0,
      oilBar: 0,
      coolantC: rounded(coolantC, 1),
      fuelBar: rounded(engine.fuelRestBar, 1),
      manifoldBar: 0,
      ...more,
    };
  };
  const every = BOX_EVERY_MS / 1_000;
  for (let burst = 1; ; burst += 1) {
    for (let s = 0; s < REST_S; s += every) yield reading({});
    const firesAfterS = burst % engine.firesEvery === 0 ? engine.firesAfterS : Infinity;
    let s = 0;
    for (; s < Math.min(BURST_S, firesAfterS); s += every) yield cranking(s);
    if (s >= firesAfterS) for (let ran = 0; ran < engine.runsS; ran += every) yield running(ran);
    for (let pause = 0; pause < PAUSE_S; pause += every) yield reading({});
  }

  function cranking(s: number): BoxReading {
    const turn = ((engine.crankRpm * (1 + noise(0.01))) / 120) * (every / RIPPLE);
    const rippleA: number[] = [];
    let firstAgoMs: number | undefined;
    for (let sample = 1; sample <= RIPPLE; sample += 1) {
      const before = Math.floor(cycle);
      cycle += turn;
      const now = Math.floor(cycle);
      if (now > before) {
        const sinceSamples = (cycle - now) / turn;
        firstAgoMs = (RIPPLE - sample + sinceSamples) * (BOX_EVERY_MS / RIPPLE);
      }
      const inrush = INRUSH_A * Math.exp(-(s + (sample / RIPPLE) * every) / INRUSH_S);
      rippleA.push(rounded(engine.crankA * (1 - RIPPLE_SHARE / 2 + compression()) + inrush + noise(6), 1));
    }
    return reading({
      volts: rounded(engine.crankV - engine.sagV * s + noise(0.08), 1),
      amps: Math.round(rippleA.reduce((sum, amps) => sum + amps, 0) / RIPPLE),
      rpm: engine.signal ? Math.max(0, Math.round(engine.crankRpm + noise(8))) : 0,
      oilBar: rounded(engine.oilBar === 0 ? 0 : Math.max(0, Math.min(1.2, (s - 1) * 0.6)), 1),
      fuelBar: rounded(Math.min(engine.fuelBar, engine.fuelRestBar + 0.5 * s) + noise(0.05), 1),
      manifoldBar: rounded(-0.05 + noise(0.01), 2),
      rippleA,
      ...(firstAgoMs === undefined ? {} : { firstAgoMs: rounded(firstAgoMs, 1) }),
      ...(s >= CODES_AFTER_S && !engine.signal ? { codes: engine.codes } : {}),
    });
  }

  /** How much of the current goes into compressing, where the crank stands now. */
  function compression(): number {
    const place = cycle * cylinders;
    const nearest = Math.round(place);
    const tight = engine.compressions[((nearest % cylinders) + cylinders) % cylinders] ?? 1;
    return 2 * RIPPLE_SHARE * tight * Math.exp(-(((place - nearest) / HUMP) ** 2));
  }

  function running(s: number): BoxReading {
    coolantC = Math.min(engine.hottestC, coolantC + engine.heatCPerS * every);
    return reading({
      volts: rounded(14.1 + noise(0.05), 1),
      rpm: Math.round(engine.idleRpm + 350 * Math.exp(-s) + noise(engine.roughRpm)),
      oilBar: rounded(engine.oilBar === 0 ? 0 : Math.max(0, engine.oilBar + noise(0.1)), 1),
      fuelBar: rounded((engine.firesEvery > 1 ? 3.5 : engine.fuelBar) + noise(0.05), 1),
      manifoldBar: rounded(engine.manifoldBar + noise(0.02), 2),
      addsPct: engine.addsPct.map((share) => rounded(share + noise(1.5), 1)),
      ...(s >= CODES_AFTER_S && engine.codes.length > 0 ? { codes: engine.codes } : {}),
    });
  }
}

function rounded(figure: number, digits: number): number {
  return Math.round(figure * 10 ** digits) / 10 ** digits;
}
