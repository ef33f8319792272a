import { PHASES, type OperationId, type WorkPhase } from '../teardown/index.js';
import type { JobState } from './state.js';

/** The eight stops of a job's journey. */
export const STOPS = ['survey', 'plan', 'strip', 'lift', 'bench', 'refit', 'first-start', 'handover'] as const;
export type Stop = (typeof STOPS)[number];

export const STOP_WORDS: Readonly<Record<Stop, string>> = {
  survey: 'Survey',
  plan: 'Plan',
  strip: 'Strip',
  lift: 'Lift',
  bench: 'Bench',
  refit: 'Refit',
  'first-start': 'First start',
  handover: 'Handover',
};

/** The stop at which `operation` is done, or undefined where the job has no such step. */
export function stopOfStep({ work }: JobState, operation: OperationId | undefined): WorkPhase | undefined {
  const phase = operation === undefined ? undefined : work.operations.get(operation)?.phase;
  return PHASES.find((one) => one === phase);
}
