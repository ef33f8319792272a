import type { ThreadState } from '../connection-map/index.js';
import type { FastenerSpec, Thread } from '../fasteners/index.js';

export const THREAD_STATE_WORDS: Readonly<Record<ThreadState, string>> = {
  dry: 'dry',
  plated: 'plated, dry',
  oiled: 'a drop of oil',
  threadlocker: 'threadlocker',
  sealant: 'sealant',
  paste: 'anti-seize paste',
};

/**
 * Nut factor K by how the thread goes together (Bickford, Introduction to the Design of Bolted Joints); wet threadlocker and
 * sealant go about as oiled ones until they set.
 */
const NUT_FACTOR: Readonly<Record<ThreadState, number>> = {
  dry: 0.2,
  plated: 0.22,
  oiled: 0.15,
  threadlocker: 0.17,
  sealant: 0.17,
  paste: 0.13,
};

/** Of the proof load, as a rule for joints that are opened again. */
const CLAMP_SHARE = 0.75;
const PSI_IN_MPA = 0.006894757;
const INCH_MM = 25.4;
/** Steel, in GPa. */
const YOUNG_GPA = 205;

/** Proof stress in MPa by property class (ISO 898-1); 8.8 is a little more above 16 mm. */
function proofMpa(propertyClass: string, { system, diameterMm }: Thread): number | undefined {
  if (system === 'inch') {
    // SAE J429, in ksi.
    const ksi = {
      'grade 2': diameterMm <= 0.75 * INCH_MM ? 55 : 33,
      'grade 5': diameterMm <= INCH_MM ? 85 : 74,
      'grade 8': 120,
    };
    const found = ksi[propertyClass as keyof typeof ksi];
    return found === undefined ? undefined : found * 1_000 * PSI_IN_MPA;
  }
  const mpa = { '4.6': 225, '4.8': 310, '5.8': 380, '8.8': diameterMm <= 16 ? 580 : 600, '10.9': 830, '12.9': 970 };
  return mpa[propertyClass as keyof typeof mpa];
}

/** Tensile stress area in mm²: π/4 (d − 0.9382 P)² (ISO 898-1); inch threads 0.7854 (D − 0.9743/n)² (ASME B1.1). */
export function stressAreaMm2({ system, diameterMm, pitchMm }: Thread): number {
  const core = system === 'inch' ? diameterMm - 0.9743 * pitchMm : diameterMm - 0.9382 * pitchMm;
  return (system === 'inch' ? 0.7854 : Math.PI / 4) * core * core;
}

/**
 * The torque that pulls as much as `torqueNm` does on a thread that is `meant`, where it goes together as `is`: torque goes with
 * the nut factor, T / K = d F. Worked out; a maker’s figure for that thread wins.
 */
export function samePullNm(torqueNm: number, meant: ThreadState, is: ThreadState): number {
  return (torqueNm * NUT_FACTOR[is]) / NUT_FACTOR[meant];
}

/** A torque worked out from the bolt, where nobody has the maker’s: what it is, and what it does. */
export interface AdvisoryTorque {
  readonly torqueNm: number;
  /** What it presses together with. */
  readonly clampN: number;
  /** How much longer the bolt gets over its clamped length, in mm; absent where that is not known. */
  readonly stretchMm?: number;
  readonly propertyClass: string;
  readonly nutFactor: number;
}

/**
 * An advisory torque for `spec` with its thread as `state` says: T = K d F with F = 0.75 Sp At, and the stretch
 * F L / (A E). Only for a bolt whose thread is known; a class nobody read is taken as 8.8, or grade 5. Undefined where
 * there is nothing to reckon with. A maker’s figure always wins.
 */
export function advisoryTorque(
  { thread, lengthMm, propertyClass }: Pick<FastenerSpec, 'thread' | 'lengthMm' | 'propertyClass'>,
  state: ThreadState,
): AdvisoryTorque | undefined {
  if (!thread) return undefined;
  const taken = propertyClass ?? (thread.system === 'inch' ? 'grade 5' : '8.8');
  const proof = proofMpa(taken, thread);
  if (proof === undefined) return undefined;
  const areaMm2 = stressAreaMm2(thread);
  const clampN = CLAMP_SHARE * proof * areaMm2;
  const nutFactor = NUT_FACTOR[state];
  return {
    torqueNm: (nutFactor * thread.diameterMm * clampN) / 1_000,
    clampN,
    ...(lengthMm === undefined ? {} : { stretchMm: (clampN * lengthMm) / (areaMm2 * YOUNG_GPA * 1_000) }),
    propertyClass: taken,
    nutFactor,
  };
}
