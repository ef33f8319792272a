import { planHeldTo, type Connection, type ConnectionId, type FastenerSet } from '../connection-map/index.js';
import { readFastener, type Home } from '../fasteners/index.js';
import { operationId } from '../teardown/index.js';
import type { LooseBolt } from './entries/fasteners/bolt-found.js';
import type { Accepted } from './entries/fasteners/count-accepted.js';
import type { Keeping } from './entries/fasteners/keeping-chosen.js';
import type { GroundCheck } from './entries/start/ground-checked.js';
import { isDone } from './reading.js';
import type { JobState } from './state.js';

/** Whether a job is held to the rules of `edition`. */
export function heldTo({ plan }: JobState, edition: number): boolean {
  return planHeldTo(plan, edition);
}

/** What holds a joint: as somebody found it, or else as the map has it. */
export function setsOf(state: JobState, connection: ConnectionId): readonly FastenerSet[] {
  return state.sets.get(connection) ?? state.work.connections.get(connection)?.fasteners ?? [];
}

/** One joint’s fasteners, out against in. */
export interface SetCount {
  readonly connection: Connection;
  /** How many there ought to be: as many as belong there, or more where more came out. */
  readonly full: number;
  /** How many are at hand: what was counted out, and loose ones that were found to belong here. */
  readonly held: number;
  readonly out?: number;
  readonly in?: number;
  readonly kept?: Keeping;
  readonly bag?: number;
  readonly closed: boolean;
  /** Counted in, and this many still in the bag. */
  readonly left: number;
  /** Counted in, and this many holes without one. */
  readonly missing: number;
  readonly accepted?: Accepted;
}

/** How the fasteners of `connection` stand, or undefined where it has none and none were counted. */
export function setCountOf(state: JobState, id: ConnectionId): SetCount | undefined {
  const connection = state.work.connections.get(id);
  const bag = state.bags.get(id);
  const belong = setsOf(state, id).reduce((sum, { count }) => sum + count, 0);
  if (!connection || (belong === 0 && !bag?.out)) return undefined;
  const out = bag?.out?.count;
  const full = Math.max(belong, out ?? 0);
  const homed = [...state.loose.values()].filter(({ home }) => home?.connection === id).length;
  const held = Math.min(full, (out ?? 0) + homed);
  const counted = bag?.in?.count;
  const keeping = bag?.out && keptWhere(bag.out.kept, bag.out.bag);
  const accepted = state.countsAccepted.get(id);
  return {
    connection,
    full,
    held,
    ...(out === undefined ? {} : { out }),
    ...(counted === undefined ? {} : { in: counted }),
    ...(keeping ? { kept: keeping } : {}),
    ...(bag?.out?.bag === undefined ? {} : { bag: bag.out.bag }),
    closed: isDone(state, operationId.close(id)),
    left: counted === undefined ? 0 : Math.max(0, held - counted),
    missing: counted === undefined ? 0 : Math.max(0, full - counted),
    ...(accepted ? { accepted } : {}),
  };
}

/** Where fasteners are that were counted out; older ledgers only said whether there was a bag. */
export function keptWhere(kept: Keeping | undefined, bag: number | undefined): Keeping {
  return kept ?? (bag === undefined ? 'hole' : 'bag');
}

/** Every joint with fasteners that was counted or opened, in map order. */
export function setCounts(state: JobState): readonly SetCount[] {
  return [...state.work.connections.keys()].flatMap((id) => {
    if (!state.bags.has(id) && !isDone(state, operationId.open(id))) return [];
    const count = setCountOf(state, id);
    return count ? [count] : [];
  });
}

/** Why a set does not come out even, in words; undefined where it does, nobody counted it out, or it was accepted. */
export function unevenWords(count: SetCount | undefined): string | undefined {
  if (!count || count.out === undefined || count.accepted) return undefined;
  if (count.in === undefined) return 'Count the fasteners in first.';
  if (count.in > count.full)
    return `${count.in} went in and only ${count.full} belong here: one is from somewhere else.`;
  if (count.in === count.full) return undefined;
  const place = count.bag === undefined ? 'Not all that came out went in' : `Bag ${count.bag} is not empty`;
  const left = count.left > 0 ? `${place}: ${count.left} left. ` : '';
  return `${left}The set is not full: ${count.in} of ${count.full} in. Find it, fit another, or accept it with a reason.`;
}

/** What is left over and what is missing on the whole job, and loose fasteners without a home. */
export interface LeftAndMissing {
  readonly left: readonly SetCount[];
  readonly missing: readonly SetCount[];
  readonly loose: readonly LooseBolt[];
}

/** What is left over and what is missing now. */
export function leftAndMissing(state: JobState): LeftAndMissing {
  const counts = setCounts(state).filter(({ closed }) => closed);
  return {
    left: counts.filter(({ left }) => left > 0),
    missing: counts.filter(({ missing }) => missing > 0),
    loose: looseBolts(state),
  };
}

/** Loose fasteners nobody has found the home of. */
export function looseBolts(state: JobState): readonly LooseBolt[] {
  return [...state.loose.values()].filter(({ home, aside }) => !home && !aside);
}

/** A joint where one is missing is so much likelier than one whose count came out right, and one nobody counted. */
const LIKELY = { missing: 1, uncounted: 0.5, counted: 0.02 } as const;

/** Where a loose fastener may belong: every kind of fastener of every joint that is open or does not come out even. */
export function openHomes(
  state: JobState,
): readonly (Home & { readonly connection: ConnectionId; readonly set: number })[] {
  return setCounts(state).flatMap((count) => {
    const { id } = count.connection;
    const gone = count.closed ? count.missing : count.out === undefined ? 0 : count.full - count.held;
    if (count.closed && gone === 0) return [];
    return setsOf(state, id).map((set, index) => ({
      id: `${id}#${index}`,
      connection: id,
      set: index,
      spec: readFastener(set.what),
      room: Math.max(1, Math.min(set.count, gone > 0 ? gone : set.count)),
      weight: gone > 0 ? LIKELY.missing : count.out === undefined ? LIKELY.uncounted : LIKELY.counted,
    }));
  });
}

/** A ground that was opened on this job, and whether it was looked at since. */
export interface Ground {
  readonly connection: Connection;
  readonly tag?: number;
  readonly closed: boolean;
  readonly check?: GroundCheck;
}

/** Grounds opened on this job, in map order: a forgotten one gives faults that look like something else. */
export function groundsOf(state: JobState): readonly Ground[] {
  return [...state.work.connections.values()].flatMap((connection): readonly Ground[] => {
    const { id, kind } = connection;
    if (kind !== 'ground' || !isDone(state, operationId.open(id)) || !state.work.operations.has(operationId.close(id)))
      return [];
    const tag = state.tags.get(id);
    const check = state.grounds.get(id);
    return [
      {
        connection,
        ...(tag === undefined ? {} : { tag }),
        closed: isDone(state, operationId.close(id)),
        ...(check ? { check } : {}),
      },
    ];
  });
}
