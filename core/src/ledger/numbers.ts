import type { Connection, FastenerSet } from '../connection-map/index.js';
import type { JobState } from './state.js';

/** The next bag number nobody has used on this job. */
export function nextBag({ bags }: JobState): number {
  return 1 + Math.max(0, ...[...bags.values()].map(({ out }) => out?.bag ?? 0));
}

/** The next tag number nobody has used on this job. */
export function nextTag({ tags }: JobState): number {
  return 1 + Math.max(0, ...tags.values());
}

/** Whether `connection` has two halves or two ends that could be confused, and so gets a tag on both. */
export function wantsTag({ kind }: Connection): boolean {
  return kind === 'plug' || kind === 'hose' || kind === 'pipe' || kind === 'cable' || kind === 'ground';
}

/** How many fasteners there are in `sets`. */
export function fastenerCount(sets: readonly FastenerSet[]): number {
  return sets.reduce((sum, { count }) => sum + count, 0);
}
