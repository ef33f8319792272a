import type { Operation } from '../teardown/index.js';
import { hasRun, holding, isSettled } from './reading.js';
import type { Refusal } from './refusal.js';
import type { JobState } from './state.js';

/** What stands in the way of doing `operation` now, apart from how high the machine stands. */
export function waitsFor(state: JobState, operation: Operation): readonly Refusal[] {
  const { work } = state;
  const refusals: Refusal[] = (work.into.get(operation.id) ?? []).flatMap(({ before, reason }) => {
    const earlier = work.operations.get(before);
    return earlier && !isSettled(state, earlier)
      ? [{ because: 'order' as const, words: `First: ${earlier.title}. ${reason.words}` }]
      : [];
  });
  if (operation.kind === 'lift') {
    const held = holding(state);
    if (held.length > 0)
      refusals.push({
        because: 'holding',
        words: `${held.length} still hold it: ${held.map(({ connection }) => connection.name).join(', ')}.`,
      });
  }
  if (operation.needsRunning && !hasRun(state))
    refusals.push({ because: 'order', words: 'The engine has to have run.' });
  return refusals;
}
