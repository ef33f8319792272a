import { NOTHING, refuse } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** Whoever writes it goes on with the work. */
export interface WorkResumed {
  readonly kind: 'work-resumed';
}

export const workResumed: EntryRules<WorkResumed> = {
  mayFollow: ({ paused }, { by }) => (paused.has(by) ? NOTHING : refuse('twice', `${by} is at work already.`)),
  fold: (draft, { by }) => void draft.paused.delete(by),
  stop: () => 'strip',
  minutes: 'a-break',
  words: () => 'Back at work',
};
