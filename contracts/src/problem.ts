import type { FieldError } from './check.js';

/** What an error is, for programs; `detail` says it for people. Problem details of RFC 9457. */
export const PROBLEMS = [
  'bad-input',
  'not-json',
  'too-large',
  'not-found',
  'stale-position',
  'stale-revision',
  'id-used',
  'refused',
  'exists',
  'sign-in',
  'not-allowed',
  'unavailable',
  'busy',
  'too-often',
  'no-room',
  'unreadable',
  'internal',
] as const;
export type ProblemKind = (typeof PROBLEMS)[number];

export interface Problem {
  readonly type: `urn:brisk-ledger:${ProblemKind}`;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors?: readonly FieldError[];
  /** With `stale-position`: where the ledger stands. */
  readonly position?: number;
  /** With `stale-revision`: which revision stands. */
  readonly revision?: number;
}
