import type { Connection } from '../connection-map/index.js';
import { minutesByOperation, type JobState, type Means, type Trouble } from '../ledger/index.js';
import type { OperationId } from '../teardown/index.js';
import { learnedMinutes, type Learned } from './learned.js';

/** What one job has to teach, step by step. */
export interface Lessons {
  readonly notes: readonly Told<Omit<HouseNote, 'machine'>>[];
  readonly troubles: readonly Told<Omit<HouseTrouble, 'machine'>>[];
  readonly minutes: readonly Told<{ readonly minutes: number }>[];
  /** What held the powerpack and was not on the map; absent on a card of an earlier edition. */
  readonly found?: readonly Omit<HouseFound, 'machine'>[];
  /** What was wrong with it, and what helped; absent on a card of an earlier edition. */
  readonly causes?: readonly Omit<HouseCause, 'machine'>[];
}
type Told<Thing> = Thing & { readonly operation: OperationId };

/** A job of the shop that is over, or goes on elsewhere. */
export interface PastJob {
  readonly machine: string;
  readonly lessons: Lessons;
}

/** What the job of `state` has to teach: notes to keep, the newest first, steps that fought back, minutes taken. */
export function lessonsOf(state: JobState): Lessons {
  return {
    notes: [...state.notes]
      .reverse()
      .flatMap(({ house, operation, text, by, at }) =>
        house && operation !== undefined ? [{ operation, text, by, at }] : [],
      ),
    troubles: [...state.struggles].flatMap(([operation, struggles]) =>
      struggles.map(({ trouble, tried, means = [], at }) => ({
        operation,
        trouble,
        tried,
        means,
        came: state.progress.get(operation)?.is === 'done',
        at,
      })),
    ),
    minutes: [...minutesByOperation(state)].map(([operation, minutes]) => ({ operation, minutes })),
    found: state.found.map(({ name, kind, between, station }) => ({ name, kind, between, station })),
    causes: state.causesFound.map(({ cause, name, mended, at }) => ({ cause, name, mended, at })),
  };
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

/** Something that held on another machine of this kind and was not on its map. */
export interface HouseFound extends Pick<Connection, 'name' | 'kind' | 'between' | 'station'> {
  readonly machine: string;
}

/** What was wrong with another machine of this kind, and what was done about it. */
export interface HouseCause {
  /** The cause of the list, or `other`. */
  readonly cause: string;
  readonly name: string;
  readonly mended: string;
  readonly at: string;
  readonly machine: string;
}

/** What the shop knows of each step of one kind of machine. */
export interface HouseKnowledge {
  readonly notes: Readonly<Record<OperationId, readonly HouseNote[]>>;
  readonly troubles: Readonly<Record<OperationId, readonly HouseTrouble[]>>;
  readonly minutes: Readonly<Record<OperationId, Learned>>;
  /** What was found late on its other machines of this kind. */
  readonly found: readonly HouseFound[];
  /** What was wrong with its other machines of this kind, the newest first. */
  readonly causes: readonly HouseCause[];
}

/**
 * What the shop learned for the job of `here` on `machine` from `others` on the same layout, those of the same machine
 * first.
 */
export function houseOf(machine: string, here: JobState, others: readonly PastJob[]): HouseKnowledge {
  const notes = new Map<OperationId, HouseNote[]>();
  const troubles = new Map<OperationId, HouseTrouble[]>();
  const times = new Map<OperationId, number[]>();
  const nearestFirst = [...others].sort(
    (one, other) => Number(other.machine === machine) - Number(one.machine === machine),
  );
  for (const { machine: on, lessons } of nearestFirst) {
    for (const { operation, ...note } of lessons.notes) add(notes, operation, { ...note, machine: on });
    for (const { operation, ...trouble } of lessons.troubles) add(troubles, operation, { ...trouble, machine: on });
    for (const { operation, minutes } of lessons.minutes) add(times, operation, minutes);
  }
  const minutes = [...times].flatMap(([operation, own]) => {
    const book = here.work.operations.get(operation)?.minutes.likely;
    return book === undefined ? [] : [[operation, learnedMinutes(book, own)] as const];
  });
  return {
    notes: Object.fromEntries(notes),
    troubles: Object.fromEntries(troubles),
    minutes: Object.fromEntries(minutes),
    found: nearestFirst.flatMap(({ machine: on, lessons }) =>
      (lessons.found ?? []).map((one) => ({ ...one, machine: on })),
    ),
    causes: others
      .flatMap(({ machine: on, lessons }) => (lessons.causes ?? []).map((one) => ({ ...one, machine: on })))
      .sort((one, other) => other.at.localeCompare(one.at)),
  };
}

function add<Item>(to: Map<OperationId, Item[]>, operation: OperationId, item: Item): void {
  const list = to.get(operation) ?? [];
  list.push(item);
  to.set(operation, list);
}
