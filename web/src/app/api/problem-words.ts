import { HttpErrorResponse } from '@angular/common/http';
import { PROBLEMS, type Problem, type ProblemKind } from '@brisk/contracts/problem';

const PREFIX = 'urn:brisk-ledger:';

/** The server's own account of an error, where there is one. */
export function problemIn(error: unknown): Problem | undefined {
  if (!(error instanceof HttpErrorResponse)) return undefined;
  const body: unknown = error.error;
  return typeof body === 'object' && body !== null && 'type' in body && 'detail' in body
    ? (body as Problem)
    : undefined;
}

/** Which of our problems it is, or undefined where the server was not reached or is not ours. */
export function problemKind(error: unknown): ProblemKind | undefined {
  const type = problemIn(error)?.type.slice(PREFIX.length);
  return PROBLEMS.find((kind) => kind === type);
}

/** A sentence for the person: what happened, and what to do. */
export function problemWords(error: unknown): string {
  const problem = problemIn(error);
  if (problem) return problem.detail;
  // The service worker says 504 for a server it does not reach.
  if (error instanceof HttpErrorResponse && (error.status === 0 || error.status === 504))
    return 'The server does not answer. Look whether it runs and whether this device is on its network.';
  return 'Something went wrong here. Load the page again.';
}

/** Answers that will be the same however often it is sent. */
const STAY_SO: ReadonlySet<ProblemKind | undefined> = new Set<ProblemKind>([
  'refused',
  'bad-input',
  'id-used',
  'too-large',
  'not-json',
  'not-allowed',
]);

/** Whether what was answered with a problem of `kind` will be answered the same again. */
export function staysSo(kind: ProblemKind | undefined): boolean {
  return STAY_SO.has(kind);
}
