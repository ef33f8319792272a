import type { Schedule, ScheduledStep } from '../schedule/index.js';
import type { Operation } from '../teardown/index.js';

/** A step whose place in the order changed against its neighbours. */
export interface Moved {
  readonly operation: Operation;
  readonly to: 'earlier' | 'later';
  /** The step it now comes right after; absent where it is the first. */
  readonly after?: Operation;
}

/** What is different between two plans of the same work. */
export interface Differences {
  readonly moved: readonly Moved[];
  readonly handedOn: readonly { readonly operation: Operation; readonly from: string; readonly to: string }[];
  readonly added: readonly Operation[];
  readonly gone: readonly Operation[];
  readonly finishMin: number;
  readonly heightChanges: number;
  readonly stationMoves: number;
  readonly toolFetches: number;
}

/**
 * What changes from one plan to another. As few steps as possible are called moved: the longest run of steps that kept
 * their order (longest increasing subsequence, patience sorting) did not move.
 */
export function differencesOf(before: Schedule, after: Schedule): Differences {
  const was = new Map(before.steps.map((step, index) => [step.operation.id, { step, index }]));
  const is = new Map(after.steps.map((step) => [step.operation.id, step]));
  const common = after.steps.filter(({ operation }) => was.has(operation.id));
  const places = common.map(({ operation }) => was.get(operation.id)?.index ?? 0);
  const stayed = new Set(longestRising(places));
  const moved = common.flatMap((step, index): readonly Moved[] => {
    if (stayed.has(index)) return [];
    const behind = after.steps[after.steps.indexOf(step) - 1]?.operation;
    const neighbour = nearestStayed(index, stayed, places);
    return [
      {
        operation: step.operation,
        to: (places[index] ?? 0) > neighbour ? 'earlier' : 'later',
        ...(behind ? { after: behind } : {}),
      },
    ];
  });
  const who = ({ people }: ScheduledStep) => people.join(' and ');
  return {
    moved,
    handedOn: common.flatMap((step) => {
      const from = was.get(step.operation.id)?.step;
      return from && who(from) !== who(step) ? [{ operation: step.operation, from: who(from), to: who(step) }] : [];
    }),
    added: after.steps.filter(({ operation }) => !was.has(operation.id)).map(({ operation }) => operation),
    gone: before.steps.filter(({ operation }) => !is.has(operation.id)).map(({ operation }) => operation),
    finishMin: after.costs.finishMin - before.costs.finishMin,
    heightChanges: after.costs.heightChanges - before.costs.heightChanges,
    stationMoves: after.costs.stationMoves - before.costs.stationMoves,
    toolFetches: after.costs.toolFetches - before.costs.toolFetches,
  };
}

/** The old place of the nearest step that kept its order. */
function nearestStayed(index: number, stayed: ReadonlySet<number>, places: readonly number[]): number {
  for (let away = 1; away < places.length; away += 1)
    for (const at of [index - away, index + away]) if (stayed.has(at)) return places[at] ?? 0;
  return places[index] ?? 0;
}

/** Indices of a longest rising subsequence of `values`. */
function longestRising(values: readonly number[]): readonly number[] {
  const tops: number[] = [];
  const behind = new Array<number>(values.length).fill(-1);
  values.forEach((value, index) => {
    let low = 0;
    let high = tops.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((values[tops[middle] ?? 0] ?? 0) < value) low = middle + 1;
      else high = middle;
    }
    behind[index] = low > 0 ? (tops[low - 1] ?? -1) : -1;
    tops[low] = index;
  });
  const run: number[] = [];
  for (let at = tops.at(-1) ?? -1; at >= 0; at = behind[at] ?? -1) run.unshift(at);
  return run;
}
