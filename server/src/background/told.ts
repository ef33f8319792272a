import { ProblemError } from '../http/problem.js';

/** What came of a task, as it goes from one thread to another. */
export type Told = { readonly value: unknown } | { readonly problem: Pick<ProblemError, 'kind' | 'message' | 'more'> };

/** `error` as data. */
export function toldOf({ kind, message, more }: ProblemError): Told {
  return { problem: { kind, message, more } };
}

/** What came of a task. Throws the problem it told of. */
export function heard(told: Told): unknown {
  if ('value' in told) return told.value;
  const { kind, message, more } = told.problem;
  throw new ProblemError(kind, message, more);
}
