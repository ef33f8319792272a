import type { Circuit } from '../connection-map/index.js';
import type { Operation } from '../teardown/index.js';
import { keptWhere, setCountOf, setsOf } from './counting.js';
import { KEEPING_WORDS } from './entries/fasteners/keeping-chosen.js';
import { fastenerCount, nextBag, nextTag, wantsTag } from './numbers.js';
import type { JobState } from './state.js';

/** Fasteners to be counted at a step. */
export type Counting =
  | { readonly direction: 'out'; readonly expected: number; readonly bag: number }
  | {
      readonly direction: 'in';
      readonly expected: number;
      /** How many came out, and where they are now, in words. */
      readonly out: number;
      readonly from: string;
    };

/** What is counted at `operation`: fasteners out, or back in against what came out; undefined where nothing is. */
export function countingAt(state: JobState, { kind, phase, connection }: Operation): Counting | undefined {
  if (connection === undefined) return undefined;
  if (kind === 'disconnect' || (kind === 'make-safe' && phase === 'strip')) {
    const expected = fastenerCount(setsOf(state, connection));
    return expected === 0 ? undefined : { direction: 'out', expected, bag: nextBag(state) };
  }
  const out = state.bags.get(connection)?.out;
  if (kind !== 'connect' || !out) return undefined;
  return {
    direction: 'in',
    expected: setCountOf(state, connection)?.full ?? out.count,
    out: out.count,
    from: out.bag === undefined ? KEEPING_WORDS[keptWhere(out.kept, out.bag)].toLowerCase() : `from bag ${out.bag}`,
  };
}

/** The tag of the joint in hand: the one it has, or the next free one where it gets its tag at this step. */
export interface TagAtStep {
  readonly number: number;
  readonly fresh: boolean;
}

/** The tag that goes on, or is on, both ends at `operation`; undefined where there is none. */
export function tagAt(state: JobState, { kind, phase, connection: id }: Operation): TagAtStep | undefined {
  const connection = id === undefined ? undefined : state.work.connections.get(id);
  if (!connection || !wantsTag(connection)) return undefined;
  const on = state.tags.get(connection.id);
  if (on !== undefined) return { number: on, fresh: false };
  return phase === 'strip' || kind === 'disconnect' ? { number: nextTag(state), fresh: true } : undefined;
}

/** A fluid that is measured at a step, and how much of it ran out. */
export interface FluidAtStep {
  readonly circuit: Circuit;
  readonly direction: 'out' | 'in';
  readonly ranOut?: number;
}

/** The fluid measured at `operation`, or undefined where none is. */
export function fluidAt(state: JobState, { kind, circuit: id }: Operation): FluidAtStep | undefined {
  const circuit = state.work.plan.map.circuits.find((one) => one.id === id);
  if (!circuit) return undefined;
  const ranOut = state.litres.get(circuit.id)?.out;
  return { circuit, direction: kind === 'drain' ? 'out' : 'in', ...(ranOut === undefined ? {} : { ranOut }) };
}
