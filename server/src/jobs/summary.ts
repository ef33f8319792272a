import type { Job, JobSummary } from '@brisk/contracts/job';
import {
  holding,
  isSettled,
  nextUp,
  onTheWayOut,
  runSheet,
  stopOf,
  stuckSteps,
  type JobState,
} from '@brisk/core/ledger';

/** Summaries made already; a state never changes, so neither does its summary. */
const made = new WeakMap<JobState, JobSummary>();

/** A job as the yard shows it, computed from its fold once for each state. */
export function summaryOf(job: Job, state: JobState): JobSummary {
  const known = made.get(state) ?? summarise(job, state);
  made.set(state, known);
  return known;
}

function summarise(job: Job, state: JobState): JobSummary {
  const { id, title, machine, reason, crew, dueOn } = job;
  const next = nextUp(state);
  const operations = [...state.work.operations.values()];
  const lastEntryAt = state.entries.at(-1)?.at;
  return {
    id,
    title,
    machine,
    reason,
    crew,
    ...(dueOn ? { dueOn } : {}),
    stop: stopOf(state),
    handedOver: state.handedOver !== undefined,
    nextStep: state.handedOver ? 'Handed over' : (next?.operation.title ?? 'Crank it: the engine has to run first'),
    blockedBy: blocksOf(state),
    holding: onTheWayOut(state) ? holding(state).length : 0,
    stepsDone: operations.filter((operation) => isSettled(state, operation)).length,
    steps: operations.length,
    minutesLeft: Math.round(runSheet(state).minutes.likely),
    position: state.position,
    ...(lastEntryAt ? { lastEntryAt } : {}),
  };
}

function blocksOf(state: JobState): readonly string[] {
  const stuck = stuckSteps(state).map(({ title }) => `Stuck: ${title}`);
  const waiting = [...state.needs.values()].flatMap(({ name, arrived }) => (arrived ? [] : [`Waiting for: ${name}`]));
  const issues = [...state.issues.values()].flatMap(({ title, sort, closed }) =>
    !closed && sort === 'real' ? [`Trouble: ${title}`] : [],
  );
  return [...stuck, ...issues, ...waiting];
}
