import { AT_THE_BENCH_WORDS } from '../bench/index.js';
import { crossing, type Connection, type ConnectionId } from '../connection-map/index.js';
import { shapeToDraw } from '../layouts/shapes/index.js';
import { isDone, isOpen, isSettled, partsOut, type JobState } from '../ledger/index.js';
import { LATER } from '../refit/index.js';
import { operationId, type Operation, type OperationId } from '../teardown/index.js';
import { coveredBy, type Covered } from './covered.js';

/** A step that comes before the powerpack goes down. */
export interface FirstInStep {
  readonly operation: Operation;
  readonly why: string;
  readonly done: boolean;
  /** Passed over, or left as it is, and why. */
  readonly left?: string;
  /** What was measured at it. */
  readonly measured?: { readonly good: boolean; readonly words: string };
  /** The step of the way out whose photos show how it was. */
  readonly undoneAt?: OperationId;
}

/** Something that stays out, or open, until the powerpack is in. */
export interface LeftOut {
  readonly operation: Operation;
  readonly why: string;
}

/** Two things on the powerpack, or in the bay, of which one comes first. */
export interface ThisFirst {
  readonly first: Operation;
  readonly then: Operation;
  readonly why: string;
}

/** The board before the powerpack goes down. */
export interface FirstIn {
  /** On the powerpack, and in the machine. */
  readonly onIt: readonly FirstInStep[];
  readonly inMachine: readonly FirstInStep[];
  /** Loose ends of the machine that hang where it goes: tied back. */
  readonly tiedBack: readonly Connection[];
  readonly leftOut: readonly LeftOut[];
  readonly thisFirst: readonly ThisFirst[];
  /** What of the machine it will hide: looked at for the last time. */
  readonly lastLook: readonly Covered[];
}

/** What a hold point or a movement of the whole is, is no thing to be in. */
const NO_THING: readonly Operation['kind'][] = ['hold-point', 'lower', 'lift', 'support', 'shift', 'wait'];
/** What ties a loose end: these hang in the way of what goes down. */
const HANGS: readonly Connection['kind'][] = ['hose', 'pipe', 'plug', 'cable', 'ground', 'linkage', 'strap', 'shaft'];

/** What has to be in, off or aside before the powerpack of `state` goes down, from its order of work and its shapes. */
export function firstIn(state: JobState): FirstIn {
  const { work } = state;
  const { operations, into, lump, plan } = work;
  const gate = operationId.hold('pre-lower');
  const before = ancestors(state, [gate]);
  const lowering = [...operations.values()].filter(({ kind }) => kind === 'lower');
  const down = lowering.at(-1)?.id;
  const whyOf = new Map<OperationId, string>();
  for (const after of [gate, ...before])
    for (const edge of into.get(after) ?? [])
      // What a chore is for says more than that it is done before the gate; what has to be in says it there.
      if (!whyOf.has(edge.before) || whyOf.get(edge.before) === AT_THE_BENCH_WORDS)
        whyOf.set(edge.before, edge.reason.words);
  const steps = [...operations.values()]
    .filter(
      ({ id, kind, phase }) =>
        before.has(id) && (phase === 'refit' || phase === 'bench') && !NO_THING.includes(kind) && kind !== 'disconnect',
    )
    .map((operation) => stepOf(state, operation, whyOf.get(operation.id) ?? ''));
  const onIt = steps.filter(({ operation }) => isOnIt(state, operation));
  const crossed = new Set(crossing(plan.map.connections, lump).map(({ id }) => id));
  const waits = down === undefined ? new Set<OperationId>() : descendants(state, down);
  const shape = shapeToDraw(plan.map, Object.fromEntries(state.measured));
  const off = partsOut(state);
  const stays = new Set(plan.map.parts.map(({ id }) => id).filter((id) => !lump.has(id) && !off.has(id)));
  return {
    onIt,
    inMachine: steps.filter((step) => !onIt.includes(step)),
    tiedBack: [...work.connections.values()].filter(
      ({ id, kind }) => crossed.has(id) && HANGS.includes(kind) && isOpen(state, id),
    ),
    leftOut: [...operations.values()].flatMap((operation): readonly LeftOut[] => {
      const { id, kind, phase, connection } = operation;
      if (phase !== 'refit' || !waits.has(id) || isSettled(state, operation)) return [];
      const room = kind === 'fit';
      const gap = kind === 'connect' && connection !== undefined && !crossed.has(connection);
      const edge = (into.get(id) ?? []).find(
        ({ before: earlier, reason }) =>
          reason.kind === 'access' && (earlier === down || crossed.has(operations.get(earlier)?.connection ?? '')),
      );
      // What covers something is told so, not as what it covers would be.
      return (room || gap) && edge
        ? [{ operation, why: edge.reason.words.replace(LATER, 'What it covers goes on first. On the way out: ') }]
        : [];
    }),
    thisFirst: [...before].flatMap((after) =>
      (into.get(after) ?? []).flatMap((edge): readonly ThisFirst[] => {
        const [first, then] = [operations.get(edge.before), operations.get(after)];
        const both = first && then && isFitting(first) && isFitting(then);
        return both && edge.reason.kind === 'access' ? [{ first, then, why: edge.reason.words }] : [];
      }),
    ),
    lastLook: coveredBy(shape, lump, stays),
  };
}

/** Whether a step puts something on: a part, its bolts, or what goes over to another unit. */
const isFitting = ({ id, kind, part }: Operation) =>
  kind === 'fit' || kind === 'connect' || (kind === 'shift' && id === operationId.carryOver(part ?? ''));

function stepOf(state: JobState, operation: Operation, why: string): FirstInStep {
  const { id, connection, part } = operation;
  const progress = state.progress.get(id);
  const left =
    progress?.is === 'skipped' ? progress.reason : connection ? state.leftAsItIs.get(connection)?.reason : undefined;
  const seat = state.seats.get(id);
  const undone = undoneAt(connection, part).find((one) => isDone(state, one));
  return {
    operation,
    why,
    done: isDone(state, id),
    ...(left === undefined ? {} : { left }),
    ...(seat ? { measured: { good: seat.good || seat.accepted !== undefined, words: seat.words } } : {}),
    ...(undone === undefined ? {} : { undoneAt: undone }),
  };
}

function undoneAt(connection: ConnectionId | undefined, part: string | undefined): readonly OperationId[] {
  return [
    ...(connection === undefined ? [] : [operationId.open(connection)]),
    ...(part === undefined ? [] : [operationId.remove(part)]),
  ];
}

/** Whether a step is done to the powerpack: at the bench, or to parts that leave with it. */
function isOnIt(state: JobState, { phase, connection, part }: Operation): boolean {
  if (phase === 'bench') return true;
  const { lump, connections } = state.work;
  if (part !== undefined) return lump.has(part);
  return connections.get(connection ?? '')?.between.every((end) => lump.has(end)) ?? false;
}

/** Every step that has to be done before one of `ids`. */
function ancestors({ work }: JobState, ids: readonly OperationId[]): ReadonlySet<OperationId> {
  const found = new Set(ids);
  for (const id of found) for (const { before } of work.into.get(id) ?? []) found.add(before);
  ids.forEach((id) => found.delete(id));
  return found;
}

/** Every step that waits for `id`. */
function descendants({ work }: JobState, id: OperationId): ReadonlySet<OperationId> {
  const outOf = new Map<OperationId, OperationId[]>();
  for (const [after, edges] of work.into)
    for (const { before } of edges) outOf.set(before, [...(outOf.get(before) ?? []), after]);
  const found = new Set([id]);
  for (const one of found) for (const after of outOf.get(one) ?? []) found.add(after);
  found.delete(id);
  return found;
}
