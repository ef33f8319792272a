import { CyclicMapError, MapError, problemsOf, type JobPlan, type MapProblem } from '../connection-map/index.js';
import { workOf, type Work } from '../work/index.js';

/** What a change means for the work, or what is wrong with the map that it gives. */
export type Effect =
  | {
      readonly workable: true;
      /** Titles of operations that come with it, and of those that fall away. */
      readonly more: readonly string[];
      readonly less: readonly string[];
      /** Likely minutes of work more, or less where below nought. */
      readonly minutes: number;
      /** Connections more, or fewer, that tie the powerpack. */
      readonly holding: number;
    }
  | { readonly workable: false; readonly problems: readonly MapProblem[] };

/** The effect of going from `before`, which can be worked, to `after`. */
export function effectOf(before: JobPlan, after: JobPlan): Effect {
  const problems = problemsOf(after.map);
  if (problems.length > 0) return { workable: false, problems };
  try {
    const was = workOf(before);
    const is = workOf(after);
    const titles = (one: Work, other: Work) =>
      [...one.operations.values()].filter(({ id }) => !other.operations.has(id)).map(({ title }) => title);
    return {
      workable: true,
      more: titles(is, was),
      less: titles(was, is),
      minutes: likelyMinutes(is) - likelyMinutes(was),
      holding: is.boundary.length - was.boundary.length,
    };
  } catch (error) {
    if (!(error instanceof MapError)) throw error;
    const at = error instanceof CyclicMapError ? (error.connections[0] ?? '') : '';
    return { workable: false, problems: [{ at, words: error.message }] };
  }
}

function likelyMinutes({ operations }: Work): number {
  let sum = 0;
  for (const { minutes } of operations.values()) sum += minutes.likely;
  return sum;
}
