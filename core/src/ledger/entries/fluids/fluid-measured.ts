import type { CircuitId, ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { heldTo } from '../../counting.js';
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
  /** It comes to what was measured before; absent: it stands in its place. */
  readonly onTop?: true;
  /** The joint it ran out at. */
  readonly joint?: ConnectionId;
  /** How strong it is: concentrate, as a share of it. */
  readonly share?: number;
}

/** One measure of a circuit. */
export type Flow = Omit<FluidMeasured, 'kind' | 'circuit' | 'onTop'>;

export interface Litres {
  readonly out?: number;
  readonly in?: number;
  /** Every measure that still counts, first to last. */
  readonly flows: readonly Flow[];
}

/** More than this share of what a circuit holds is a slip of the pen. */
const MOST_OF_CAPACITY = 1.5;

/** A circuit that took less than this share of what ran out of it is short, or has air in it. */
const FILLED_FROM = 0.9;

/** Less than this share of what usually runs out is a short tray. */
const CAUGHT_FROM = 0.9;

const tenths = (litres: number) => Math.round(litres * 10) / 10;

export const fluidMeasured: EntryRules<FluidMeasured> = {
  mayFollow({ work, litres: known }, { circuit: id, direction, litres, onTop, joint }) {
    const circuit = work.plan.map.circuits.find((one) => one.id === id);
    if (!circuit) return unknown('circuit', id);
    if (joint !== undefined && !work.connections.has(joint)) return unknown('connection', joint);
    const { name, capacityL } = circuit;
    const before = known.get(id);
    // What came out again and again went in again and again between.
    const inside = onTop ? (before?.[direction] ?? 0) - (before?.[direction === 'out' ? 'in' : 'out'] ?? 0) : 0;
    const comesTo = litres + Math.max(0, inside);
    return comesTo > capacityL * MOST_OF_CAPACITY
      ? refuse('sense', `${tenths(comesTo)} l is more than the ${name.toLowerCase()} holds (${capacityL} l).`)
      : NOTHING;
  },
  fold(draft, { circuit, direction, litres, joint, share, onTop }) {
    const before = draft.litres.get(circuit)?.flows ?? [];
    const kept = onTop ? before : before.filter((flow) => flow.direction !== direction);
    const flow = {
      direction,
      litres,
      ...(joint === undefined ? {} : { joint }),
      ...(share === undefined ? {} : { share }),
    };
    const flows = [...kept, flow];
    draft.litres.set(circuit, { ...sumsOf(flows), flows });
  },
  stop: (_, { direction }) => (direction === 'out' ? 'strip' : 'refit'),
  minutes: 'of-what-comes-next',
  fills: ({ circuit, direction, onTop }) => (onTop ? [] : [`${circuit} ${direction}`]),
  binds: ({ circuit, joint }) => ({
    circuits: [circuit],
    ...(joint === undefined ? {} : { connections: [joint] }),
    been: 'measured',
  }),
  leavesOpen: (state) =>
    state.work.plan.map.circuits.flatMap(({ id, name, drainsL }): readonly OpenItem[] => {
      const { out, in: taken } = state.litres.get(id) ?? {};
      if (out === undefined) return [];
      const short: readonly OpenItem[] =
        heldTo(state, 5) && out < CAUGHT_FROM * drainsL && !state.levels.has(id)
          ? [
              {
                is: 'fluid',
                grave: false,
                words: `${name}: ${tenths(out)} l caught where ${drainsL} l usually run out. Its level is not set yet`,
              },
            ]
          : [];
      if (taken === undefined)
        return isDone(state, operationId.fill(id))
          ? [
              ...short,
              { is: 'fluid', grave: false, words: `${name}: ${tenths(out)} l ran out, what went in was not measured` },
            ]
          : short;
      return taken < FILLED_FROM * out
        ? [
            ...short,
            { is: 'fluid', grave: true, words: `${name}: ${tenths(out)} l ran out, only ${tenths(taken)} l went in` },
          ]
        : short;
    }),
  words: ({ circuit, direction, litres, joint, share }, naming) =>
    `${litres} l ${direction === 'out' ? 'out of' : 'into'} ${naming.circuit(circuit)}${
      joint === undefined ? '' : ` at ${naming.joint(joint)}`
    }${share === undefined ? '' : `, ${Math.round(share * 100)} % strong`}`,
};

function sumsOf(flows: readonly Flow[]): Pick<Litres, 'out' | 'in'> {
  const sum = (direction: Flow['direction']) => {
    const own = flows.filter((flow) => flow.direction === direction);
    return own.length === 0 ? undefined : own.reduce((litres, flow) => litres + flow.litres, 0);
  };
  const [out, taken] = [sum('out'), sum('in')];
  return { ...(out === undefined ? {} : { out }), ...(taken === undefined ? {} : { in: taken }) };
}
