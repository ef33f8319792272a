import type { Operation, WorkPhase } from '../teardown/index.js';
import type { Struggle } from './entries/steps/operation-stuck.js';
import { stuckSteps, unsettled } from './reading.js';
import type { JobState } from './state.js';
import { waitsFor } from './waits-for.js';

const MINUTE_MS = 60_000;

/** A step nobody’s hands are needed for until its time is up: a stuck joint that soaks, or a wait of the plan that runs. */
export interface LeftToItself {
  readonly operation: Operation;
  /** When somebody may go on with it, in milliseconds since the epoch. */
  readonly readyMs: number;
  /** When the least time it can take is up. */
  readonly leastMs: number;
  /** What it soaks for; absent where the plan itself says to wait. */
  readonly struggle?: Struggle;
}

/** Stuck steps that soak or have soaked, and waits that run or have run, the one that is ready first at the front. */
export function leftToItself(state: JobState): readonly LeftToItself[] {
  const soaking = stuckSteps(state).flatMap((operation): readonly LeftToItself[] => {
    const struggle = state.struggles.get(operation.id)?.at(-1);
    if (struggle?.soakMin === undefined) return [];
    const readyMs = Date.parse(struggle.at) + struggle.soakMin * MINUTE_MS;
    return [{ operation, struggle, readyMs, leastMs: readyMs }];
  });
  const waits = waitsLeft(state).flatMap((wait) => runningSince(state, wait));
  return [...soaking, ...waits].sort((one, other) => one.readyMs - other.readyMs);
}

/** The waits of `phase` that no hand is needed for yet, going by the time of the last entry. */
export function notYetOver(state: JobState, phase: WorkPhase): readonly Operation[] {
  const nowMs = Date.parse(state.entries.at(-1)?.at ?? '');
  return waitsLeft(state, phase).filter((wait) =>
    runningSince(state, wait).every(({ readyMs }) => !(readyMs <= nowMs)),
  );
}

const waitsLeft = (state: JobState, phase?: WorkPhase) =>
  unsettled(state, phase).filter(({ id, kind }) => kind === 'wait' && !state.progress.has(id));

/** A wait runs as soon as nothing has to come before it any more, and is over after its usual time; none: not yet. */
function runningSince(state: JobState, operation: Operation): readonly LeftToItself[] {
  const sinceMs = waitsFor(state, operation).length === 0 ? beganMs(state, operation) : undefined;
  if (sinceMs === undefined) return [];
  const { low, likely } = operation.minutes;
  return [{ operation, readyMs: sinceMs + likely * MINUTE_MS, leastMs: sinceMs + low * MINUTE_MS }];
}

/** When the last thing `wait` comes after was done, or the first entry of the job where it comes after nothing. */
function beganMs(state: JobState, wait: Operation): number | undefined {
  const before = (state.work.into.get(wait.id) ?? []).flatMap(({ before: id }) => {
    const progress = state.progress.get(id);
    return progress ? [Date.parse(progress.at)] : [];
  });
  const firstMs = state.entries[0] ? [Date.parse(state.entries[0].at)] : [];
  const times = before.length > 0 ? before : firstMs;
  return times.length > 0 ? Math.max(...times) : undefined;
}
