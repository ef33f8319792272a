import { isPlane, PLANES, type PlaneName } from '../../../shape/index.js';
import { NOTHING, unknown } from '../../refusal.js';
import { stopOf } from '../../reading.js';
import type { EntryRules } from '../entry-rules.js';

/** What a tape gave on the machine in the shed: how far a reference plane is from the one it hangs on, in mm. */
export interface MachineMeasured {
  readonly kind: 'machine-measured';
  readonly plane: PlaneName;
  readonly mm: number;
}

export const machineMeasured: EntryRules<MachineMeasured> = {
  mayFollow: (_, { plane }) => (isPlane(plane) ? NOTHING : unknown('measure', plane)),
  fold: (draft, { plane, mm }) => void draft.measured.set(plane, mm),
  stop: (state) => stopOf(state),
  minutes: 'by-itself',
  fills: ({ plane }) => [plane],
  words: ({ plane, mm }) => `${mm} mm to the ${PLANES[plane].words}`,
};
