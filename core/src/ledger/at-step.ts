import type { Circuit, ConnectionId } from '../connection-map/index.js';
import type { Operation } from '../teardown/index.js';
import { keptWhere, setCountOf, setsOf } from './counting.js';
import { circuitNow } from './fluids-now.js';
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

/** A fluid that is measured at a step. */
export interface FluidAtStep {
  readonly circuit: Circuit;
  readonly direction: 'out' | 'in';
  /** How much of it ran out before. */
  readonly ranOut?: number;
  /** The joint it runs out at, where that is opened and not the drain. */
  readonly joint?: ConnectionId;
  /** What must still be inside, in litres. */
  readonly insideL: number;
}

/** Less than this left inside is a drip, in litres. */
const A_DRIP_L = 0.2;

/**
 * The fluid measured at `operation`, or undefined where none is: where a circuit is drained or filled, and where the lowest of
 * its joints is opened and some is still inside.
 */
export function fluidAt(state: JobState, { kind, circuit: id, connection }: Operation): FluidAtStep | undefined {
  const opening = kind === 'disconnect' && connection !== undefined;
  const now = circuitNow(state, id ?? (opening ? state.work.connections.get(connection)?.circuit : undefined) ?? '');
  if (!now) return undefined;
  const { circuit, caughtL, insideL, drained, comesOutAt } = now;
  const runsOut = drained && insideL >= A_DRIP_L && comesOutAt[0]?.id === connection;
  if (opening && !runsOut) return undefined;
  return {
    circuit,
    direction: opening || kind === 'drain' ? 'out' : 'in',
    ...(caughtL === undefined ? {} : { ranOut: caughtL }),
    ...(opening ? { joint: connection } : {}),
    insideL,
  };
}
