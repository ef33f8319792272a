import { minutesByOperation, type JobState, type Means, type Trouble } from '../ledger/index.js';
import type { OperationId } from '../teardown/index.js';
import { learnedMinutes, type Learned } from './learned.js';

/** A job of the shop, this one or an older one. */
export interface PastJob {
  readonly id: string;
  readonly title: string;
  readonly machine: string;
  readonly state: JobState;
}

/** Something the shop wrote down for the next time. */
export interface HouseNote {
  readonly text: string;
  readonly by: string;
  readonly at: string;
  readonly machine: string;
}

/** A step that fought back on another job, and how it went. */
export interface HouseTrouble {
  readonly trouble: Trouble;
  readonly tried: string;
  readonly means: readonly Means[];
  /** Whether the step was done in the end. */
  readonly came: boolean;
  readonly at: string;
  readonly machine: string;
}

/** What the shop knows of each step of one kind of machine. */
export interface HouseKnowledge {
  readonly notes: Readonly<Record<OperationId, readonly HouseNote[]>>;
  readonly troubles: Readonly<Record<OperationId, readonly HouseTrouble[]>>;
  readonly minutes: Readonly<Record<OperationId, Learned>>;
}

/**
 * What the shop learned for job `id` from `jobs` on the same layout. Notes to keep and troubles are of other jobs only,
 * those of the same machine first, then the newest.
 */
export function houseOf(jobs: readonly PastJob[], id: string): HouseKnowledge {
  const here = jobs.find((job) => job.id === id);
  if (!here) return { notes: {}, troubles: {}, minutes: {} };
  const { layout } = here.state.plan.map;
  const others = jobs
    .filter((job) => job.id !== id && job.state.plan.map.layout === layout)
    .sort((one, other) => Number(other.machine === here.machine) - Number(one.machine === here.machine));

  const notes = new Map<OperationId, HouseNote[]>();
  const troubles = new Map<OperationId, HouseTrouble[]>();
  const times = new Map<OperationId, number[]>();
  for (const { machine, state } of others) {
    for (const { house, operation, text, by, at } of [...state.notes].reverse())
      if (house && operation !== undefined) add(notes, operation, { text, by, at, machine });
    for (const [operation, struggles] of state.struggles)
      for (const { trouble, tried, means = [], at } of struggles)
        add(troubles, operation, {
          trouble,
          tried,
          means,
          came: state.progress.get(operation)?.is === 'done',
          at,
          machine,
        });
    for (const [operation, minutes] of minutesByOperation(state)) add(times, operation, minutes);
  }
  const minutes = [...times].flatMap(([operation, own]) => {
    const book = here.state.work.operations.get(operation)?.minutes.likely;
    return book === undefined ? [] : [[operation, learnedMinutes(book, own)] as const];
  });
  return {
    notes: Object.fromEntries(notes),
    troubles: Object.fromEntries(troubles),
    minutes: Object.fromEntries(minutes),
  };
}

function add<Item>(to: Map<OperationId, Item[]>, operation: OperationId, item: Item): void {
  const list = to.get(operation) ?? [];
  list.push(item);
  to.set(operation, list);
}
