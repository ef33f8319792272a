import type { Adaptation } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { several } from '../../../words/index.js';
import { rework } from '../../at-the-bench.js';
import { isDone } from '../../reading.js';
import { NOTHING, refuse } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** The lines of the splice list became steps of the plan; they take the place of those before. */
export interface SplicesPlanned {
  readonly kind: 'splices-planned';
  readonly steps: readonly Adaptation[];
}

export const splicesPlanned: EntryRules<SplicesPlanned> = {
  mayFollow(state, { steps }) {
    if (isDone(state, operationId.hold('pre-start')))
      return refuse('order', 'It is signed ready to start. Splices are planned before that.');
    const ids = new Set(steps.map(({ id }) => id));
    if (ids.size < steps.length) return refuse('sense', 'Two of those steps are one and the same.');
    const others = new Set((state.plan.adaptations ?? []).map(({ id }) => id));
    if (steps.some(({ id }) => others.has(id))) return refuse('twice', 'A step of that name is in the plan already.');
    const lost = state.spliceSteps.filter(({ id }) => !ids.has(id) && isDone(state, operationId.adapt(id)));
    return lost.length === 0
      ? NOTHING
      : refuse('order', `“${lost[0]?.title ?? ''}” is made already and would belong to nothing. Take it back first.`);
  },
  fold(draft, { steps }) {
    draft.spliceSteps = [...steps];
    rework(draft);
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  fills: () => ['steps'],
  words: ({ steps }) => `Put into the plan: ${several(steps.length, 'splice')}`,
};
