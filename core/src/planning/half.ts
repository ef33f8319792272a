import type { WorkPhase } from '../teardown/index.js';
import type { Half } from '../ledger/index.js';

/** The phases of work that are planned together. */
export const PHASES_OF: Readonly<Record<Half, readonly WorkPhase[]>> = {
  out: ['strip', 'lift'],
  back: ['refit', 'first-start', 'handover'],
};
