import { isDone } from '../../reading.js';
import { NOTHING, refuse } from '../../refusal.js';
import { operationId } from '../../../teardown/index.js';
import type { EntryRules } from '../entry-rules.js';

/** The side of a hanging load that lags behind the others. */
export const LAGGING = ['front', 'rear', 'left', 'right'] as const;
export type Lagging = (typeof LAGGING)[number];

/** What a crane scale says the hook carries, in kg, and which side of the load lags where one does. */
export interface LoadRead {
  readonly kind: 'load-read';
  readonly kg: number;
  readonly lagging?: Lagging;
}

/** A reading of the hook, as it was taken. */
export interface LoadReading {
  readonly kg: number;
  readonly lagging?: Lagging;
  readonly by: string;
  readonly at: string;
}

export const loadRead: EntryRules<LoadRead> = {
  mayFollow: (state) =>
    isDone(state, operationId.hold('pre-lift'))
      ? NOTHING
      : refuse('gate', 'Nothing hangs before the pre-lift hold point is signed.'),
  fold: (draft, { kg, lagging }, { by, at }) =>
    void draft.loads.push({ kg, ...(lagging === undefined ? {} : { lagging }), by, at }),
  stop: () => 'lift',
  minutes: 'of-what-comes-next',
  words: ({ kg, lagging }) => `${kg} kg on the hook${lagging === undefined ? '' : `, the ${lagging} lags`}`,
};
