import { LOOK_WORDS } from '../adjusting/index.js';
import type { HoldPoint, HoldPointId } from '../connection-map/index.js';
import { operationId, type Operation, type OperationId } from '../teardown/index.js';
import { adjustmentsOf } from './adjustments.js';
import { groundsOf, heldTo } from './counting.js';
import { looksLeft } from './looks-left.js';
import { isSettled } from './reading.js';
import type { JobState, Mark } from './state.js';
import { sentence } from '../words/index.js';

/** Why a hold point cannot be signed yet: what is missing, sorted by what it means. */
export interface Blocker {
  readonly operation: OperationId;
  readonly is:
    | 'make-safe'
    | 'holds'
    | 'not-off'
    | 'open'
    | 'torque'
    | 'unfilled'
    | 'ground'
    | 'look'
    | 'adjust'
    | 'step';
  readonly words: string;
}

/** A hold point as it stands: what it waits for, what a person confirms, and whether it is signed. */
export interface Gate {
  readonly holdPoint: HoldPoint;
  readonly blockers: readonly Blocker[];
  readonly signed?: Mark;
  /** Two people look and sign. */
  readonly twoSign: boolean;
  /** The first of two has signed. */
  readonly firstOfTwo?: Mark;
}

/** What the hold point `id` of a job is called. */
export function holdPointName({ work }: JobState, id: HoldPointId): string {
  return work.plan.map.holdPoints.find((point) => point.id === id)?.name ?? id;
}

/** The gate `id` of a job, computed from its edges and its ledger. */
export function gateOf(state: JobState, id: HoldPointId): Gate {
  const operation = operationId.hold(id);
  const progress = state.progress.get(operation);
  const holdPoint = state.work.holdPoints.find((point) => point.id === id) ?? {
    id,
    name: id,
    confirmations: [],
  };
  const boundary = new Set(state.work.boundary.map((connection) => connection.id));
  const blockers = (state.work.into.get(operation) ?? []).flatMap(({ before }) => {
    const waiting = state.work.operations.get(before);
    return waiting && !isSettled(state, waiting) ? [blocker(waiting, boundary)] : [];
  });
  if (id === 'pre-start' && heldTo(state, 2)) blockers.push(...groundBlockers(state));
  if (id === 'pre-start' && heldTo(state, 5)) blockers.push(...lookBlockers(state), ...adjustBlockers(state));
  const first = state.firstSigned.get(id);
  return {
    holdPoint,
    blockers,
    ...(progress?.is === 'done' ? { signed: progress } : {}),
    twoSign: state.twoSign.has(id),
    ...(first ? { firstOfTwo: first } : {}),
  };
}

/** Grounds that were off and nobody has looked at since, or looked at and found bad. */
function groundBlockers(state: JobState): readonly Blocker[] {
  return groundsOf(state).flatMap(({ connection: { id, name }, check }): readonly Blocker[] =>
    check?.good || state.leftAsItIs.has(id)
      ? []
      : [
          {
            operation: operationId.close(id),
            is: 'ground',
            words: check ? `Make good: ${name}${check.note ? ` (${check.note})` : ''}` : `Look at the ground: ${name}`,
          },
        ],
  );
}

/** Looks nobody took as joints went together, and those that came out bad. */
function lookBlockers(state: JobState): readonly Blocker[] {
  return looksLeft(state).map(({ connection: { id, name }, left, bad }): Blocker => ({
    operation: operationId.close(id),
    is: 'look',
    words: `${sentence(name)}: ${[
      ...left.map((look) => `${LOOK_WORDS[look].asked}?`),
      ...bad.map((look) => `make good: ${LOOK_WORDS[look].asked}`),
    ].join(' ')}`,
  }));
}

/** What is set by trying and is not right yet. */
function adjustBlockers(state: JobState): readonly Blocker[] {
  return adjustmentsOf(state)
    .filter(({ closed, done }) => closed && !done)
    .map(({ connection: { id, name }, words }): Blocker => ({
      operation: operationId.close(id),
      is: 'adjust',
      words: `${sentence(name)}: ${words}`,
    }));
}

function blocker(operation: Operation, boundary: ReadonlySet<string>): Blocker {
  const { id, title, kind, connection } = operation;
  const words = title;
  switch (kind) {
    case 'make-safe':
    case 'support':
      return { operation: id, is: 'make-safe', words };
    case 'disconnect':
      return { operation: id, is: connection !== undefined && boundary.has(connection) ? 'holds' : 'not-off', words };
    case 'remove':
      return { operation: id, is: 'not-off', words };
    case 'connect':
    case 'start-by-hand':
      return { operation: id, is: 'open', words };
    case 'torque':
      return { operation: id, is: 'torque', words };
    case 'drain':
    case 'fill':
      return { operation: id, is: 'unfilled', words };
    default:
      return { operation: id, is: 'step', words };
  }
}
