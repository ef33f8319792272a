import type { Operation } from '../teardown/index.js';
import { stuckSteps } from './reading.js';
import type { Struggle } from './entries/steps/operation-stuck.js';
import type { JobState } from './state.js';

/** A stuck step that was left to soak. */
export interface Soaking {
  readonly operation: Operation;
  readonly struggle: Struggle;
  /** When it may be tried again, in milliseconds since the epoch. */
  readonly readyMs: number;
}

/** Stuck steps that soak or have soaked, the one that is ready first at the front. */
export function soakingSteps(state: JobState): readonly Soaking[] {
  return stuckSteps(state)
    .flatMap((operation): readonly Soaking[] => {
      const struggle = state.struggles.get(operation.id)?.at(-1);
      return struggle?.soakMin === undefined
        ? []
        : [{ operation, struggle, readyMs: Date.parse(struggle.at) + struggle.soakMin * 60_000 }];
    })
    .sort((one, other) => one.readyMs - other.readyMs);
}
