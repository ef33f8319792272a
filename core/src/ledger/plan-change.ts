import type { JobPlan } from '../connection-map/index.js';
import { workOf } from '../work/index.js';
import { foldLedger } from './fold.js';
import type { JobState } from './state.js';

/**
 * What has been recorded and would be lost if the job went on by `plan`: each in words, none when the plan may change.
 * Throws `MapError` where the plan itself cannot be worked.
 */
export function lostBy(state: JobState, plan: JobPlan): readonly string[] {
  const work = workOf(plan, foldLedger(plan, state.entries).found);
  const lost = new Set<string>();
  for (const id of state.progress.keys()) {
    const title = state.work.operations.get(id)?.title ?? id;
    if (!work.operations.has(id)) lost.add(`“${title}” is recorded already; it has to stay in the plan.`);
  }
  const named: readonly (readonly [string, ReadonlyMap<string, unknown>])[] = [
    ['counted', state.bags],
    ['tagged', state.tags],
    ['torqued', state.torques],
    ['left as it is', state.leftAsItIs],
    ['drawn', state.patterns],
    ['looked at', state.grounds],
    ['judged', state.judged],
    ['described', state.sets],
  ];
  for (const [what, connections] of named)
    for (const id of connections.keys())
      if (!work.connections.has(id))
        lost.add(`${state.work.connections.get(id)?.name ?? id} has been ${what} already; it has to stay on the map.`);
  return [...lost];
}
