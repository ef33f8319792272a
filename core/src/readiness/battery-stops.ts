import { startAdvice } from '../first-start/index.js';
import type { JobState } from '../ledger/index.js';

/**
 * Why nobody cranks now, though the hold point may be signed: what the attempts since the last trouble was closed did to the
 * battery, in words; none where nothing of that says stop.
 */
export function batteryStops({ attempts, causesFound }: JobState): readonly string[] {
  const closed = causesFound.at(-1)?.at;
  const since = attempts.filter(({ at }) => closed === undefined || at > closed);
  return startAdvice(since, since.at(-1)?.at ?? '')
    .filter(({ stop }) => stop)
    .map(({ words }) => words);
}
