import type { Burns } from '../diagnosis/index.js';
import { chargeAtRest, LOWEST_REST_V } from '../first-start/index.js';
import { BatteryError } from './battery-error.js';

/** How a battery is made: flooded, glass mat, gel. Rest volts of the last two lie about 0.15 V higher. */
export const BATTERY_KINDS = ['flooded', 'agm', 'gel'] as const;
export type BatteryKind = (typeof BATTERY_KINDS)[number];

/** A battery as it stands there. */
export interface Battery {
  readonly kind: BatteryKind;
  /** 12 or 24: two in a row. */
  readonly volts: 12 | 24;
  readonly capacityAh: number;
  readonly restV: number;
  readonly celsius: number;
}

/** What is in it. */
export interface BatteryNow {
  /** From 0 to 1. */
  readonly charge: number;
  /** What can be taken out now, in Ah: less when it is cold. */
  readonly thereAh: number;
  /** So low that nothing is cranked from it. */
  readonly tooLow: boolean;
}

const HIGHER_REST_V: Readonly<Record<BatteryKind, number>> = { flooded: 0, agm: 0.15, gel: 0.15 };
const CELL_BLOCK_V = 12;

/** Share of its capacity a lead battery gives at a temperature, °C: usual maker’s curves. */
const GIVES_AT: readonly (readonly [celsius: number, share: number])[] = [
  [-20, 0.5],
  [-10, 0.65],
  [0, 0.8],
  [10, 0.9],
  [20, 1],
];

/** What is in `battery`. Throws {@link BatteryError} for figures no battery has. */
export function batteryNow({ kind, volts, capacityAh, restV, celsius }: Battery): BatteryNow {
  if (!(capacityAh > 0 && capacityAh <= 1_000)) throw new BatteryError('A battery has from 1 to 1000 Ah.');
  if (!(restV >= 0 && restV <= volts * 1.5))
    throw new BatteryError(
      `A ${volts} V battery at rest does not have ${restV} V. Is it the other voltage, or still on the charger?`,
    );
  if (!(celsius >= -50 && celsius <= 70)) throw new BatteryError('From −50 to 70 °C are reckoned with.');
  const blockV = (restV * CELL_BLOCK_V) / volts;
  const charge = chargeAtRest(blockV - HIGHER_REST_V[kind]);
  return { charge, thereAh: capacityAh * charge * givesAt(celsius), tooLow: blockV < LOWEST_REST_V };
}

function givesAt(celsius: number): number {
  const next = GIVES_AT.findIndex(([at]) => at >= celsius);
  if (next < 0) return 1;
  const [toC, toShare] = GIVES_AT[next] ?? [celsius, 1];
  const [fromC, fromShare] = GIVES_AT[next - 1] ?? [toC, toShare];
  return toC === fromC ? toShare : fromShare + ((celsius - fromC) / (toC - fromC)) * (toShare - fromShare);
}

/** Seconds on the starter until fuel that ran dry is there again, as a rule, by how it burns. */
export const FUEL_DRY_S: Readonly<Record<Burns, number>> = {
  'petrol-injected': 12,
  carburettor: 25,
  'diesel-rail': 30,
  'diesel-mechanical': 60,
};

/** Below this charge a starter is slow and control units see ghosts. */
const LEAST_CHARGE = 0.5;
/** W. Peukert (1897): the faster it is emptied, the less it gives; k of starter batteries. */
const PEUKERT = 1.2;
const HOURS_RATED = 20;

/**
 * How many bursts of `burstS` seconds at `crankA` amperes are left until `battery` is down to half: by Peukert’s law each takes
 * `I t (I / I₂₀)^(k − 1)` out of it. A rested battery gives a little more.
 */
export function burstsLeft(battery: Battery, crankA: number, burstS: number): number {
  const { thereAh, tooLow } = batteryNow(battery);
  if (!(crankA > 0 && burstS > 0)) throw new BatteryError('Amperes and seconds of a burst have to be above nought.');
  if (tooLow) return 0;
  const spareAh = thereAh - battery.capacityAh * LEAST_CHARGE * givesAt(battery.celsius);
  const takesAh = ((crankA * burstS) / 3_600) * (crankA / (battery.capacityAh / HOURS_RATED)) ** (PEUKERT - 1);
  return Math.max(0, Math.floor(spareAh / takesAh));
}

/** From this charge on a battery takes only about half of what a charger could give. */
const SLOWS_FROM = 0.8;
const CHARGE_LOSS = 1.2;
const SLOWER_BY = 2;

/**
 * Hours from `charge` to `wanted` (0 to 1) on a charger of `chargerA`: Ah · Δ · 1.2 / A, and twice that for what lies above 80 %.
 * Throws {@link BatteryError} for a charger that gives nothing.
 */
export function chargeTimeH(capacityAh: number, charge: number, chargerA: number, wanted = 1): number {
  if (!(chargerA > 0)) throw new BatteryError('The charger has to give more than 0 A.');
  const quick = Math.max(0, Math.min(wanted, SLOWS_FROM) - charge);
  const slow = Math.max(0, wanted - Math.max(charge, SLOWS_FROM));
  return (capacityAh * CHARGE_LOSS * (quick + SLOWER_BY * slow)) / chargerA;
}

/** Resistivity of copper at 20 °C, in Ω·m. */
const COPPER_OHM_M = 1.724e-8;

/** What a cable loses there and back: `U = I ρ 2 L / A`, `lengthM` one way. 250 A, 2.4 m, 50 mm²: 0.41 V. */
export function cableDropV(amps: number, lengthM: number, areaMm2: number): number {
  if (!(areaMm2 > 0)) throw new BatteryError('How thick the cable is has to be known: its mm².');
  return (amps * COPPER_OHM_M * 2 * lengthM) / (areaMm2 * 1e-6);
}

/** Where the volts stay while it cranks. */
export type LostAt = 'battery' | 'ground' | 'plus' | 'starter' | 'nowhere';

/** More than this lost on one side of the starter circuit is too much: half of the 0.5 V it may lose in all. */
const MOST_A_SIDE_V = 0.25;
const LOWEST_CRANK_V = 9.6;

/**
 * What drops measured during one burst point to, in V: across the battery’s posts, from minus post to block, and from plus post
 * to the starter’s stud. `slow`: it turned slowly, or not at all.
 */
export function whereLost(volts: 12 | 24, crankV: number, groundV: number, plusV: number, slow: boolean): LostAt {
  const blocks = volts / CELL_BLOCK_V;
  if (groundV > MOST_A_SIDE_V * blocks && groundV >= plusV) return 'ground';
  if (plusV > MOST_A_SIDE_V * blocks) return 'plus';
  if (crankV < LOWEST_CRANK_V * blocks) return 'battery';
  return slow ? 'starter' : 'nowhere';
}
