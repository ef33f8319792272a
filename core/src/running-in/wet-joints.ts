import type { Connection } from '../connection-map/index.js';
import { isDone, type JobState, type LeakSeen } from '../ledger/index.js';
import { operationId } from '../teardown/index.js';

/** A joint that holds something in, with what was last seen of it. */
export interface WetJoint {
  readonly connection: Connection;
  readonly seen?: LeakSeen;
}

/** Hoses and pipes of these hold nothing in that drips. */
const DRY = ['electrics', 'air', 'exhaust'];

/**
 * Joints that were open on this job, are closed and hold fluid in, in map order: those of a circuit, hoses and pipes that carry
 * one, and whatever somebody has seen leak.
 */
export function wetJoints(state: JobState): readonly WetJoint[] {
  return [...state.work.connections.values()].flatMap((connection): readonly WetJoint[] => {
    const { id, circuit, kind, system } = connection;
    const seen = state.leaks.get(id);
    const isWet = circuit !== undefined || ((kind === 'hose' || kind === 'pipe') && !DRY.includes(system));
    if (!seen && !isWet) return [];
    if (!isDone(state, operationId.close(id)) || !isDone(state, operationId.open(id))) return [];
    return [seen ? { connection, seen } : { connection }];
  });
}
