import type { CircuitId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { isDone } from '../../reading.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** Somebody read the level of a circuit and set it. */
export interface LevelSet {
  readonly kind: 'level-set';
  readonly circuit: CircuitId;
  /** What was added for it, in litres; less than nought where some was let out. */
  readonly addedL: number;
  /** How warm it was, in °C. */
  readonly celsius?: number;
  readonly note?: string;
}

export interface Level extends Mark {
  readonly addedL: number;
  readonly celsius?: number;
  readonly note?: string;
}

export const levelSet: EntryRules<LevelSet> = {
  mayFollow(state, { circuit: id, celsius, addedL, note }) {
    const circuit = state.work.plan.map.circuits.find((one) => one.id === id);
    if (!circuit) return unknown('circuit', id);
    const fill = operationId.fill(id);
    if (state.work.operations.has(fill) && !isDone(state, fill))
      return refuse('order', `Fill the ${circuit.name.toLowerCase()} first.`);
    if (Math.abs(addedL) > circuit.capacityL)
      return refuse('sense', `${addedL} l is more than the ${circuit.name.toLowerCase()} holds.`);
    const { fromC = -Infinity, toC = Infinity } = circuit.level ?? {};
    return celsius !== undefined && (celsius < fromC || celsius > toC) && !note
      ? refuse(
          'sense',
          `Its level is read at ${fromC} to ${toC} °C, not at ${celsius} °C. Read it again, or write why it counts.`,
        )
      : NOTHING;
  },
  fold: (draft, { circuit, addedL, celsius, note }, mark) =>
    void draft.levels.set(circuit, {
      ...mark,
      addedL,
      ...(celsius === undefined ? {} : { celsius }),
      ...(note ? { note } : {}),
    }),
  stop: (state) => (state.attempts.length > 0 ? 'first-start' : 'refit'),
  minutes: 'of-what-comes-next',
  fills: ({ circuit }) => [circuit],
  binds: ({ circuit }) => ({ circuits: [circuit], been: 'set to its level' }),
  words: ({ circuit, addedL, celsius, note }, naming) =>
    `Level of ${naming.circuit(circuit)} set${addedL === 0 ? '' : `, ${addedL} l ${addedL > 0 ? 'added' : 'let out'}`}${
      celsius === undefined ? '' : ` at ${celsius} °C`
    }${note ? `. ${note}` : ''}`,
};
