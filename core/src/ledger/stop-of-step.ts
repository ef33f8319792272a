import { PHASES, type OperationId, type WorkPhase } from '../teardown/index.js';
import type { JobState } from './state.js';

/** The stop at which `operation` is done, or undefined where the job has no such step. */
export function stopOfStep({ work }: JobState, operation: OperationId | undefined): WorkPhase | undefined {
  const phase = operation === undefined ? undefined : work.operations.get(operation)?.phase;
  return PHASES.find((one) => one === phase);
}
