import type { JobPlan } from '../connection-map/index.js';
import { requirementsOf } from '../teardown/index.js';

/** What a plan opens, and what runs out by it. */
export interface Opened {
  /** Connections opened in all. */
  readonly opened: number;
  /** Names of the circuits that are drained. */
  readonly fluids: readonly string[];
  readonly litres: number;
}

/** What `plan` opens. Throws `MapError` where it cannot be worked. */
export function openedBy(plan: JobPlan): Opened {
  const { opened, drained } = requirementsOf(plan);
  const circuits = plan.map.circuits.filter(({ id }) => drained.has(id));
  return {
    opened: opened.size,
    fluids: circuits.map(({ name }) => name),
    litres: circuits.reduce((sum, { drainsL }) => sum + drainsL, 0),
  };
}
