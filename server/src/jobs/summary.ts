import type { Job, JobSummary } from '@brisk/contracts/job';
import { standingOf } from '@brisk/core/journey';
import type { JobState } from '@brisk/core/ledger';

/** A job as the yard shows it. */
export function summaryOf(job: Job, state: JobState): JobSummary {
  const { id, title, machine, reason, crew, dueOn, unchecked } = job;
  const more = { ...(dueOn ? { dueOn } : {}), ...(unchecked ? { unchecked } : {}) };
  return { id, title, machine, reason, crew, ...more, ...standingOf(state) };
}

/** A job of which no more is known than what its document still tells. */
export function unreadableSummary(id: string, document: string, words: string): JobSummary {
  const told = (field: string) => new RegExp(`"${field}":"((?:[^"\\\\]|\\\\.)*)"`).exec(document)?.[1] ?? '';
  return {
    id,
    title: told('title') || `Job ${id.slice(0, 8)}`,
    machine: told('machine'),
    reason: 'same-back',
    crew: [],
    unreadable: words,
    stop: 'survey',
    handedOver: false,
    nextStep: '',
    blockedBy: [],
    holding: 0,
    stepsDone: 0,
    steps: 0,
    minutesLeft: 0,
    position: 0,
  };
}
