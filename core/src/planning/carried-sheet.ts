import type { Caution } from '../connection-map/index.js';
import type { JobState } from '../ledger/index.js';
import { crewSetups, type CrewSetup } from '../schedule/index.js';
import type { Planned } from './planned.js';

/** A fluid to catch at a setup. */
export interface Tray {
  readonly fluid: string;
  readonly litres: number;
}

/** One setup as people carry it: where, how high, who, what to take, what to catch, what to mind. */
export interface SheetSetup extends CrewSetup {
  readonly number: number;
  readonly trays: readonly Tray[];
  readonly cautions: readonly Caution[];
}

/** The setups of a plan as people carry them. */
export function sheetSetups(state: JobState, { problem, schedule }: Planned): readonly SheetSetup[] {
  const circuits = new Map(state.work.plan.map.circuits.map((circuit) => [circuit.id, circuit]));
  return crewSetups(schedule, problem.height).map((setup, index): SheetSetup => ({
    ...setup,
    number: index + 1,
    trays: setup.operations.flatMap(({ kind, circuit }) => {
      const drained = kind === 'drain' ? circuits.get(circuit ?? '') : undefined;
      return drained ? [{ fluid: drained.fluid, litres: drained.drainsL }] : [];
    }),
    cautions: [...new Set(setup.operations.flatMap(({ cautions }) => cautions))],
  }));
}
