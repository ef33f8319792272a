import {
  holding,
  isSettled,
  nextUp,
  onTheWayOut,
  runSheet,
  stopOf,
  stuckSteps,
  type JobState,
} from '../ledger/index.js';
import type { Stop } from '../stops/index.js';

/** How a job stands, in a few figures and words. */
export interface Standing {
  readonly stop: Stop;
  readonly handedOver: boolean;
  /** The next step, or what the job waits for. */
  readonly nextStep: string;
  /** What stands in its way: stuck steps, parts not arrived, real issues. */
  readonly blockedBy: readonly string[];
  /** How much still holds the powerpack, as long as it is in. */
  readonly holding: number;
  readonly stepsDone: number;
  readonly steps: number;
  readonly minutesLeft: number;
  readonly position: number;
  readonly lastEntryAt?: string;
  /** Second looks that are planned and not taken. */
  readonly secondLooks?: readonly { readonly what: string; readonly dueOn?: string }[];
}

/** How the job of `state` stands. */
export function standingOf(state: JobState): Standing {
  const next = nextUp(state);
  const operations = [...state.work.operations.values()];
  const lastEntryAt = state.entries.at(-1)?.at;
  const secondLooks = [...state.secondLooks.values()].flatMap(({ what, dueOn, done }) =>
    done ? [] : [{ what, ...(dueOn === undefined ? {} : { dueOn }) }],
  );
  return {
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
    ...(secondLooks.length > 0 ? { secondLooks } : {}),
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
