import { NOTHING, refuse } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** Whoever writes it stops working for a while. */
export interface WorkPaused {
  readonly kind: 'work-paused';
}

export const workPaused: EntryRules<WorkPaused> = {
  mayFollow: ({ paused }, { by }) => (paused.has(by) ? refuse('twice', `${by} is on a break already.`) : NOTHING),
  fold: (draft, { by }, mark) => void draft.paused.set(by, mark),
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  words: () => 'Break',
};
