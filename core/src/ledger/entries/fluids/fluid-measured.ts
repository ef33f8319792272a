import type { CircuitId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import type { OpenItem } from '../../open-item.js';
import { isDone } from '../../reading.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** How much ran out of a circuit, or went into it. */
export interface FluidMeasured {
  readonly kind: 'fluid-measured';
  readonly circuit: CircuitId;
  readonly direction: 'out' | 'in';
  readonly litres: number;
}

export interface Litres {
  readonly out?: number;
  readonly in?: number;
}

/** More than this share of what a circuit holds is a slip of the pen. */
const MOST_OF_CAPACITY = 1.5;

/** A circuit that took less than this share of what ran out of it is short, or has air in it. */
const FILLED_FROM = 0.9;

export const fluidMeasured: EntryRules<FluidMeasured> = {
  mayFollow({ work }, { circuit: id, litres }) {
    const circuit = work.plan.map.circuits.find((one) => one.id === id);
    if (!circuit) return unknown('circuit', id);
    const { name, capacityL } = circuit;
    return litres > capacityL * MOST_OF_CAPACITY
      ? refuse('sense', `${litres} l is more than the ${name.toLowerCase()} holds (${capacityL} l).`)
      : NOTHING;
  },
  fold: (draft, { circuit, direction, litres }) =>
    void draft.litres.set(circuit, { ...draft.litres.get(circuit), [direction]: litres }),
  stop: (_, { direction }) => (direction === 'out' ? 'strip' : 'refit'),
  minutes: 'of-what-comes-next',
  binds: ({ circuit }) => ({ circuits: [circuit], been: 'measured' }),
  leavesOpen: (state) =>
    state.work.plan.map.circuits.flatMap(({ id, name }): readonly OpenItem[] => {
      const { out, in: taken } = state.litres.get(id) ?? {};
      if (out === undefined) return [];
      if (taken === undefined)
        return isDone(state, operationId.fill(id))
          ? [{ is: 'fluid', grave: false, words: `${name}: ${out} l ran out, what went in was not measured` }]
          : [];
      return taken < FILLED_FROM * out
        ? [{ is: 'fluid', grave: true, words: `${name}: ${out} l ran out, only ${taken} l went in` }]
        : [];
    }),
  words: ({ circuit, direction, litres }, naming) =>
    `${litres} l ${direction === 'out' ? 'out of' : 'into'} ${naming.circuit(circuit)}`,
};
