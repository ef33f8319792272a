import type { CircuitId, PartId, Renewal } from '../connection-map/index.js';

/** What becomes of a unit: it goes back as it is, is repaired, or another one goes in. */
export const FATES = ['same', 'repaired', 'exchange', 'donor'] as const;
export type Fate = (typeof FATES)[number];

/** What was decided on one unit of the powerpack. */
export interface UnitDecision {
  readonly becomes: Fate;
  /** Outer parts that come with the other unit, and need not go over from the old one. */
  readonly comesWith: readonly PartId[];
  /** Circuits that it comes with in it, by somebody’s word; all others it holds are empty. */
  readonly filled?: readonly CircuitId[];
}

/** What the crew decided to do while it is out. */
export interface BenchDecisions {
  /** By unit; one that is not named goes back as it is. */
  readonly units: ReadonlyMap<PartId, UnitDecision>;
  /** What is renewed: names of the map’s renewals and of the crew’s own. */
  readonly now: ReadonlySet<string>;
  /** Repairs the crew wrote themselves. */
  readonly own: readonly Renewal[];
}

export const NOTHING_DECIDED: BenchDecisions = { units: new Map(), now: new Set(), own: [] };

/** Whether another unit goes in its place. */
export function isReplaced({ becomes }: UnitDecision): boolean {
  return becomes === 'exchange' || becomes === 'donor';
}
