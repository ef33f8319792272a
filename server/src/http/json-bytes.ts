import { ProblemError } from './problem.js';

/** The JSON in `bytes`. Throws `not-json`. */
export function jsonIn(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw new ProblemError('not-json', 'The data breaks off or is not JSON. Nothing was written; send it again whole.');
  }
}
