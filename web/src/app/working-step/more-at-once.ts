import { rowAhead, tagAt, torqueAlong, type EntryBody, type JobState } from '@brisk/core/ledger';
import type { Operation } from '@brisk/core/teardown';
import { entriesAtStep, type SetAtStep } from './step-entries';
import type { Turns } from './turns';

/** A key that stands for more than the step in hand: the rest of a row of plugs, or a joint that is closed and clicked. */
export interface MoreAtOnce {
  /** What the key says. */
  readonly words: string;
  /** What is said beside it: the tags of the row, the wrench. */
  readonly beside: string;
  /** What else it stands for, step by step. */
  readonly titles: readonly string[];
  readonly bodies: readonly EntryBody[];
}

/** How whoever is at the step works. */
export interface AtHand {
  readonly set: SetAtStep;
  readonly turns: Turns;
  /** The wrench at this device clicks, and nothing has to be asked before it may. */
  readonly clicks: boolean;
  /** A second person is with whoever works alone. */
  readonly helped: boolean;
}

/** What one key may stand for together with `operation`; undefined where it is done by itself. */
export function moreAtOnce(state: JobState, operation: Operation, at: AtHand): MoreAtOnce | undefined {
  return wholeRow(state, operation, at) ?? closedAndClicked(state, operation, at);
}

function wholeRow(state: JobState, operation: Operation, { set, turns }: AtHand): MoreAtOnce | undefined {
  const whose = ({ id }: Operation) => turns.get(id)?.join() ?? '';
  const ahead = rowAhead(state, operation);
  // What is somebody else’s by the plan is theirs.
  const theirs = ahead.findIndex((next) => whose(next) !== whose(operation));
  const row = theirs < 0 ? ahead : ahead.slice(0, theirs);
  const last = row.at(-1);
  if (!last) return undefined;
  const first = set.tag?.fresh ? set.tag.number : undefined;
  return {
    words: `Numbers ${numberOf(operation)} to ${numberOf(last)} done`,
    beside: first === undefined ? '' : `Tags ${first} to ${first + row.length}, on both halves of each.`,
    titles: row.map(({ title }) => title),
    bodies: row.flatMap((next, at) => [
      ...entriesAtStep(next, { ...set, tag: tagOfRow(state, next, first, at + 1) }),
      { kind: 'operation-done' as const, operation: next.id },
    ]),
  };
}

function tagOfRow(state: JobState, operation: Operation, first: number | undefined, on: number) {
  const own = tagAt(state, operation);
  return own?.fresh && first !== undefined ? { ...own, number: first + on } : undefined;
}

const numberOf = ({ id }: Operation) => /\d+$/.exec(id)?.[0] ?? '';

function closedAndClicked(
  state: JobState,
  operation: Operation,
  { set: { counting, count }, clicks, helped }: AtHand,
): MoreAtOnce | undefined {
  const along = clicks && (!counting || count === counting.expected) ? torqueAlong(state, operation) : undefined;
  if (!along) return undefined;
  const { operation: torque, targetNm, wrench } = along;
  return {
    words: `Done, and clicked at ${targetNm} N·m`,
    beside: `Set on ${wrench.name}.`,
    titles: [torque.title],
    bodies: [
      {
        kind: 'torque-read',
        connection: operation.connection ?? '',
        wrench: wrench.id,
        range: { lowestNm: wrench.lowestNm, highestNm: wrench.highestNm },
        read: { value: targetNm, unit: 'N·m' },
      },
      { kind: 'operation-done', operation: torque.id, ...(helped ? { helped } : {}) },
    ],
  };
}
