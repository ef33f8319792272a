import type { Connection, ConnectionId } from '../connection-map/index.js';
import { operationId } from '../teardown/index.js';
import { isDone, isSettled } from './reading.js';
import type { JobState } from './state.js';

/** One joint of a group that stays loose until all of it is in. */
export interface GroupJoint {
  readonly connection: Connection;
  /** Started by fingers; undefined where that is no step of its own. */
  readonly byHand?: boolean;
  readonly in: boolean;
  readonly tight: boolean;
  /** What has to be tight first, and why. */
  readonly after: readonly { readonly connection: ConnectionId; readonly name: string; readonly why: string }[];
}

/** Joints that are drawn together loose, and tightened in an order of their own. */
export interface LooseGroup {
  readonly name: string;
  /** In the order they are tightened. */
  readonly joints: readonly GroupJoint[];
  readonly startedByHand: number;
  readonly in: number;
  readonly tight: number;
  readonly allIn: boolean;
  readonly final: boolean;
  /** The joint to see to next: to be started, closed, or, once all are in, tightened. */
  readonly next?: GroupJoint;
}

/** What carries the weight is one group on every machine. */
const MOUNTS = 'mounts';

/** The groups of the way back: what carries the weight, and what the map names to stay loose until all of it is in. */
export function looseGroups(state: JobState): readonly LooseGroup[] {
  const groups = new Map<string, Connection[]>();
  for (const connection of state.work.connections.values()) {
    const closing = state.work.operations.get(operationId.close(connection.id));
    if (closing?.phase !== 'refit' || !connection.refit.torque) continue;
    const name = connection.refit.torque.looseUntilAllIn ?? (connection.carriesLoad ? MOUNTS : undefined);
    if (name !== undefined && !(isSettled(state, closing) && !isDone(state, closing.id)))
      groups.set(name, [...(groups.get(name) ?? []), connection]);
  }
  return [...groups].filter(([, joints]) => joints.length > 1).map(([name, joints]) => groupOf(state, name, joints));
}

function groupOf(state: JobState, name: string, connections: readonly Connection[]): LooseGroup {
  const joints = inOrder(connections).map((connection) => jointIn(state, connection, connections));
  const count = (is: (joint: GroupJoint) => boolean | undefined) => joints.filter(is).length;
  const allIn = joints.every((joint) => joint.in);
  const next =
    joints.find(({ byHand }) => byHand === false) ??
    joints.find((joint) => !joint.in) ??
    joints.find(
      ({ tight, after }) =>
        !tight && after.every((one) => joints.find((other) => other.connection.id === one.connection)?.tight),
    );
  return {
    name,
    joints,
    startedByHand: count(({ byHand, in: closed }) => byHand ?? closed),
    in: count((joint) => joint.in),
    tight: count(({ tight }) => tight),
    allIn,
    final: joints.every(({ tight }) => tight),
    ...(next ? { next } : {}),
  };
}

function jointIn(state: JobState, connection: Connection, group: readonly Connection[]): GroupJoint {
  const { id, refit } = connection;
  const start = operationId.start(id);
  return {
    connection,
    ...(state.work.operations.has(start) ? { byHand: isDone(state, start) } : {}),
    in: isDone(state, operationId.close(id)),
    tight: isDone(state, operationId.torque(id)),
    after: (refit.torque?.after ?? []).flatMap(({ connection: other, why }) => {
      const found = group.find((one) => one.id === other);
      return found ? [{ connection: other, name: found.name, why }] : [];
    }),
  };
}

/** Joints so that each comes after those it waits for; otherwise as the map has them. */
function inOrder(connections: readonly Connection[]): readonly Connection[] {
  const placed: Connection[] = [];
  const left = [...connections];
  while (left.length > 0) {
    const at = left.findIndex(({ refit }) =>
      (refit.torque?.after ?? []).every(({ connection }) => !left.some(({ id }) => id === connection)),
    );
    placed.push(...left.splice(Math.max(0, at), 1));
  }
  return placed;
}
