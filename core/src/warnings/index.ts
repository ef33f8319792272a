/**
 * Warnings: what a tester or a lamp says after a refit, sorted by what is open or left off now, what was undone on this job, the
 * volts there were, and what was there before the job.
 */
export { sortWarning, warningsIn, type SortedWarning } from './sort-warning.js';
