import type { Circuit, CircuitId, PartId } from '../connection-map/index.js';
import { HELD_BY } from '../fluids/index.js';
import { isDone, powerpackMassKg, type JobState } from '../ledger/index.js';
import { operationId } from '../teardown/index.js';

/** Fluid that leaves with the powerpack: in which part, and how much of it. */
export interface FluidInside {
  readonly circuit: CircuitId;
  readonly name: string;
  readonly part: PartId;
  readonly litres: number;
  readonly massKg: number;
}

/** Mass of a litre, in kg, by what it is. */
const KG_A_LITRE: Readonly<Record<string, number>> = { coolant: 1.06, oil: 0.87, 'gear oil': 0.89 };
const OIL_KG_A_LITRE = 0.87;

/**
 * What is still in the powerpack when it is lifted: what a circuit holds less what was caught of it; less what usually runs
 * out where it is drained and nobody measured, or is to be drained by then.
 */
export function fluidInside(state: JobState): readonly FluidInside[] {
  const { lump, plan } = state.work;
  return plan.map.circuits.flatMap((circuit) => {
    const [part, share] = HELD_BY[circuit.id] ?? [];
    if (part === undefined || share === undefined || !lump.has(part)) return [];
    const litres = Math.max(0, circuit.capacityL - ranOut(state, circuit)) * share;
    const massKg = litres * (KG_A_LITRE[circuit.fluid] ?? OIL_KG_A_LITRE);
    return [{ circuit: circuit.id, name: circuit.name, part, litres, massKg }];
  });
}

function ranOut(state: JobState, { id, capacityL, drainsL }: Circuit): number {
  const { out, in: taken } = state.litres.get(id) ?? {};
  if (taken !== undefined || isDone(state, operationId.fill(id))) return 0;
  if (out !== undefined) return Math.min(out, capacityL);
  const drain = operationId.drain(id);
  const skipped = state.progress.get(drain)?.is === 'skipped';
  return state.work.operations.has(drain) && !skipped ? drainsL : 0;
}

/** What hangs of a powerpack now, in kg: its parts that are still on, and the fluid that is still inside. */
export function hangingKg(state: JobState): number {
  return powerpackMassKg(state) + fluidInside(state).reduce((sum, { massKg }) => sum + massKg, 0);
}
