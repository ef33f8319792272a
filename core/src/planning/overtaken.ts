import { stuckSteps, unsettled, type JobState } from '../ledger/index.js';
import { phasesOf, type Half } from '../teardown/index.js';

/** Something that happened since a plan was taken on, and that it does not know. */
export interface Overtaken {
  readonly is: 'stuck' | 'new';
  readonly title: string;
}

/** What the plan that is followed for `half` does not know yet: steps that got stuck since, and steps it does not have. */
export function overtakenBy(state: JobState, half: Half): readonly Overtaken[] {
  const followed = state.plans.get(half);
  if (!followed) return [];
  const known = new Set(followed.order);
  const waits = new Set(followed.settings.waits.map(({ operation }) => operation));
  // What hung on a step nobody knew the time of was left out on purpose.
  const leftOut = followed.settings.waits.some(({ min }) => min === undefined);
  const fresh = phasesOf(half)
    .flatMap((phase) => unsettled(state, phase))
    .filter(
      ({ id }) => !known.has(id) && !waits.has(id) && !(leftOut && !state.found.some((one) => id.includes(one.id))),
    );
  return [
    ...stuckSteps(state)
      .filter(({ id }) => known.has(id) && !waits.has(id))
      .map(({ title }): Overtaken => ({ is: 'stuck', title })),
    ...fresh.map(({ title }): Overtaken => ({ is: 'new', title })),
  ];
}
