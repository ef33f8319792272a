import { median } from '../instrument/index.js';

/** What unplugging one cylinder after the other came to. */
export interface CylinderDrop {
  /** The answer of the test: every one makes a difference, or one makes none. */
  readonly answer: 'all' | 'one';
  /** The cylinders that make next to none, from 1. */
  readonly least: readonly number[];
}

/** Who loses less than this share of what the middle one loses does next to nothing. */
const NEXT_TO_NOTHING = 0.4;
/** Revolutions scatter so much at idle: a smaller loss of the middle one says nothing. */
const LEAST_LOSS_RPM = 15;

/**
 * Which cylinders do next to nothing, by the revolutions lost as each is unplugged at idle, in `lostRpm` from cylinder one;
 * undefined where fewer than two were tried, or none loses enough to tell.
 */
export function cylinderDrop(lostRpm: readonly (number | undefined)[]): CylinderDrop | undefined {
  const tried = lostRpm.flatMap((lost, at) => (lost === undefined ? [] : [{ cylinder: at + 1, lost }]));
  if (tried.length < 2) return undefined;
  const usual = Math.max(
    median(tried.map(({ lost }) => lost)),
    tried.length === 2 ? Math.max(...tried.map(({ lost }) => lost)) : 0,
  );
  if (usual < LEAST_LOSS_RPM) return undefined;
  const least = tried.filter(({ lost }) => lost < NEXT_TO_NOTHING * usual).map(({ cylinder }) => cylinder);
  return { answer: least.length > 0 ? 'one' : 'all', least };
}
