import { LONGEST_STRETCH_MIN } from './phase-time.js';
import type { JobState } from './state.js';

/** How long somebody has been at the step in hand. */
export interface StepClock {
  /** Working minutes, without breaks. */
  readonly minutes: number;
  readonly paused: boolean;
}

/**
 * The clock of `person` at `nowMs`: it runs from their last entry, or from `openedMs` where that was too long ago to be
 * one stretch of work, and stands while they are on a break.
 */
export function clockOf(state: JobState, person: string, openedMs: number, nowMs: number): StepClock {
  const paused = state.paused.has(person);
  let fromMs = openedMs;
  let restMs = 0;
  let restBeganMs: number | undefined;
  for (const { by, at, kind, id } of state.entries) {
    if (by !== person || state.corrected.has(id)) continue;
    const atMs = Date.parse(at);
    if (kind === 'work-paused') restBeganMs = atMs;
    else if (kind === 'work-resumed') {
      if (restBeganMs !== undefined) restMs += atMs - restBeganMs;
      restBeganMs = undefined;
    } else {
      fromMs = atMs;
      restMs = 0;
    }
  }
  const untilMs = paused && restBeganMs !== undefined ? restBeganMs : nowMs;
  const worked = (untilMs - fromMs - restMs) / 60_000;
  if (worked > LONGEST_STRETCH_MIN)
    return { minutes: Math.max(0, (untilMs - Math.max(openedMs, fromMs)) / 60_000), paused };
  return { minutes: Math.max(0, worked), paused };
}
