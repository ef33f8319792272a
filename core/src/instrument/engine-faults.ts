/** How the simulated engine and its battery do, fault by fault. Volts, amperes, bar, °C, revolutions a minute, seconds. */
export interface EngineModel {
  readonly restV: number;
  readonly crankV: number;
  /** What the battery sinks each second on the starter. */
  readonly sagV: number;
  readonly crankA: number;
  readonly crankRpm: number;
  /** Whether the box sees the crank turn. */
  readonly signal: boolean;
  readonly fuelRestBar: number;
  readonly fuelBar: number;
  /** It fires after so long on the starter, in every burst of so many; never where it is infinite. */
  readonly firesAfterS: number;
  readonly firesEvery: number;
  /** How long it runs once it fires, before it is switched off or dies. */
  readonly runsS: number;
  readonly idleRpm: number;
  readonly roughRpm: number;
  readonly manifoldBar: number;
  readonly oilBar: number;
  readonly heatCPerS: number;
  readonly hottestC: number;
  /** Compression of each cylinder in firing order against a good one, and what each adds, in %. */
  readonly compressions: readonly number[];
  readonly addsPct: readonly number[];
  readonly codes: readonly string[];
}

/** All well: a four-cylinder engine, twelve volts. */
const WELL: EngineModel = {
  restV: 12.6,
  crankV: 10.6,
  sagV: 0,
  crankA: 180,
  crankRpm: 220,
  signal: true,
  fuelRestBar: 3.5,
  fuelBar: 3.5,
  firesAfterS: 1.8,
  firesEvery: 1,
  runsS: 20,
  idleRpm: 850,
  roughRpm: 12,
  manifoldBar: -0.65,
  oilBar: 2.6,
  heatCPerS: 2.5,
  hottestC: 92,
  compressions: [1, 1, 1, 1],
  addsPct: [0, 0, 0, 0],
  codes: [],
};

/** What is wrong with the simulated engine, and what that changes. */
const FAULTS = {
  none: {},
  'flat-battery': { restV: 11.7, crankV: 9.4, sagV: 0.15, crankA: 150, crankRpm: 110, firesAfterS: Infinity },
  'bad-ground': { crankV: 12.1, crankA: 70, crankRpm: 60, firesAfterS: Infinity },
  'air-in-fuel': { fuelRestBar: 0.4, fuelBar: 0.6, firesEvery: 3 },
  'dead-injector': { roughRpm: 130, addsPct: [6, 7, -19, 6], codes: ['Injector 3 open circuit'] },
  'dirty-plug': { roughRpm: 110, addsPct: [5, -16, 6, 5], codes: ['Misfire, cylinder 2'] },
  'no-crank-signal': { signal: false, firesAfterS: Infinity, codes: ['Crankshaft sensor, no signal'] },
  'timing-out': { firesAfterS: 3.2, runsS: 1.5, manifoldBar: -0.25, roughRpm: 160 },
  'air-leak': { idleRpm: 1_250, roughRpm: 90, manifoldBar: -0.4, codes: ['Mixture too lean'] },
  'weak-cylinder': { firesAfterS: 4, compressions: [1, 1, 0.6, 1], addsPct: [4, 4, -12, 4], roughRpm: 40 },
  'stuck-thermostat': { heatCPerS: 9, hottestC: 125 },
  'no-oil-pressure': { oilBar: 0 },
  'blocked-return': { fuelRestBar: 5.8, fuelBar: 6.2, roughRpm: 80, codes: ['Mixture too rich'] },
} as const satisfies Readonly<Record<string, Partial<EngineModel>>>;

export type BoxFault = keyof typeof FAULTS;
export const BOX_FAULTS = Object.keys(FAULTS) as readonly BoxFault[];

/** The simulated engine with `fault`. */
export function engineWith(fault: BoxFault): EngineModel {
  return { ...WELL, ...FAULTS[fault] };
}
