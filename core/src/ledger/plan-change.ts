import type { JobPlan } from '../connection-map/index.js';
import { sentence } from '../words/index.js';
import { rulesOf } from './entries/registry.js';
import { foldLedger } from './fold.js';
import type { JobState } from './state.js';

/**
 * What has been recorded and would be lost if the job went on by `plan`: each in words, none when the plan may change.
 * Throws `MapError` where the plan itself cannot be worked.
 */
export function lostBy(state: JobState, plan: JobPlan): readonly string[] {
  const work = foldLedger(plan, state.entries).work;
  const circuits = new Set(work.plan.map.circuits.map(({ id }) => id));
  const lost = new Set<string>();
  for (const entry of state.entries) {
    if (state.corrected.has(entry.id)) continue;
    const bound = rulesOf(entry.kind).binds?.(entry) ?? {};
    const stays = (name: string) => `${sentence(name)} has been ${bound.been} already; it has to stay on the map.`;
    for (const id of bound.operations ?? [])
      if (!work.operations.has(id))
        lost.add(`“${state.work.operations.get(id)?.title ?? id}” is recorded already; it has to stay in the plan.`);
    for (const id of bound.connections ?? [])
      if (!work.connections.has(id)) lost.add(stays(state.work.connections.get(id)?.name ?? id));
    for (const id of bound.circuits ?? [])
      if (!circuits.has(id)) lost.add(stays(state.work.plan.map.circuits.find((one) => one.id === id)?.name ?? id));
  }
  return [...lost];
}
