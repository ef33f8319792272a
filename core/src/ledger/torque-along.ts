import { operationId, type Operation } from '../teardown/index.js';
import { wrenchFor, type TorqueWrench } from '../torque/index.js';
import { jointOf } from './joint.js';
import { heightNeeded, isSettled } from './reading.js';
import type { JobState } from './state.js';

/** From so many bolts on a joint is tightened bolt by bolt, unless somebody says otherwise. */
export const MANY_BOLTS = 4;

/** A torque that one key may record together with the closing of its joint. */
export interface TorqueAlong {
  readonly operation: Operation;
  readonly targetNm: number;
  /** The wrench that is taken for it where nobody says otherwise. */
  readonly wrench: TorqueWrench;
}

/**
 * The torque whoever closes a joint at `operation` goes straight on to, as far as one click stands for all of it: a joint of few
 * bolts, without stages or an angle, that nothing but the closing holds, and that wants no other height, no more hands and no
 * more care than the closing.
 * Undefined where the closing has none, or it wants to be done by itself.
 */
export function torqueAlong(state: JobState, operation: Operation): TorqueAlong | undefined {
  const { kind, connection = '', hands, cautions } = operation;
  const torque = state.work.operations.get(operationId.torque(connection));
  const spec = state.work.connections.get(connection)?.refit.torque;
  if (kind !== 'connect' || !torque || !spec || isSettled(state, torque) || state.progress.has(torque.id))
    return undefined;
  const bySelf =
    spec.eachRead === true ||
    spec.angleDeg !== undefined ||
    spec.stages !== undefined ||
    (jointOf(state, connection)?.bolts ?? 0) >= MANY_BOLTS;
  const wrench = wrenchFor(spec.targetNm);
  if (
    bySelf ||
    !wrench ||
    torque.hands > hands ||
    !torque.cautions.every((one) => cautions.includes(one)) ||
    heightNeeded(state, torque) !== undefined
  )
    return undefined;
  if (state.torques.has(connection) || state.tightened.has(connection)) return undefined;
  const waits = (state.work.into.get(torque.id) ?? []).map(({ before }) => state.work.operations.get(before));
  const held = waits.some((one) => one !== undefined && one.id !== operation.id && !isSettled(state, one));
  return held ? undefined : { operation: torque, targetNm: spec.targetNm, wrench };
}
