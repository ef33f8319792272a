import type { Job } from '@brisk/contracts/job';
import { MapError, problemsOf, type ConnectionMap } from '@brisk/core/connection-map';
import { workOf } from '@brisk/core/work';
import { badInput, ProblemError } from '../http/problem.js';

/** What is wrong with a map is told at the field it is in, and not more than anybody reads. Throws `bad-input`. */
export function refuseProblems(map: ConnectionMap, field: string): void {
  const problems = problemsOf(map);
  if (problems.length > 0)
    badInput(problems.slice(0, 20).map(({ at, words }) => ({ field: `${field}: ${at}`, words })));
}

/** A map that cannot be worked (a loop, an unknown powerpack) is refused before it is stored. Throws `bad-input`. */
export function refuseUnworkable({ plan }: Pick<Job, 'plan'>): void {
  try {
    workOf(plan);
  } catch (error) {
    if (!(error instanceof MapError)) throw error;
    throw new ProblemError('bad-input', error.message, { errors: [{ field: 'plan', words: error.message }] });
  }
}
